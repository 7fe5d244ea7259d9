import { flatten } from '../progressions/flat';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { listChanges } from './changes';
import type { Block, Piece, PieceOf, Sheet } from '../sheet/schema';
import type { BagKind } from '../bags/kind-names';
import { readStored } from '../notation/stored';
import { evenStages } from './build-fit';
import { pieceLength, stagesOf } from '../timeline/stages';
import { fitToBag } from '../bags/fit';
import type { Conditions, Schools } from '../bags/conditions';
import { bagNatures, shownBag, type BagNature } from '../bags/kinds';
import { schoolsOf } from '../timeline/schools-of';

/** A sheet for another bag, with what changed and why. */
export interface AdaptedSheet {
  readonly sheet: Sheet;
  readonly changes: readonly string[];
}

/** What a sheet is adapted to: the bag, as it takes things here, and what was said on the way. */
interface Adapting {
  readonly bag: BagKind;
  readonly nature: BagNature;
  readonly conditions: Conditions;
  readonly reasons: Set<string>;
}

/** The combination that fits, itself where it does, null where none can be written as moves. */
function fitting(combination: Combination, { nature, conditions, reasons }: Adapting): Combination | null {
  const fit = fitToBag(combination, nature, conditions);
  for (const reason of fit.reasons) reasons.add(reason);
  return fit.verdict === 'fits' ? combination : fit.adapted;
}

/** A drill of the bag in a piece's place: triplets where numbered combinations become rhythms, else words. */
function drill(piece: Piece, ms: number, { nature }: Adapting): Piece {
  const { id, effort } = piece;
  if (nature.rhythm) return { kind: 'rhythm', id, ms, effort, row: [3], hand: 'turns' };
  return { kind: 'words', id, ms, effort, words: 'straights in ones to threes' };
}

function adaptText(text: string, adapting: Adapting): string | null {
  const read = readStored(text);
  if (!read.ok) return text;
  const fitted = fitting(read.value, adapting);
  return fitted === read.value ? text : fitted && writeCombination(fitted);
}

/**
 * A ladder with its stage ends marked where every stage fits a bag, too: what must follow a hook comes together with it. Itself
 * where all of them fit, or none does.
 */
export function fittingStages(
  build: PieceOf<'build'>,
  bag: BagKind | BagNature,
  conditions: Conditions = {},
): PieceOf<'build'> {
  const goal = readStored(build.goal);
  if (!goal.ok || build.build !== 'ladder') return build;
  const stages = stagesOf(build, conditions.schools?.kick);
  const good = stages.filter((stage) => fitToBag(stage.combination, bag, conditions).verdict === 'fits');
  if (good.length === stages.length || good.length === 0) return build;
  const items = flatten(goal.value.items);
  const stageEnds = good.map((stage) => flatten(stage.combination.items).length).filter((end) => end < items.length);
  return sameLength(build, { ...build, goal: writeCombination({ items, stageEnds }) });
}

function adaptBuild(piece: PieceOf<'build'>, adapting: Adapting): PieceOf<'build'> | null {
  const { nature, reasons, conditions } = adapting;
  const noKicks = piece.build === 'kick-close' && !nature.families.includes('kick');
  if (noKicks) reasons.add(`no kick finishes on the ${nature.shown}: pyramid instead`);
  const { kick: _, ...plain } = piece;
  const build: PieceOf<'build'> = noKicks ? { ...plain, build: 'pyramid' } : piece;
  if (build.build === 'alternator') return nature.rhythm ? null : build;
  const goal = adaptText(build.goal, adapting);
  const second = build.second === undefined ? undefined : adaptText(build.second, adapting);
  if (goal === null || second === null) return null;
  const adapted =
    goal === build.goal && second === build.second
      ? build
      : { ...build, goal, ...(second === undefined ? {} : { second }) };
  return sameLength(piece, fittingStages(adapted, nature, conditions));
}

/** A build that came to another number of stages still takes the time it took. */
function sameLength(before: PieceOf<'build'>, after: PieceOf<'build'>): PieceOf<'build'> {
  const [was, is] = [pieceLength(before), pieceLength(after)];
  return was === is || after.every === 'round' ? after : { ...after, every: evenStages(stagesOf(after).length, was) };
}

function adaptPiece(piece: Piece, block: Block, adapting: Adapting): Piece {
  if (piece.kind === 'combination') {
    const text = adaptText(piece.text, adapting);
    return text === null ? drill(piece, piece.ms, adapting) : text === piece.text ? piece : { ...piece, text };
  }
  if (piece.kind === 'rhythm' && !adapting.nature.rhythm) {
    adapting.reasons.add(`rhythms are for speed bags: light straights on the ${adapting.nature.shown} instead`);
    const { id, ms, effort } = piece;
    return { kind: 'combination', id, ms, effort, text: '1~ 2~', nonStop: true };
  }
  if (piece.kind !== 'build') return piece;
  const adapted = adaptBuild(piece, adapting);
  const others = block.pieces.reduce((sum, each) => sum + (each.kind === 'build' ? 0 : each.ms), 0);
  return adapted ?? drill(piece, Math.max(1000, (block.ms ?? 0) - others), adapting);
}

/** Focus lines that name other bags only, and so are lost on this one. */
function lostFocuses(sheet: Sheet, bag: BagKind): string[] {
  const lines = [...(sheet.focuses ?? []), ...sheet.blocks.flatMap(({ focuses }) => focuses ?? [])];
  return lines.flatMap(({ words, bags }) =>
    bags && bags.length > 0 && !bags.includes(bag)
      ? [
          `the cue “${words}” is for ${bags.map((each) => shownBag(each)).join(', ')} and is dropped on the ${shownBag(bag)}`,
        ]
      : [],
  );
}

/**
 * A sheet for one kind of bag: every combination and goal of its rounds and shows in the smallest change that fits, by its
 * level and schools, and a drill of that bag where none does. Rounds set to shadow stay there. What fits already is left as it
 * is; reminders are carried over, or said to be lost.
 * @example adaptSheet(sheet, 'double-end').changes
 */
export function adaptSheet(sheet: Sheet, bag: BagKind, coach?: Schools): AdaptedSheet {
  const reasons = new Set<string>();
  const conditions = { level: sheet.class.level, schools: schoolsOf(sheet, coach) };
  const adapting: Adapting = { bag, nature: bagNatures[bag], conditions, reasons };
  const blocks = sheet.blocks.map((block): Block => {
    if (block.kind !== 'round' && block.kind !== 'show') return block;
    if (block.bag && !bagNatures[block.bag].gloves) return block;
    const { bag: own, ...plain } = block;
    const pieces = block.pieces.map((piece) => adaptPiece(piece, block, adapting));
    const changed = pieces.some((piece, at) => piece !== block.pieces[at]);
    return own === undefined && !changed ? block : { ...plain, pieces };
  });
  const adapted: Sheet = { ...sheet, bag, blocks };
  return { sheet: adapted, changes: [...listChanges(sheet, adapted), ...reasons, ...lostFocuses(sheet, bag)] };
}
