import { shownBag } from '../bags/kinds';
import { schemeOrSix } from '../notation/stored';
import { sayClock } from '../clock-text';
import { alike, type Fields } from '../merging/alike';
import { blockNames } from '../timeline/block-names';
import { compile } from '../timeline/compile';
import { sayEffort } from '../mechanics/effort';
import { pieceName } from '../timeline/piece-name';
import type { Block, Piece, Sheet } from '../sheet/schema';
import { pieceLength } from '../timeline/stages';

/** What else stands on a sheet, by the word it is told with; what has words of its own is told by them. */
const ofSheet: Readonly<
  Record<Exclude<keyof Sheet, 'format' | 'version' | 'id' | 'title' | 'bag' | 'class' | 'blocks'>, string>
> = {
  stance: 'Stance',
  stances: 'Stance changes',
  numbers: 'Numbering',
  parts: 'Named parts',
  lanes: 'Stations',
  groups: 'Groups',
  changeOverMs: 'Time to rotate',
  ownBags: 'Your own bags',
  ball: 'Double-end bag',
  gloves: 'Time for gloves',
  schools: 'Where coaches differ',
  focuses: 'Cues',
  calls: 'Calls',
  note: 'Note',
  origin: 'The note it was made from',
  head: 'Other lines',
};
/** What a block tells with its figures. */
type Figured = 'ms' | 'times' | 'restMs' | 'goal' | 'bag' | 'title' | 'switchStance' | 'learnThenMirror';
const ofBlock: Readonly<Record<Exclude<keyof Block, 'id' | 'pieces' | Figured>, string>> = {
  kind: 'kind',
  purpose: 'what it is for',
  says: 'your own calls',
  focuses: 'reminders',
  note: 'note',
};

/** The words of what is not the same. */
function others(words: Readonly<Record<string, string>>, before: Fields, after: Fields): string[] {
  return Object.entries(words)
    .filter(([key]) => !alike(before[key], after[key]))
    .map(([, word]) => `${word} changed`);
}

/**
 * What was moved, of things that stand in both: one of them, told with its new place, or several. null: all stand as they
 * stood.
 */
function sayOrder(before: readonly string[], after: readonly string[], nameOf: (id: string) => string): string | null {
  const [old, stays] = [new Set(before), new Set(after)];
  const [was, is] = [before.filter((id) => stays.has(id)), after.filter((id) => old.has(id))];
  const first = is.findIndex((id, at) => id !== was[at]);
  if (first < 0) return null;
  const last = is.findLastIndex((id, at) => id !== was[at]);
  const without = (ids: readonly string[], moved: string | undefined): string =>
    JSON.stringify(ids.filter((id) => id !== moved));
  const moved = [is[first], is[last]].find((each) => without(was, each) === without(is, each));
  return moved === undefined
    ? 'several moved'
    : `${nameOf(moved)} moved, now ${after.indexOf(moved) + 1} of ${after.length}`;
}

const clock = (ms: number | null | undefined): string => (ms === null || ms === undefined ? 'open' : sayClock(ms));
const idsOf = (all: readonly { readonly id: string }[]): string[] => all.map(({ id }) => id);
const dash = (from: string, to: string): string => `${from} → ${to}`;

function blockChanges(before: Block, after: Block): string[] {
  const said: string[] = [];
  if (before.ms !== after.ms) said.push(dash(clock(before.ms), clock(after.ms)));
  if ((before.times ?? 1) !== (after.times ?? 1))
    said.push(dash(`${before.times ?? 1} times`, `${after.times ?? 1} times`));
  if (before.restMs !== after.restMs && before.times !== undefined && after.times !== undefined)
    said.push(
      `rest between ${dash(before.restMs ? clock(before.restMs) : 'none', after.restMs ? clock(after.restMs) : 'none')}`,
    );
  if (before.goal !== after.goal)
    said.push(
      after.goal === undefined
        ? 'punch goal removed'
        : `goal ${dash(String(before.goal ?? 'none'), String(after.goal))}`,
    );
  if (before.bag !== after.bag) said.push(after.bag ? `on the ${shownBag(after.bag)}` : 'on the bag of the sheet');
  if ((before.title ?? '') !== (after.title ?? '')) said.push(`renamed to ${after.title ?? 'nothing'}`);
  if ((before.switchStance ?? false) !== (after.switchStance ?? false))
    said.push(after.switchStance ? 'switches stance' : 'no longer switches stance');
  if ((before.learnThenMirror ?? false) !== (after.learnThenMirror ?? false))
    said.push(after.learnThenMirror ? 'now learn, then mirror' : 'no longer mirrored');
  return [...said, ...others(ofBlock, before, after)];
}

function pieceChanges(before: Piece, after: Piece, sheet: Sheet): string[] {
  const scheme = schemeOrSix(sheet.numbers);
  const [was, is] = [pieceName(before, scheme), pieceName(after, scheme)];
  const said: string[] = [];
  if (was !== is) said.push(dash(was, is));
  if (pieceLength(before) !== pieceLength(after))
    said.push(`${is}: ${dash(clock(pieceLength(before)), clock(pieceLength(after)))}`);
  if (before.effort !== after.effort) said.push(`${is}: ${dash(sayEffort(before.effort), sayEffort(after.effort))}`);
  const nonStop = (piece: Piece): boolean => 'nonStop' in piece && piece.nonStop === true;
  if (nonStop(before) !== nonStop(after)) said.push(`${is}: ${nonStop(after) ? 'non-stop' : 'with a gap in between'}`);
  if (before.focus !== after.focus) said.push(`${is}: ${after.focus ?? 'focus removed'}`);
  return said.length > 0 || alike(before, after) ? said : [`${is} changed`];
}

/**
 * What is different between two states of a sheet, in a coach's words, in the order of the sheet.
 * @example listChanges(sheet, fitted) // ["Warm-up: 5:00 → 4:00", "Round 3 taken out"]
 */
export function listChanges(before: Sheet, after: Sheet): string[] {
  const [was, is] = [blockNames(before, compile(before)), blockNames(after, compile(after))];
  const said: string[] = [];
  if (before.title !== after.title) said.push(`Title: ${dash(before.title, after.title)}`);
  if (before.bag !== after.bag) said.push(`Bag: ${dash(shownBag(before.bag), shownBag(after.bag))}`);
  if ((before.class.pace ?? 1) !== (after.class.pace ?? 1))
    said.push(`Pace: ${dash(String(before.class.pace ?? 1), String(after.class.pace ?? 1))}`);
  if (!alike({ ...before.class, pace: 1 }, { ...after.class, pace: 1 })) said.push('Class changed');
  said.push(...others(ofSheet, before, after));
  const order = sayOrder(idsOf(before.blocks), idsOf(after.blocks), (id) => is.get(id) ?? '');
  if (order !== null) said.push(order);
  const left = new Map(after.blocks.map((block) => [block.id, block]));
  for (const block of before.blocks) {
    const name = was.get(block.id) ?? '';
    const now = left.get(block.id);
    if (!now) {
      said.push(`${name} removed`);
      continue;
    }
    // Most of a long sheet is the very same after a change.
    if (now === block) continue;
    for (const change of blockChanges(block, now)) said.push(`${name}: ${change}`);
    const pieces = new Map(now.pieces.map((piece) => [piece.id, piece]));
    for (const piece of block.pieces) {
      const other = pieces.get(piece.id);
      if (other === piece) continue;
      const changes = other
        ? pieceChanges(piece, other, after)
        : [`${pieceName(piece, schemeOrSix(before.numbers))} removed`];
      for (const change of changes) said.push(`${name}: ${change}`);
    }
    const inside = sayOrder(idsOf(block.pieces), idsOf(now.pieces), (id) => {
      const piece = pieces.get(id);
      return piece ? pieceName(piece, schemeOrSix(after.numbers)) : '';
    });
    if (inside !== null) said.push(`${name}: ${inside}`);
    const known = new Set(block.pieces.map(({ id }) => id));
    for (const piece of now.pieces)
      if (!known.has(piece.id)) said.push(`${name}: ${pieceName(piece, schemeOrSix(after.numbers))} added`);
  }
  for (const block of after.blocks)
    if (!was.has(block.id)) said.push(`${is.get(block.id) ?? ''} added, ${clock(block.ms)}`);
  return said;
}

/**
 * The first change in words, and how many more there are. null where nothing is different.
 * @example sayChanges(before, after) // "Warm-up: 5:00 → 4:00, and 2 more"
 */
export function sayChanges(before: Sheet, after: Sheet): string | null {
  const [first, ...more] = listChanges(before, after);
  return first === undefined ? null : more.length > 0 ? `${first}, and ${more.length} more` : first;
}
