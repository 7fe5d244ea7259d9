import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, untracked } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatChipsModule } from '@angular/material/chips';
import { MatExpansionModule } from '@angular/material/expansion';
import { NumberField } from './fields/number-field';
import { TextField } from './fields/text-field';
import { EntryMore } from './entry-more';
import {
  faultList,
  faultsSeen,
  logEntrySchema,
  sayChange,
  sayClock,
  sayDeeds,
  standing,
  type LogEntry,
  type Said,
} from '../../core/index';

const anchors: Readonly<Record<number, string>> = {
  0: 'rest',
  2: 'easy',
  4: 'somewhat hard',
  6: 'hard',
  8: 'very hard',
  10: 'all out',
};

/** Counts that are one tap away, as shares of what was planned. */
const tappedShares = [0.7, 0.8, 0.9, 1] as const;
/** Faults that are one tap away. */
const tappedFaults = 6;

/**
 * One calm card about a run, done in three taps: how hard, how many counted, one fault. A note, and all the rest behind
 * “More”. Every change is handed on at once.
 */
@Component({
  selector: 'kt-entry-form',
  imports: [DatePipe, EntryMore, MatButtonToggleModule, MatChipsModule, MatExpansionModule, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './entry-form.html',
  styleUrl: './entry-form.scss',
})
export class EntryForm {
  readonly entry = input.required<LogEntry>();
  /** The entry with what was said here so far: the next change builds on this one, written or not. */
  protected readonly own = linkedSignal<string, LogEntry>({
    source: () => this.entry().id,
    computation: () => untracked(this.entry),
  });
  /** The fields that have changed, as they are typed. */
  readonly changed = output<Said>();

  protected readonly counted = logEntrySchema.shape.counted;
  protected readonly note = logEntrySchema.shape.note;
  protected readonly efforts = Array.from({ length: 11 }, (_, effort) => effort);
  /** What the chosen figure means; between two words, both. */
  protected readonly anchor = computed(() => {
    const { effort } = this.own();
    if (effort === null) return '0 rest, 4 somewhat hard, 6 hard, 10 all out';
    return `${effort}: ${anchors[effort] ?? `${anchors[effort - 1]} to ${anchors[effort + 1]}`}`;
  });
  protected readonly planned = computed(() => this.line(this.entry().planned));
  protected readonly done = computed(() => this.line(this.entry().done));
  /** Counts that are one tap away: tens near what was planned for what was done. */
  protected readonly tappedCounts = computed(() => {
    const { punches } = this.entry().done;
    return punches < 40 ? [] : [...new Set(tappedShares.map((share) => Math.round((punches * share) / 10) * 10))];
  });
  /** Faults that show most on this bag, and those that are marked. */
  protected readonly faults = computed(() => {
    const marked = this.marked();
    const { bag } = this.entry().sheet;
    const likely = [...faultList].sort((a, b) => Number(this.shows(b.bags, bag)) - Number(this.shows(a.bags, bag)));
    const first = likely.slice(0, tappedFaults);
    return [...first, ...faultList.filter(({ id }) => marked.includes(id) && !first.some((each) => each.id === id))];
  });
  protected readonly marked = computed(() => [
    ...new Set([...(this.own().faults ?? []), ...faultsSeen(this.entry().changes ?? [])]),
  ]);

  private shows(bags: readonly string[], bag: string): boolean {
    return bags.length === 0 || bags.includes(bag);
  }

  /** What sensors have told; those that ship measure nobody. */
  protected readonly sensed = computed(() => {
    const { punches, meanPulse, mostPulse } = this.entry().sensed ?? {};
    return [
      ...(typeof punches === 'number' ? [`${punches} punches`] : []),
      ...(typeof meanPulse === 'number' ? [`heart rate ${meanPulse} average, ${mostPulse} maximum`] : []),
    ].join(' · ');
  });

  /** What was changed while it ran. */
  protected readonly alterations = computed(() =>
    [...standing(this.entry().changes ?? []).map(sayChange), ...sayDeeds(this.entry().deeds)].join(', '),
  );

  /** What it was before it was changed, the last change first. */
  protected readonly history = computed(() =>
    [...(this.own().history ?? [])].reverse().map(({ at, was }) => ({
      at,
      was: Object.entries(was)
        .map(([field, value]) => `${field} ${typeof value === 'string' ? value : JSON.stringify(value)}`)
        .join(', '),
    })),
  );

  private line(figures: LogEntry['planned']): string {
    return `${sayClock(Math.round(figures.ms / 1000) * 1000)} · ${figures.rounds} ${figures.rounds === 1 ? 'round' : 'rounds'} · ${Math.round(figures.punches)} punches`;
  }

  protected change(change: Said): void {
    this.own.update((entry) => ({ ...entry, ...change }));
    this.changed.emit(change);
  }

  protected count(counted: number | null): void {
    const { count } = this.own();
    // A count that is typed here is no simulated one, whatever stood there before.
    this.change({ counted, ...(count?.by === 'simulated' ? { count: { ...count, by: 'typed' } } : {}) });
  }

  protected mark(faults: readonly string[]): void {
    this.change({ faults: [...faults] });
  }
}
