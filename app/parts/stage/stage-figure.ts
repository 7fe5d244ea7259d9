import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import {
  bagBeside,
  bagKinds,
  bagNatures,
  ballSwing,
  describeCombination,
  exerciseFigure,
  leafFigure,
  stillAt,
  tellingMoments,
  viewAt,
  views,
  type Leaf,
  type SessionTime,
  type Sheet,
  type ShownScript,
  type ViewName,
} from '../../../core/index';
import { FigurePicture } from '../figure/figure-picture';

/** The figure of what a class does now, on the session's own clock. Where motion is to be little it goes from still to still. */
@Component({
  selector: 'kt-stage-figure',
  imports: [FigurePicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown(); as shown) {
      <div class="figure" role="img" [attr.aria-label]="words()">
        <kt-figure-picture [figure]="shown.figure" [at]="at()" [view]="seen()" [beside]="beside()" />
      </div>
    }
  `,
  styles: `
    :host,
    .figure {
      display: grid;
      min-height: 0;
      height: 100%;
    }
  `,
})
export class StageFigure {
  readonly leaf = input.required<Leaf>();
  readonly script = input.required<ShownScript | null>();
  readonly position = input.required<SessionTime>();
  readonly view = input.required<ViewName>();
  readonly calm = input(false);
  /** Figures of the ball between cords, where the sheet has them. */
  readonly ball = input<Sheet['ball']>();

  protected readonly shown = computed(() => {
    const leaf = this.leaf();
    const still = leaf.combination ? null : exerciseFigure(leaf.words, leaf.stance);
    return still ? { figure: still, views: [] } : leafFigure(leaf, this.script(), leaf.stance);
  });
  private readonly since = computed(() => Math.max(0, this.position() - this.leaf().at));
  private readonly moments = computed(() => tellingMoments(this.shown()?.figure ?? null));
  protected readonly at = computed(() =>
    this.calm()
      ? (this.moments().findLast((at) => at <= this.since()) ?? stillAt)
      : Math.max(this.shown()?.figure.motion.hits.length ? 0 : stillAt, this.since()),
  );
  protected readonly seen = computed(() => {
    const shown = this.shown();
    const name = shown?.views.findLast(({ at }) => at <= this.since())?.view ?? this.view();
    return shown ? viewAt(name, shown.figure, this.at()) : views['three-quarter'];
  });
  protected readonly beside = computed(() => {
    const [shown, kind] = [this.shown(), bagKinds.find((each) => this.leaf().bags.includes(each))];
    if (!shown || !kind || this.leaf().block === 'show') return null;
    const [nature, ball] = [bagNatures[kind], this.ball()];
    return bagBeside(nature, shown.figure, nature.measured === 'cords' && ball ? ballSwing(ball) : {});
  });
  protected readonly words = computed(() => {
    const { combination, words } = this.leaf();
    return `The figure shows: ${combination ? describeCombination(combination) : (words ?? 'the rhythm')}`;
  });
}
