import { exactClock } from '../clock-text';
import type { BagKind } from '../bags/kind-names';
import { draftSheet } from '../draft/draft';
import { readTempoText } from '../formats/tempo-text/read';
import type { ProgrammeSession, ProgrammeWishes } from '../sheet/programme';
import type { Block, Sheet } from '../sheet/schema';
import { sayStep } from './steps';

/** A number that is always the same for the same name, for a draft's seed (FNV-1a, 32 bits). */
function seedOf(name: string): number {
  let hash = 0x811c9dc5;
  for (const sign of name) hash = Math.imul(hash ^ (sign.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return hash;
}

/** As many rounds as a goal of rounds asks for, on what is due. */
function roundsText(
  wishes: ProgrammeWishes,
  bag: BagKind,
  rounds: number,
  roundMs: number,
  texts: readonly string[],
): string {
  const work = Array.from(
    { length: rounds },
    (_, at) => `round ${exactClock(roundMs)}: ${texts[at % texts.length] ?? '1 2'}`,
  );
  return [
    `bag: ${bag}`,
    `level: ${wishes.level}`,
    'warm-up 5:00',
    '  5:00 easy shadow: freestyle',
    work.join('\nrest 1:00\n'),
    'cool-down 3:00',
  ].join('\n');
}

/** The last rounds of a sheet in the other stance, so many per cent of them. */
function turned(sheet: Sheet, percent: number): Sheet {
  const rounds = sheet.blocks.filter(({ kind }) => kind === 'round');
  const first = rounds[rounds.length - Math.round((rounds.length * percent) / 100)];
  if (!first) return sheet;
  return {
    ...sheet,
    blocks: sheet.blocks.map((block): Block => (block.id === first.id ? { ...block, switchStance: true } : block)),
  };
}

/** What is repeated where nothing is due yet (house value). */
const plain = '1 2';

/**
 * The sheet of a session: what it adds, built up, then what is due; always the same for the same session.
 * @example sheetOfSession(programme.wishes, programme.sessions[0], 'sheet-1').title
 */
export function sheetOfSession(wishes: ProgrammeWishes, session: ProgrammeSession, id: string): Sheet {
  const { adds, repeats, minutes } = session;
  const goals = [...(adds?.kind === 'combination' ? [adds.text] : []), ...repeats];
  const texts = goals.length > 0 ? goals : [plain];
  const { level, kind, people } = wishes;
  const bag = session.bag ?? wishes.bag;
  const sheet =
    adds?.kind === 'rounds'
      ? readTempoText(roundsText(wishes, bag, adds.rounds, adds.roundMs, texts)).sheet
      : draftSheet({ minutes, level, kind, bag, goals: texts }, seedOf(session.id)).sheet;
  const whole = adds?.kind === 'stances' ? turned(sheet, adds.percent) : sheet;
  const what = adds ? sayStep(adds) : session.easier ? 'easier week' : 'review';
  return {
    ...whole,
    id,
    title: `${session.day}: ${what}`.slice(0, 200),
    class: { ...whole.class, level, ...(people === null ? {} : { people }) },
  };
}
