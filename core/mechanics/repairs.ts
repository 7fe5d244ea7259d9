import { familyOf, fullMoveName, isHandStrike, isLegStrike, move, otherSide, type Move } from '../moves/move';
import { unfoldedLength, limits, type Combination, type Item } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { insertAfter, insertBefore, replaceAt } from './edit';
import type { Seam } from './seams';
import { leadingMove, type Step } from './steps';
import { study, type Repetition, type Study, type StudyOptions } from './study';

/** A way out of a fault: what it does, in the coach's words, and the whole combination mended. */
export interface Repair {
  readonly what: string;
  readonly combination: Combination;
}

/** A way out with the study by which it was tried. */
export interface TriedRepair extends Repair {
  readonly studied: Study;
}

function stepKey(step: Step): string {
  return writeCombination({
    items: step.content.length === 2 ? [{ kind: 'pair', moves: step.content as readonly [Move, Move] }] : step.content,
  });
}

/** A stuck seam, with what stands on its two sides, so that it is known again in a changed combination. */
export interface StuckSeam {
  readonly key: string;
  readonly turn: number;
  readonly seam: Seam;
}

const stuck = new WeakMap<Study, readonly StuckSeam[]>();

/** Every stuck seam of a study, worked out once. `stuckSeams(study(combination)).length` */
export function stuckSeams(studied: Study): readonly StuckSeam[] {
  let found = stuck.get(studied);
  if (!found) {
    found = studied.turns.flatMap(({ seams }, turn) =>
      seams.flatMap((seam) => (seam.stuck ? [{ key: faultKey(studied, turn, seam), turn, seam }] : [])),
    );
    stuck.set(studied, found);
  }
  return found;
}

/** Counts each fault of all turns by what stands on its two sides. */
function faultsOf(studied: Study): Map<string, number> {
  const faults = new Map<string, number>();
  for (const { key } of stuckSeams(studied)) faults.set(key, (faults.get(key) ?? 0) + 1);
  return faults;
}

function stepsAround(studied: Study, turn: number, seam: Seam): { before: Step; after: Step } | null {
  const here: Repetition | undefined = studied.turns[turn];
  const before = here?.walk.steps[seam.after]?.step;
  const next = seam.loop
    ? studied.turns[(turn + 1) % studied.turns.length]?.walk.steps[0]
    : here?.walk.steps[seam.after + 1];
  return before && next ? { before, after: next.step } : null;
}

function faultKey(studied: Study, turn: number, seam: Seam): string {
  const around = stepsAround(studied, turn, seam);
  return around ? `${stepKey(around.before)} > ${stepKey(around.after)} ${seam.verdict}` : '';
}

interface Candidate {
  readonly what: string;
  readonly make: () => Combination;
}

type Put = (what: string, item: Item) => Candidate;

/** Puts an item into the gap: before the later step, or at the very end where the gap is the loop. */
function putter(combination: Combination, before: Step, after: Step, loop: boolean): Put {
  return (what, item) => ({
    what,
    make: () =>
      loop ? insertAfter(combination, before.path.slice(0, 1), item) : insertBefore(combination, after.path, item),
  });
}

function windingUp(put: Put, b: Move): Candidate[] {
  const side = b.side ?? 'rear';
  const list: Candidate[] = [];
  if (isHandStrike(b)) {
    list.push(
      put(`slip to the ${side} side first`, move('slip', side)),
      put(`roll to the ${side} side first`, move('roll', side)),
    );
  }
  if (isLegStrike(b)) list.push(put('check with the lead leg first', move('check')));
  return list;
}

function withStrike(step: Step, old: Move, fresh: Move): Item {
  const [first, second] = step.content;
  if (second && first?.kind === 'move' && second.kind === 'move')
    return { kind: 'pair', moves: first === old ? [fresh, second] : [first, fresh] };
  return fresh;
}

function swaps(combination: Combination, step: Step, number: number): Candidate[] {
  const old = leadingMove(step);
  if (old.kind !== 'move') return [];
  const defence = familyOf(old) === 'defence';
  const other = otherSide(old);
  if (!other || (!defence && !isHandStrike(old) && !isLegStrike(old))) return [];
  const words = `move ${number}: ${fullMoveName(other)} instead of ${fullMoveName(old)}`;
  return [{ what: words, make: () => replaceAt(combination, step.path, withStrike(step, old, other)) }];
}

function mends(before: Map<string, number>, key: string, repaired: Study): boolean {
  const after = faultsOf(repaired);
  if ((after.get(key) ?? 0) >= (before.get(key) ?? 0)) return false;
  return [...after].every(([fault, count]) => count <= (before.get(fault) ?? 0));
}

/**
 * Ways to mend one stuck seam of a study, one by one as they are asked for, smallest change first: a defence, check or step
 * put in, or one strike swapped. Each is tried out: in every one the fault is gone and no new one has come.
 * @example repairsOf(study(combination), 0, seam).next().value
 */
export function* repairsOf(
  studied: Study,
  turn: number,
  seam: Seam,
  options: StudyOptions = {},
): Generator<TriedRepair, undefined> {
  const around = stepsAround(studied, turn, seam);
  if (!around || !seam.stuck) return;
  const b = leadingMove(around.after);
  if (b.kind !== 'move') return;
  const { combination } = studied;
  const before = faultsOf(studied);
  const key = faultKey(studied, turn, seam);
  const put = putter(combination, around.before, around.after, seam.loop);
  const stepping = [put('step in first', move('step-in')), put('angle out first', move('angle-out'))];
  const reloading = [
    ...windingUp(put, b),
    ...swaps(combination, around.after, seam.loop ? 1 : seam.after + 2),
    ...swaps(combination, around.before, seam.after + 1),
  ];
  const candidates = seam.verdict === 'step' ? [...stepping, ...reloading] : [...reloading, ...stepping];
  for (const { what, make } of candidates) {
    const mended = make();
    if (unfoldedLength(mended.items) > limits.moves) continue;
    const tried = study(mended, options);
    if (mends(before, key, tried)) yield { what, combination: mended, studied: tried };
  }
}

const mostRepairs = 4;

/**
 * The first four ways to mend a stuck seam; empty where the seam flows.
 * @example repairsFor(study(combination), 0, seam)[0].combination
 */
export function repairsFor(studied: Study, turn: number, seam: Seam, options: StudyOptions = {}): Repair[] {
  const repairs: Repair[] = [];
  for (const { what, combination } of repairsOf(studied, turn, seam, options)) {
    repairs.push({ what, combination });
    if (repairs.length === mostRepairs) break;
  }
  return repairs;
}
