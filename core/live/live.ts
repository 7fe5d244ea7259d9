// What a coach changes while a session runs. The sheet stays as it is; a change is kept with the moment at which it was
// pressed, and the session as it runs is worked out from both (`liveTimeline`). Begin with edits.ts: what a change can do.
import { faultFocus, faultList } from '../library/faults';
import { standing, type LiveChange, type StandingChange } from '../run/live-changes';
import { sheetLimits } from '../sheet/limits';
import type { Sheet } from '../sheet/schema';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import { endIn, type FittedEnd } from './end-in';
import { afterAnswer, answeredBy } from './drills';
import type { Edit, Place } from './edits';
import { layRest, type LiveLeaf } from './plan';
import { editsOf, type Here } from './resolve';

/** The live leaf at a moment, and its place in the plan; behind the last leaf at the end. */
function standAt(live: readonly LiveLeaf[], base: Timeline, at: SessionTime): { index: number; cursor: Place } {
  const moment = Math.max(0, at);
  const index = live.findIndex(({ leaf }) => moment < leaf.at + leaf.ms || (leaf.open && moment <= leaf.at));
  const on = live[index];
  if (!on) return { index: live.length, cursor: { leaf: base.leaves.length, offset: 0 } };
  const offset = on.place.offset + Math.max(0, Math.round(moment - on.leaf.at));
  return { index, cursor: { leaf: on.place.leaf, offset } };
}

/** What was before a moment, the leaf that is on cut there. */
function before(live: readonly LiveLeaf[], at: SessionTime): LiveLeaf[] {
  return live
    .filter(({ leaf }) => leaf.at < at)
    .map((each) => {
      const { leaf } = each;
      if (leaf.at + leaf.ms <= at) return each;
      const begun = <T extends { readonly at: Milliseconds }>(all: readonly T[]): T[] =>
        all.filter((one) => leaf.at + one.at < at);
      const [drillCalls, touches, says] = [begun(leaf.drillCalls), begun(leaf.touches), begun(leaf.says)];
      return { ...each, leaf: { ...leaf, ms: Math.round(at - leaf.at), drillCalls, touches, says } };
    });
}

/** What was done is not changed: the leaves up to the moment of a change stay, the ones behind it are laid out anew. */
function relaid(here: Here, edits: readonly Edit[]): LiveLeaf[] {
  const at = Math.max(0, Math.round(here.at));
  const past = before(here.live, at);
  const last = past.at(-1);
  const answered = last ? answeredBy(last.leaf) : null;
  const rest = layRest(here.base, here.cursor, at, edits).map((each, index) =>
    index === 0 && answered !== null ? { ...each, leaf: afterAnswer(each.leaf, answered) } : each,
  );
  return told(joined(past, rest));
}

/** A leaf that was cut where nothing has changed is one leaf again. */
function joined(past: readonly LiveLeaf[], rest: readonly LiveLeaf[]): LiveLeaf[] {
  const [last, first] = [past.at(-1), rest[0]];
  if (!last || !first || !isWhole(last, first)) return [...past, ...rest];
  const leaf = { ...first.leaf, at: last.leaf.at, ms: last.leaf.ms + first.leaf.ms };
  return [...past.slice(0, -1), { leaf: { ...last.leaf, ms: leaf.ms }, place: last.place }, ...rest.slice(1)];
}

/** Says of each leaf whether it goes on with the one before it: nothing is announced there, and the clock of the piece goes on. */
function told(all: readonly LiveLeaf[]): LiveLeaf[] {
  return all.map((each, index) => {
    const last = all[index - 1];
    const { leaf, place } = each;
    const goesOn =
      last !== undefined &&
      last.place.leaf === place.leaf &&
      !leaf.open &&
      !last.leaf.open &&
      last.leaf.doing === leaf.doing &&
      last.leaf.combination === leaf.combination &&
      last.leaf.stance === leaf.stance;
    return goesOn === leaf.goesOn ? each : { ...each, leaf: { ...leaf, goesOn } };
  });
}

function isWhole(last: LiveLeaf, first: LiveLeaf): boolean {
  const [a, b] = [last.leaf, first.leaf];
  return (
    last.place.leaf === first.place.leaf &&
    last.place.offset + a.ms === first.place.offset &&
    !a.open &&
    !b.open &&
    a.kind === b.kind &&
    a.doing === b.doing &&
    a.combination === b.combination &&
    a.pace === b.pace &&
    a.stance === b.stance &&
    a.effort === b.effort &&
    a.drillCalls.length === 0 &&
    b.drillCalls.length === 0 &&
    a.touches.length === 0 &&
    b.touches.length === 0 &&
    a.says.length === 0 &&
    b.says.length === 0
  );
}

interface Fold {
  readonly live: readonly LiveLeaf[];
  /** What stands, the last pressed last, with what it does. */
  readonly stack: readonly { readonly change: StandingChange; readonly edits: readonly Edit[] }[];
}

function unchanged(base: Timeline): Fold {
  return { live: base.leaves.map((leaf, index) => ({ leaf, place: { leaf: index, offset: 0 } })), stack: [] };
}

function withChange(base: Timeline, { live, stack }: Fold, change: LiveChange): Fold {
  const { index, cursor } = standAt(live, base, change.at);
  const editsIn = (all: Fold['stack']): readonly Edit[] => all.flatMap((each) => each.edits);
  const here: Here = { at: change.at, base, live, index, cursor, edits: editsIn(stack) };
  const after = change.kind === 'undo' ? stack.slice(0, -1) : [...stack, { change, edits: editsOf(change, here) }];
  return { live: relaid(here, editsIn(after)), stack: after };
}

interface Folded {
  readonly changes: readonly LiveChange[];
  readonly fold: Fold;
}
/** The last folds of a timeline: a change costs itself, not all that came before it. */
const lastFolds = new WeakMap<Timeline, readonly Folded[]>();
/** This one, the one before it, and one more: canChange and liveTimeline ask for both in turn. */
const mostFolds = 3;

/** Changes are read-only, but a worker is given copies of them. */
const isSame = (one: LiveChange, other: LiveChange | undefined): boolean =>
  one === other || JSON.stringify(one) === JSON.stringify(other);

function folded(base: Timeline, changes: readonly LiveChange[]): Fold {
  const known = lastFolds.get(base) ?? [];
  const begins = ({ changes: before }: Folded): boolean =>
    before.length <= changes.length && before.every((change, index) => isSame(change, changes[index]));
  const nearest = known
    .filter(begins)
    .reduce<Folded | null>((best, each) => (best && best.changes.length >= each.changes.length ? best : each), null);
  let fold = nearest?.fold ?? unchanged(base);
  for (const change of changes.slice(nearest?.changes.length ?? 0)) fold = withChange(base, fold, change);
  // The one it went on from stays: a pace that goes on puts another change in the place of the last.
  const others = known.filter((each) => each !== nearest || each.changes.length < changes.length);
  lastFolds.set(base, [{ changes, fold }, ...others].slice(0, mostFolds));
  return fold;
}

/**
 * A session as it runs: the sheet's timeline with what was changed on the way. What lies before a change stays as it was; an
 * `undo` lays out anew, from its own moment, what would be to come without the last change.
 * @example liveTimeline(compile(sheet), [{ kind: 'longer', at: 61_000, ms: 30_000 }]).ms // 30 s more
 */
export function liveTimeline(base: Timeline, changes: readonly LiveChange[]): Timeline {
  if (changes.length === 0) return base;
  const leaves = folded(base, changes).live.map(({ leaf }): Leaf => leaf);
  const last = leaves.at(-1);
  return {
    ms: last ? last.at + last.ms : 0,
    openBreaks: leaves.filter(({ open }) => open).length,
    rounds: base.rounds,
    leaves,
  };
}

/** Whether a change would do anything where a run stands; one that would not is not kept, and that is said. */
export function canChange(base: Timeline, changes: readonly LiveChange[], change: StandingChange): boolean {
  if (change.kind === 'fault') return true;
  const { live, stack } = folded(base, changes);
  const { index, cursor } = standAt(live, base, change.at);
  const edits = stack.flatMap((each) => each.edits);
  return editsOf(change, { at: change.at, base, live, index, cursor, edits }).length > 0;
}

/** What fitting the rest of a session into a time takes: what goes, and how much longer it is all the same. */
export function fittedIn(
  base: Timeline,
  changes: readonly LiveChange[],
  at: SessionTime,
  ms: Milliseconds,
): Pick<FittedEnd, 'dropped' | 'over'> {
  const { live, stack } = folded(base, changes);
  const { cursor } = standAt(live, base, at);
  return endIn(
    base,
    cursor,
    stack.flatMap((each) => each.edits),
    ms,
  );
}

/** A change in a few words, for the button that takes it back. `sayChange({ kind: 'longer', at: 0, ms: 30_000 })` → `30 s more` */
export function sayChange(change: StandingChange): string {
  switch (change.kind) {
    case 'pace':
      return `pace ${Math.round(change.factor * 100)}%`;
    case 'drill':
      return change.grows ? 'increasing over time' : 'back to the planned number';
    case 'longer':
      return `${Math.round(change.ms / 1000)} s added`;
    case 'end piece':
      return 'drill ended';
    case 'until a key':
      return 'rest until resumed';
    case 'version':
      return change.version;
    case 'switch stance':
      return 'stance switched';
    case 'end in':
      return `finishing in ${Math.round(change.ms / 60_000)} min`;
    case 'swap':
      return 'combination changed';
    case 'fault':
      return nameOfFault(change.fault);
  }
}

/** What a fault is called. `nameOfFault('wrist')` */
export const nameOfFault = (id: string): string => faultList.find((each) => each.id === id)?.name ?? 'a fault';

/** Faults that were seen in a run and not taken back, each once, by id. `faultsSeen([{ kind: 'fault', at: 0, fault: 'wrist' }])` → `["wrist"]` */
export function faultsSeen(changes: readonly LiveChange[]): string[] {
  return [...new Set(standing(changes).flatMap((change) => (change.kind === 'fault' ? [change.fault] : [])))];
}

/**
 * A sheet with the reminders of faults beside its own, as many as a sheet may have.
 * @example withRemindersOf(sheet, ['wrist']).focuses
 */
export function withRemindersOf(sheet: Sheet, faults: readonly string[]): Sheet {
  const own = sheet.focuses ?? [];
  const known = new Set(own.map(({ words }) => words));
  const fresh = faults
    .flatMap((id) => {
      const fault = faultList.find((each) => each.id === id);
      return fault ? [faultFocus(fault)] : [];
    })
    .filter(({ words }) => !known.has(words))
    .slice(0, Math.max(0, sheetLimits.focuses - own.length));
  return fresh.length === 0 ? sheet : { ...sheet, focuses: [...own, ...fresh] };
}

/** The sheet that a run's script is made of: reminders of the faults that were seen come with its own (trade page, section 9). */
export function liveSheet(sheet: Sheet, changes: readonly LiveChange[]): Sheet {
  return withRemindersOf(sheet, faultsSeen(changes));
}
