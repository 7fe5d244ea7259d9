import { balanceGoal, balanceOf } from '../tally/balance';
import { usualStances } from '../sheet/stances';
import { mirrorStance } from '../mechanics/walk';
import { studyOf } from '../mechanics/study-of';
import type { Combination } from '../notation/combination';
import { addBlock, changeBlock } from '../sheet/edit';
import type { Leaf, Timeline } from '../timeline/leaf';
import { leafName } from '../timeline/names';
import type { Sheet } from '../sheet/schema';
import { unusedId } from '../sheet/unused-id';
import type { Checked, Finding } from './finding';

/** Strikes it takes to judge a session's balance (house value). */
const enoughStrikes = 40;

/** Long enough to hear of a change and of a combination (house value). */
const restMs = 30_000;

/** The sheet with a rest before a round that follows another at once: before its block, or between its repeats. */
function withRestBefore(sheet: Sheet, { blockId, round }: Leaf, timeline: Timeline): Sheet {
  const first = timeline.leaves.find((leaf) => leaf.blockId === blockId)?.round === round;
  if (!first) return changeBlock(sheet, blockId, { restMs });
  return addBlock(sheet, { id: unusedId(sheet, 'rest'), kind: 'rest', ms: restMs, pieces: [] }, blockId);
}

const eachRound = (sheet: Sheet): Sheet => ({
  ...sheet,
  stances: { ...usualStances, ...sheet.stances, plan: 'each round' },
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
      what: `the ${more} side throws ${Math.round(Math.max(left, 1 - left) * 100)}% of the strikes; aim for 50 ± ${balanceGoal * 100}`,
      mend: 'switch stance every round over an even number of matching rounds, or use learn, then mirror',
      mends:
        sheet.stances?.plan === 'learn then mirror'
          ? []
          : [
              {
                label: 'Learn, then mirror',
                edit: (now) => ({ ...now, stances: { ...usualStances, ...now.stances, plan: 'learn then mirror' } }),
              },
            ],
    },
  ];
}

/** A change of stance at the moment of a new combination: two things at once. */
function newCombinationFindings({ timeline }: Checked): Finding[] {
  const work = timeline.leaves.filter(({ doing }) => doing !== 'change-over');
  const done = new Set<Combination>();
  const found = work.flatMap((leaf, at): Finding[] => {
    const before = work[at - 1];
    const fresh = leaf.combination !== null && !done.has(leaf.combination);
    if (leaf.combination) done.add(leaf.combination);
    // A rest between them is room enough.
    if (!fresh || !before?.combination || before.mirrored === leaf.mirrored || before.kind === 'show') return [];
    const inside = before.blockId === leaf.blockId && before.round === leaf.round;
    const rest = { label: 'Add a rest of 0:30 before it', edit: (now: Sheet) => withRestBefore(now, leaf, timeline) };
    return [
      {
        level: 'note',
        kind: 'stance and combination',
        where: leafName(leaf),
        what: 'the class switches stance just as a new combination starts',
        mend: 'change one thing at a time: switch between rounds, with a rest first',
        blockId: leaf.blockId,
        ...(leaf.pieceId ? { pieceId: leaf.pieceId } : {}),
        mends: [inside ? { label: 'Switch stance every round', edit: eachRound } : rest],
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
      what: 'the plan says the combinations switch stance themselves, but none contains a switch or a shift',
      mend: 'add one, for example 1 2 switch 1 2, or switch every round',
      mends: [{ label: 'Switch stance every round', edit: eachRound }],
    },
  ];
}

/** Everything about when the class changes over. */
export function stanceFindings(checked: Checked): Finding[] {
  return [...balanceFinding(checked), ...newCombinationFindings(checked), ...insideFinding(checked)];
}
