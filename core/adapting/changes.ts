import { schemeOrSix } from '../notation/stored';
import { sayClock } from '../clock-text';
import { blockNames } from '../timeline/block-names';
import { compile } from '../timeline/compile';
import { sayEffort } from '../mechanics/effort';
import { pieceName } from '../timeline/piece-name';
import type { Block, Piece, Sheet } from '../sheet/schema';
import { pieceLength } from '../timeline/stages';

const clock = (ms: number | null | undefined): string => (ms === null || ms === undefined ? 'open' : sayClock(ms));
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
        ? 'no punch goal any more'
        : `goal ${dash(String(before.goal ?? 'none'), String(after.goal))}`,
    );
  if (before.bag !== after.bag) said.push(`on ${after.bag ?? 'the bag of the sheet'}`);
  if ((before.title ?? '') !== (after.title ?? '')) said.push(`now called ${after.title ?? 'nothing'}`);
  if ((before.switchStance ?? false) !== (after.switchStance ?? false))
    said.push(after.switchStance ? 'stance changes' : 'stance stays');
  if ((before.learnThenMirror ?? false) !== (after.learnThenMirror ?? false))
    said.push(after.learnThenMirror ? 'learnt and then mirrored' : 'no longer mirrored');
  return said;
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
  if (nonStop(before) !== nonStop(after)) said.push(`${is}: ${nonStop(after) ? 'non-stop' : 'with a breath between'}`);
  if (before.focus !== after.focus) said.push(`${is}: ${after.focus ?? 'no focus any more'}`);
  return said;
}

/**
 * What is different between two states of a sheet, in a coach's words, in the order of the sheet.
 * @example listChanges(sheet, fitted) // ["Warm-up: 5:00 → 4:00", "Round 3 taken out"]
 */
export function listChanges(before: Sheet, after: Sheet): string[] {
  const [was, is] = [blockNames(before, compile(before)), blockNames(after, compile(after))];
  const said: string[] = [];
  if (before.title !== after.title) said.push(`Title: ${dash(before.title, after.title)}`);
  if (before.bag !== after.bag) said.push(`Bag: ${dash(before.bag, after.bag)}`);
  if ((before.class.pace ?? 1) !== (after.class.pace ?? 1))
    said.push(`Pace: ${dash(String(before.class.pace ?? 1), String(after.class.pace ?? 1))}`);
  const left = new Map(after.blocks.map((block) => [block.id, block]));
  for (const block of before.blocks) {
    const name = was.get(block.id) ?? '';
    const now = left.get(block.id);
    if (!now) {
      said.push(`${name} taken out`);
      continue;
    }
    for (const change of blockChanges(block, now)) said.push(`${name}: ${change}`);
    const pieces = new Map(now.pieces.map((piece) => [piece.id, piece]));
    for (const piece of block.pieces) {
      const other = pieces.get(piece.id);
      const changes = other
        ? pieceChanges(piece, other, after)
        : [`${pieceName(piece, schemeOrSix(before.numbers))} taken out`];
      for (const change of changes) said.push(`${name}: ${change}`);
    }
    const known = new Set(block.pieces.map(({ id }) => id));
    for (const piece of now.pieces)
      if (!known.has(piece.id)) said.push(`${name}: ${pieceName(piece, schemeOrSix(after.numbers))} put in`);
  }
  for (const block of after.blocks)
    if (!was.has(block.id)) said.push(`${is.get(block.id) ?? ''} put in, ${clock(block.ms)}`);
  return said;
}
