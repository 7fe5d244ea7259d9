import { freeFloor } from '../bags/kind-names';
import type { Exercise } from '../library/exercise';
import { exerciseNamed, exercisesFor } from '../library/exercises';
import { kindNamed, moveKind } from '../moves/catalogue';
import { familyOf, isHandStrike, move, type Move } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { mapMoves } from '../notation/map-moves';
import { writeCombination } from '../notation/write';
import { listChanges } from '../adapting/changes';
import type { Effort } from '../mechanics/effort';
import type { Block, Piece, Sheet } from '../sheet/schema';
import { readStored } from '../notation/stored';
import { otherThan } from './other-combination';

/** Versions of a sheet that a coach asks for. A new one is named here and given its rules below. */
export const versionKinds = [
  'easier',
  'harder',
  'other combinations',
  'no jumping',
  'no kicks',
  'sore wrist',
  'sore shoulder',
] as const;
export type VersionKind = (typeof versionKinds)[number];

/** A derived sheet with what is different. Versions defer to whoever treats the athlete. */
export interface Version {
  readonly sheet: Sheet;
  readonly changes: readonly string[];
}

interface Rules {
  readonly block?: (block: Block) => Block;
  readonly piece?: (piece: Piece) => Piece;
  readonly combination?: (combination: Combination, sheet: Sheet, block: Block) => Combination;
  /** An exercise that has to go; another of its part that may stay takes its place. */
  readonly without?: (exercise: Exercise) => boolean;
  readonly sheet?: (sheet: Sheet) => Sheet;
}

const efforts = ['easy', 'steady', 'strong', 'all-out'] as const;

/** One step easier (-1) or harder (1); per cents by fifteen (house values). */
export function shiftEffort(effort: Effort, by: -1 | 1): Effort {
  if (typeof effort === 'number') return Math.min(100, Math.max(40, effort + 15 * by));
  const at = Math.min(efforts.length - 1, Math.max(0, efforts.indexOf(effort) + by));
  return efforts[at] ?? effort;
}

/** No harder than steady work. */
function atMostSteady(effort: Effort): Effort {
  if (typeof effort === 'number') return Math.min(effort, 60);
  return effort === 'strong' || effort === 'all-out' ? 'steady' : effort;
}

function scaleRest(block: Block, factor: number): Block {
  const scaled = (ms: number): number => Math.min(120_000, Math.max(20_000, Math.round((ms * factor) / 5000) * 5000));
  const rested = block.restMs === undefined ? block : { ...block, restMs: scaled(block.restMs) };
  if (block.kind !== 'rest' || block.ms === null || block.pieces.length > 0) return rested;
  return { ...rested, ms: scaled(block.ms) };
}

function scaleGoal(block: Block, factor: number): Block {
  return block.goal === undefined ? block : { ...block, goal: Math.max(1, Math.round((block.goal * factor) / 5) * 5) };
}

/** The most moves of an easier version's combination (house value). */
export const easierMoves = 5;

/** At most so many items of a combination; an opening stays an opening. */
export function shorten(combination: Combination, most: number): Combination {
  if (combination.items.length <= most) return combination;
  const stageEnds = combination.stageEnds?.filter((end) => end < most);
  return { items: combination.items.slice(0, most), ...(stageEnds && stageEnds.length > 0 ? { stageEnds } : {}) };
}

const keepForce = ({ force: _, ...plain }: Move): Move => plain;
const light = (given: Move): Move => (isHandStrike(given) ? { ...keepForce(given), force: 'light' } : keepForce(given));

/** Moves that leave the floor become what is done instead on the floor, as the catalogue says. */
function grounded(given: Move): Move {
  const instead = kindNamed(moveKind(given.id).grounded);
  if (!instead) return given;
  const plain = move(instead.id, instead.sides.length > 0 ? (given.side ?? undefined) : undefined);
  return given.target && instead.targets.includes(given.target) ? { ...plain, target: given.target } : plain;
}

/** The straight of a kick's side to the body, so that the rhythm stays; checks go, since nothing is kicked. */
function withoutKick(given: Move): Move | null {
  const family = familyOf(given);
  if (family === 'defence' && moveKind(given.id).limb === 'leg') return null;
  if (family !== 'kick' && family !== 'teep') return given;
  const hand = given.side === 'lead' ? move('jab') : move('cross');
  return { ...hand, target: given.target === 'head' ? 'head' : 'body' };
}

function punchSlots(items: readonly Item[]): Item[] {
  return items.map((item): Item => {
    if (item.kind === 'slot' && (item.of === 'kicks' || item.of === 'strikes')) return { ...item, of: 'punches' };
    if (item.kind === 'group') return { ...item, items: punchSlots(item.items) };
    if (item.kind === 'turns') return { ...item, options: item.options.map(punchSlots) };
    return item;
  });
}

function withoutKicks(piece: Piece): Piece {
  if (piece.kind !== 'build' || piece.build !== 'kick-close') return piece;
  const { kick: _, ...plain } = piece;
  return { ...plain, build: 'pyramid' };
}

/** High and long punches turned into short ones, so that the arm stays below the shoulder's height. */
function belowShoulder(given: Move): Move {
  const instead = kindNamed(moveKind(given.id).belowShoulder);
  if (instead) return move(instead.id, given.side ?? undefined, 'body');
  return isHandStrike(given) && given.target === 'head' ? { ...given, target: 'body' } : given;
}

const calm = (piece: Piece): Piece => {
  const { focus, ...plain } = { focus: undefined, ...piece };
  const calmer = focus === undefined || focus === 'power' ? plain : { ...plain, focus };
  return { ...calmer, effort: atMostSteady(piece.effort) } as Piece;
};

const toShadow = (sheet: Sheet): Sheet => ({
  ...sheet,
  bag: freeFloor,
  blocks: sheet.blocks.map((block) => (block.bag && block.bag !== freeFloor ? { ...block, bag: freeFloor } : block)),
});

const rules: Readonly<Record<VersionKind, Rules>> = {
  easier: {
    block: (block) => scaleGoal(scaleRest(block, 1.5), 0.8),
    piece: (piece) => {
      const { nonStop: _, ...plain } = { nonStop: undefined, ...piece };
      return { ...plain, effort: shiftEffort(piece.effort, -1) } as Piece;
    },
    combination: (combination) => shorten(combination, easierMoves),
  },
  harder: {
    block: (block) => scaleGoal(scaleRest(block, 0.75), 1.15),
    piece: (piece) => ({ ...piece, effort: shiftEffort(piece.effort, 1) }),
  },
  'other combinations': {
    combination: (combination, sheet, block) => otherThan(combination, sheet, block.bag ?? sheet.bag),
  },
  'no jumping': {
    combination: (combination) => mapMoves(combination, grounded),
    piece: (piece) => (piece.kind === 'build' && piece.build === 'kick-close' ? { ...piece, kick: 'same' } : piece),
    without: ({ jumps }) => jumps === true,
  },
  'no kicks': {
    combination: (combination) => {
      const mapped = mapMoves(combination, withoutKick);
      return { ...mapped, items: punchSlots(mapped.items) };
    },
    piece: withoutKicks,
  },
  'sore wrist': {
    sheet: toShadow,
    piece: calm,
    combination: (combination) => mapMoves(combination, light),
    without: ({ onHands }) => onHands === true,
  },
  'sore shoulder': {
    piece: calm,
    combination: (combination) => mapMoves(combination, (given) => light(belowShoulder(given))),
    without: ({ shoulders }) => shoulders === true,
  },
};

function changeText(text: string, change: (combination: Combination) => Combination): string {
  const read = readStored(text);
  if (!read.ok) return text;
  const changed = change(read.value);
  // A combination of nothing but what had to go leaves a jab to go on with.
  return writeCombination(changed.items.length > 0 ? changed : { items: [move('jab')] });
}

/** Words that name jumping without being a piece of the library. */
const jumpingWords = /\b(jump\w*|skip\w*|hop\w*|burpees?|sprints?)\b/i;

function otherExercise(piece: Piece, without: (exercise: Exercise) => boolean, taken: Set<string>): Piece {
  if (piece.kind !== 'words') return piece;
  const named = exerciseNamed(piece.words);
  const jumps =
    !named &&
    jumpingWords.test(piece.words) &&
    without({ name: '', part: 'warm-up', still: null, ms: 0, how: '', from: 'beginner', jumps: true });
  if (!jumps && !(named && without(named))) return piece;
  const choices = exercisesFor(named?.part ?? 'warm-up', 'beginner').filter((each) => !without(each));
  const other = choices.find((each) => !taken.has(each.name)) ?? choices[0];
  if (!other) return piece;
  taken.add(other.name);
  return { ...piece, words: other.name };
}

function applyRules(
  block: Block,
  sheet: Sheet,
  { block: changeBlock, piece: changePiece, combination: changeCombination, without }: Rules,
): Block {
  const taken = new Set(block.pieces.flatMap((piece) => (piece.kind === 'words' ? [piece.words] : [])));
  const pieces = block.pieces.map((given): Piece => {
    const piece = changePiece && block.kind === 'round' ? changePiece(given) : given;
    if (without && piece.kind === 'words') return otherExercise(piece, without, taken);
    if (!changeCombination) return piece;
    const combination = (each: Combination): Combination => changeCombination(each, sheet, block);
    if (piece.kind === 'combination') return { ...piece, text: changeText(piece.text, combination) };
    if (piece.kind !== 'build' || piece.goal === '') return piece;
    return {
      ...piece,
      goal: changeText(piece.goal, combination),
      ...(piece.second === undefined ? {} : { second: changeText(piece.second, combination) }),
    };
  });
  const changed = { ...block, pieces };
  return changeBlock ? changeBlock(changed) : changed;
}

/**
 * A version of a sheet, derived by rules, with what changed listed. The sheet itself is not touched; a build that has
 * fewer stages than before leaves its round too long, which the findings say.
 * @example versionOf(sheet, 'no kicks').changes
 */
export function versionOf(sheet: Sheet, kind: VersionKind): Version {
  const chosen = rules[kind];
  const moved = chosen.sheet ? chosen.sheet(sheet) : sheet;
  const changed: Sheet = { ...moved, blocks: moved.blocks.map((block) => applyRules(block, moved, chosen)) };
  return {
    sheet: { ...changed, title: `${sheet.title}, ${kind}`.slice(0, 200) },
    changes: listChanges(sheet, changed),
  };
}
