import { BreakpointObserver } from '@angular/cdk/layout';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { map } from 'rxjs';
import {
  besideOf,
  describeCombination,
  figureFrom,
  figureOf,
  figureStudy,
  shownSheet,
  six,
  stripLabels,
  stripSvg,
  tellingMoments,
  viewAt,
  views,
  writeCombination,
  type BagKind,
  type Combination,
  type PaceFactor,
  type Stance,
  type View,
  type ViewName,
} from '../../../core/index';
import { FilesService } from '../../services/files.service';
import { freshId } from '../../services/fresh-id';
import { KeysService } from '../../services/keys.service';
import { SettingsService } from '../../services/settings.service';
import { ChoiceField } from '../fields/choice-field';
import { openFilm } from '../film/open-film';
import { FigureCaution } from './figure-caution';
import { FigurePicture } from './figure-picture';
import { pngOf } from '../png-of';
import { viewChoices } from './view-choices';

/** Between two repetitions of a combination that is looked at (house value). */
const breathMs = 1600;
/** How fast time goes: as it is done, down to a tenth. */
const speeds = [
  { value: 1, name: 'full speed' },
  { value: 0.5, name: 'half speed' },
  { value: 0.25, name: 'quarter speed' },
  { value: 0.1, name: 'one-tenth speed' },
] as const;
const turnBy = 15;

/** A combination shown by the figure, again and again: to be looked at from all sides, slowed, step by step. */
@Component({
  selector: 'kt-figure-player',
  imports: [ChoiceField, FigureCaution, FigurePicture, MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './figure-player.html',
  styleUrl: './figure-player.scss',
})
export class FigurePlayer {
  readonly combination = input.required<Combination>();
  readonly stance = input<Stance>('orthodox');
  readonly pace = input<PaceFactor>(1);
  readonly bag = input<BagKind | null>(null);
  /** The item that is chosen where the combination is edited: the figure is held there. */
  readonly chosen = input<number | null>(null);

  private readonly settings = inject(SettingsService);
  private readonly files = inject(FilesService);
  private readonly injector = inject(Injector);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly calm = inject(BreakpointObserver).isMatched('(prefers-reduced-motion: reduce)');
  protected readonly speeds = speeds;
  protected readonly viewChoices = viewChoices;
  protected readonly viewName = computed(() => this.settings.settings().figureView);
  /** Turned by hand away from the view that was chosen. */
  private readonly turnedBy = linkedSignal<string, number>({ source: this.viewName, computation: () => 0 });
  protected readonly view = computed((): View => {
    const chosen = viewAt(this.viewName(), this.figure(), this.at());
    return { ...chosen, azimuth: chosen.azimuth + this.turnedBy() };
  });
  private readonly wide = toSignal(
    inject(BreakpointObserver)
      .observe('(min-width: 900px)')
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
  /** Where there is room, the same from a second side: in front, or where that is chosen already, from the side. */
  protected readonly second = computed((): View | null => {
    if (!this.wide()) return null;
    return views[this.viewName() === 'mirrored front' || this.viewName() === 'front' ? 'side' : 'mirrored front'];
  });
  protected readonly speed = signal<number>(1);
  protected readonly seamOnly = signal(false);
  protected readonly playing = signal(!this.calm);

  private readonly turns = computed(() => figureStudy(this.combination(), this.stance()).turns);
  protected readonly figure = computed(() => {
    const turns = this.turns();
    let at = 0;
    const performed = turns.map((repetition) => {
      const here = { at, repetition };
      at += repetition.ms / this.pace() + breathMs;
      return here;
    });
    return figureFrom(performed, this.stance(), { pace: this.pace(), until: at });
  });
  protected readonly beside = computed(() => {
    return besideOf(this.bag(), this.figure());
  });
  protected readonly at = linkedSignal<unknown, number>({ source: this.figure, computation: () => 0 });
  protected readonly moments = computed(() => tellingMoments(this.figure()));
  protected readonly words = computed(
    () => `The figure shows, ${this.stance()}: ${describeCombination(this.combination())}`,
  );
  /** The stretch that is gone through: all of it, or the seam of the moment at which it was asked for. */
  private readonly stretch = signal<readonly [number, number] | null>(null);

  constructor() {
    let frame = 0;
    let last: number | null = null;
    const draw = (now: number): void => {
      if (last !== null && this.playing()) this.advance(Math.min(100, now - last) * this.speed());
      last = now;
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    inject(DestroyRef).onDestroy(() => cancelAnimationFrame(frame));
    // Another combination is shown whole.
    effect(() => {
      this.figure();
      untracked(() => {
        this.stretch.set(null);
        this.seamOnly.set(false);
      });
    });
    effect(() => {
      const chosen = this.chosen();
      if (chosen !== null) untracked(() => this.showItem(chosen));
    });
    const here = (event: KeyboardEvent): boolean => event.target instanceof Node && this.host.contains(event.target);
    inject(KeysService).use('Figure', [
      { keys: ['k'], does: 'Play or pause the figure', repeats: false, press: () => this.toggle(), when: here },
      {
        keys: ['ArrowLeft'],
        does: 'Turn the figure left',
        repeats: true,
        press: () => this.turn(-turnBy),
        when: here,
      },
      {
        keys: ['ArrowRight'],
        does: 'Turn the figure right',
        repeats: true,
        press: () => this.turn(turnBy),
        when: here,
      },
      { keys: [','], does: 'Figure: previous move', repeats: true, press: () => this.step(-1), when: here },
      { keys: ['.'], does: 'Figure: next move', repeats: true, press: () => this.step(1), when: here },
    ]);
  }

  /** Holds the figure at an item of the combination as it is written. */
  private showItem(index: number): void {
    const step = this.turns()[0]?.walk.steps.findIndex((each) => each.step.path[0] === index) ?? -1;
    const at = this.moments()[step];
    if (at === undefined) return;
    this.playing.set(false);
    this.at.set(at);
  }

  private advance(ms: number): void {
    const [from, to] = this.stretch() ?? [0, this.figure().motion.ms];
    this.at.update((at) => {
      const next = at + ms;
      return next >= to || next < from ? from : next;
    });
  }

  protected toggle(): void {
    this.playing.update((playing) => !playing);
  }

  protected turn(degrees: number): void {
    this.turnedBy.update((turned) => turned + degrees);
  }

  /** Holds the figure at the next telling moment, or the one before. */
  protected step(by: 1 | -1): void {
    this.playing.set(false);
    const moments = this.moments();
    const now = this.at();
    const next = by > 0 ? moments.find((at) => at > now + 1) : moments.findLast((at) => at < now - 1);
    this.at.set(next ?? (by > 0 ? moments[0] : moments.at(-1)) ?? 0);
  }

  /** Goes to and fro over the seam at this moment, or through everything again. */
  protected loopSeam(): void {
    if (this.seamOnly()) {
      this.stretch.set(null);
      this.seamOnly.set(false);
      return;
    }
    const moments = this.moments();
    const index = Math.max(
      0,
      moments.findLastIndex((at) => at <= this.at() + 1),
    );
    const [from, to] = [moments[index] ?? 0, moments[index + 1] ?? this.figure().motion.ms];
    this.stretch.set([Math.max(0, from - 200), Math.min(this.figure().motion.ms, to + 200)]);
    this.at.set(Math.max(0, from - 200));
    this.seamOnly.set(true);
    this.playing.set(true);
  }

  /** The telling moments side by side, from where one looks, as a picture of its own. */
  protected async save(as: 'svg' | 'png'): Promise<void> {
    const combination = this.combination();
    const labels = stripLabels(combination, six);
    const svg = stripSvg(figureOf(combination, this.stance(), this.pace()), this.view(), labels);
    const name = this.files.fileName(writeCombination(combination), as);
    if (as === 'svg') await this.files.save(name, svg, 'image/svg+xml');
    else await this.files.save(name, await pngOf(svg), 'image/png');
  }

  /** Taught in halves and whole, then at pace: the combination as a film of its own. */
  protected film(): Promise<void> {
    const name = writeCombination(this.combination());
    return openFilm(shownSheet(this.combination(), name, this.stance(), freshId), this.injector);
  }

  protected chooseView(name: ViewName): void {
    void this.settings.change({ figureView: name });
  }

  private dragged: number | null = null;

  protected drag(event: PointerEvent): void {
    if (event.type === 'pointerdown') {
      this.dragged = event.clientX;
      (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
    } else if (event.type === 'pointermove' && this.dragged !== null) {
      this.turn((this.dragged - event.clientX) * 0.5 * (this.view().mirrored ? -1 : 1));
      this.dragged = event.clientX;
    } else this.dragged = null;
  }
}
