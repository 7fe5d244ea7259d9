import { sayClock } from '../clock-text';
import { fitsFocus, wantedBy } from '../script/focus';
import { gearChanges } from '../script/gear';
import { callOptionsOf } from '../script/script';
import { schemeOrSix } from '../notation/stored';
import { addBlock, changeBlock } from '../sheet/edit';
import type { TechniqueFocus } from '../sheet/calls';
import type { Sheet } from '../sheet/schema';
import { unusedId } from '../sheet/unused-id';
import type { Leaf } from '../timeline/leaf';
import { blockName } from '../timeline/names';
import { passesOf } from '../timeline/passes';
import type { Milliseconds } from '../units';
import type { Checked, Finding, Mend } from './finding';

/** A break of a length before a block: the rest before it made longer, or a rest put in. */
function breakBefore(sheet: Sheet, blockId: string, missing: Milliseconds, ms: Milliseconds): Sheet {
  const at = sheet.blocks.findIndex(({ id }) => id === blockId);
  const before = sheet.blocks[at - 1];
  if (before?.kind === 'rest' && before.ms !== null) return changeBlock(sheet, before.id, { ms: before.ms + missing });
  return addBlock(sheet, { id: unusedId(sheet, 'rest'), kind: 'rest', ms, pieces: [] }, blockId);
}

/** A break that is too short to put gloves on, or to take them off. */
export function gearFindings({ sheet, timeline, wishes }: Checked): Finding[] {
  const options = callOptionsOf(sheet, timeline, wishes);
  return gearChanges(passesOf(timeline), options).flatMap(({ gloves, leaf, ms, needs }): Finding[] => {
    if (ms === null || ms >= needs) return [];
    const first = timeline.leaves.find(({ blockId }) => blockId === leaf.blockId)?.round === leaf.round;
    const mends: Mend[] = first
      ? [
          {
            label: ms === 0 ? `Add a rest of ${sayClock(needs)}` : `Make the rest ${sayClock(needs)}`,
            edit: (now) => breakBefore(now, leaf.blockId, needs - ms, needs),
          },
        ]
      : [];
    return [
      {
        // Without any break they may have been put on before; a break that is too short is a plan that does not work.
        level: ms === 0 ? 'note' : 'warning',
        kind: 'gloves',
        where: blockName(leaf),
        what:
          ms === 0
            ? `no time to take gloves ${gloves} before this`
            : `getting gloves ${gloves} takes ${sayClock(needs)}, but the rest is ${sayClock(ms)}`,
        mend: `add a rest of ${sayClock(needs)} before this`,
        blockId: leaf.blockId,
        mends,
      },
    ];
  });
}

/** Why a focus line can never come among some leaves; null where it can. */
function neverComes(focus: TechniqueFocus, leaves: readonly Leaf[], { sheet }: Checked): string | null {
  const scheme = schemeOrSix(sheet.numbers);
  const level = sheet.class.level ?? null;
  const unread = focus.moves.filter((each) => wantedBy(each, scheme) === null);
  if (focus.moves.length > 0 && unread.length === focus.moves.length)
    return `${unread.map((each) => `"${each}"`).join(', ')} is not a move`;
  if (focus.levels && (level === null || !focus.levels.includes(level)))
    return `it is for ${focus.levels.join(', ')}, but the sheet is for ${level ?? 'any level'}`;
  const { bags } = focus;
  if (bags && bags.length > 0 && !leaves.some((leaf) => leaf.bags.some((bag) => bags.includes(bag))))
    return `nothing here is on ${bags.join(' or ')}`;
  if (!fitsFocus(focus, { leaves, level, scheme }))
    return `nothing here includes ${focus.moves.join(', ') || 'a strike'}`;
  return null;
}

function focusFinding(
  focus: TechniqueFocus,
  why: string,
  where: string,
  blockId: string | null,
  without: (sheet: Sheet) => Sheet,
): Finding {
  return {
    level: 'note',
    kind: 'focus',
    where,
    what: `the cue “${focus.words}” will never be called: ${why}`,
    mend: 'change when it applies, or remove it',
    ...(blockId === null ? {} : { blockId }),
    mends: [{ label: 'Remove it', edit: without }],
  };
}

/** Focus lines that can never come, with the reason. */
export function focusFindings(checked: Checked): Finding[] {
  const { sheet, timeline } = checked;
  const rounds = timeline.leaves.filter(({ block }) => block === 'round');
  const found = (sheet.focuses ?? []).flatMap((focus): Finding[] => {
    const why = neverComes(focus, rounds, checked);
    const without = (now: Sheet): Sheet => ({
      ...now,
      focuses: (now.focuses ?? []).filter(({ words }) => words !== focus.words),
    });
    return why === null ? [] : [focusFinding(focus, why, 'Cues', null, without)];
  });
  for (const { id, focuses, kind } of sheet.blocks)
    for (const focus of focuses ?? []) {
      const leaves = rounds.filter(({ blockId }) => blockId === id);
      const why = kind === 'round' ? neverComes(focus, leaves, checked) : `a ${kind} has no cues`;
      const without = (now: Sheet): Sheet =>
        changeBlock(now, id, { focuses: (focuses ?? []).filter(({ words }) => words !== focus.words) });
      const [leaf] = timeline.leaves.filter(({ blockId }) => blockId === id);
      if (why !== null) found.push(focusFinding(focus, why, leaf ? blockName(leaf) : kind, id, without));
    }
  return found;
}
