import type { Level } from '../bags/kind-names';
import type { Side, Target } from '../moves/kind';
import { moveKind, moveKinds, type MoveId } from '../moves/catalogue';
import { isStrike, move, type Move } from '../moves/move';
import type { Scheme } from '../moves/scheme';
import type { Combination, Item, Slot } from '../notation/combination';
import { readCombination } from '../notation/read';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import type { TechniqueCue } from './cues';
import { isLight } from './intensity';

/** A technique focus is not said again before this long is over, but in teaching (house value). */
export const focusAgain: Milliseconds = 360_000;

/** Focuses by their words, with the moment each was last wished for. */
export type FocusTrail = Map<string, SessionTime>;

/** What a focus looks for among the moves: a target, or a move on its side, and to a target where the words name one. */
type Wanted =
  { readonly target: Target } | { readonly id: MoveId; readonly side: Side | null; readonly target: Target | null };

const targetWords: Readonly<Partial<Record<string, Target>>> = { head: 'head', body: 'body', leg: 'leg' };

/** What a spelling stands for; null where it is no move. `wantedBy('3b', six)`, `wantedBy('body', six)` */
export function wantedBy(spelling: string, scheme: Scheme): Wanted | null {
  const target = targetWords[spelling.trim().toLowerCase()];
  if (target) return { target };
  const read = readCombination(spelling, { scheme });
  const [only, more] = read.ok ? read.value.items : [];
  if (only?.kind !== 'move' || more) return null;
  const aimed = only.target !== (moveKind(only.id).targets[0] ?? null);
  return { id: only.id, side: only.side, target: aimed ? only.target : null };
}

function isWanted(wanted: Wanted, move: Move): boolean {
  if (!('id' in wanted)) return isStrike(move) && move.target === wanted.target;
  return (
    move.id === wanted.id &&
    (wanted.side === null || move.side === wanted.side || moveKind(move.id).marked === true) &&
    (wanted.target === null || move.target === wanted.target)
  );
}

/** The moves that an open slot names: `any 2 hooks` is about hooks. */
const movesOfSlot = ({ of }: Slot): Move[] =>
  moveKinds.filter(({ group }) => group === of).flatMap(({ id, sides }) => sides.map((side) => move(id, side)));

const moves = new WeakMap<Combination, readonly Move[]>();

/** The moves of a combination, each once, remembered. */
export function eachMove(combination: Combination): readonly Move[] {
  let found = moves.get(combination);
  if (!found) {
    const all = new Map<string, Move>();
    const visit = (items: readonly Item[]): void => {
      for (const item of items) {
        if (item.kind === 'move') all.set(`${item.id} ${item.side ?? ''} ${item.target ?? ''}`, item);
        else if (item.kind === 'pair') visit(item.moves);
        else if (item.kind === 'group') visit(item.items);
        else if (item.kind === 'turns') item.options.forEach(visit);
        else if (item.kind === 'slot') visit([...movesOfSlot(item), ...(item.end ? [item.end] : [])]);
      }
    };
    visit(combination.items);
    moves.set(combination, (found = [...all.values()]));
  }
  return found;
}

const wants = new WeakMap<TechniqueCue, { readonly by: Scheme; readonly wanted: readonly Wanted[] }>();

function wantedOf(focus: TechniqueCue, scheme: Scheme): readonly Wanted[] {
  const known = wants.get(focus);
  if (known?.by === scheme) return known.wanted;
  const wanted = focus.moves.flatMap((each) => wantedBy(each, scheme) ?? []);
  wants.set(focus, { by: scheme, wanted });
  return wanted;
}

/** What is being done when a focus is looked for. */
export interface FocusPlace {
  readonly leaves: readonly Leaf[];
  readonly level: Level | null;
  readonly scheme: Scheme;
}

/** Whether something is struck, touched or done freely, so that there is something to be reminded of. */
const isWorked = ({ combination, touches }: Leaf): boolean => combination !== null || touches.length > 0;

/** Whether a cue belongs to what is struck, how hard, what is struck at and who strikes. What it does not name may be anything. */
export function fitsFocus(focus: TechniqueCue, { leaves, level, scheme }: FocusPlace): boolean {
  const { bags, levels, hard } = focus;
  if (levels && (level === null || !levels.includes(level))) return false;
  const isHere = (leaf: Leaf): boolean =>
    isWorked(leaf) &&
    !(hard && isLight(leaf)) &&
    (!bags || bags.length === 0 || leaf.bags.some((bag) => bags.includes(bag)));
  if (focus.moves.length === 0) return leaves.some(isHere);
  const wanted = wantedOf(focus, scheme);
  return leaves.some(
    (leaf) =>
      leaf.combination !== null &&
      isHere(leaf) &&
      eachMove(leaf.combination).some((move) => wanted.some((each) => isWanted(each, move))),
  );
}

/** How a focus is chosen among those that fit. */
export interface FocusChoice {
  readonly at: SessionTime;
  /** Said again no sooner than this; 0 in teaching, where none may come twice running. */
  readonly again: Milliseconds;
  /** Those about the piece's own strikes go first. */
  readonly strikesFirst: boolean;
}

/**
 * A technique focus for what is done, the one that was said longest ago; null where nothing is struck or all that would fit
 * was said a short while ago.
 */
export function focusFor(
  focuses: readonly TechniqueCue[],
  place: FocusPlace,
  trail: FocusTrail,
  { at, again, strikesFirst }: FocusChoice,
): TechniqueCue | null {
  if (!place.leaves.some(isWorked)) return null;
  const newest = Math.max(-Infinity, ...trail.values());
  let best: { readonly focus: TechniqueCue; readonly rank: number; readonly last: SessionTime } | null = null;
  for (const focus of focuses) {
    const last = trail.get(focus.words) ?? -Infinity;
    // In teaching few may have to do, but none comes twice running.
    const tooSoon = again > 0 ? at - last < again : last === newest && last > -Infinity;
    if (tooSoon) continue;
    const own = strikesFirst && focus.moves.length > 0 ? 0 : 1;
    if (best && (own > best.rank || (own === best.rank && last >= best.last))) continue;
    if (fitsFocus(focus, place)) best = { focus, rank: own, last };
  }
  if (best) trail.set(best.focus.words, at);
  return best?.focus ?? null;
}
