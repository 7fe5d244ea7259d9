import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, untracked } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { NumberField } from './fields/number-field';
import { TextField } from './fields/text-field';
import { logEntrySchema, sayChange, sayClock, sayDeeds, standing, type LogEntry } from '../../core/index';

const anchors: Readonly<Record<number, string>> = {
  0: 'rest',
  2: 'easy',
  4: 'somewhat hard',
  6: 'hard',
  8: 'very hard',
  10: 'all there is',
};

/** One calm card about a run: how hard, how many counted, a note. Every change is handed on at once. */
@Component({
  selector: 'kt-entry-form',
  imports: [MatButtonToggleModule, NumberField, TextField],
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
  readonly changed = output<Partial<LogEntry>>();

  protected readonly counted = logEntrySchema.shape.counted;
  protected readonly note = logEntrySchema.shape.note;
  protected readonly efforts = Array.from({ length: 11 }, (_, effort) => effort);
  /** What the chosen figure means; between two words, both. */
  protected readonly anchor = computed(() => {
    const { effort } = this.own();
    if (effort === null) return '0 is rest, 4 somewhat hard, 6 hard, 10 all there is';
    return `${effort}: ${anchors[effort] ?? `${anchors[effort - 1]} to ${anchors[effort + 1]}`}`;
  });
  protected readonly planned = computed(() => this.line(this.entry().planned));
  protected readonly done = computed(() => this.line(this.entry().done));

  /** What sensors have told; those that ship measure nobody. */
  protected readonly sensed = computed(() => {
    const { punches, meanPulse, mostPulse } = this.entry().sensed ?? {};
    return [
      ...(typeof punches === 'number' ? [`${punches} punches`] : []),
      ...(typeof meanPulse === 'number' ? [`pulse ${meanPulse} on average, ${mostPulse} at most`] : []),
    ].join(' · ');
  });

  /** What was changed while it ran. */
  protected readonly alterations = computed(() =>
    [...standing(this.entry().changes ?? []).map(sayChange), ...sayDeeds(this.entry().deeds)].join(', '),
  );

  private line(figures: LogEntry['planned']): string {
    return `${sayClock(Math.round(figures.ms / 1000) * 1000)} · ${figures.rounds} ${figures.rounds === 1 ? 'round' : 'rounds'} · ${Math.round(figures.punches)} punches`;
  }

  protected change(change: Partial<LogEntry>): void {
    this.own.update((entry) => ({ ...entry, ...change }));
    this.changed.emit(change);
  }
}
