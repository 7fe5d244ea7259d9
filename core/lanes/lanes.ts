import type { Conditions, Schools } from '../bags/conditions';
import { drillFor } from '../bags/drills';
import { fitToBag, type BagFit } from '../bags/fit';
import { natureOf, type BagNature } from '../bags/kinds';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { isOnLanes } from '../timeline/bags-of';
import { schoolsOf } from '../timeline/schools-of';
import type { Leaf } from '../timeline/leaf';
import type { Block, Piece, Sheet } from '../sheet/schema';
import { goalTexts } from '../timeline/stages';
import { readStored } from '../notation/stored';

/** A kind of bag that is there, with what it takes as it hangs. */
export interface Lane {
  readonly bag: string;
  /** null where the sheet names a kind that nobody made. */
  readonly nature: BagNature | null;
  /** People who can work there at once. */
  readonly places: number;
  readonly conditions: Conditions;
}

/** The lanes of a sheet that are not down, in its order. `lanesOf(sheet).map(({ bag }) => bag)` → `["heavy", "double-end"]` */
export function lanesOf(sheet: Sheet, schools?: Schools): Lane[] {
  return (sheet.lanes ?? [])
    .filter(({ places }) => places > 0)
    .map(({ bag, places, access, lowKicks }) => ({
      bag,
      nature: natureOf(bag, sheet.ownBags),
      places,
      conditions: { level: sheet.class.level, schools: schoolsOf(sheet, schools), access, lowKicks },
    }));
}

/** What a lane does in place of a combination, and why. */
export interface LaneVersion {
  readonly bag: string;
  /** `chosen`: the coach's own text, and it fits; `overruled`: the coach's own text, although it does not fit. */
  readonly how: 'fits' | 'adapted' | 'drill' | 'chosen' | 'overruled';
  /** What is done; null for a drill in words. */
  readonly combination: Combination | null;
  /** What is done, as text or in words. */
  readonly text: string;
  readonly reasons: readonly string[];
}

/** Fits are remembered by combination, kind and conditions: a sheet is matched anew with every key. */
const remembered = new WeakMap<Combination, Map<string, BagFit>>();

function fitOf(combination: Combination, nature: BagNature, conditions: Conditions): BagFit {
  const key = JSON.stringify([nature, conditions]);
  const known = remembered.get(combination) ?? new Map<string, BagFit>();
  remembered.set(combination, known);
  const found = known.get(key) ?? fitToBag(combination, nature, conditions);
  known.set(key, found);
  return found;
}

/**
 * A lane's version of a kept combination: the coach's own word for that lane, else the smallest change that fits, else a
 * drill of that bag. Null where the text cannot be read or the kind is unknown.
 * @example laneVersion('1 2 3b', lane).text // "1 2 3 2"
 */
export function laneVersion(text: string, lane: Lane, chosen?: string): LaneVersion | null {
  const read = readStored(chosen ?? text);
  const { nature, bag } = lane;
  if (!read.ok || !nature) return null;
  const fit = fitOf(read.value, nature, lane.conditions);
  const { reasons } = fit;
  if (chosen !== undefined)
    return {
      bag,
      how: fit.verdict === 'fits' ? 'chosen' : 'overruled',
      combination: read.value,
      text: chosen,
      reasons,
    };
  if (fit.adapted)
    return { bag, how: 'adapted', combination: fit.adapted, text: writeCombination(fit.adapted), reasons };
  if (fit.verdict === 'fits') return { bag, how: 'fits', combination: read.value, text, reasons };
  return { bag, how: 'drill', combination: null, text: drillFor(read.value, nature).words, reasons };
}

/** The versions of a piece, lane by lane; none where there are no lanes or nothing to match. A build is matched by its goal. */
export function pieceLanes(piece: Piece, block: Block, lanes: readonly Lane[]): LaneVersion[] {
  if (!isOnLanes(block) || (piece.kind !== 'combination' && piece.kind !== 'build')) return [];
  const [text] = piece.kind === 'build' ? goalTexts(piece) : [piece.text];
  if (!text) return [];
  return lanes.flatMap((lane) => {
    const chosen = piece.lanes?.find((each) => each.bag === lane.bag)?.text;
    return laneVersion(text, lane, chosen) ?? [];
  });
}

/** The piece with a lane's own text, or without one where it is null. `chooseForLane(piece, 'pads', '1 2')` */
export function chooseForLane<Given extends Piece>(piece: Given, bag: string, text: string | null): Given {
  if (piece.kind !== 'combination' && piece.kind !== 'build') return piece;
  const others = (piece.lanes ?? []).filter((each) => each.bag !== bag);
  const lanes = text === null ? others : [...others, { bag, text }];
  const { lanes: _, ...plain } = piece;
  return (lanes.length > 0 ? { ...plain, lanes } : plain) as Given;
}

/** What each lane does in a stretch of the timeline: a stage of a build is matched by itself. `leafLanes(sheet, leaf, lanes)` */
export function leafLanes(sheet: Sheet, leaf: Leaf, lanes: readonly Lane[]): LaneVersion[] {
  const block = sheet.blocks.find(({ id }) => id === leaf.blockId);
  const piece = block?.pieces.find(({ id }) => id === leaf.pieceId);
  if (!block || !piece || !leaf.combination || !isOnLanes(block)) return [];
  if (piece.kind === 'combination') return pieceLanes(piece, block, lanes);
  const text = writeCombination(leaf.combination);
  return lanes.flatMap((lane) => laneVersion(text, lane) ?? []);
}
