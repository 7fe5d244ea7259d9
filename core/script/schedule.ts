import type { SessionTime } from '../units';
import { byWindow, leastGap, shortestForm, worthOfKind, type Call, type Candidate, type Dropped } from './call';
import { importantFirst } from './order';
import { callFrom, isFixed, mostWorth, onGrid, saidIn, solve, startGrid } from './solve';

/** Where more calls that can be moved than this could be said at one moment, a stretch is not solved exactly; its bound is reported. */
export const mostExact = 12;
/** Most calls that can be moved in one stretch. */
const mostFree = 30;

/** A stretch of calls that depend on each other, and how good its choice is known to be. */
export interface StretchReport {
  readonly from: SessionTime;
  readonly candidates: number;
  readonly worth: number;
  /** No choice can be worth more than this. */
  readonly bound: number;
}

/** What is said, what in short and what not, with the reasons, and the stretches that were too crowded to be solved exactly. */
export interface Schedule {
  readonly calls: readonly Call[];
  readonly shortened: readonly Dropped[];
  readonly dropped: readonly Dropped[];
  readonly crowded: readonly StretchReport[];
}

/** Parts a session's candidates into stretches that cannot touch each other. */
export function stretches(candidates: readonly Candidate[]): Candidate[][] {
  const sorted = [...candidates].sort(byWindow);
  const out: Candidate[][] = [];
  let end = -Infinity;
  for (const candidate of sorted) {
    if (candidate.from >= end + leastGap) out.push([]);
    out.at(-1)?.push(candidate);
    end = Math.max(end, candidate.until);
  }
  return out;
}

function why(candidate: Candidate, calls: readonly Call[]): string {
  const shortest = shortestForm(candidate);
  if (shortest > candidate.until - candidate.from)
    return `it takes ${(shortest / 1000).toFixed(1)} s, but only ${(Math.max(0, candidate.until - candidate.from) / 1000).toFixed(1)} s are available`;
  const inTheWay = calls.find(
    (call) =>
      call.key !== candidate.key &&
      call.at < candidate.until + leastGap &&
      call.at + call.ms > candidate.from - leastGap,
  );
  return inTheWay
    ? `“${inTheWay.say}” is more important at that moment`
    : 'there is no room for it beside the other calls';
}

const told = (candidate: Candidate, calls: readonly Call[]): Dropped => ({
  key: candidate.key,
  kind: candidate.kind,
  say: candidate.phrases[0]?.say ?? '',
  why: why(candidate, calls),
  opens: candidate.opens ?? candidate.from,
});

/** Most windows that are open at one moment of a candidate's own. */
function mostOpen({ from, until }: Candidate, others: readonly Candidate[]): number {
  const met = others.filter((other) => other.from < until && from < other.until);
  const moments = [from, ...met.map((other) => other.from).filter((moment) => moment > from)];
  return Math.max(
    ...moments.map((moment) => met.filter((other) => other.from <= moment && moment < other.until).length),
  );
}

/** The most important of them, no more at any moment than can be tried in every order. */
function solvable(free: readonly Candidate[]): readonly Candidate[] {
  if (free.length <= mostExact) return free;
  const kept: Candidate[] = [];
  for (const candidate of [...free].sort((a, b) => worthOfKind(b.kind) - worthOfKind(a.kind) || a.from - b.from)) {
    if (kept.length < mostFree && mostOpen(candidate, kept) < mostExact) kept.push(candidate);
  }
  return kept;
}

/** What is said of one candidate: which of its phrases, and when. */
interface Choice {
  readonly phrase: number;
  readonly at: SessionTime;
}

/** What is said of a stretch: a choice for each candidate, null where it is not said; how good it is where it was too crowded. */
interface Answer {
  readonly choices: readonly (Choice | null)[];
  readonly crowded: Pick<StretchReport, 'worth' | 'bound'> | null;
}

/** Solves a stretch; the most important of what can be moved where there is too much of it. Moments count from a base on the grid. */
function answerFor(all: readonly Candidate[], base: SessionTime): Answer {
  const free = all.filter((candidate) => !isFixed(candidate));
  const kept = solvable(free);
  const outside = kept.length < free.length ? free.filter((candidate) => !kept.includes(candidate)) : [];
  const state = solve(outside.length > 0 ? all.filter((candidate) => !outside.includes(candidate)) : all);
  const choices: (Choice | null)[] = all.map(() => null);
  for (const { candidate, phrase, at } of importantFirst(saidIn(state)))
    choices[all.indexOf(candidate)] = { phrase: candidate.phrases.indexOf(phrase), at: at - base };
  const bound = outside.reduce((sum, candidate) => sum + mostWorth(candidate), state.worth);
  return { choices, crowded: outside.length > 0 ? { worth: state.worth, bound } : null };
}

const remembered = new Map<string, Answer>();
const mostRemembered = 4000;

/** All that an answer depends on: windows, worth and lengths, wherever the stretch stands and whatever is said in it. */
function contentOf(all: readonly Candidate[], base: SessionTime): string {
  let content = '';
  for (const { kind, locked, from, until, due, phrases } of all) {
    content += `${kind} ${from - base} ${until - base}${locked ? ' locked' : ''}${due === undefined ? '' : ` due ${due - base}`}`;
    for (const { form, ms } of phrases) content += ` ${form} ${ms}`;
    content += '\n';
  }
  return content;
}

/** The answer for a stretch, worked out once for all stretches that are alike. */
function rememberedAnswer(all: readonly Candidate[], base: SessionTime): Answer {
  const content = contentOf(all, base);
  let found = remembered.get(content);
  if (!found) {
    if (remembered.size >= mostRemembered) remembered.clear();
    found = answerFor(all, base);
    remembered.set(content, found);
  }
  return found;
}

/** What an answer means in the words of a stretch. */
function worked(all: readonly Candidate[]): Schedule {
  const base = Math.floor((all[0]?.from ?? 0) / startGrid) * startGrid;
  const { choices, crowded } = rememberedAnswer(all, base);
  const calls: Call[] = [];
  const short: Candidate[] = [];
  const left: Candidate[] = [];
  all.forEach((candidate, index) => {
    const choice = choices[index];
    const phrase = choice && candidate.phrases[choice.phrase];
    if (!phrase) {
      left.push(candidate);
      return;
    }
    calls.push(callFrom({ candidate, phrase, at: base + choice.at }));
    if (phrase.form === 'short') short.push(candidate);
  });
  calls.sort((a, b) => a.at - b.at);
  return {
    calls,
    shortened: short.map((candidate) => told(candidate, calls)),
    dropped: left.map((candidate) => told(candidate, calls)),
    crowded: crowded ? [{ from: all[0]?.from ?? 0, candidates: all.length, ...crowded }] : [],
  };
}

/** A call that stands alone and has room is said in full, as early as it may be; null where there is more to choose. */
function saidAlone(all: readonly Candidate[]): Call | null {
  const [candidate] = all;
  const phrase = candidate?.phrases[0];
  if (!phrase || all.length > 1) return null;
  const at = isFixed(candidate) ? candidate.from : onGrid(candidate.from);
  return at + phrase.ms <= candidate.until ? callFrom({ candidate, phrase, at }) : null;
}

/** A stretch by its first candidate, as it was the last time. */
const scheduled = new WeakMap<Candidate, { readonly all: readonly Candidate[]; readonly schedule: Schedule }>();

/** The schedule of a stretch; the very same one where its candidates are the very same. */
function stretchSchedule(all: readonly Candidate[]): Schedule {
  const [first] = all;
  const known = first && scheduled.get(first);
  if (known?.all.length === all.length && all.every((each, at) => each === known.all[at])) return known.schedule;
  const schedule = worked(all);
  if (first) scheduled.set(first, { all, schedule });
  return schedule;
}

/**
 * Chooses what is said, in which form and when: no two calls overlap, a gap lies between them, and the total importance
 * is the greatest there is, exactly in each stretch of up to twelve calls that can be moved; a more crowded stretch reports
 * its bound. Stretches that are alike are worked out once.
 * @example schedule(candidatesOf(sheet, timeline)).calls
 */
export function schedule(candidates: readonly Candidate[]): Schedule {
  const calls: Call[] = [];
  const shortened: Dropped[] = [];
  const dropped: Dropped[] = [];
  const crowded: StretchReport[] = [];
  for (const stretch of stretches(candidates)) {
    const alone = saidAlone(stretch);
    if (alone) {
      calls.push(alone);
      continue;
    }
    const made = stretchSchedule(stretch);
    calls.push(...made.calls);
    shortened.push(...made.shortened);
    dropped.push(...made.dropped);
    crowded.push(...made.crowded);
  }
  return { calls, shortened, dropped, crowded };
}
