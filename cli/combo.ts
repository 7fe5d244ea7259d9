import {
  bagKinds,
  levels,
  readSchools,
  schoolsExample,
  schoolsOf,
  secondReadings,
  fitToBag,
  isWorthSaying,
  countCombination,
  eight,
  familyOf,
  limbOf,
  moveName,
  readCombination,
  repairsFor,
  sayFault,
  six,
  study,
  toSeconds,
  writeCombination,
  writeSlot,
  type Combination,
  type Conditions,
  type Counts,
  type Level,
  type Schools,
  type Family,
  type Limb,
  type Repetition,
  type Scheme,
  type Stance,
  type Study,
} from '../core/index';
import { BadInput, readText } from './io';

/** The scheme that `--scheme` names. */
export function schemeNamed(name: string | undefined): Scheme {
  if (name === undefined || name === 'six') return six;
  if (name === 'eight') return eight;
  throw new BadInput(`--scheme ${name}: unknown numbering; use six or eight`);
}

/** The combination that an argument spells, `-` standing for standard input. */
export function combinationFrom(argument: string | undefined, scheme: Scheme): Combination {
  if (argument === undefined) throw new BadInput('no combination given; put it in quotes, for example "1 2 3b"');
  const read = readCombination(argument === '-' ? readText('-') : argument, { scheme });
  if (!read.ok) throw new BadInput(sayFault(read.fault));
  return read.value;
}

interface MoveRow {
  name: string;
  side: string | null;
  limb: Limb | null;
  target: string | null;
  family: Family;
}

function moveRows(turn: Repetition, scheme: Scheme): MoveRow[] {
  return turn.walk.steps.flatMap(({ step, stance }) =>
    step.content.map((content): MoveRow => {
      if (content.kind === 'move')
        return {
          name: moveName(content),
          side: content.side,
          limb: limbOf(content, stance),
          target: content.target,
          family: familyOf(content),
        };
      const name = content.kind === 'slot' ? writeSlot(content, scheme) : 'freestyle';
      return { name, side: null, limb: null, target: null, family: 'slot' };
    }),
  );
}

/** More repairs than this are not worked out: a combination stuck so often wants writing anew. */
const mostRepaired = 40;

function seamRows(
  studied: Study,
  turn: number,
  scheme: Scheme,
  options: { stance: Stance },
  school: Schools['kick'],
): unknown[] {
  const repetition = studied.turns[turn];
  if (!repetition) return [];
  // Seams lie between steps, and a step of two moves counts twice in the list of moves.
  let lastMove = -1;
  const ends = repetition.walk.steps.map(({ step }) => (lastMove += step.content.length));
  let repaired = 0;
  return repetition.seams.map((seam) => {
    const wanted = seam.stuck && (repaired += 1) <= mostRepaired;
    const repairs = wanted
      ? repairsFor(studied, turn, seam, options).map((repair) => writeCombination(repair.combination, scheme))
      : [];
    return {
      after: ends[seam.after],
      verdict: seam.verdict,
      cost: toSeconds(seam.cost),
      reason: seam.reason,
      repairs,
      level: isWorthSaying(seam, school) ? seam.level : 'none',
      loop: seam.loop,
    };
  });
}

export interface ComboOptions {
  readonly scheme?: string;
  readonly stance?: string;
  readonly pace?: string;
  readonly bag?: string;
  readonly level?: string;
  readonly schools?: string;
}

/** The schools that `--schools` names, by the same words as a text's head. */
export function schoolsNamed(given: string | undefined): Schools {
  const { schools, unread } = readSchools(given ?? '');
  if (unread !== null) throw new BadInput(`--schools "${unread}": write ${schoolsExample}`);
  return schoolsOf({ schools });
}

function levelNamed(name: string | undefined): Level | undefined {
  const level = levels.find((each) => each === name);
  if (name !== undefined && !level) throw new BadInput(`--level ${name}: write ${levels.join(', ')}`);
  return level;
}

function fitRow(combination: Combination, name: string, scheme: Scheme, conditions: Conditions): unknown {
  const bag = bagKinds.find((kind) => kind === name);
  if (!bag) throw new BadInput(`--bag ${name}: write ${bagKinds.join(', ')}`);
  const { verdict, reasons, adapted, offers } = fitToBag(combination, bag, conditions);
  return {
    bag,
    verdict,
    reasons,
    adapted: adapted && writeCombination(adapted, scheme),
    ...(offers.length === 0
      ? {}
      : { offers: offers.map(({ what, combination: text }) => ({ what, text: writeCombination(text, scheme) })) }),
  };
}

/** Figures with at most three decimals. */
const rounded = (counts: Counts): Record<string, number> =>
  Object.fromEntries(Object.entries(counts).map(([key, value]) => [key, Math.round(value * 1000) / 1000]));

/** `tempo combo "TEXT"`: what the core knows of one combination. */
export function combo(argument: string | undefined, options: ComboOptions): unknown {
  const scheme = schemeNamed(options.scheme);
  const stance = (options.stance ?? 'orthodox') as Stance;
  if (!['orthodox', 'southpaw', 'square'].includes(stance))
    throw new BadInput(`--stance ${stance}: write orthodox, southpaw or square`);
  const pace = Number(options.pace ?? 1);
  if (!(pace > 0 && pace <= 10))
    throw new BadInput(`--pace ${options.pace}: use a factor above 0, up to 10; 1 is steady pace`);
  const source = argument === '-' ? readText('-') : argument;
  const combination = combinationFrom(source, scheme);
  const conditions = { level: levelNamed(options.level), schools: schoolsNamed(options.schools) };
  const notes = secondReadings(source ?? '', scheme).map(({ what, mend }) => ({ what, mend }));
  const studied = study(combination, { stance });
  const describe = (turn: Repetition, index: number) => ({
    moves: moveRows(turn, scheme),
    seams: seamRows(studied, index, scheme, { stance }, conditions.schools.kick),
    seconds: toSeconds(turn.ms / pace),
  });
  const [first] = studied.turns;
  if (!first) throw new BadInput('character 1: this is empty; write at least one move');
  return {
    text: writeCombination(combination, scheme),
    moves: moveRows(first, scheme),
    counts: rounded(countCombination(combination)),
    stance: { start: first.walk.start, end: first.walk.end },
    seams: seamRows(studied, 0, scheme, { stance }, conditions.schools.kick),
    seconds: toSeconds(studied.ms / pace),
    ...(options.bag === undefined ? {} : { fit: fitRow(combination, options.bag, scheme, conditions) }),
    ...(notes.length === 0 ? {} : { notes }),
    ...(studied.turns.length > 1 ? { turns: studied.turns.map(describe) } : {}),
  };
}
