import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
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
  readonly changed = output<LogEntry>();

  protected readonly efforts = Array.from({ length: 11 }, (_, effort) => effort);
  protected readonly anchors = anchors;
  protected readonly planned = computed(() => this.line(this.entry().planned));
  protected readonly done = computed(() => this.line(this.entry().done));

  private line(figures: LogEntry['planned']): string {
    return `${sayClock(Math.round(figures.ms / 1000) * 1000)} · ${figures.rounds} ${figures.rounds === 1 ? 'round' : 'rounds'} · ${Math.round(figures.punches)} punches`;
  }

  protected setEffort(effort: number): void {
    this.changed.emit({ ...this.entry(), effort });
  }

  protected setCounted(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    const counted = text === '' ? null : Math.round(Number(text));
    if (counted === null || (counted >= 0 && counted <= 1_000_000)) this.changed.emit({ ...this.entry(), counted });
  }

  protected setNote(event: Event): void {
    this.changed.emit({ ...this.entry(), note: (event.target as HTMLTextAreaElement).value.slice(0, 4000) });
  }
}
