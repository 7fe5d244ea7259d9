import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { addedMs, endInSchema, faultsOn, livePaces } from '../../../core/index';
import { ChoiceField } from '../../parts/fields/choice-field';
import { NumberField } from '../../parts/fields/number-field';
import { viewChoices } from '../../parts/figure/view-choices';
import { looks, shownByChoices } from '../../parts/stage/wall-choices';
import { BookService } from '../../services/book.service';
import { SettingsService } from '../../services/settings.service';
import { insteadOf } from './instead';
import { Live, type Pressed } from './live';
import { Runner } from './runner';

/** What stands there first. */
const usualEndMs = 10 * 60_000;

/** What a coach changes while people sweat: each is one press, and the last one can be taken back. It stands beside the clock. */
@Component({
  selector: 'kt-live-panel',
  imports: [ChoiceField, MatButtonModule, MatIcon, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './live-panel.html',
  styleUrl: './_side-panel.scss',
  host: { class: 'beside', role: 'dialog', 'aria-label': 'Change the session' },
})
export class LivePanel {
  protected readonly runner = inject(Runner);
  protected readonly live = inject(Live);
  protected readonly settings = inject(SettingsService);
  protected readonly looks = looks;
  protected readonly shownBys = shownByChoices;
  protected readonly seenFrom = viewChoices;
  private readonly book = inject(BookService);
  readonly closed = output();

  /** What the last press came to, in words. */
  protected readonly told = signal('');
  protected readonly end = signal(usualEndMs);
  protected readonly ends = endInSchema;
  protected readonly addedMs = addedMs;
  protected readonly paces = livePaces;
  protected readonly percent = computed(() => Math.round(this.live.pace() * 100));
  protected readonly resting = computed(() => this.runner.leaf()?.block === 'rest');
  protected readonly combinations = computed(() => [
    { value: '', name: 'choose' },
    ...insteadOf(this.book.all() ?? []).map(({ text, name }) => ({ value: text, name })),
  ]);
  protected readonly faults = computed(() => [
    { value: '', name: 'choose' },
    ...faultsOn(this.runner.leaf()?.bags[0] ?? null).map(({ id, name }) => ({ value: id, name })),
  ]);

  protected press(pressed: Pressed, said: string): void {
    this.told.set(this.runner.alter(pressed) ? said : 'Nothing to change right now.');
  }

  protected pace(by: number): void {
    this.runner.pace(by);
    this.told.set('From the next repetition.');
  }

  protected undo(): void {
    const last = this.runner.last();
    this.runner.undo();
    if (last) this.told.set(`Undone: ${last}. Work already done stays in the log.`);
  }

  protected endIn(): void {
    const ms = this.end();
    const said = this.live.sayEnd(Math.round(this.runner.position()), ms);
    this.press({ kind: 'end in', ms }, said);
  }

  protected swap(text: string): void {
    if (!text) return;
    this.press({ kind: 'swap', text }, 'At the end of this repetition.');
    this.freeFocus();
  }

  protected mark(fault: string): void {
    if (!fault) return;
    this.press({ kind: 'fault', fault }, 'Logged. Its cue will come up in this session and the next.');
    this.freeFocus();
  }

  /** A choice keeps the focus, where the next key would choose again instead of stopping the class. */
  private freeFocus(): void {
    setTimeout(() => {
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    });
  }
}
