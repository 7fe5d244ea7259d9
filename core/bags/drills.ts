import { familyOf, isLegStrike, type Move } from '../moves/move';
import { moveKind } from '../moves/catalogue';
import type { Combination } from '../notation/combination';
import { mapMoves } from '../notation/map-moves';
import { isBagKind, type BagNature } from './kinds';
import type { BagKind } from './kind-names';

/** What a combination trains; the most telling theme first. */
export const themes = ['legs', 'body', 'defence', 'uppercuts', 'hooks', 'straights'] as const;
export type Theme = (typeof themes)[number];

/** Something to do on a kind of bag, in words. */
export interface BagDrill {
  readonly theme: Theme;
  readonly words: string;
}

const all = (words: Readonly<Record<Theme, string>>): readonly BagDrill[] =>
  themes.map((theme) => ({ theme, words: words[theme] }));

/** Drills of the kinds that cannot take every combination (common practice, no source; our own words). A new one is a line here. */
const drills: Partial<Record<BagKind, readonly BagDrill[]>> = {
  speed: all({
    legs: 'triplets with busy feet: eight touches with one foot forward, then eight with the other',
    body: 'soft touches that never reach the board, knees bent, then triplets',
    defence: 'triplets, six touches and a step to the side, back for six more',
    uppercuts: 'triplets from low hands: lift the fist to each touch and bring it back down',
    hooks: 'triplets: side taps, three rebounds each, eight with the lead hand, then eight with the rear',
    straights: 'triplets: three rebounds per touch, alternating lead and rear, then runs of singles',
  }),
  'double-end': all({
    legs: 'light straights on the move: two touches, circle, two touches',
    body: 'level changes: bend the knees and touch the ball from below eye height, straights only',
    defence: 'one-two, then a small slip as the ball comes past',
    uppercuts: 'soft straights, one at a time, watching the ball back in',
    hooks: 'a soft lead hook and a cross that brings the ball back',
    straights: 'non-stop light one-two, feet planted',
  }),
  reflex: all({
    legs: 'one jab, a step to the side, one jab',
    body: 'one jab with bent knees, stand, one cross',
    defence: 'one jab, a slip as it comes back, one cross',
    uppercuts: 'single soft uppercuts, the ball settled between them',
    hooks: 'single soft hooks, the ball settled between them',
    straights: 'single straights as the ball comes through the middle',
  }),
  standing: all({
    legs: 'light body kicks, one at a time, stepping out after each',
    body: 'a step in, two to the body, a step out',
    defence: 'straight one-two, a roll, an angle out',
    uppercuts: 'a step in, single uppercuts, snap and touch',
    hooks: 'head sets up body: hook high, hook low, angle out',
    straights: 'long straights, one to three at a time, stepping in and out',
  }),
};

const plainDrills = all({
  legs: 'single kicks, foot back down after each',
  body: 'single touches to the body, a step out after each',
  defence: 'alternate one touch, one slip',
  uppercuts: 'single uppercuts',
  hooks: 'single hooks',
  straights: 'straights, one to three at a time',
});

function themeOfMove(given: Move): Theme | null {
  if (isLegStrike(given)) return 'legs';
  if (familyOf(given) === 'defence') return 'defence';
  if (given.target === 'body') return 'body';
  const { shape } = moveKind(given.id);
  return shape === 'rising' ? 'uppercuts' : shape === 'turning' ? 'hooks' : shape === 'straight' ? 'straights' : null;
}

/** What a combination trains, the most telling first; straights where nothing else is in it. */
export function themesOf(combination: Combination): Theme[] {
  const found = new Set<Theme>();
  mapMoves(combination, (each) => {
    const theme = themeOfMove(each);
    if (theme) found.add(theme);
    return each;
  });
  const inOrder = themes.filter((theme) => found.has(theme));
  return inOrder.length > 0 ? inOrder : ['straights'];
}

/** The drill of a bag that comes nearest to what a combination trains. Kinds of the coach's own that are a rhythm bring their own words. */
export function drillFor(combination: Combination, nature: BagNature): BagDrill {
  const [theme = 'straights'] = themesOf(combination);
  if (nature.rhythm && !isBagKind(nature.name)) return { theme, words: nature.rhythm };
  const known = (isBagKind(nature.name) ? drills[nature.name] : undefined) ?? plainDrills;
  return known.find((drill) => drill.theme === theme) ?? (known[0] as BagDrill);
}
