import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds, SessionTime } from '../units';
import { bellMs, leastGap, type Candidate } from './call';
import { makerFor, type Maker } from './candidate';
import { passPlace } from './clock-calls';
import type { TechniqueCue } from './cues';
import { fitsFocus, focusAgain, focusFor, eachMove, type FocusPlace, type FocusTrail } from './focus';
import type { CallOptions } from './options';
import { addedMoves, leafWords } from './leaf-words';
import { plain } from './saying';
import { phrases } from './speech';

/**
 * From which length on a round has a focus, and when in it, as shares of the round (house values); the first is the late
 * one, when people tire, the second belongs to long rounds.
 */
const focusTimes: readonly (readonly [least: Milliseconds, from: number, until: number])[] = [
  [60_000, 0.55, 0.85],
  [150_000, 0.15, 0.45],
];

/** In teaching a focus comes at least every 30 s (trade page, section 9): one in each twenty, within ten of them. */
const teachEvery: Milliseconds = 20_000;
const teachFrom: Milliseconds = 7000;
const teachUntil: Milliseconds = 17_000;

/** A cue takes about so long. */
const leastCueRoom: Milliseconds = 3000;

/** Whether a piece is taught: marked as technique, or done by beginners. */
const isTaught = (leaf: Leaf, { level }: CallOptions): boolean =>
  leaf.combination !== null && (leaf.focus === 'technique' || level === 'beginner');

/** The focuses that may come in a block: the coach's own lines beside the others, or alone. */
function focusesOf(blockId: string, { speech, focusesOf: own }: CallOptions): readonly TechniqueCue[] {
  const lines = own(blockId).filter(({ everyMs }) => everyMs === undefined);
  return own(blockId).some(({ only }) => only) ? lines : [...lines, ...speech.focuses];
}

/** Focus lines that come again and again by their own word, in the leaves that they fit. */
function repeated(pass: Pass, make: Maker, options: CallOptions): Candidate[] {
  const { speech, level } = options;
  const [first] = pass.leaves;
  return options.focusesOf(first?.blockId ?? '').flatMap((focus): Candidate[] => {
    const { everyMs, words } = focus;
    if (everyMs === undefined) return [];
    const out: Candidate[] = [];
    for (let at = pass.at + everyMs; at < pass.end - 2000; at += everyMs) {
      const leaf = pass.leaves.find((each) => each.at <= at && at < each.at + each.ms);
      if (leaf && fitsFocus(focus, { leaves: [leaf], level, scheme: speech.scheme }))
        out.push(
          make.within('focus', at - everyMs / 4, Math.min(pass.end, at + everyMs / 4 + 3000), { full: plain(words) }),
        );
    }
    return out;
  });
}

/** A new strike or defence of a build has its cue by then, after a pause behind what names it (trade page, section 15; house values). */
const newBy: Milliseconds = 15_000;
const afterOpening: Milliseconds = 1500;

/** When a leaf's opening is over, from its beginning. */
function openingOf(leaf: Leaf, { speech }: CallOptions): Milliseconds {
  return (phrases(leafWords(leaf, speech), speech)[0]?.ms ?? 0) + bellMs + afterOpening;
}

/** Most cues of one stage's new moves (house value). */
const mostNew = 2;

/** The cues of what is new in a stage, before any other: one for each new move. */
function cueOfNew(leaf: Leaf, make: Maker, trail: FocusTrail, options: CallOptions): Candidate[] {
  const added = addedMoves(leaf);
  const from = openingOf(leaf, options);
  // Clear of the next stage, which is then scheduled by itself.
  const until = Math.min(newBy, leaf.ms - leastGap);
  if (!added || from + leastCueRoom > until) return [];
  const { speech, level } = options;
  const about = focusesOf(leaf.blockId, options).filter(({ moves }) => moves.length > 0);
  const at = leaf.at + from;
  const moves = new Map(eachMove(added).map((move) => [move.id, move]));
  return [...moves.values()].slice(0, mostNew).flatMap((move): Candidate[] => {
    const leaves = [{ ...leaf, combination: { items: [move] } }];
    const focus = focusFor(about, { leaves, level, scheme: speech.scheme }, trail, {
      at,
      again: 0,
      strikesFirst: true,
    });
    return focus ? [make.within('focus', at, leaf.at + until, { full: plain(focus.words) })] : [];
  });
}

/** Reminders of a piece that is taught, spread over it; those of its own strikes first, those of tired bodies late. */
function taught(leaf: Leaf, make: Maker, trail: FocusTrail, options: CallOptions): Candidate[] {
  const { speech, level } = options;
  const place: FocusPlace = { leaves: [leaf], level, scheme: speech.scheme };
  const focuses = focusesOf(leaf.blockId, options);
  const out: Candidate[] = [];
  // What is new in a stage has its cue already.
  for (let from = addedMoves(leaf) ? teachEvery : 0; from + teachUntil <= leaf.ms; from += teachEvery) {
    const at = leaf.at + from + Math.max(teachFrom, from === 0 ? openingOf(leaf, options) : 0);
    const focus = focusFor(focuses, place, trail, { at, again: 0, strikesFirst: from < leaf.ms / 2 });
    if (focus) out.push(make.within('focus', at, leaf.at + from + teachUntil, { full: plain(focus.words) }));
  }
  return out;
}

/** A window within the leaf that most of it lies in, its opening past: a cue is said only while what it speaks of is in hand. */
function inHand(
  { leaves }: Pass,
  opens: SessionTime,
  closes: SessionTime,
  options: CallOptions,
): { readonly leaf: Leaf; readonly from: SessionTime; readonly until: SessionTime } | null {
  const parts = leaves.map((leaf) => {
    const from = Math.max(opens, leaf.goesOn ? leaf.at : leaf.at + openingOf(leaf, options));
    return { leaf, from, until: Math.min(closes, leaf.at + leaf.ms) };
  });
  const longest = parts.reduce((best, each) => (each.until - each.from > best.until - best.from ? each : best));
  return longest.until - longest.from >= leastCueRoom ? longest : null;
}

/** One or two technique focuses of a round, more where it is taught, and the coach's own lines as often as they say. */
export function focusCalls(pass: Pass, trail: FocusTrail, options: CallOptions): Candidate[] {
  const { speech, level } = options;
  const make = makerFor(passPlace(pass), speech);
  const [first] = pass.leaves;
  if (!first) return [];
  const lessons = pass.leaves.filter((leaf) => isTaught(leaf, options));
  const out = repeated(pass, make, options);
  for (const leaf of pass.leaves) {
    if (!leaf.goesOn) out.push(...cueOfNew(leaf, make, trail, options));
    if (lessons.includes(leaf)) out.push(...taught(leaf, make, trail, options));
  }
  if (lessons.length > 0) return out;
  const length = pass.end - pass.at;
  const focuses = focusesOf(first.blockId, options);
  for (const [least, from, until] of focusTimes) {
    if (length < least) continue;
    const window = inHand(pass, pass.at + length * from, pass.at + length * until, options);
    if (!window) continue;
    const place: FocusPlace = { leaves: [window.leaf], level, scheme: speech.scheme };
    const focus = focusFor(focuses, place, trail, { at: window.from, again: focusAgain, strikesFirst: false });
    if (focus) out.push(make.within('focus', window.from, window.until, { full: plain(focus.words) }));
  }
  return out;
}
