import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { readTempoText } from '../formats/tempo-text/read';
import { writeTempoText } from '../formats/tempo-text/write';
import type { Exercise } from '../library/exercise';
import { exercisesFor } from '../library/exercises';
import { isLegStrike, type Move } from '../moves/move';
import type { Item } from '../notation/combination';
import { composedGoals } from './composed-goals';
import { exactClock, sayClock } from '../clock-text';
import { fitToMinutes } from '../adapting/fit-minutes';
import type { Sheet } from '../sheet/schema';
import type { DraftKind, DraftWishes } from '../sheet/settings';
import type { Level } from '../bags/kind-names';
import { stagesOf } from '../timeline/stages';
import { readStored } from '../notation/stored';
import { compile } from '../timeline/compile';
import type { Milliseconds } from '../units';

/** What a coach wishes for. */
export interface Wishes extends Readonly<DraftWishes> {
  /** Combinations to work towards, kept text; some are composed where there are none. */
  readonly goals: readonly string[];
}

/** A draft with the seed it came from: the same wishes and seed give the same draft. */
export interface Draft {
  readonly sheet: Sheet;
  readonly seed: number;
  /** What tells two drafts apart: their whole text. */
  readonly fingerprint: string;
}

interface Random {
  readonly between: (least: number, most: number) => number;
  readonly pick: <T>(list: readonly T[], usual: T) => T;
  readonly shuffled: <T>(list: readonly T[]) => T[];
}

function randomFrom(seed: number): Random {
  const source = xoroshiro128plus(seed);
  const between = (least: number, most: number): number => uniformInt(source, least, Math.max(least, most));
  return {
    between,
    pick: (list, usual) => list[between(0, list.length - 1)] ?? usual,
    shuffled: (list) => {
      const left = [...list];
      return list.flatMap(() => left.splice(between(0, left.length - 1), 1));
    },
  };
}

interface Shape {
  readonly roundMs: Milliseconds;
  readonly restMs: Milliseconds;
}

const shapes: Readonly<Record<DraftKind, Readonly<Record<Level, readonly Shape[]>>>> = {
  technique: {
    beginner: [{ roundMs: 120_000, restMs: 60_000 }],
    intermediate: [
      { roundMs: 180_000, restMs: 60_000 },
      { roundMs: 120_000, restMs: 45_000 },
    ],
    advanced: [
      { roundMs: 180_000, restMs: 45_000 },
      { roundMs: 240_000, restMs: 60_000 },
    ],
  },
  conditioning: {
    beginner: [{ roundMs: 120_000, restMs: 60_000 }],
    intermediate: [{ roundMs: 180_000, restMs: 45_000 }],
    advanced: [
      { roundMs: 180_000, restMs: 30_000 },
      { roundMs: 240_000, restMs: 45_000 },
    ],
  },
  mixed: {
    beginner: [
      { roundMs: 120_000, restMs: 45_000 },
      { roundMs: 180_000, restMs: 60_000 },
    ],
    intermediate: [
      { roundMs: 180_000, restMs: 60_000 },
      { roundMs: 180_000, restMs: 45_000 },
    ],
    advanced: [
      { roundMs: 180_000, restMs: 45_000 },
      { roundMs: 300_000, restMs: 60_000 },
    ],
  },
};

function frame(random: Random, part: Exercise['part'], level: Level, ms: Milliseconds, tail: string[] = []): string {
  const count = Math.max(1, Math.min(6, Math.round(ms / 60_000) - tail.length));
  const chosen = random.shuffled(exercisesFor(part, level)).slice(0, count);
  const each = Math.floor(ms / (chosen.length + tail.length) / 5000) * 5000;
  const lines = [...chosen.map(({ name }) => ` ${name}`), ...tail];
  const last = ms - each * (lines.length - 1);
  return [
    `${part} ${exactClock(ms)}`,
    ...lines.map((line, at) => `  ${exactClock(at === lines.length - 1 ? last : each)}${line}`),
  ].join('\n');
}

function hasKicks(items: readonly Item[]): boolean {
  const moves = (list: readonly Item[]): Move[] =>
    list.flatMap((item) =>
      item.kind === 'move'
        ? [item]
        : item.kind === 'group'
          ? moves(item.items)
          : item.kind === 'pair'
            ? [...item.moves]
            : [],
    );
  return moves(items).some(isLegStrike);
}

/** Lines of a round that builds a goal up in its whole time, or none where no kind fits. */
function buildRound(random: Random, goal: string, ms: Milliseconds): string | null {
  const read = readStored(goal);
  if (!read.ok || read.value.items[0]?.kind === 'freestyle') return null;
  const kinds = [
    'ladder',
    'ladder',
    'backward',
    'chunks',
    'pyramid',
    ...(hasKicks(read.value.items) ? [] : ['singles']),
  ];
  for (const kind of random.shuffled(kinds)) {
    const probe = readTempoText(`round 1:00\n  build ${kind} every 0:30: ${goal}`).sheet.blocks[0]?.pieces[0];
    const stages = probe?.kind === 'build' ? stagesOf(probe).length : 0;
    const each = Math.floor(ms / Math.max(1, stages) / 5000) * 5000;
    if (stages < 2 || each < 15_000) continue;
    const left = ms - each * stages;
    const own = left >= 15_000 ? `\n  ${exactClock(left)} own time` : '';
    const lengths = left > 0 && !own ? [...Array.from({ length: stages - 1 }, () => each), each + left] : [each];
    return `"Build it up"\n  build ${kind} every ${lengths.map(exactClock).join(',')}: ${goal}${own}`;
  }
  return null;
}

/** Rounds of work on a goal that is known. */
function workRound(random: Random, goal: string, ms: Milliseconds, kind: DraftKind): string {
  const third = Math.floor(ms / 3 / 5000) * 5000;
  const last = ms - 2 * third;
  const finish = 20_000;
  const ways = [
    `"Thirds"\n  ${exactClock(third)} technique: ${goal}\n  ${exactClock(third)} speed: ${goal}\n  ${exactClock(last)} power: ${goal}`,
    `"Flow and finish"\n  ${exactClock(ms - finish)}: ${goal}\n  ${exactClock(finish)} all-out nonstop: 1 2`,
    `"Calls"\n  ${exactClock(ms - 60_000)}: ${goal}\n  1:00 call ${random.pick(['count 2-6', 'go 3', 'direction 2'], 'count 2-6')} seed ${random.between(1, 999)}`,
    `"Use it"\n  ${exactClock(ms - 60_000)}: ${goal}\n  1:00 own time`,
  ];
  const pairs = Math.floor(ms / 60_000);
  const hard = `"Hard and easy"\n${Array.from({ length: pairs }, () => `  0:30 ${random.pick(['strong', 'all-out'], 'strong')}: ${goal}\n  0:30 easy: 1`).join('\n')}`;
  if (kind === 'conditioning' && ms % 60_000 === 0) return random.pick([hard, hard, ways[1] ?? hard], hard);
  return random.pick(kind === 'technique' ? ways.slice(0, 1).concat(ways.slice(3)) : ways, ways[0] ?? hard);
}

function draftText(wishes: Wishes, seed: number): string {
  const random = randomFrom(seed);
  const total = wishes.minutes * 60_000;
  const warmMs = total >= 20 * 60_000 ? 300_000 : 180_000;
  const coolMs = total >= 20 * 60_000 ? 180_000 : 90_000;
  const coreMs = total >= 25 * 60_000 ? 180_000 : 0;
  const shape = random.pick(shapes[wishes.kind][wishes.level], { roundMs: 120_000, restMs: 60_000 });
  const { roundMs, restMs } = shape;
  const room = total - warmMs - coolMs - coreMs;
  const rounds = Math.max(1, Math.floor((room + restMs) / (roundMs + restMs)));
  // Two rounds a goal: it is built up, then used.
  const goals =
    wishes.goals.length > 0
      ? random.shuffled(wishes.goals)
      : composedGoals(wishes.level, wishes.bag, Math.ceil(rounds / 2), seed);
  const lines: string[] = [
    `# ${wishes.minutes} minutes, ${wishes.kind}`,
    `bag: ${wishes.bag}`,
    `level: ${wishes.level}`,
    frame(random, 'warm-up', wishes.level, warmMs, [' easy shadow: freestyle']),
  ];
  for (let round = 0; round < rounds; round += 1) {
    const goal = goals[Math.floor(round / 2) % goals.length] ?? '1 2';
    const built = round % 2 === 0 || wishes.kind === 'technique' ? buildRound(random, goal, roundMs) : null;
    lines.push(`round ${exactClock(roundMs)} ${built ?? workRound(random, goal, roundMs, wishes.kind)}`);
    if (round + 1 < rounds) lines.push(`rest ${exactClock(restMs)}`);
  }
  if (coreMs > 0) lines.push(frame(random, 'core', wishes.level, coreMs));
  lines.push(frame(random, 'cool-down', wishes.level, coolMs));
  return lines.join('\n');
}

/**
 * A complete sheet from wishes, warm-up to cool-down, exactly as long as wished. A seed whose draft is among those
 * already seen is passed over for the next one.
 * @example draftSheet({ minutes: 30, level: 'beginner', kind: 'mixed', bag: 'heavy', goals: [] }, 7)
 */
export function draftSheet(wishes: Wishes, seed: number, seen: readonly string[] = []): Draft {
  const known = new Set(seen);
  let draft: Draft | null = null;
  // More seeds than there can be drafts to avoid; the last one stands where wishes leave no other.
  for (let tries = 0; tries <= seen.length + 20; tries += 1) {
    const now = (seed + tries) % 4_294_967_296;
    const { sheet } = readTempoText(draftText(wishes, now), `draft-${now}`);
    const fitted = fitToMinutes(sheet, wishes.minutes * 60_000);
    const made = fitted.ok ? fitted.sheet : sheet;
    const named = fitted.ok ? made : { ...made, title: `${sayClock(compile(made).ms)}, ${wishes.kind}` };
    const fingerprint = writeTempoText(named);
    draft = { sheet: named, seed: now, fingerprint };
    if (!known.has(fingerprint)) return draft;
  }
  return draft ?? { sheet: readTempoText('').sheet, seed, fingerprint: '' };
}
