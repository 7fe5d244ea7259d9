import { DecimalPipe } from '@angular/common';
import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  resource,
  signal,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatTabsModule } from '@angular/material/tabs';
import { debounceTime, map, of, switchMap, timer } from 'rxjs';
import { six, spell, type Scheme } from '../../../core/index';
import { ComposeService, Stopped } from '../../services/compose.service';
import type { ComposeAnswer } from '../../workers/composing';
import { TextField } from '../fields/text-field';
import { ComposedRow } from './composed-row';
import { FamilyView } from './family-view';
import { RoundsForm } from './rounds-form';
import { VaryPanel } from './vary-panel';
import { WayForm } from './way-form';
import { phrasesOf, WishControls } from './wish-controls';

/** Combinations that are shown at once, until more are asked for. */
const shown = 6;
/** Keys that follow each other this quickly, in milliseconds, are counted together. */
const pause = 200;
/** A count that takes longer, in milliseconds, can be stopped. */
const patience = 1000;
const stopped =
  'Stopped. A time limit takes long to check with many moves: name the moves (only 1 2 3 sl) or remove the limit.';
/** A family of more goals than this is hard to read. */
const mostGoals = 4;

/** Wishes typed or set, how many combinations meet them, and what can be made of those. */
@Component({
  selector: 'kt-compose-card',
  imports: [
    ...[DecimalPipe, MatButtonModule, MatButtonToggleModule, MatIcon, MatExpansionModule],
    ...[MatProgressBar, MatTabsModule],
    ...[ComposedRow, FamilyView, RoundsForm, TextField, VaryPanel, WayForm, WishControls],
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './compose-card.html',
  styleUrl: './compose.scss',
  styles: `
    .found {
      padding-top: var(--space-2);
    }
  `,
  host: { class: 'card stack', role: 'region', 'aria-label': 'Compose' },
})
export class ComposeCard {
  protected readonly composer = inject(ComposeService);
  protected readonly shown = shown;
  /** Whether it opens with its line ready to be typed in. */
  readonly focused = input(false, { transform: booleanAttribute });
  /** How numbers are meant here. */
  readonly scheme = input<Scheme>(six);
  /** Beside something else there is little room: fields and presses are folded away. */
  readonly compact = input(false, { transform: booleanAttribute });

  protected readonly wishes = this.composer.wishes;
  /** What is still being typed is not counted with each key. */
  protected readonly settled = toSignal(toObservable(this.wishes).pipe(debounceTime(pause)), {
    initialValue: this.wishes(),
  });
  private readonly seed = linkedSignal({ source: this.settled, computation: () => 1 });
  protected readonly order = signal<'apart' | 'best'>('apart');
  protected readonly take = linkedSignal({ source: this.settled, computation: () => shown });
  protected readonly answer = resource({
    params: () => ({ wishes: this.settled(), seed: this.seed(), take: this.take(), order: this.order() }),
    loader: async ({ params: { wishes, take, seed, order } }): Promise<ComposeAnswer> => {
      try {
        return await this.composer.ask('compose', wishes, take, seed, order);
      } catch (reason) {
        if (reason instanceof Stopped) return { mend: stopped, count: '', found: [], conflict: [], known: null };
        throw reason;
      }
    },
  });
  /** Whether it takes so long that somebody may want to stop it. */
  protected readonly slow = toSignal(
    toObservable(this.answer.isLoading).pipe(
      switchMap((loading) => (loading ? timer(patience).pipe(map(() => true)) : of(false))),
    ),
    { initialValue: false },
  );
  protected readonly count = computed(() => this.answer.value()?.count ?? '');
  /** Few enough to be said as a number, or a power of ten. */
  protected readonly small = computed(() => (this.count().length <= 15 ? Number(this.count()) : null));
  /** What is known of those that are shown. */
  protected readonly says = computed(() => {
    const known = this.answer.value()?.known;
    if (!known) return '';
    if (known.kind === 'best')
      return known.bound !== null && (this.answer.value()?.found.length ?? 0) < this.take()
        ? `The search stopped here; nothing else can score above ${known.bound}:`
        : 'Highest scores first:';
    const { least } = known;
    const edits = least === 1 ? '1 change' : `${least} changes`;
    return `Each differs from the others by at least ${edits}:`;
  });
  protected readonly goals = computed(() =>
    (this.answer.value()?.found ?? []).slice(0, mostGoals).map(({ text }) => text),
  );
  protected readonly spelled = (text: string): string => spell(text, this.scheme());
  /** The one that is looked at closer. */
  protected readonly looked = signal<string | null>(null);

  constructor() {
    effect(() => this.composer.scheme.set(this.scheme()));
    // What was run meanwhile is no news any more.
    void this.composer.lookBack();
  }

  protected others(): void {
    this.seed.update((seed) => seed + 1);
  }

  /** Looks for what is like the one that was looked at: its pattern takes the place of what says the same otherwise. */
  protected vary(pattern: string): void {
    const others = phrasesOf(this.wishes()).filter(
      (phrase) =>
        !/^(like|begins|starts|ends|contains) /.test(phrase) && !/^[^ ]+ (moves?|punches|strikes)$/.test(phrase),
    );
    this.composer.wishes.set([pattern, ...others].join(', '));
    this.looked.set(null);
  }
}
