import { numberWord } from '../number-words';
import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import { blockWords } from '../timeline/names';
import type { Milliseconds, SessionTime } from '../units';
import type { Candidate } from './call';
import { makerFor, type Maker } from './candidate';
import { leafPlace } from './leaf-calls';
import type { CallOptions } from './options';
import { isHard, isLight } from './intensity';
import { intervalsOf } from './intervals';
import { plain } from './saying';
import { worded, type Speech, type Words } from './speech';

/** A time is not called later than this (house value). */
const lateTime: Milliseconds = 4000;
/** Which time left is told in a round of which length (trade page, section 9; the lengths are house values). */
const timesLeft: readonly (readonly [seconds: number, least: Milliseconds, most: Milliseconds])[] = [
  [120, 270_000, Infinity],
  [60, 120_000, Infinity],
  [30, 60_000, Infinity],
  [15, 30_000, 60_000],
];
/** From this length on the last ten seconds are told, and a piece is led out (house values; the trade page names 30 s). */
const tenFrom: Milliseconds = 20_000;
const ledOutFrom: Milliseconds = 30_000;
/** A shorter piece is counted out from three, from this length on (house value). */
const countedOutFrom: Milliseconds = 10_000;
/** From this length on half of a round, and of any other work, is told (house values). */
const halfFrom: Milliseconds = 150_000;
const halfOfBlockFrom: Milliseconds = 60_000;
/** From this length on a round is cheered (house value). */
const cheerFrom: Milliseconds = 120_000;
/** How long before a change the next exercise is named (house value). */
const nextLead: Milliseconds = 12_000;

/** The name of a pass that stays when its time changes. */
export function passPlace(pass: Pass): string {
  const [leaf] = pass.leaves;
  return leaf ? `${leafPlace(leaf)} pass` : 'pass';
}

function sayTime(seconds: number, speech: Speech): Words {
  if (seconds === 60) return worded(speech, 'one minute left');
  if (seconds % 60 === 0) return worded(speech, 'minutes left', { minutes: plain(numberWord(seconds / 60)) });
  return worded(speech, 'seconds left', { seconds: plain(numberWord(seconds)) });
}

/** Counts down to a moment, a call for each number. */
export function countDown(end: SessionTime, from: number, make: Maker): Candidate[] {
  const out: Candidate[] = [];
  for (let left = from; left > 0; left -= 1)
    out.push(make.exactly('count', end - left * 1000, plain(numberWord(left)), 'count'));
  return out;
}

/** The count that leads out of a pass, where it has the time: of work, and of whatever stands before a round. */
export function countOut(pass: Pass, next: Pass | undefined, make: Maker, options: CallOptions): Candidate[] {
  const { countFrom, blockClock } = options;
  // Core, conditioning and cool-down are counted in as a round is, unless the coach wants their names alone.
  const counted =
    pass.isRound || next?.isRound === true || ((pass.isWork || next?.isWork === true) && blockClock === 'all');
  return counted && pass.end - pass.at > countFrom * 1000 + 1000 ? countDown(pass.end, countFrom, make) : [];
}

/** Pieces are counted out before the next one, long ones as the coach wishes; the last of a pass is counted out with it. */
export function leadOuts(pass: Pass, make: Maker, { leadOut, speech, blockClock }: CallOptions): Candidate[] {
  if (leadOut === 'nothing' || (!pass.isRound && blockClock === 'names')) return [];
  return pass.leaves.slice(0, -1).flatMap((leaf): Candidate[] => {
    const end = leaf.at + leaf.ms;
    // A calls drill has its own words to the end.
    if (leaf.ms < countedOutFrom || leaf.doing === 'change-over' || leaf.doing === 'calls') return [];
    if (leadOut === 'three' || leaf.ms < ledOutFrom) return countDown(end, 3, make);
    return [make.exactly('count', end - 10_000, worded(speech, 'ten seconds').full, 'ten'), ...countDown(end, 5, make)];
  });
}

/** Where praise has its place in a round, as shares of it; the second one only in hard work (house values). */
const cheerTimes: readonly (readonly [from: number, until: number])[] = [
  [0.35, 0.5],
  [0.75, 0.9],
];

/** Praise that fits how hard the work is at that moment, never twice the same: it ends with the list. */
function cheersOf(pass: Pass, make: Maker, round: number, speech: Speech): Candidate[] {
  const length = pass.end - pass.at;
  if (length < cheerFrom) return [];
  return cheerTimes.flatMap(([from, until], time): Candidate[] => {
    const at = pass.at + length * from;
    const leaf = pass.leaves.findLast((each) => each.at <= at);
    const fits = !leaf ? 'any' : isHard(leaf) ? 'hard' : isLight(leaf) ? 'easy' : 'any';
    const fitting = speech.cheers.filter((cheer) => cheer.fits === fits);
    // The coach's own fit everything: one a round, so that none comes twice.
    const shared = fitting.length === 0;
    if (time > 0 && (fits !== 'hard' || shared)) return [];
    const perRound = fits === 'hard' && !shared ? cheerTimes.length : 1;
    const cheer = (shared ? speech.cheers : fitting)[(round - 1) * perRound + time];
    if (!cheer || !leaf) return [];
    const ends = Math.min(pass.at + length * until, leaf.at + leaf.ms);
    return [make.within('cheer', at, ends, { full: plain(cheer.words) })];
  });
}

/** The clock of a hard piece that alternates with easy ones: its half, and its last ten seconds. The round's end has its own. */
function pieceClock(leaf: Leaf, pass: Pass, make: Maker, speech: Speech, said: SessionTime): Candidate[] {
  const [half, end] = [leaf.at + leaf.ms / 2, leaf.at + leaf.ms];
  return [
    ...(half === said ? [] : [make.within('time', half, half + lateTime, worded(speech, 'half way'))]),
    ...(end === pass.end ? [] : [make.exactly('count', end - 10_000, worded(speech, 'ten seconds').full, 'ten')]),
  ];
}

/** What belongs to a round's clock: the bell, ten seconds, time left, half of it, a word of praise. */
export function roundClock(pass: Pass, make: Maker, round: number, { speech }: CallOptions): Candidate[] {
  const length = pass.end - pass.at;
  const out: Candidate[] = [make.bell(pass.at, 'start bell')];
  if (length >= tenFrom) out.push(make.exactly('count', pass.end - 10_000, worded(speech, 'ten seconds').full, 'ten'));
  const timed = (at: SessionTime, words: Words): Candidate => make.within('time', at, at + lateTime, words);
  const { clocked } = intervalsOf(pass);
  const halves = clocked.map(({ at, ms }) => at + ms / 2);
  // Inside a hard piece the round's own time would contradict the piece's, but where both say half.
  const silent = (at: SessionTime): boolean => clocked.some((leaf) => leaf.at <= at && at < leaf.at + leaf.ms);
  for (const [seconds, least, most] of timesLeft) {
    const at = pass.end - seconds * 1000;
    if (length >= least && length < most && !silent(at)) out.push(timed(at, sayTime(seconds, speech)));
  }
  const half = pass.at + length / 2;
  if (length >= halfFrom && (!silent(half) || halves.includes(half))) out.push(timed(half, worded(speech, 'half way')));
  for (const leaf of clocked) out.push(...pieceClock(leaf, pass, make, speech, half));
  return [...out, ...cheersOf(pass, make, round, speech)];
}

const isExercise = ({ doing, words }: Leaf): boolean => doing === 'words' && words !== null && words !== '';

/** The next exercise by its name, shortly before it begins; a pause between says it itself. */
function nextExercises(pass: Pass, make: Maker, { speech }: CallOptions): Candidate[] {
  return pass.leaves.slice(1).flatMap((leaf, at): Candidate[] => {
    const before = pass.leaves[at];
    if (!before || before.doing === 'pause' || !isExercise(leaf) || before.ms < ledOutFrom) return [];
    const words = worded(speech, 'next exercise', { exercise: plain(leaf.words ?? '') });
    return [make.within('preview', leaf.at - nextLead, leaf.at - 3500, words)];
  });
}

/** All blocks of one kind that follow each other, rests between them passed over: half of their work, their end, its length. */
export interface KindTime {
  readonly half: SessionTime;
  readonly end: SessionTime;
  readonly ms: Milliseconds;
}

function kindTime(passes: readonly Pass[]): KindTime {
  const ms = passes.reduce((sum, { at, end }) => sum + end - at, 0);
  let left = ms / 2;
  const half = passes.find(({ at, end }) => {
    if (left < end - at) return true;
    left -= end - at;
    return false;
  });
  return { half: (half?.at ?? 0) + left, end: passes.at(-1)?.end ?? 0, ms };
}

/**
 * The time of its kind for each pass of work outside rounds. Rounds have their own clock, so a changed round leaves the
 * others as they are.
 * @example kindTimesOf(passesOf(timeline)).get(warmUp)?.end // 300000
 */
export function kindTimesOf(passes: readonly Pass[]): ReadonlyMap<Pass, KindTime> {
  const groups: Pass[][] = [];
  for (const pass of passes) {
    if (pass.block === 'rest') continue;
    const last = groups.at(-1);
    if (last?.[0]?.block === pass.block) last.push(pass);
    else groups.push([pass]);
  }
  return new Map(
    groups.flatMap((group) => {
      if (group[0]?.isWork !== true || group[0].isRound) return [];
      const time = kindTime(group);
      return group.map((pass) => [pass, time] as const);
    }),
  );
}

/** The clock of work outside rounds: half of it, the last ten seconds, what comes next; wordings of its own. */
export function blockClock(pass: Pass, kind: KindTime | undefined, make: Maker, options: CallOptions): Candidate[] {
  const { speech } = options;
  if (options.blockClock === 'names') return [];
  const length = pass.end - pass.at;
  const [leaf] = pass.leaves;
  const block = plain((leaf ? blockWords[leaf.block] : '').toLowerCase());
  const half = kind?.half ?? pass.at + length / 2;
  const isHere = pass.at <= half && half < pass.end;
  return [
    ...(isHere && (kind?.ms ?? length) >= halfOfBlockFrom
      ? [make.within('time', half, half + lateTime, worded(speech, 'block half', { block }))]
      : []),
    ...(length >= tenFrom ? [make.exactly('count', pass.end - 10_000, worded(speech, 'block ten').full, 'ten')] : []),
    ...nextExercises(pass, make, options),
  ];
}

/** The bell that ends a round. */
export function endBell(pass: Pass, { speech }: CallOptions): Candidate {
  return makerFor(`${passPlace(pass)} end`, speech).bell(pass.end, 'end bell');
}

/** That a block of work is over, where no bell says so: before what follows is named. */
export function blockEnd(pass: Pass, { speech }: CallOptions): Candidate {
  const [leaf] = pass.leaves;
  const block = plain(leaf ? blockWords[leaf.block] : '');
  const { full } = worded(speech, 'block end', { block });
  return makerFor(`${passPlace(pass)} end`, speech).exactly('time', pass.end, full);
}

/** That the session is over, once its last bell has rung. */
export function sessionEnd(pass: Pass, { speech }: CallOptions): Candidate {
  const make = makerFor(`${passPlace(pass)} session`, speech);
  return make.within('time', pass.end, pass.end + 3 * lateTime, worded(speech, 'session end'));
}
