import { leafPercent } from '../tally/at-a-glance';
import { planLeaf } from '../tally/planned';
import type { Milliseconds } from '../units';
import { sayClock } from '../clock-text';
import type { Leaf } from '../timeline/leaf';
import { leafName } from '../timeline/names';
import { addBlock, changeBlock } from '../sheet/edit';
import type { Block, Sheet } from '../sheet/schema';
import { unusedId } from '../sheet/unused-id';
import type { Checked, Finding, Mend, Place } from './finding';

// General exercise guidance asks for 5 to 10 minutes (trade page, section 6, published, from memory).
const warmUpMs: Milliseconds = 300_000;
/** So much hard work wants a cool-down, and of what length (house values; that it wants one: trade page, section 6). */
const hardMs: Milliseconds = 120_000;
const coolDownMs: Milliseconds = 180_000;
/** Longest stretch all-out before a lighter one: the trade's hard/easy sets work a minute (common practice, no source). */
const allOutMs: Milliseconds = 60_000;
/** A round this long wants a rest behind it (house value). */
const longRoundMs: Milliseconds = 120_000;
const usualRestMs: Milliseconds = 60_000;
/** Share of a session's strikes under which a side is called neglected, and strikes it takes to judge (house values). */
const leastSide = 0.35;
const leastTarget = 0.05;
const enoughStrikes = 100;

function freshBlock(sheet: Sheet, kind: 'warm-up' | 'rest' | 'cool-down', ms: Milliseconds): Block {
  return { id: unusedId(sheet, kind), kind, ms, pieces: [] };
}

/** No warm-up, or a short one. */
export function warmUpFindings({ sheet }: Checked): Finding[] {
  if (!sheet.blocks.some((block) => block.kind === 'round')) return [];
  const warmUps = sheet.blocks.filter((block) => block.kind === 'warm-up');
  const warm = warmUps.reduce((sum, { ms, times = 1 }) => sum + (ms ?? 0) * times, 0);
  if (warm >= warmUpMs) return [];
  const [only] = warmUps;
  if (!only) {
    const add: Mend = {
      label: 'Add a warm-up of 5:00',
      edit: (now) => addBlock(now, freshBlock(now, 'warm-up', warmUpMs), now.blocks[0]?.id ?? null),
    };
    return [
      {
        level: 'warning',
        kind: 'no warm-up',
        where: 'Sheet',
        what: 'there is no warm-up',
        mend: 'add a warm-up block before the first round',
        mends: [add],
      },
    ];
  }
  // Each repeat takes its share, in whole seconds.
  const missing = Math.ceil((warmUpMs - warm) / (only.times ?? 1) / 1000) * 1000;
  const last = only.pieces.at(-1);
  const stretch: Mend = {
    label: `Make the warm-up ${sayClock((only.ms ?? 0) + missing)}`,
    edit: (now) =>
      changeBlock(now, only.id, {
        ms: (only.ms ?? 0) + missing,
        ...(last && last.kind !== 'build'
          ? { pieces: [...only.pieces.slice(0, -1), { ...last, ms: last.ms + missing }] }
          : {}),
      }),
  };
  return [
    {
      level: 'note',
      kind: 'short warm-up',
      where: 'Warm-up',
      what: `the warm-up is ${sayClock(warm)}; five minutes or more is usually recommended`,
      mend: 'make it longer, or warm up before the class',
      blockId: only.id,
      mends: last?.kind === 'build' ? [] : [stretch],
    },
  ];
}

function isHard(leaf: Leaf): boolean {
  return (
    leaf.effort === 'strong' || leaf.effort === 'all-out' || (typeof leaf.effort === 'number' && leaf.effort >= 75)
  );
}

function isAllOut(leaf: Leaf): boolean {
  return leaf.effort === 'all-out' || (typeof leaf.effort === 'number' && leaf.effort >= 95);
}

/** Hard work in rounds with nothing easy after it. */
export function coolDownFindings({ sheet, timeline }: Checked): Finding[] {
  if (sheet.blocks.some((block) => block.kind === 'cool-down')) return [];
  const hard = timeline.leaves.reduce((sum, leaf) => sum + (leaf.block === 'round' && isHard(leaf) ? leaf.ms : 0), 0);
  if (hard < hardMs) return [];
  return [
    {
      level: 'note',
      kind: 'no cool-down',
      where: 'Sheet',
      what: `there is no cool-down after ${sayClock(hard)} of hard work`,
      mend: 'add a cool-down at the end',
      mends: [
        {
          label: `Add a cool-down of ${sayClock(coolDownMs)}`,
          edit: (now) => addBlock(now, freshBlock(now, 'cool-down', coolDownMs), null),
        },
      ],
    },
  ];
}

/** A round that runs into the next one without a rest. */
export function restFindings({ sheet, timeline }: Checked, places: readonly Place[]): Finding[] {
  return places.flatMap(({ block, name }, at): Finding[] => {
    if (block.kind !== 'round' || block.ms === null) return [];
    const last = timeline.leaves.findLast((leaf) => leaf.blockId === block.id && leaf.block === 'round');
    const hard = last !== undefined && isHard(last);
    const missing = (): Omit<Finding, 'mend' | 'mends' | 'what'> => ({
      level: hard ? 'warning' : 'note',
      kind: 'no rest',
      where: name,
      blockId: block.id,
    });
    const found: Finding[] = [];
    if ((block.times ?? 1) > 1 && !block.restMs && (hard || block.ms >= longRoundMs))
      found.push({
        ...missing(),
        what: 'there is no rest between its repeats',
        mend: 'add a rest between the repeats',
        mends: [
          { label: 'Add 0:30 of rest between repeats', edit: (now) => changeBlock(now, block.id, { restMs: 30_000 }) },
        ],
      });
    const next = sheet.blocks[at + 1];
    if (next?.kind === 'round' && (hard || block.ms >= longRoundMs))
      found.push({
        ...missing(),
        what: `there is no rest before the next round${hard ? ' after hard work' : ''}`,
        mend: 'add a rest in between',
        mends: [
          { label: 'Add a rest of 1:00', edit: (now) => addBlock(now, freshBlock(now, 'rest', usualRestMs), next.id) },
        ],
      });
    return found;
  });
}

/** Work all-out for longer than the trade's hard sets. */
export function allOutFindings({ timeline }: Checked): Finding[] {
  const found: Finding[] = [];
  let since: Leaf | null = null;
  const close = (end: Milliseconds): void => {
    if (since && end - since.at > allOutMs)
      found.push({
        level: 'warning',
        kind: 'all-out',
        where: leafName(since),
        what: `${sayClock(end - since.at)} all out without a break from ${sayClock(since.at)}; one minute is plenty`,
        mend: 'add something easy in between, or lower it to strong',
        blockId: since.blockId,
        ...(since.pieceId ? { pieceId: since.pieceId } : {}),
        mends: [],
      });
    since = null;
  };
  for (const leaf of timeline.leaves) {
    const works = isAllOut(leaf) && leafPercent(leaf) > 0;
    if (works) since ??= leaf;
    else close(leaf.at);
  }
  close(timeline.ms);
  return found;
}

/** A punch goal that the plan does not come to. */
export function goalFindings({ timeline }: Checked, places: readonly Place[]): Finding[] {
  return places.flatMap(({ block, name }): Finding[] => {
    const { goal } = block;
    if (goal === undefined) return [];
    const leaves = timeline.leaves.filter((leaf) => leaf.blockId === block.id && leaf.kind !== 'rest');
    const times = block.times ?? 1;
    const planned = Math.round(leaves.reduce((sum, leaf) => sum + planLeaf(leaf).counts.punches, 0) / times);
    const most = Math.round(
      leaves.reduce((sum, leaf) => sum + Math.max(planLeaf(leaf).most, planLeaf(leaf).counts.punches), 0) / times,
    );
    if (planned === 0 || most >= goal) return [];
    return [
      {
        level: 'warning',
        kind: 'goal',
        where: name,
        what: `the goal is ${goal} punches, but the plan has ${planned} at this pace`,
        mend: 'lower the goal, lengthen the combinations, or make part of it non-stop',
        blockId: block.id,
        mends: [{ label: `Make the goal ${planned}`, edit: (now) => changeBlock(now, block.id, { goal: planned }) }],
      },
    ];
  });
}

function mirrorRounds(sheet: Sheet): Sheet {
  let rounds = 0;
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) => {
      if (block.kind !== 'round') return block;
      rounds += 1;
      return (block.times ?? 1) > 1 || rounds % 2 === 0 ? { ...block, switchStance: true } : block;
    }),
  };
}

/** One side, or the body, that gets next to nothing. */
export function balanceFindings({ sheet, tally, timeline }: Checked, bodyTaken: boolean): Finding[] {
  const { left, right } = tally.bySide;
  const all = left + right;
  if (all < enoughStrikes) return [];
  const found: Finding[] = [];
  const least = Math.min(left, right) / all;
  const repeated = timeline.rounds > 1 && !sheet.blocks.some((block) => block.switchStance || block.learnThenMirror);
  if (least < leastSide)
    found.push({
      level: 'warning',
      kind: 'side',
      where: 'Sheet',
      what: `the ${left < right ? 'left' : 'right'} side throws only ${Math.round(least * 100)}% of the strikes`,
      mend: 'switch stance for some rounds, or add work for the other hand',
      mends: repeated ? [{ label: 'Switch stance before every other round', edit: mirrorRounds }] : [],
    });
  const { head, body, leg } = tally.byTarget;
  if (body + leg < leastTarget * (head + body + leg))
    found.push({
      level: 'note',
      kind: 'target',
      where: 'Sheet',
      what: `${Math.round((100 * head) / (head + body + leg))}% of the strikes go to the head`,
      mend: bodyTaken
        ? 'add a b to some punches, for example 1 2b'
        : 'these bags take no body shots: add a round of shadow boxing or on a bag that does',
      mends: [],
    });
  return found;
}
