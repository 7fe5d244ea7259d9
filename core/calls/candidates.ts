import { sayEffort } from '../session/effort';
import type { Leaf, Timeline } from '../session/compile';
import type { Milliseconds, SessionTime } from '../units';
import { unfold } from '../mechanics/steps';
import { passesOf, type Pass } from '../session/passes';
import { leastGap, phrases, type Call, type CallKind, type Candidate } from './call';
import { focusFor } from './focus';
import { numberWord } from './number-words';
import { callFor, earlyMoves, innerCalls, sayCombination } from './say';

/** Candidates of a whole session, and what is said at its open breaks, where the clock stands. */
export interface CallPlan {
  readonly candidates: readonly Candidate[];
  readonly breaks: readonly { readonly at: SessionTime; readonly calls: readonly Call[] }[];
}

/** A new combination is still worth naming for this long after it began (house value). */
const newFor: Milliseconds = 8000;
/** Nothing but the count is said in the last second before a bell (trade page, section 9). */
const quietBeforeBell: Milliseconds = 1000;
/** Lead time of a stance change (house value). */
const stanceLead: Milliseconds = 8000;
/** A time is not called later than this (house value). */
const lateTime: Milliseconds = 4000;
const countFrom = 3;

const isRound = (pass: Pass | undefined): boolean => pass?.block === 'round';

function candidate(kind: CallKind, from: SessionTime, until: SessionTime, full: string, short?: string): Candidate {
  return { kind, from, until, phrases: phrases(full, short) };
}

/** A call that has its one moment. */
function exactly(kind: CallKind, at: SessionTime, say: string): Candidate {
  const made = phrases(say);
  return { kind, from: at, until: at + (made[0]?.ms ?? 0), phrases: made };
}

/** The new moves of a stage alone, for when there is no time for the whole. */
function newMoves(leaf: Leaf): string | undefined {
  if (!leaf.combination) return undefined;
  if (!leaf.stage || leaf.stage.number === 1 || leaf.added.length === 0) return sayCombination(leaf.combination);
  const listed = unfold(leaf.combination).flatMap((step) => step.content);
  return `add ${sayCombination({ items: leaf.added.flatMap((place) => listed[place] ?? []) })}`;
}

const sayTime = (seconds: number): string =>
  seconds % 60 === 0
    ? `${seconds === 60 ? 'one minute' : `${numberWord(seconds / 60)} minutes`} left`
    : `${numberWord(seconds)} seconds left`;

function leafCandidates(leaf: Leaf, before: Leaf | undefined, end: SessionTime): Candidate[] {
  const close = Math.min(leaf.at + leaf.ms, end - quietBeforeBell);
  const out: Candidate[] = [];
  const sameWork =
    before?.blockId === leaf.blockId &&
    before.combination === leaf.combination &&
    before.doing === leaf.doing &&
    leaf.combination !== null;
  if (!sameWork && leaf.doing !== 'unplanned')
    out.push(candidate('new', leaf.at, Math.min(close, leaf.at + newFor), callFor(leaf), newMoves(leaf)));
  else if (before && before.effort !== leaf.effort)
    out.push(
      candidate('effort', leaf.at, Math.min(close, leaf.at + 5000), sayEffort(leaf.effort).replace('%', 'per cent')),
    );
  for (const { at, words } of innerCalls(leaf)) {
    const own = leaf.says.some((say) => say.at === at && say.words === words);
    if (own)
      out.push(
        candidate(
          'own',
          leaf.at + at,
          Math.min(leaf.at + leaf.ms, leaf.at + at + Math.max(4000, words.length * 90)),
          words,
        ),
      );
    else out.push(exactly('drill', leaf.at + at, words));
  }
  const early = earlyMoves(leaf);
  if (early && leaf.ms >= 15_000)
    out.push(
      candidate(
        'reminder',
        leaf.at + leaf.ms * 0.4,
        Math.min(close, leaf.at + leaf.ms * 0.8),
        `Keep the ${sayCombination(early)} sharp`,
        sayCombination(early),
      ),
    );
  return out;
}

function roundCandidates(pass: Pass, said: string[]): Candidate[] {
  const length = pass.end - pass.at;
  const out: Candidate[] = [];
  if (length >= 20_000) out.push(exactly('count', pass.end - 10_000, 'ten seconds'));
  if (length > countFrom * 1000 + 1000)
    for (let count = countFrom; count >= 1; count -= 1)
      out.push(exactly('count', pass.end - count * 1000, numberWord(count)));
  for (const seconds of [60, 30])
    if (length >= seconds * 2000 || (seconds === 30 && length >= 60_000))
      out.push(candidate('time', pass.end - seconds * 1000, pass.end - seconds * 1000 + lateTime, sayTime(seconds)));
  if (length >= 120_000 && length / 2 !== 60_000)
    out.push(candidate('time', pass.at + length / 2, pass.at + length / 2 + lateTime, 'half way'));
  if (length >= 60_000) {
    const focus = focusFor(pass.leaves, said);
    if (focus) {
      said.push(focus);
      out.push(candidate('focus', pass.at + length * 0.55, pass.at + length * 0.85, focus));
    }
  }
  return out;
}

/** What the rest is followed by, in full and short. */
function preview(next: Pass | undefined): { full: string; short: string } | null {
  const leaf = next?.leaves[0];
  if (!leaf || !isRound(next)) return null;
  const said = leaf.combination ? sayCombination(leaf.combination) : leaf.label;
  return { full: `Next, ${leaf.label.split(' · ').slice(0, 2).join(', ')}: ${said}`, short: `Next: ${said}` };
}

function restCandidates(pass: Pass, next: Pass | undefined): Candidate[] {
  const [leaf] = pass.leaves;
  const from = pass.at + 1000;
  const until = pass.end - (isRound(next) ? countFrom * 1000 + 500 : 500);
  const own = leaf?.words ? [candidate('new', from, until, leaf.words)] : [];
  const shown = preview(next);
  const counts: Candidate[] = [];
  if (isRound(next) && pass.end - pass.at > countFrom * 1000 + 2000)
    for (let count = countFrom; count >= 1; count -= 1)
      counts.push(exactly('count', pass.end - count * 1000, numberWord(count)));
  return [
    ...own,
    candidate('water', from, until, 'Rest. Water', 'Rest'),
    candidate('breathing', from, until, 'In for two, out for four'),
    ...(shown ? [candidate('preview', from, until, shown.full, shown.short)] : []),
    ...counts,
  ];
}

/** A rest with the time it needs for everything that should be said in it in full, gaps and the count included. */
export interface RestNeed {
  readonly leaf: Leaf;
  readonly needs: Milliseconds;
  readonly what: readonly CallKind[];
}

/** What each rest of a session needs, open ones left out. `restNeeds(compile(sheet))[0].needs` */
export function restNeeds(timeline: Timeline): RestNeed[] {
  const passes = passesOf(timeline);
  return passes.flatMap((pass, at): RestNeed[] => {
    const [leaf] = pass.leaves;
    if (leaf?.kind !== 'rest' || pass.open) return [];
    const said = restCandidates(pass, passes[at + 1]).filter(({ kind }) => kind !== 'count');
    const words = said.reduce((sum, { phrases: [full] }) => sum + (full?.ms ?? 0) + leastGap, 0);
    return [{ leaf, needs: words + 1000 + countFrom * 1000 + 500, what: said.map(({ kind }) => kind) }];
  });
}

/** What is said while the clock stands in an open break, one after the other. */
function breakCalls(pass: Pass, afterRound: boolean, next: Pass | undefined): Call[] {
  const shown = preview(next);
  const words = [
    ...(afterRound ? [{ kind: 'bell' as const, say: 'bell' }] : []),
    { kind: 'new' as const, say: callFor(pass.leaves[0] as Leaf) },
    ...(shown ? [{ kind: 'preview' as const, say: shown.full }] : []),
  ];
  let at = pass.at;
  return words.map(({ kind, say }) => {
    const [phrase] = phrases(say);
    const call: Call = { at, kind, say, form: 'full', ms: phrase?.ms ?? 0 };
    at += call.ms + leastGap;
    return call;
  });
}

/**
 * Everything that would be good to say in a session, with its words and windows (trade page, sections 8 and 9). What of it
 * is said is chosen by `schedule`.
 * @example candidatesOf(compile(sheet)).candidates
 */
export function candidatesOf(timeline: Timeline): CallPlan {
  const passes = passesOf(timeline);
  const candidates: Candidate[] = [];
  const breaks: { at: SessionTime; calls: Call[] }[] = [];
  const said: string[] = [];
  passes.forEach((pass, index) => {
    const [before, next] = [passes[index - 1], passes[index + 1]];
    if (pass.open) {
      breaks.push({ at: pass.at, calls: breakCalls(pass, isRound(before), next) });
      return;
    }
    if (isRound(pass)) candidates.push(exactly('bell', pass.at, 'bell'), ...roundCandidates(pass, said));
    // One bell serves both rounds; before an open break it stands among what is said there.
    if (isRound(pass) && !isRound(next) && !next?.open) candidates.push(exactly('bell', pass.end, 'bell'));
    if (pass.leaves[0]?.kind === 'rest') candidates.push(...restCandidates(pass, next));
    else
      pass.leaves.forEach((leaf, at) => {
        const last = pass.leaves[at - 1] ?? before?.leaves.at(-1);
        candidates.push(...leafCandidates(leaf, last, pass.end));
        if (last && last.mirrored !== leaf.mirrored && leaf.doing !== 'change-over') {
          const until = leaf.at - (at === 0 && isRound(pass) ? countFrom * 1000 + 500 : 0);
          candidates.push(candidate('stance', Math.max(last.at, until - stanceLead), until, 'Switch stance'));
        }
      });
  });
  return { candidates, breaks };
}
