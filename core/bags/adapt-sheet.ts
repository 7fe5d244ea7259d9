import { flatten } from '../progressions/flat';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { listChanges } from '../session/changes';
import type { Block, Piece, PieceOf, Sheet } from '../session/schema';
import type { BagKind } from './kind-names';
import { readStored } from '../session/stored';
import { evenStages } from '../session/build-fit';
import { pieceLength, stagesOf } from '../session/stages';
import { fitToBag } from './fit';
import { bagNatures } from './kinds';

/** A sheet for another bag, with what changed and why. */
export interface AdaptedSheet {
  readonly sheet: Sheet;
  readonly changes: readonly string[];
}

/** The combination that fits, itself where it does, null where none can be written as moves. */
function fitting(combination: Combination, bag: BagKind, reasons: Set<string>): Combination | null {
  const fit = fitToBag(combination, bag);
  for (const reason of fit.reasons) reasons.add(reason);
  return fit.verdict === 'fits' ? combination : fit.adapted;
}

function drill(piece: Piece & { readonly ms?: number }, ms: number, bag: BagKind): Piece {
  const words = (bagNatures[bag].rhythm ?? 'straights in ones to threes').slice(0, 400);
  return { kind: 'words', id: piece.id, ms, effort: piece.effort, words };
}

function adaptText(text: string, bag: BagKind, reasons: Set<string>): string | null {
  const read = readStored(text);
  if (!read.ok) return text;
  const fitted = fitting(read.value, bag, reasons);
  return fitted === read.value ? text : fitted && writeCombination(fitted);
}

/** Marks a ladder's stage ends where every stage fits too: what must follow a hook comes together with it. */
function fittingStages(build: PieceOf<'build'>, bag: BagKind): PieceOf<'build'> {
  const goal = readStored(build.goal);
  if (!goal.ok || build.build !== 'ladder') return build;
  const stages = stagesOf(build);
  const good = stages.filter((stage) => fitToBag(stage.combination, bag).verdict === 'fits');
  if (good.length === stages.length || good.length === 0) return build;
  const items = flatten(goal.value.items);
  const stageEnds = good.map((stage) => flatten(stage.combination.items).length).filter((end) => end < items.length);
  return { ...build, goal: writeCombination({ items, stageEnds }) };
}

function adaptBuild(piece: PieceOf<'build'>, bag: BagKind, reasons: Set<string>): PieceOf<'build'> | null {
  const noKicks = piece.build === 'kick-close' && !bagNatures[bag].families.includes('kick');
  if (noKicks) reasons.add(`no kick closes a rung on the ${bag} bag: a pyramid instead`);
  const { kick: _, ...plain } = piece;
  const build: PieceOf<'build'> = noKicks ? { ...plain, build: 'pyramid' } : piece;
  if (build.build === 'alternator') return bagNatures[bag].rhythm ? null : build;
  const goal = adaptText(build.goal, bag, reasons);
  const second = build.second === undefined ? undefined : adaptText(build.second, bag, reasons);
  if (goal === null || second === null) return null;
  const adapted =
    goal === build.goal && second === build.second
      ? build
      : { ...build, goal, ...(second === undefined ? {} : { second }) };
  return sameLength(piece, fittingStages(adapted, bag));
}

/** A build that came to another number of stages still takes the time it took. */
function sameLength(before: PieceOf<'build'>, after: PieceOf<'build'>): PieceOf<'build'> {
  const [was, is] = [pieceLength(before), pieceLength(after)];
  return was === is || after.every === 'round' ? after : { ...after, every: evenStages(stagesOf(after).length, was) };
}

function adaptPiece(piece: Piece, block: Block, bag: BagKind, reasons: Set<string>): Piece {
  if (piece.kind === 'combination') {
    const text = adaptText(piece.text, bag, reasons);
    return text === null ? drill(piece, piece.ms, bag) : text === piece.text ? piece : { ...piece, text };
  }
  if (piece.kind !== 'build') return piece;
  const adapted = adaptBuild(piece, bag, reasons);
  const others = block.pieces.reduce((sum, each) => sum + (each.kind === 'build' ? 0 : each.ms), 0);
  return adapted ?? drill(piece, Math.max(1000, (block.ms ?? 0) - others), bag);
}

/**
 * A sheet for one kind of bag: every combination and goal of its rounds and shows in the smallest change that fits, and
 * a drill of that bag where none does. Rounds set to shadow stay there. What fits already is left as it is.
 * @example adaptSheet(sheet, 'double-end').changes
 */
export function adaptSheet(sheet: Sheet, bag: BagKind): AdaptedSheet {
  const reasons = new Set<string>();
  const blocks = sheet.blocks.map((block): Block => {
    if (block.kind !== 'round' && block.kind !== 'show') return block;
    if (block.bag === 'shadow') return block;
    const { bag: own, ...plain } = block;
    const pieces = block.pieces.map((piece) => adaptPiece(piece, block, bag, reasons));
    const changed = pieces.some((piece, at) => piece !== block.pieces[at]);
    return own === undefined && !changed ? block : { ...plain, pieces };
  });
  const adapted: Sheet = { ...sheet, bag, blocks };
  return { sheet: adapted, changes: [...listChanges(sheet, adapted), ...reasons] };
}
