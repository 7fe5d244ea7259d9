import { readNumberWord } from '../../calls/number-words';
import { countCombination } from '../../tally/counts';
import { planLeaf } from '../../tally/planned';
import { sayClock } from '../clock-text';
import { blockLength } from '../compile';
import { changeBlock } from '../edit';
import type { Block } from '../schema';
import { stagesOf, textsOf } from '../stages';
import { readStored } from '../stored';
import type { Checked, Finding, Mend, Place } from './finding';

type Thing = 'round' | 'punch' | 'strike' | 'minute' | 'stage' | 'drill';

interface Announced {
  readonly count: number;
  readonly thing: Thing;
  /** As it was written. */
  readonly words: string;
  readonly numberWords: string;
}

const pattern =
  /(?<![\p{L}\p{N}:.])(\d{1,5}|[a-z]+(?:-[a-z]+)?)[\s-]+(rounds?|punch(?:es)?|strikes?|minutes?|mins?|stages?|drills?)(?![\p{L}\p{N}])/giu;

const things: readonly (readonly [string, Thing])[] = [
  ['round', 'round'],
  ['punch', 'punch'],
  ['strike', 'strike'],
  ['min', 'minute'],
  ['stage', 'stage'],
  ['drill', 'drill'],
];

/** Numbers that words promise. `announcedIn('Three rounds, 200 punches')` */
export function announcedIn(text: string): Announced[] {
  return [...text.matchAll(pattern)].flatMap((match) => {
    const [words, number = '', noun = ''] = match;
    const count = readNumberWord(number);
    const thing = things.find(([stem]) => noun.toLowerCase().startsWith(stem))?.[1];
    return count === null || !thing ? [] : [{ count, thing, words, numberWords: number }];
  });
}

const plural = (count: number, thing: Thing): string =>
  `${count} ${thing === 'punch' ? (count === 1 ? 'punch' : 'punches') : `${thing}${count === 1 ? '' : 's'}`}`;

/** Planned totals are kept within this much (house value): repetitions are whole, so a round number is rarely met. */
const closeEnough = 0.05;

interface Real {
  /** What the sheet really has, as the finding shows it; any of them keeps the promise. */
  readonly counts: readonly number[];
  /** Whether a total is meant, which is kept within five per cent. */
  readonly total?: boolean;
  /** How the last of the counts is said, where a bare number would mislead. */
  readonly said?: string;
}

function keeps({ count }: Announced, real: Real): boolean {
  return real.counts.some(
    (each) => each === count || (real.total === true && Math.abs(each - count) <= closeEnough * count),
  );
}

function finding(
  announced: Announced,
  real: Real,
  where: string,
  more: Partial<Finding>,
  retitle: ((words: string) => Mend) | null,
): Finding {
  const counted = Math.round(real.counts.at(-1) ?? 0);
  const mends = retitle ? [retitle(announced.words.replace(announced.numberWords, String(counted)))] : [];
  return {
    level: 'warning',
    kind: 'announced',
    where,
    what: `${plural(announced.count, announced.thing)} announced, but ${real.said ?? plural(counted, announced.thing)}`,
    mend: `write ${counted}, or change what is counted`,
    mends,
    ...more,
  };
}

/** Fewer punches than this in a sheet's title name a combination and not the session's total. */
const leastTotal = 20;

function sheetReal({ timeline, tally }: Checked, { thing, count }: Announced): Real | null {
  if ((thing === 'punch' || thing === 'strike') && count < leastTotal) return null;
  switch (thing) {
    case 'round':
      return { counts: [timeline.rounds] };
    case 'minute':
      return { counts: [timeline.ms / 60_000], said: `the sheet takes ${sayClock(timeline.ms)}` };
    case 'punch':
      return { counts: [tally.counts.punches], total: true, said: `${Math.round(tally.counts.punches)} are planned` };
    case 'strike':
      return { counts: [tally.counts.strikes], total: true, said: `${Math.round(tally.counts.strikes)} are planned` };
    default:
      return null;
  }
}

function combinationCounts(block: Block, of: 'punches' | 'strikes'): number[] {
  return block.pieces.flatMap(textsOf).flatMap((text) => {
    const read = readStored(text);
    return read.ok ? [countCombination(read.value)[of]] : [];
  });
}

function plannedIn({ timeline }: Checked, block: Block, of: 'punches' | 'strikes'): number {
  const first = timeline.leaves.filter((leaf) => leaf.blockId === block.id && leaf.kind !== 'rest');
  return first.reduce((sum, leaf) => sum + planLeaf(leaf).counts[of], 0) / (block.times ?? 1);
}

function blockReal(checked: Checked, block: Block, announced: Announced): Real | null {
  const { thing, count } = announced;
  switch (thing) {
    case 'round':
      return block.kind === 'round' ? { counts: [block.times ?? 1] } : null;
    case 'minute':
      return {
        counts: [blockLength(block) / 60_000, (block.ms ?? 0) / 60_000],
        said: `it takes ${sayClock(block.ms ?? 0)}`,
      };
    case 'stage': {
      const stages = block.pieces.reduce(
        (sum, piece) => sum + (piece.kind === 'build' ? stagesOf(piece).length : 0),
        0,
      );
      return stages > 0 ? { counts: [stages] } : null;
    }
    case 'drill':
      return block.pieces.length > 0 ? { counts: [block.pieces.length] } : null;
    case 'punch':
    case 'strike': {
      const of = thing === 'punch' ? 'punches' : 'strikes';
      const single = combinationCounts(block, of);
      const planned = plannedIn(checked, block, of);
      if (single.length === 0) return null;
      // A small number is a combination's, a large one the round's total or its goal.
      const longest = Math.max(...single);
      return count > 2 * longest + 5
        ? {
            counts: [...(block.goal === undefined || thing === 'strike' ? [] : [block.goal]), planned],
            total: true,
            said: `${Math.round(planned)} are planned`,
          }
        : { counts: [...single, longest] };
    }
  }
}

/** Numbers announced in the sheet's title, a block's title or a piece's words that are not kept. */
export function announcedFindings(checked: Checked, places: readonly Place[]): Finding[] {
  const { sheet } = checked;
  const found: Finding[] = [];
  for (const announced of announcedIn(sheet.title)) {
    const real = sheetReal(checked, announced);
    if (real && !keeps(announced, real))
      found.push(
        finding(announced, real, 'Title', {}, (words) => ({
          label: `Write "${words}" in the title`,
          edit: (now) => ({ ...now, title: now.title.replace(announced.words, words) }),
        })),
      );
  }
  for (const { block, name } of places) {
    for (const announced of announcedIn(block.title ?? '')) {
      const real = blockReal(checked, block, announced);
      if (real && !keeps(announced, real))
        found.push(
          finding(announced, real, name, { blockId: block.id }, (words) => ({
            label: `Write "${words}" in the title`,
            edit: (now) => changeBlock(now, block.id, { title: (block.title ?? '').replace(announced.words, words) }),
          })),
        );
    }
    for (const piece of block.pieces) {
      if (piece.kind !== 'combination' || !piece.words) continue;
      const read = readStored(piece.text);
      if (!read.ok || read.value.items[0]?.kind === 'freestyle') continue;
      const counts = countCombination(read.value);
      for (const announced of announcedIn(piece.words)) {
        if (announced.thing !== 'punch' && announced.thing !== 'strike') continue;
        const real = { counts: [announced.thing === 'punch' ? counts.punches : counts.strikes] };
        if (!keeps(announced, real))
          found.push(finding(announced, real, name, { blockId: block.id, pieceId: piece.id }, null));
      }
    }
  }
  return found;
}
