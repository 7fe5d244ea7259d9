import { passesOf, type Pass } from '../timeline/passes';
import type { Timeline } from '../timeline/leaf';
import type { Milliseconds } from '../units';
import type { Edit, Place } from './edits';
import { lengthOf } from './plan';

/** A rest is never made shorter than this share of what was planned (trade page, section 9). */
const leastRest = 0.5;

/** How the rest of a session was fitted into a time. */
export interface FittedEnd {
  readonly edits: readonly Edit[];
  /** Passes that had to go, in order. */
  readonly dropped: readonly Pass[];
  /** How much longer it takes all the same, because what is on and the cool-down are kept. */
  readonly over: Milliseconds;
}

/** A pass that is still to come, with its leaves' places in the plan and what it takes now. */
interface Coming {
  readonly pass: Pass;
  readonly first: number;
  readonly ms: Milliseconds;
}

const isRest = ({ pass }: Coming): boolean => pass.block === 'rest' && !pass.open;
const mayGo = ({ pass }: Coming): boolean => pass.isWork && pass.block !== 'cool-down';
const total = (all: readonly Coming[]): Milliseconds => all.reduce((sum, { ms }) => sum + ms, 0);
/** What a rest, and all of them, can give. */
const spareOf = ({ ms }: Coming): Milliseconds => Math.floor(ms * (1 - leastRest));
const spare = (all: readonly Coming[]): Milliseconds =>
  all.filter(isRest).reduce((sum, each) => sum + spareOf(each), 0);

/** The passes behind the one that is on, as far as they have not gone already. */
function coming(base: Timeline, cursor: Place, edits: readonly Edit[]): { now: Milliseconds; ahead: Coming[] } {
  let first = 0;
  let now = 0;
  const ahead: Coming[] = [];
  const gone = (index: number): boolean =>
    edits.some(
      (edit) => edit.kind === 'skip' && edit.from.leaf <= index && index < edit.to.leaf && edit.from.offset === 0,
    );
  for (const pass of passesOf(base)) {
    const indexes = pass.leaves.map((_, at) => first + at);
    const ms = indexes.reduce((sum, index, at) => {
      const leaf = pass.leaves[at];
      if (!leaf || index < cursor.leaf || gone(index)) return sum;
      return sum + Math.max(0, lengthOf(leaf, index, edits) - (index === cursor.leaf ? cursor.offset : 0));
    }, 0);
    const on = first <= cursor.leaf && cursor.leaf < first + pass.leaves.length;
    if (on) now = ms;
    else if (first > cursor.leaf && (ms > 0 || (pass.open && !gone(first)))) ahead.push({ pass, first, ms });
    first += pass.leaves.length;
  }
  return { now, ahead };
}

/** Without the last piece of work before the cool-down, and the rest that led to it; null where there is none to go. */
function withoutLast(all: readonly Coming[]): { readonly left: Coming[]; readonly gone: Coming[] } | null {
  const at = all.findLastIndex(mayGo);
  const last = all[at];
  if (!last) return null;
  const before = all[at - 1];
  const gone = before && (isRest(before) || before.pass.block === 'show') ? [before, last] : [last];
  return { left: all.filter((each) => !gone.includes(each)), gone };
}

const skipOf = ({ pass, first }: Coming): Edit => ({
  kind: 'skip',
  from: { leaf: first, offset: 0 },
  to: { leaf: first + pass.leaves.length, offset: 0 },
});

/** Rests shortened alike by so much in all; each but the last by whole seconds, rounded up, so that the last has enough to give. */
function shorten(all: readonly Coming[], by: Milliseconds): Edit[] {
  const rests = all.filter(isRest);
  const whole = total(rests);
  let left = by;
  return rests.flatMap((rest, at): Edit[] => {
    const { pass, first, ms } = rest;
    const share = at === rests.length - 1 ? left : Math.ceil((by * ms) / whole / 1000) * 1000;
    const taken = Math.min(Math.max(0, share), left, spareOf(rest));
    left -= taken;
    const last = pass.leaves.length - 1;
    const leaf = pass.leaves[last];
    return leaf && taken > 0 ? [{ kind: 'length', leaf: first + last, ms: Math.max(1000, leaf.ms - taken) }] : [];
  });
}

/**
 * Fits what is still to come into a time: rests give up to half, then whole rounds go, the last first; what is on and the
 * cool-down stay. Nothing is stretched where there is time left over.
 * @example endIn(compile(sheet), { leaf: 4, offset: 0 }, [], 600_000).dropped
 */
export function endIn(base: Timeline, cursor: Place, edits: readonly Edit[], ms: Milliseconds): FittedEnd {
  const { now, ahead } = coming(base, cursor, edits);
  let left: readonly Coming[] = ahead;
  const gone: Coming[] = [];
  for (;;) {
    if (now + total(left) - spare(left) <= ms) break;
    const without = withoutLast(left);
    if (!without) break;
    left = without.left;
    gone.unshift(...without.gone);
  }
  const excess = Math.max(0, now + total(left) - ms);
  const given = Math.min(excess, spare(left));
  return {
    edits: [...gone.map(skipOf), ...shorten(left, given)],
    dropped: gone.filter(mayGo).map(({ pass }) => pass),
    over: Math.round(excess - given),
  };
}
