import { sayClock } from '../clock-text';
import type { Combination } from '../notation/combination';
import { readStored } from '../notation/stored';
import type { Block } from '../sheet/schema';
import { countCombination, type Counts } from '../tally/counts';
import { planLeaf } from '../tally/planned';
import { blockLength } from '../timeline/compile';
import { stagesOf, textsOf } from '../timeline/stages';
import type { Milliseconds } from '../units';
import type { CountedThing, LongThing } from './claims';
import type { Checked } from './finding';

/** What there really is of something that was promised; any of the values keeps the promise. */
export interface Real {
  readonly values: readonly number[];
  /** Whether a total is meant, which is kept within five per cent. */
  readonly total?: boolean;
  /** How the last value is said, where a bare number would mislead. */
  readonly said?: string;
}

/** Which count of a combination a thing is; null where it is none. */
export const countOf: Partial<Record<CountedThing, keyof Counts>> = {
  punch: 'punches',
  strike: 'strikes',
  kick: 'kicks',
  knee: 'knees',
  elbow: 'elbows',
  move: 'moves',
};

/** Fewer than this in a sheet's title name a combination and not the session's total (house value). */
const leastTotal = 20;

/** Whether a combination is left to the athlete as a whole. `isFree({ items: [{ kind: 'freestyle' }] })` → `true` */
export function isFree(combination: Combination): boolean {
  return combination.items[0]?.kind === 'freestyle';
}

/** A kind of block's whole length in a session, its repeats with it. */
function kindLength({ sheet }: Checked, kind: Block['kind']): Milliseconds | null {
  const blocks = sheet.blocks.filter((block) => block.kind === kind);
  return blocks.length === 0 ? null : blocks.reduce((sum, block) => sum + blockLength(block), 0);
}

/** Lengths that all of a kind have; null where there are none. A promise of each is kept where each one keeps it. */
function allOf(lengths: readonly Milliseconds[]): Real | null {
  const different = [...new Set(lengths)];
  if (different.length === 0) return null;
  return different.length === 1 ? { values: different } : { values: [NaN], said: different.map(sayClock).join(', ') };
}

const restLengths = (blocks: readonly Block[]): Milliseconds[] =>
  blocks.flatMap((block) => [
    ...(block.kind === 'rest' && block.ms !== null ? [block.ms] : []),
    ...(block.kind !== 'rest' && (block.times ?? 1) > 1 && block.restMs ? [block.restMs] : []),
  ]);

const pieces = (block: Block): Block['pieces'] => block.pieces.filter(({ kind }) => kind !== 'pause');
const pauseLengths = (block: Block): Milliseconds[] =>
  block.pieces.flatMap((piece) => (piece.kind === 'pause' ? [piece.ms] : []));
const pieceLengths = (block: Block): Milliseconds[] =>
  pieces(block).flatMap((piece) => (piece.kind === 'build' ? [] : [piece.ms]));

/** How many of a thing the sheet holds where `count` were promised; null where that is not the sheet's own total. `sheetCount(checked, 'round', 3)` */
export function sheetCount(checked: Checked, of: CountedThing, count: number): Real | null {
  const { sheet, timeline, tally } = checked;
  const rounds = sheet.blocks.filter((block) => block.kind === 'round');
  switch (of) {
    case 'round':
    case 'set':
      return { values: [timeline.rounds] };
    case 'rest':
      return { values: [timeline.leaves.filter(({ block }) => block === 'rest').length] };
    case 'drill':
      // A drill may fill a round: seven drills are seven rounds, too.
      return { values: [timeline.rounds, rounds.reduce((sum, block) => sum + pieces(block).length, 0)] };
    case 'stage':
      return null;
    default: {
      const key = countOf[of];
      if (!key || count < leastTotal) return null;
      const planned = tally.counts[key];
      return { values: [planned], total: true, said: `${Math.round(planned)} are planned` };
    }
  }
}

/** How long a thing of the sheet is, in milliseconds; null where there is none. `sheetLength(checked, 'rest')` */
export function sheetLength(checked: Checked, of: LongThing): Real | null {
  const { sheet, timeline } = checked;
  const rounds = sheet.blocks.filter((block) => block.kind === 'round');
  switch (of) {
    case 'whole':
      return { values: [timeline.ms], said: `the sheet takes ${sayClock(timeline.ms)}` };
    case 'round':
    case 'set':
      return allOf(rounds.flatMap(({ ms }) => ms ?? []));
    case 'rest':
      return allOf(restLengths(sheet.blocks));
    case 'on':
    case 'drill':
      return allOf(onOff(rounds)?.on ?? rounds.flatMap(pieceLengths));
    case 'off':
      return allOf(onOff(rounds)?.off ?? restLengths(sheet.blocks));
    default: {
      const ms = kindLength(checked, of);
      return ms === null ? null : { values: [ms], said: `it takes ${sayClock(ms)}` };
    }
  }
}

/** Work and time off inside rounds, where they have pauses; null where the rounds themselves are the work. */
function onOff(blocks: readonly Block[]): { readonly on: Milliseconds[]; readonly off: Milliseconds[] } | null {
  const paused = blocks.filter((block) => pauseLengths(block).length > 0);
  if (paused.length > 0) return { on: paused.flatMap(pieceLengths), off: paused.flatMap(pauseLengths) };
  return blocks.length === 0
    ? null
    : { on: blocks.flatMap(({ ms }) => ms ?? []), off: restLengths(blocks.filter(({ restMs }) => restMs)) };
}

function combinationCounts(block: Block, key: keyof Counts): number[] {
  return block.pieces.flatMap(textsOf).flatMap((text) => {
    const read = readStored(text);
    return read.ok ? [countCombination(read.value)[key]] : [];
  });
}

function plannedIn({ timeline }: Checked, block: Block, key: keyof Counts): number {
  const leaves = timeline.leaves.filter((leaf) => leaf.blockId === block.id && leaf.kind !== 'rest');
  return leaves.reduce((sum, leaf) => sum + planLeaf(leaf).counts[key], 0) / (block.times ?? 1);
}

/** How many of a thing a block holds, for its own title and note; null where it has none to speak of. `blockCount(checked, block, 'drill', 4)` */
export function blockCount(checked: Checked, block: Block, of: CountedThing, count: number): Real | null {
  const times = block.times ?? 1;
  switch (of) {
    case 'round':
      return block.kind === 'round' || times > 1 ? { values: [times] } : null;
    case 'set':
      return { values: times > 1 ? [times] : [pieces(block).length, times] };
    case 'rest':
      return times > 1 && block.restMs ? { values: [times - 1] } : null;
    case 'stage': {
      const stages = block.pieces.reduce(
        (sum, piece) => sum + (piece.kind === 'build' ? stagesOf(piece).length : 0),
        0,
      );
      return stages > 0 ? { values: [stages] } : null;
    }
    case 'drill':
      return block.pieces.length > 0 ? { values: [pieces(block).length] } : null;
    default: {
      const key = countOf[of];
      const single = key ? combinationCounts(block, key) : [];
      if (!key || single.length === 0) return null;
      // A small number is a combination's, a large one the round's total or its goal.
      const longest = Math.max(...single);
      if (count <= 2 * longest + 5) return { values: [...single, longest] };
      const planned = plannedIn(checked, block, key);
      const goal = of === 'punch' && block.goal !== undefined ? [block.goal] : [];
      return { values: [...goal, planned], total: true, said: `${Math.round(planned)} are planned` };
    }
  }
}

/** How long a thing of a block is, in milliseconds; null where there is none. `blockLengthOf(checked, block, 'round')` */
export function blockLengthOf({ sheet }: Checked, block: Block, of: LongThing): Real | null {
  const next = sheet.blocks[sheet.blocks.indexOf(block) + 1];
  const whole = { values: [blockLength(block), block.ms ?? 0], said: `it takes ${sayClock(block.ms ?? 0)}` };
  switch (of) {
    case 'whole':
      return whole;
    case 'round':
    case 'set':
      return block.kind === 'round' || (block.times ?? 1) > 1 ? { values: [block.ms ?? 0] } : null;
    case 'rest':
      return allOf([...restLengths([block]), ...(next?.kind === 'rest' && !block.restMs ? restLengths([next]) : [])]);
    case 'on':
      return allOf(pauseLengths(block).length > 0 || !block.restMs ? pieceLengths(block) : [block.ms ?? 0]);
    case 'off':
      return allOf(pauseLengths(block).length > 0 ? pauseLengths(block) : restLengths([block]));
    case 'drill':
      return allOf(pieceLengths(block));
    default:
      return of === block.kind ? whole : null;
  }
}
