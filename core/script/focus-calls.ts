import type { TechniqueFocus } from '../sheet/calls';
import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds } from '../units';
import type { Candidate } from './call';
import { makerFor, type Maker } from './candidate';
import { passPlace } from './clock-calls';
import { fitsFocus, focusAgain, focusFor, type FocusPlace, type FocusTrail } from './focus';
import type { CallOptions } from './options';
import { plain } from './saying';

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

/** Whether a piece is taught: marked as technique, or done by beginners. */
const isTaught = (leaf: Leaf, { level }: CallOptions): boolean =>
  leaf.combination !== null && (leaf.focus === 'technique' || level === 'beginner');

/** The focuses that may come in a block: the coach's own lines beside the others, or alone. */
function focusesOf(blockId: string, { speech, focusesOf: own }: CallOptions): readonly TechniqueFocus[] {
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

/** Reminders of a piece that is taught, spread over it; those of its own strikes first, those of tired bodies late. */
function taught(leaf: Leaf, make: Maker, trail: FocusTrail, options: CallOptions): Candidate[] {
  const { speech, level } = options;
  const place: FocusPlace = { leaves: [leaf], level, scheme: speech.scheme };
  const focuses = focusesOf(leaf.blockId, options);
  const out: Candidate[] = [];
  for (let from = 0; from + teachUntil <= leaf.ms; from += teachEvery) {
    const at = leaf.at + from + teachFrom;
    const focus = focusFor(focuses, place, trail, { at, again: 0, strikesFirst: from < leaf.ms / 2 });
    if (focus) out.push(make.within('focus', at, leaf.at + from + teachUntil, { full: plain(focus.words) }));
  }
  return out;
}

/** One or two technique focuses of a round, more where it is taught, and the coach's own lines as often as they say. */
export function focusCalls(pass: Pass, trail: FocusTrail, options: CallOptions): Candidate[] {
  const { speech, level } = options;
  const make = makerFor(passPlace(pass), speech);
  const [first] = pass.leaves;
  if (!first) return [];
  const lessons = pass.leaves.filter((leaf) => isTaught(leaf, options));
  const out = [...repeated(pass, make, options), ...lessons.flatMap((leaf) => taught(leaf, make, trail, options))];
  if (lessons.length > 0) return out;
  const length = pass.end - pass.at;
  const place: FocusPlace = { leaves: pass.leaves, level, scheme: speech.scheme };
  const focuses = focusesOf(first.blockId, options);
  for (const [least, from, until] of focusTimes) {
    if (length < least) continue;
    const at = pass.at + length * from;
    const focus = focusFor(focuses, place, trail, { at, again: focusAgain, strikesFirst: false });
    if (focus) out.push(make.within('focus', at, pass.at + length * until, { full: plain(focus.words) }));
  }
  return out;
}
