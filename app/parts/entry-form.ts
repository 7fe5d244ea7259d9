import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, untracked } from '@angular/core';
import { sayClock, type LogEntry } from '../../core/index';

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
  readonly changed = output<LogEntry>();

  protected readonly efforts = Array.from({ length: 11 }, (_, effort) => effort);
  protected readonly anchors = anchors;
  protected readonly planned = computed(() => this.line(this.entry().planned));
  protected readonly done = computed(() => this.line(this.entry().done));

  private line(figures: LogEntry['planned']): string {
    return `${sayClock(Math.round(figures.ms / 1000) * 1000)} · ${figures.rounds} ${figures.rounds === 1 ? 'round' : 'rounds'} · ${Math.round(figures.punches)} punches`;
  }

  private change(change: Partial<LogEntry>): void {
    this.own.update((entry) => ({ ...entry, ...change }));
    this.changed.emit(this.own());
  }

  protected setEffort(effort: number): void {
    this.change({ effort });
  }

  protected setCounted(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    const counted = text === '' ? null : Math.round(Number(text));
    if (counted === null || (counted >= 0 && counted <= 1_000_000)) this.change({ counted });
  }

  protected setNote(event: Event): void {
    this.change({ note: (event.target as HTMLTextAreaElement).value.slice(0, 4000) });
  }
}
