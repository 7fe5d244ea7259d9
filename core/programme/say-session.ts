import { describeCombination } from '../mechanics/describe';
import { readStored } from '../notation/stored';
import { flatten } from '../progressions/flat';
import { alike } from '../merging/alike';
import type { Programme, ProgrammeSession } from '../sheet/programme';
import { sayStep } from './steps';

/** What is worked in a session, in words. */
export interface SaidSession {
  /** `Add the rear slip`, `Review` */
  readonly head: string;
  /** The combination that is worked up to, or reviewed. */
  readonly text: string;
  /** What is reviewed beside it. */
  readonly reviews: readonly string[];
}

/** The moves that a combination has behind those of another one, by name; null where it does not begin with them. */
function addedMoves(before: string, now: string): string | null {
  const [first, second] = [readStored(before), readStored(now)];
  if (!first.ok || !second.ok) return null;
  const [old, all] = [flatten(first.value.items), flatten(second.value.items)];
  if (all.length <= old.length || !alike(old, all.slice(0, old.length))) return null;
  return describeCombination({ items: all.slice(old.length) }).replace(/\.$/, '');
}

/**
 * What is worked in a session of a programme: the move that it adds and all that it leads to, or what it reviews.
 * @example saySession(programme, session) // { head: 'Add the rear slip', text: '1 2 3b sl', reviews: ['1 2 3b'] }
 */
export function saySession({ sessions }: Pick<Programme, 'sessions'>, session: ProgrammeSession): SaidSession {
  const { adds, repeats, easier } = session;
  if (!adds) {
    const [text = '', ...reviews] = repeats;
    return { head: easier ? 'Easier: review' : 'Review', text, reviews };
  }
  if (adds.kind !== 'combination') return { head: sayStep(adds), text: '', reviews: repeats };
  const before = sessions
    .filter(({ day }) => day < session.day)
    // One that was moved keeps its place in the list.
    .sort((one, other) => one.day.localeCompare(other.day))
    .flatMap(({ adds: earlier }) => (earlier?.kind === 'combination' ? [earlier.text] : []))
    .at(-1);
  const added = before === undefined ? null : addedMoves(before, adds.text);
  const head = added === null ? (before === undefined ? 'Begin with' : 'Change to') : `Add the ${added}`;
  return { head, text: adds.text, reviews: repeats };
}

/** The same in a line. `sayInLine(saySession(programme, session))` → `Add the rear slip · 1 2 3b sl; review 1 2 3b` */
export function sayInLine({ head, text, reviews }: SaidSession): string {
  const own = text === '' ? head : `${head} · ${text}`;
  return reviews.length > 0 ? `${own}; review ${reviews.join(', ')}` : own;
}
