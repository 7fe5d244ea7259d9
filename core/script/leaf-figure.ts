import { figureFrom, figureStudy, type Figure } from '../figure/figure-of';
import type { FixedViewName } from '../figure/view-names';
import type { Performed } from '../figure/compile';
import { touchesFigure } from '../figure/touches';
import type { Repetition } from '../mechanics/study';
import type { Stance } from '../mechanics/walk';
import type { Leaf } from '../timeline/leaf';
import { repetitionsOf, type Repeated } from '../timeline/repetitions';
import { showPace } from './show-calls';
import type { ShownCall, ShownScript } from './shown';

/** What of a leaf its figure depends on. */
export type FiguredLeaf = Repeated & Pick<Leaf, 'at' | 'block' | 'touches'>;

/** A leaf as a figure does it, from the leaf's beginning, and where it is best looked at from, moment by moment. */
export interface LeafFigure {
  readonly figure: Figure;
  /** Views of a show, each from its moment on; none where whoever looks chooses. */
  readonly views: readonly { readonly at: number; readonly view: FixedViewName }[];
}

/** A show is seen from the side first, then in front, and so on (trade page, section 6). */
const showViews = ['side', 'mirrored front', 'three-quarter'] as const satisfies readonly FixedViewName[];

/** The steps of a repetition that one showing names, each at the moment of its word. */
function shownSteps(call: ShownCall, leaf: FiguredLeaf, whole: Repetition): Performed | null {
  const named = (call.parts ?? []).flatMap(({ at, step }) => {
    const index = step === undefined ? -1 : whole.walk.steps.findIndex((each) => each.step.path.join('.') === step);
    return index < 0 ? [] : [{ at, index }];
  });
  const [first] = named;
  if (!first) return null;
  const steps = named.flatMap(({ index }) => whole.walk.steps[index] ?? []);
  const seams = named.flatMap(({ index }) => whole.seams[index] ?? []);
  return {
    at: call.at - leaf.at + first.at,
    repetition: { ...whole, walk: { ...whole.walk, steps }, seams },
    onsets: named.map(({ at }) => at - first.at),
  };
}

/**
 * What a figure does in a leaf: the repetitions on the grid that voice, clicks and lights have, or, in a show, each move as
 * its word is said; of a rhythm, the touches. null where there is neither.
 * @example leafFigure(leaf, script, 'orthodox')?.figure.motion.hits[0].at // 150
 */
export function leafFigure(
  leaf: FiguredLeaf,
  script: Pick<ShownScript, 'calls'> | null,
  stance: Stance,
): LeafFigure | null {
  if (leaf.touches.length > 0) return { figure: touchesFigure(leaf.touches, leaf.ms, stance), views: [] };
  if (!leaf.combination) return null;
  if (leaf.block !== 'show') {
    const { turns } = figureStudy(leaf.combination, stance);
    const performed = repetitionsOf(leaf).flatMap(({ at, turn }): Performed[] => {
      const repetition = turns[turn];
      return repetition ? [{ at, repetition }] : [];
    });
    const options = { pace: leaf.pace, until: leaf.ms, otherStance: leaf.otherStance };
    return { figure: figureFrom(performed, stance, options), views: [] };
  }
  const [whole] = figureStudy(leaf.combination, stance).turns;
  const calls = (script?.calls ?? []).filter(
    ({ kind, at }) => kind === 'teach' && at >= leaf.at && at < leaf.at + leaf.ms,
  );
  const performed = whole ? calls.flatMap((call) => shownSteps(call, leaf, whole) ?? []) : [];
  const figure = figureFrom(performed, stance, { pace: showPace, until: leaf.ms, otherStance: 'reset' });
  return {
    figure,
    views: performed.map(({ at }, index) => ({
      // Two halves and the whole are one round of showing, seen from one side.
      at: at - 800,
      view: showViews[Math.floor(index / 3) % showViews.length] ?? 'side',
    })),
  };
}
