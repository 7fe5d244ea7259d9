import { computed, inject, Injectable, signal, type OnDestroy } from '@angular/core';
import { aimsMet, dayOf, hungBags, isShort, six, type Scheme } from '../../core/index';
import type { Composing, ComposeWorld } from '../workers/composing';
import type { ComposeWorker } from '../workers/composing.worker';
import { startHelper, type Helper } from '../workers/in-worker';
import { BookService } from './book.service';
import { ProgressService } from './progress.service';
import { RoomService } from './room.service';
import { SettingsService } from './settings.service';

type Question = Exclude<keyof Composing, 'know'>;

/** So many days back a combination counts as had lately. */
const lately = 28;
/** A question that has taken so long is given up for the next one (a bound on seconds may take very long). */
const patience = 400;

/** A question was given up: because it was meant, or only because the worker was ended for another one's sake. */
export class Stopped extends Error {
  constructor(readonly meant: boolean) {
    super('the search was cancelled');
  }
}

/** Composes for this coach, in a worker that is there as long as the product is open; here where there is none. */
@Injectable({ providedIn: 'root' })
export class ComposeService implements OnDestroy {
  private readonly book = inject(BookService);
  private readonly progress = inject(ProgressService);
  private readonly room = inject(RoomService);
  private readonly settings = inject(SettingsService);
  private helper: Helper<ComposeWorker> | null = null;
  private here: Composing | null = null;
  /** What the one who answers was told last. */
  private told: ComposeWorld | null = null;
  /** The question that the worker is at. */
  private busy: { readonly name: Question; readonly since: number } | null = null;
  /** Ends the wait of all who have asked. */
  private readonly waiting = new Map<(reason: Stopped) => void, Question>();
  /** How numbers are read and written where somebody composes. */
  readonly scheme = signal<Scheme>(six);
  /** The wishes as they were left, wherever somebody composes next. */
  readonly wishes = signal('4-6 punches, begins 1 2, flows, loops');

  private readonly had = signal<Pick<ComposeWorld, 'lately' | 'short'>>({ lately: [], short: [] });
  private readonly world = computed((): ComposeWorld => {
    const room = this.room.room();
    return {
      book: (this.book.all() ?? []).map(({ name, text }) => ({ name, text })),
      bags: room ? hungBags(room) : [],
      conditions: { schools: this.settings.schools() },
      scheme: this.scheme(),
      ...this.had(),
    };
  });
  /** Names of the room's bags, for those who choose. */
  readonly bags = computed(() => this.world().bags.map(({ name }) => name));

  /** Takes in anew what the last weeks' log had and lacked. */
  async lookBack(): Promise<void> {
    const today = dayOf(Date.now());
    try {
      const coverage = await this.progress.ask('coverage', today - lately + 1, today);
      const { aims, draft } = this.settings.settings();
      this.had.set({
        lately: coverage.combinations.map(({ text, sessions }) => ({ text, times: sessions })),
        short: aimsMet(coverage, this.room.room()?.level ?? draft.level, aims)
          .filter(isShort)
          .map(({ aim }) => aim.id),
      });
    } catch {
      // Without a log everything is new and nothing is lacking.
    }
  }

  /** Gives a question up: whoever waits for it gets a `Stopped`; what else is asked is asked again. `stop('compose')` */
  stop(name: Question): void {
    this.end();
    for (const [giveUp, asked] of [...this.waiting]) giveUp(new Stopped(asked === name));
  }

  /** Puts a question; fails with `Stopped` where it is given up. `ask('compose', '4-6 moves, flows', 6, 1, 'apart')` */
  async ask<Name extends Question>(
    name: Name,
    ...args: Parameters<Composing[Name]>
  ): Promise<Awaited<ReturnType<Composing[Name]>>> {
    // The same question put anew takes the place of the one before it.
    if (this.busy?.name === name && performance.now() - this.busy.since > patience) this.stop(name);
    const mine = { name, since: performance.now() };
    this.busy ??= mine;
    let giveUp: (reason: Stopped) => void = () => undefined;
    const stopped = new Promise<never>((_, fail) => (giveUp = fail));
    this.waiting.set(giveUp, name);
    try {
      return await Promise.race([this.answer(name, args), stopped]);
    } catch (reason) {
      if (!(reason instanceof Stopped)) {
        this.end();
        return await this.answerHere(name, args);
      }
      if (reason.meant) throw reason;
      return await this.ask(name, ...args);
    } finally {
      this.waiting.delete(giveUp);
      if (this.busy === mine) this.busy = null;
    }
  }

  private async answer<Name extends Question>(
    name: Name,
    args: Parameters<Composing[Name]>,
  ): Promise<Awaited<ReturnType<Composing[Name]>>> {
    const helper = (this.helper ??= startHelper<ComposeWorker>(
      new Worker(new URL('../workers/composing.worker', import.meta.url), { type: 'module' }),
    ));
    const world = this.world();
    if (this.told !== world) {
      this.told = world;
      await helper.ask((worker) => worker.know(world));
    }
    return (await helper.ask((worker) => worker.ask(name, args))) as Awaited<ReturnType<Composing[Name]>>;
  }

  private async answerHere<Name extends Question>(
    name: Name,
    args: Parameters<Composing[Name]>,
  ): Promise<Awaited<ReturnType<Composing[Name]>>> {
    const { Composing: Here } = await import('../workers/composing');
    this.here ??= new Here();
    this.here.know(this.world());
    const method = this.here[name] as (...given: readonly unknown[]) => unknown;
    return (await method.apply(this.here, args)) as Awaited<ReturnType<Composing[Name]>>;
  }

  private end(): void {
    this.helper?.end();
    this.helper = null;
    this.told = null;
    this.busy = null;
  }

  ngOnDestroy(): void {
    this.end();
  }
}
