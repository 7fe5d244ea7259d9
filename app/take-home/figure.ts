import {
  besideOf,
  darkPaints,
  leafFigure,
  mirrorCombination,
  mirrorStance,
  paperPaints,
  sceneAt,
  stillFigure,
  viewAt,
  type LeafFigure,
  type SessionTime,
  type TakenLeaf,
  type TakenSession,
  type ViewName,
} from '../../core/index';
import { paintScene } from '../parts/figure/paint';

/** How the figure is looked at, and whether the other hand leads. */
export interface Looked {
  readonly view: ViewName;
  readonly turned: boolean;
}

/** The figure of a file on its canvas. */
export class FileFigure {
  private now: { readonly leaf: TakenLeaf; readonly turned: boolean; readonly made: LeafFigure | null } | null = null;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly session: TakenSession,
  ) {}

  /** What the figure does in a leaf; for the other lead hand all of it as in a mirror. */
  private figureFor(leaf: TakenLeaf, turned: boolean): LeafFigure | null {
    const stance = turned && leaf.stance !== 'square' ? mirrorStance(leaf.stance) : leaf.stance;
    if (leaf.still) return { figure: stillFigure(leaf.still, stance), views: [] };
    const combination = leaf.combination && turned ? mirrorCombination(leaf.combination) : leaf.combination;
    return leafFigure({ ...leaf, combination }, this.session, stance);
  }

  /** Draws a moment of a leaf; nothing where there is nothing to show. */
  draw(leaf: TakenLeaf, position: SessionTime, { view, turned }: Looked): void {
    const { canvas } = this;
    canvas.hidden = leaf.combination === null && leaf.touches.length === 0 && leaf.still === null;
    if (canvas.hidden) return;
    if (this.now?.leaf !== leaf || this.now.turned !== turned)
      this.now = { leaf, turned, made: this.figureFor(leaf, turned) };
    const { made } = this.now;
    const context = canvas.getContext('2d');
    if (!made || !context) return;
    const ratio = Math.min(2, devicePixelRatio);
    const { clientWidth: width, clientHeight: height } = canvas;
    if (canvas.width !== Math.round(width * ratio)) canvas.width = Math.round(width * ratio);
    if (canvas.height !== Math.round(height * ratio)) canvas.height = Math.round(height * ratio);
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    context.clearRect(0, 0, width, height);
    const at = position - leaf.at;
    const seen = viewAt(made.views.findLast((each) => each.at <= at)?.view ?? view, made.figure, at);
    const scene = sceneAt(made.figure, at, seen, besideOf(leaf.bag, made.figure));
    const paints = matchMedia('(prefers-color-scheme: dark)').matches ? darkPaints : paperPaints;
    paintScene(context, scene, paints, { left: 0, top: 0, width, height });
  }
}
