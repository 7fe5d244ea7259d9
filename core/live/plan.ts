import { studyOf } from '../mechanics/study-of';
import { mirrorStance } from '../mechanics/walk';
import { usualStances } from '../sheet/stances';
import { partOf } from '../stances/plan';
import { nothing } from '../timeline/content';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';
import { drilled, type DrillWay } from './drills';
import { isBefore, type Edit, type Place } from './edits';

/** The fastest that a live change makes a class work, effort and class included; a sheet may itself say more (house value). */
export const fastest: PaceFactor = 1.45;

/** A leaf of a session that was changed as it ran, and where in the plan it stands. */
export interface LiveLeaf {
  readonly leaf: Leaf;
  readonly place: Place;
}

type Of<Kind extends Edit['kind']> = Extract<Edit, { kind: Kind }>;
const all = <Kind extends Edit['kind']>(edits: readonly Edit[], kind: Kind): Of<Kind>[] =>
  edits.filter((edit): edit is Of<Kind> => edit.kind === kind);

/** Length of a planned leaf with what was added to it, or taken from it. */
export function lengthOf(leaf: Leaf, index: number, edits: readonly Edit[]): Milliseconds {
  return all(edits, 'length').findLast((edit) => edit.leaf === index)?.ms ?? leaf.ms;
}

interface Part {
  readonly from: Milliseconds;
  readonly to: Milliseconds;
}

/** What is left of a leaf between two moments of it, without what is skipped. */
function kept(index: number, from: Milliseconds, to: Milliseconds, edits: readonly Edit[]): Part[] {
  let parts: Part[] = [{ from, to }];
  for (const skip of all(edits, 'skip')) {
    if (index < skip.from.leaf || index > skip.to.leaf) continue;
    const [a, b] = [
      index === skip.from.leaf ? skip.from.offset : 0,
      index === skip.to.leaf ? skip.to.offset : Infinity,
    ];
    parts = parts.flatMap((part) => [
      { from: part.from, to: Math.min(part.to, a) },
      { from: Math.max(part.from, b), to: part.to },
    ]);
    parts = parts.filter((part) => part.to > part.from);
  }
  return parts;
}

/** A leaf made longer: a rhythm's touches begin again where they end. */
function looped(leaf: Leaf, ms: Milliseconds): Leaf {
  if (ms <= leaf.ms) return leaf;
  const starts = Array.from({ length: Math.ceil(ms / leaf.ms) }, (_, turn) => turn * leaf.ms);
  const touches = starts.flatMap((start) => leaf.touches.map((one) => ({ ...one, at: one.at + start })));
  return { ...leaf, ms, touches: touches.filter((one) => one.at < ms) };
}

/** How a drill goes on at each place of a leaf where something changed; its beginning first. */
function waysOf(leaf: Leaf, index: number, edits: readonly Edit[]): DrillWay[] {
  const marks = edits.filter((edit) => edit.kind === 'pace' || edit.kind === 'drill' || edit.kind === 'instead');
  const inside = marks.flatMap(({ from }) => (from.leaf === index && from.offset > 0 ? [from.offset] : []));
  return [0, ...[...new Set(inside)].sort((a, b) => a - b)].map((offset) => {
    const here = { leaf: index, offset };
    const upTo = marks.filter(({ from }) => !isBefore(here, from));
    const instead = all(upTo, 'instead').findLast(({ until }) => index < until);
    const pace = pacedBy(leaf.pace * (instead?.factor ?? 1), all(upTo, 'pace').at(-1)?.factor ?? 1) / leaf.pace;
    return { from: offset, pace, grows: all(upTo, 'drill').at(-1)?.grows ?? false };
  });
}

/** A leaf at the length it has come to, with what is called or touched in it. */
function whole(leaf: Leaf, index: number, edits: readonly Edit[]): Leaf {
  const ms = lengthOf(leaf, index, edits);
  const as = looped(leaf, ms);
  return leaf.drill ? { ...as, drillCalls: drilled(leaf, waysOf(leaf, index, edits), ms) } : as;
}

/** A part of a leaf, with what falls into it. */
function cut(leaf: Leaf, { from, to }: Part, at: SessionTime): Leaf {
  if (from === 0 && to === leaf.ms && at === leaf.at) return leaf;
  const says = leaf.says
    .filter((said) => said.at >= from && said.at < to)
    .map((said) => ({ ...said, at: said.at - from }));
  return { ...partOf(leaf, from, to - from), at, says };
}

/** How the class stands once it has been turned round. */
function turned(leaf: Leaf, turns: number): Leaf {
  if (turns % 2 === 0 || leaf.stance === 'square') return leaf;
  return { ...leaf, stance: mirrorStance(leaf.stance), mirrored: !leaf.mirrored };
}

/** Pace under a factor: never above the fastest, unless the sheet itself says more. `pacedBy(1.3, 1.5)` → `1.45` */
export function pacedBy(planned: PaceFactor, factor: PaceFactor): PaceFactor {
  return Math.min(planned * factor, Math.max(fastest, planned));
}

/** Length of one repetition of a leaf at its pace, its breath included; none without a combination. */
export function cycleOf(leaf: Leaf): Milliseconds | null {
  if (!leaf.combination) return null;
  const { ms } = studyOf(leaf.combination, 'orthodox', leaf.nonStop, leaf.otherStance);
  return ms > 0 ? ms / leaf.pace + leaf.gapMs : null;
}

/** Lays out what is still to come: what was planned from a place on, as the edits have it, beginning at a moment. */
export function layRest(base: Timeline, cursor: Place, at: SessionTime, edits: readonly Edit[]): LiveLeaf[] {
  const out: LiveLeaf[] = [];
  let now = at;
  /** A repetition in the other stance is slower the first time. */
  let fresh = false;
  const put = (leaf: Leaf, place: Place): void => {
    if (leaf.ms <= 0 && !leaf.open) return;
    out.push({ leaf, place });
    now += leaf.ms;
  };
  const turns = all(edits, 'turn');
  const marks = [...all(edits, 'pace'), ...all(edits, 'instead'), ...turns];
  const openAfter = new Set(all(edits, 'open').map(({ after }) => after));

  const putPart = (planned: Leaf, index: number, part: Part): void => {
    const place: Place = { leaf: index, offset: part.from };
    const before = (from: Place): boolean => !isBefore(place, from);
    const turn = turns.find(({ from, ms }) => from.leaf === index && before(from) && part.from < from.offset + ms);
    const so = turns.filter(({ from }) => before(from)).length;
    const instead = all(edits, 'instead').findLast(({ from, until }) => before(from) && index < until);
    const factor = all(edits, 'pace').findLast(({ from }) => before(from))?.factor ?? 1;
    const as = turned(cut(planned, part, now), so);
    if (turn) {
      fresh = true;
      const { at: from, ms, block, blockId, round, title, stance, mirrored, half, bags, pieceId } = as;
      const kind = 'change-over';
      const where = { at: from, ms, block, blockId, round, title, stance, mirrored, half, bags, pieceId };
      put({ ...nothing, ...where, betweenRepeats: false, kind, doing: kind }, place);
      return;
    }
    const other = instead?.combination;
    const leaf: Leaf =
      instead || factor !== 1
        ? {
            ...as,
            ...(other ? { combination: other, added: [], remind: [], stage: null, words: null } : {}),
            ...(instead?.effort ? { effort: instead.effort } : {}),
            pace: pacedBy(as.pace * (instead?.factor ?? 1), factor),
          }
        : as;
    const cycle = fresh ? cycleOf({ ...leaf, pace: leaf.pace * usualStances.firstPace }) : null;
    if (cycle === null) {
      put(leaf, place);
      return;
    }
    fresh = false;
    const first = Math.min(Math.round(cycle), leaf.ms);
    put({ ...cut(leaf, { from: 0, to: first }, now), pace: leaf.pace * usualStances.firstPace }, place);
    put(cut(leaf, { from: first, to: leaf.ms }, now), { leaf: index, offset: part.from + first });
  };

  base.leaves.slice(cursor.leaf).forEach((planned, ahead) => {
    const index = cursor.leaf + ahead;
    const from = ahead === 0 ? cursor.offset : 0;
    if (planned.open) {
      if (!isSkipped(index, edits)) put({ ...planned, at: now }, { leaf: index, offset: 0 });
    } else {
      const breaks = marks
        .filter(({ from: mark }) => mark.leaf === index)
        .flatMap((mark) =>
          mark.kind === 'turn' ? [mark.from.offset, mark.from.offset + mark.ms] : [mark.from.offset],
        );
      const full = whole(planned, index, edits);
      for (const part of kept(index, from, lengthOf(planned, index, edits), edits)) {
        const inside = [...new Set(breaks)].filter((each) => each > part.from && each < part.to).sort((a, b) => a - b);
        const edges = [part.from, ...inside, part.to];
        edges.slice(1).forEach((to, place) => putPart(full, index, { from: edges[place] ?? 0, to }));
      }
    }
    if (openAfter.has(index))
      put({ ...planned, at: now, ms: 0, open: true }, { leaf: index, offset: lengthOf(planned, index, edits) });
  });
  return out;
}

/** Whether a whole leaf lies in what is skipped. */
function isSkipped(index: number, edits: readonly Edit[]): boolean {
  return all(edits, 'skip').some(
    ({ from, to }) => (from.leaf < index || (from.leaf === index && from.offset === 0)) && index < to.leaf,
  );
}
