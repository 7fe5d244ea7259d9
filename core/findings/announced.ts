import { sayClock } from '../clock-text';
import { readStored } from '../notation/stored';
import { changeBlock } from '../sheet/edit';
import type { Block, Sheet } from '../sheet/schema';
import { countCombination } from '../tally/counts';
import type { Milliseconds } from '../units';
import { claimsIn, type Claim, type CountedThing, type LongThing } from './claims';
import type { Checked, Finding, Mend, Place } from './finding';
import { blockCount, blockLengthOf, countOf, isFree, sheetCount, sheetLength, type Real } from './real-values';

const plurals: Partial<Record<CountedThing, string>> = { punch: 'punches' };
const plural = (count: number, thing: CountedThing): string =>
  `${count} ${count === 1 ? thing : (plurals[thing] ?? `${thing}s`)}`;

/** Planned totals are kept within this much (house value): repetitions are whole, so a round number is rarely met. */
const closeEnough = 0.05;

function keeps(value: number, { values, total }: Real): boolean {
  return values.some((each) => each === value || (total === true && Math.abs(each - value) <= closeEnough * value));
}

const lengthNames: Partial<Record<LongThing, string>> = { on: 'work', off: 'time off', whole: '' };

/** A length as it was promised: whole minutes in minutes, as people say them. */
function sayLength(ms: Milliseconds): string {
  if (ms % 60_000 === 0) return `${ms / 60_000} ${ms === 60_000 ? 'minute' : 'minutes'}`;
  return sayClock(ms);
}

/** What is wrong with a promise; null where it is kept, or cannot be judged. */
function broken(claim: Claim, real: Real | null): { readonly what: string; readonly right: string | null } | null {
  if (!real || claim.kind === 'ordinal') return null;
  const last = real.values.at(-1) ?? 0;
  if (claim.kind === 'count') {
    if (keeps(claim.count, real)) return null;
    const counted = Math.round(last);
    const said = real.said ?? plural(counted, claim.of);
    return { what: `${plural(claim.count, claim.of)} announced, but ${said}`, right: String(counted) };
  }
  if (keeps(claim.ms, real)) return null;
  const name = lengthNames[claim.of] ?? claim.of;
  const said = real.said ?? `it is ${sayClock(last)}`;
  const minutes = Number.isFinite(last) && last % 60_000 === 0 && claim.ms % 60_000 === 0;
  const right = minutes ? String(last / 60_000) : null;
  return { what: `the text says ${sayLength(claim.ms)}${name === '' ? '' : ` of ${name}`}, but ${said}`, right };
}

interface Words {
  readonly text: string;
  readonly where: string;
  readonly more: Partial<Finding>;
  readonly rewrite: (text: string) => (sheet: Sheet) => Sheet;
  readonly thing: string;
}

function found(claim: Claim, { text, where, more, rewrite, thing }: Words, real: Real | null): Finding[] {
  const wrong = broken(claim, real);
  if (!wrong) return [];
  const { right } = wrong;
  const words = right === null ? null : claim.words.replace(claim.number, right);
  const mends: Mend[] =
    words === null
      ? []
      : [{ label: `Change the ${thing} to "${words}"`, edit: rewrite(text.replace(claim.words, words)) }];
  return [
    {
      level: 'warning',
      kind: 'announced',
      where,
      what: wrong.what,
      mend:
        right === null
          ? 'reword it, or change what it refers to'
          : `change it to ${right}, or change the sheet to match`,
      mends,
      ...more,
    },
  ];
}

/** A round called by another number than it has. */
function ordinalFinding(claim: Claim, block: Block, first: number, words: Words): Finding[] {
  if (claim.kind !== 'ordinal' || block.kind !== 'round' || first === 0) return [];
  const last = first + (block.times ?? 1) - 1;
  if (claim.count >= first && claim.count <= last) return [];
  const right = claim.words.replace(claim.number, String(first));
  return [
    {
      level: 'warning',
      kind: 'announced',
      where: words.where,
      what: `the title says round ${claim.count}, but this is round ${first}`,
      mend: `change it to ${right}; warm-up, core and cool-down are not counted as rounds`,
      mends: [{ label: `Change the title to "${right}"`, edit: words.rewrite(words.text.replace(claim.words, right)) }],
      ...words.more,
    },
  ];
}

function pieceFindings(block: Block, name: string): Finding[] {
  return block.pieces.flatMap((piece): Finding[] => {
    if (piece.kind !== 'combination' || !piece.words) return [];
    const read = readStored(piece.text);
    if (!read.ok || isFree(read.value)) return [];
    const counts = countCombination(read.value);
    const words: Words = {
      text: piece.words,
      where: name,
      more: { blockId: block.id, pieceId: piece.id },
      rewrite: () => (sheet) => sheet,
      thing: 'label',
    };
    return claimsIn(piece.words).flatMap((claim) => {
      const key = claim.kind === 'count' ? countOf[claim.of] : undefined;
      return key ? found(claim, words, { values: [counts[key]] }).map((each) => ({ ...each, mends: [] })) : [];
    });
  });
}

/** What titles, notes and labels announce and do not keep: each is checked against the thing that it speaks of. */
export function announcedFindings(checked: Checked, places: readonly Place[]): Finding[] {
  const { sheet, timeline } = checked;
  const firsts = new Map<string, number>();
  for (const { blockId, round } of timeline.leaves)
    if (round !== null && !firsts.has(blockId)) firsts.set(blockId, round);
  const ofSheet = (words: Words): Finding[] =>
    claimsIn(words.text).flatMap((claim) =>
      claim.kind === 'ordinal'
        ? []
        : found(
            claim,
            words,
            claim.kind === 'count' ? sheetCount(checked, claim.of, claim.count) : sheetLength(checked, claim.of),
          ),
    );
  const ofBlock = (block: Block, words: Words, isTitle: boolean): Finding[] =>
    claimsIn(words.text).flatMap((claim) => {
      if (claim.kind === 'ordinal')
        return isTitle ? ordinalFinding(claim, block, firsts.get(block.id) ?? 0, words) : [];
      const real =
        claim.kind === 'count'
          ? blockCount(checked, block, claim.of, claim.count)
          : blockLengthOf(checked, block, claim.of);
      return found(claim, words, real);
    });
  return [
    ...ofSheet({
      text: sheet.title,
      where: 'Title',
      more: {},
      rewrite: (title) => (now) => ({ ...now, title }),
      thing: 'title',
    }),
    ...ofSheet({
      text: sheet.note ?? '',
      where: 'Note',
      more: {},
      rewrite: (note) => (now) => ({ ...now, note }),
      thing: 'note',
    }),
    ...places.flatMap(({ block, name }) => {
      const more = { blockId: block.id };
      const { title = '', note = '' } = block;
      return [
        ...ofBlock(
          block,
          {
            text: title,
            where: name,
            more,
            rewrite: (text) => (now) => changeBlock(now, block.id, { title: text }),
            thing: 'title',
          },
          true,
        ),
        ...ofBlock(
          block,
          {
            text: note,
            where: name,
            more,
            rewrite: (text) => (now) => changeBlock(now, block.id, { note: text }),
            thing: 'note',
          },
          false,
        ),
        ...pieceFindings(block, name),
      ];
    }),
  ];
}
