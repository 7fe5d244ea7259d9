import type { Digest, RoundDigest } from './digest';

/** A round of two runs of a sheet, either of which may lack it. */
export interface ComparedRound {
  readonly round: number;
  readonly before: RoundDigest | null;
  readonly now: RoundDigest | null;
}

/** The runs of a sheet in their order, rehearsals left out. `runsOf(digests, sheet.id).at(-1)` */
export function runsOf(digests: readonly Digest[], sheetId: string): Digest[] {
  return digests
    .filter((digest) => digest.sheetId === sheetId && digest.learns)
    .sort((a, b) => a.startedAt - b.startedAt);
}

/** Two runs round by round. `compareRounds(lastTime, thisTime)[0].now?.ms` */
export function compareRounds(before: Digest, now: Digest): ComparedRound[] {
  const rounds = [...new Set([...before.byRound, ...now.byRound].map(({ round }) => round))].sort((a, b) => a - b);
  const of = (digest: Digest, round: number): RoundDigest | null =>
    digest.byRound.find((each) => each.round === round) ?? null;
  return rounds.map((round) => ({ round, before: of(before, round), now: of(now, round) }));
}

/** How a run stands against earlier ones of the same sheet. */
export interface SheetProgress {
  readonly now: Digest;
  /** The mean of up to so many runs before it; null where nobody said. */
  readonly times: number;
  readonly ms: number;
  readonly counted: number | null;
  readonly effort: number | null;
  readonly faults: readonly string[];
}

const lookedBack = 5;

function meanOf(values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null);
  return known.length === 0 ? null : known.reduce((sum, value) => sum + value, 0) / known.length;
}

/** The last run of a sheet against the mean of the five before it; null where it has not been run twice. `progressOfSheet(runsOf(digests, id))?.times` */
export function progressOfSheet(runs: readonly Digest[]): SheetProgress | null {
  const now = runs.at(-1);
  const before = runs.slice(-1 - lookedBack, -1);
  if (!now || before.length === 0) return null;
  return {
    now,
    times: before.length,
    ms: meanOf(before.map(({ ms }) => ms)) ?? 0,
    counted: meanOf(before.map(({ counted }) => counted)),
    effort: meanOf(before.map(({ effort }) => effort)),
    faults: [...new Set(before.flatMap(({ faults }) => faults))],
  };
}

/**
 * It in a sentence: what is more, what is less, what a figure is missing for.
 * @example sayProgress(progressOfSheet(runs)) // "Against the last 3 times: 40 punches more, effort 1 lower."
 */
export function sayProgress({ now, times, ms, counted, effort, faults }: SheetProgress): string {
  const minutes = Math.round((now.ms - ms) / 60_000);
  const parts = [
    ...(minutes === 0 ? [] : [`${Math.abs(minutes)} min ${minutes > 0 ? 'longer' : 'shorter'}`]),
    ...(counted === null || now.counted === null
      ? []
      : [`${Math.abs(Math.round(now.counted - counted))} punches ${now.counted >= counted ? 'more' : 'fewer'}`]),
    ...(effort === null || now.effort === null || Math.abs(now.effort - effort) < 0.5
      ? []
      : [`effort ${Math.abs(Math.round(now.effort - effort))} ${now.effort > effort ? 'higher' : 'lower'}`]),
    ...(faults.length > 0 && now.faults.length === 0 ? ['no faults seen'] : []),
  ];
  const against = times === 1 ? 'Compared with last time' : `Compared with the last ${times} times`;
  return `${against}: ${parts.length === 0 ? 'the same' : parts.join(', ')}.`;
}
