import { paceOf, type Effort } from '../mechanics/effort';
import { readStored } from '../notation/stored';
import type { StandingChange } from '../run/live-changes';
import { usualStances } from '../sheet/stances';
import { repetitionsOf } from '../timeline/repetitions';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { SessionTime } from '../units';
import { easierMoves, shiftEffort, shorten } from '../versions/versions';
import { endIn } from './end-in';
import type { Edit, Place } from './edits';
import { cycleOf, lengthOf, type LiveLeaf } from './plan';

/** Where a run stands when something is changed. */
export interface Here {
  readonly at: SessionTime;
  readonly base: Timeline;
  readonly live: readonly LiveLeaf[];
  /** Index of the live leaf that is on. */
  readonly index: number;
  readonly cursor: Place;
  readonly edits: readonly Edit[];
}

const into = ({ place }: LiveLeaf, { at }: Leaf, moment: SessionTime): Place => ({
  leaf: place.leaf,
  offset: place.offset + Math.max(0, Math.round(moment - at)),
});

/** The beginning of the next repetition of what is on; the next leaf where there is none, the moment itself where nothing is repeated. */
function nextBeginning({ at, live, index, cursor }: Here): Place {
  const on = live[index];
  if (!on?.leaf.combination) return cursor;
  const { leaf } = on;
  const next = repetitionsOf(leaf).find((each) => leaf.at + each.at >= at - 1);
  if (next) return into(on, leaf, leaf.at + next.at);
  return live[index + 1]?.place ?? cursor;
}

/** The first end of a repetition, from now on, with time behind it to settle and to do it once; never where a combination begins. */
function nextTurn({ at, live, index, cursor }: Here): Place | null {
  const on = live[index];
  if (on && !on.leaf.combination && on.leaf.block === 'rest') return cursor;
  for (const each of live.slice(Math.max(0, index))) {
    const { leaf } = each;
    const cycle = cycleOf(leaf);
    if (cycle === null) continue;
    const needed = usualStances.settleMs + cycle / usualStances.firstPace;
    const end = repetitionsOf(leaf).find((one) => leaf.at + one.end >= at - 1 && one.end + needed <= leaf.ms);
    if (end) return into(each, leaf, leaf.at + end.end);
  }
  return null;
}

/** The first planned leaf behind the piece that a leaf is of. */
function behindPiece(base: Timeline, index: number): number {
  const on = base.leaves[index];
  const next = base.leaves.findIndex(
    (leaf, at) =>
      at > index &&
      (leaf.pieceId !== on?.pieceId || leaf.blockId !== on.blockId || leaf.round !== on.round || leaf.open),
  );
  return next < 0 ? base.leaves.length : next;
}

function instead(
  here: Here,
  from: Place,
  change: Pick<Extract<Edit, { kind: 'instead' }>, 'combination' | 'effort' | 'factor'>,
): Edit {
  return { kind: 'instead', from, until: behindPiece(here.base, from.leaf), ...change };
}

function version(here: Here, kind: 'easier' | 'harder'): Edit[] {
  const on = here.live[here.index]?.leaf;
  if (!on || on.block === 'rest') return [];
  const effort: Effort = shiftEffort(on.effort, kind === 'easier' ? -1 : 1);
  const easier = kind === 'easier' && on.combination ? shorten(on.combination, easierMoves) : on.combination;
  const changed = easier === on.combination ? null : easier;
  if (changed === null && effort === on.effort) return [];
  const focus = on.focus ?? undefined;
  const factor = paceOf(effort, focus) / paceOf(on.effort, focus);
  return [instead(here, nextBeginning(here), { combination: changed, effort, factor })];
}

function swapped(here: Here, text: string): Edit[] {
  const read = readStored(text);
  const on = here.live[here.index]?.leaf;
  if (!read.ok || !on?.combination) return [];
  return [instead(here, nextBeginning(here), { combination: read.value, effort: null, factor: 1 })];
}

/**
 * What a change does to the plan where the run stands; nothing where it can do nothing there.
 * @example editsOf({ kind: 'longer', at: 20_000, ms: 30_000 }, here) // [{ kind: 'length', leaf: 0, ms: 90_000 }]
 */
export function editsOf(change: StandingChange, here: Here): readonly Edit[] {
  const { base, cursor, edits } = here;
  const on = here.live[here.index]?.leaf;
  const planned = base.leaves[cursor.leaf];
  switch (change.kind) {
    case 'pace':
      return [{ kind: 'pace', from: nextBeginning(here), factor: change.factor }];
    case 'drill':
      // Direction and go grow by themselves; what is always as many cannot grow.
      if (on?.drill?.kind !== 'count' || on.drill.most === on.drill.least) return [];
      return [{ kind: 'drill', from: cursor, grows: change.grows }];
    case 'longer':
      if (!planned || planned.open || !on) return [];
      return [{ kind: 'length', leaf: cursor.leaf, ms: lengthOf(planned, cursor.leaf, edits) + change.ms }];
    case 'end piece':
      if (!on || on.open) return [];
      return [{ kind: 'skip', from: cursor, to: { leaf: behindPiece(base, cursor.leaf), offset: 0 } }];
    case 'until a key':
      return on?.block === 'rest' && !on.open ? [{ kind: 'open', after: cursor.leaf }] : [];
    case 'version':
      return version(here, change.version);
    case 'switch stance': {
      const from = nextTurn(here);
      return from ? [{ kind: 'turn', from, ms: usualStances.settleMs }] : [];
    }
    case 'end in':
      return endIn(base, cursor, edits, change.ms).edits;
    case 'swap':
      return swapped(here, change.text);
    case 'fault':
      return [];
  }
}
