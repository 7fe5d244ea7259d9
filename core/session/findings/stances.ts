import { balanceGoal, balanceOf } from '../../stances/balance';
import { mirrorStance } from '../../mechanics/walk';
import { studyOf } from '../../mechanics/study-of';
import type { Sheet } from '../schema';
import type { Checked, Finding } from './finding';

const usualTimes = { settleMs: 3000, firstPace: 0.8 } as const;
/** Strikes it takes to judge a session's balance (house value). */
const enoughStrikes = 40;

const eachRound = (sheet: Sheet): Sheet => ({
  ...sheet,
  stances: { ...usualTimes, ...sheet.stances, plan: 'each round' },
});

/** A session with mirrored work that still falls on one side. */
function balanceFinding({ sheet, tally, timeline }: Checked): Finding[] {
  const mirrored = timeline.leaves.some((leaf) => leaf.mirrored);
  const { left, balanced, strikes } = balanceOf(tally);
  if (!mirrored || balanced || strikes.left + strikes.right < enoughStrikes) return [];
  const more = left > 0.5 ? 'left' : 'right';
  return [
    {
      level: 'note',
      kind: 'stance balance',
      where: 'Stance plan',
      what: `the ${more} side does ${Math.round(Math.max(left, 1 - left) * 100)} % of the strikes; the goal is 50 ± ${balanceGoal * 100}`,
      mend: 'change over each round with an even number of rounds alike, or learn then mirror',
      mends:
        sheet.stances?.plan === 'learn then mirror'
          ? []
          : [
              {
                label: 'Learn, then mirror',
                edit: (now) => ({ ...now, stances: { ...usualTimes, ...now.stances, plan: 'learn then mirror' } }),
              },
            ],
    },
  ];
}

/** A change of stance at the moment of a new combination: two things at once. */
function newCombinationFindings({ timeline }: Checked): Finding[] {
  const found = timeline.leaves.flatMap((leaf, at): Finding[] => {
    const change = timeline.leaves[at - 1];
    const before = timeline.leaves[at - 2];
    if (change?.doing !== 'change-over' || leaf.blockId !== change.blockId || before?.blockId !== leaf.blockId)
      return [];
    if (!leaf.combination || !before.combination || leaf.combination === before.combination) return [];
    return [
      {
        level: 'note',
        kind: 'stance and combination',
        where: leaf.label,
        what: 'the class changes over just as a new combination begins',
        mend: 'change one thing at a time: change over by the round, or give more time to settle',
        blockId: leaf.blockId,
        ...(leaf.pieceId ? { pieceId: leaf.pieceId } : {}),
        mends: [{ label: 'Change over each round', edit: eachRound }],
      },
    ];
  });
  return found.slice(0, 1);
}

/** A plan of changes inside the combinations, where none of them changes stance. */
function insideFinding({ sheet, timeline }: Checked): Finding[] {
  if (sheet.stances?.plan !== 'inside') return [];
  const turns = timeline.leaves.some(
    ({ combination }) =>
      combination !== null &&
      studyOf(combination, sheet.stance).turns.some(({ walk }) => walk.end === mirrorStance(walk.start)),
  );
  if (turns) return [];
  return [
    {
      level: 'note',
      kind: 'stance inside',
      where: 'Stance plan',
      what: 'the plan changes stance inside the combinations, but none of them has a switch or a shift',
      mend: 'put one in, for example 1 2 switch 1 2, or change over each round',
      mends: [{ label: 'Change over each round', edit: eachRound }],
    },
  ];
}

/** Everything about when the class changes over. */
export function stanceFindings(checked: Checked): Finding[] {
  return [...balanceFinding(checked), ...newCombinationFindings(checked), ...insideFinding(checked)];
}
