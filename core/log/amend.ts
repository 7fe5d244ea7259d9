import { alike } from '../merging/alike';
import { mostAmendments, saidFields, type LogEntry, type Said } from './log-entry';
import type { Sheet } from '../sheet/schema';
import type { WallTime } from './day';

/** Changes of the same fields that follow each other this quickly are one (house value). */
const oneSittingMs = 10 * 60_000;

const fieldsOf = (said: object): string => Object.keys(said).sort().join(' ');

/**
 * An entry with something of it said anew; what it was before is kept in its history. What is said for the first time, and
 * what is said while it is typed, is no change.
 * @example amend(entry, { effort: 7 }, Date.now()).history?.at(-1)?.was // { effort: 5 }
 */
export function amend(entry: LogEntry, change: Said, at: WallTime): LogEntry {
  const changed = saidFields.filter((field) => field in change && !alike(entry[field], change[field]));
  if (changed.length === 0) return entry;
  const was = Object.fromEntries(
    changed.flatMap((field) => {
      const before = entry[field];
      return before === null || before === undefined || before === '' ? [] : [[field, before]];
    }),
  );
  const next: LogEntry = { ...entry, ...change };
  if (Object.keys(was).length === 0) return next;
  const history = entry.history ?? [];
  const last = history.at(-1);
  if (last && at - last.at < oneSittingMs && fieldsOf(last.was) === fieldsOf(was)) return next;
  return { ...next, history: [...history, { at, was }].slice(-mostAmendments) };
}

/** Whether a person stands in an entry, in what it was as well. `speaksOf(entry, 'Ada')` → `true` */
export function speaksOf(entry: LogEntry, person: string): boolean {
  return !alike(entry, withoutPerson(entry, person));
}

/** A name that stands for somebody who was taken out, where a text speaks of them. */
const somebody = '…';

function withoutName(text: string, person: string): string {
  const escaped = person.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  return text.replace(new RegExp(`(?<![\\p{L}\\p{N}])${escaped}(?![\\p{L}\\p{N}])`, 'giu'), somebody);
}

function cleaned(value: unknown, person: string): unknown {
  if (typeof value === 'string') return withoutName(value, person);
  if (Array.isArray(value)) return value.filter((each) => !same(each, person)).map((each) => cleaned(each, person));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).flatMap(([key, each]) =>
        key === 'name' && same(each, person) ? [] : [[key, cleaned(each, person)]],
      ),
    );
  return value;
}

const same = (value: unknown, person: string): boolean =>
  typeof value === 'string' && value.trim().toLowerCase() === person.trim().toLowerCase();

/**
 * An entry with everything of one person taken out: the name among who was there, a count that was theirs (its figure too),
 * and the name in notes and in what the entry was before. How many there were stays.
 * @example withoutPerson(entry, 'Ada').who?.names // without "Ada"
 */
export function withoutPerson(entry: LogEntry, person: string): LogEntry {
  if (person.trim() === '') return entry;
  const theirs = same(entry.count?.name, person);
  const { count, ...rest } = entry;
  const plain: LogEntry = theirs
    ? {
        ...rest,
        counted: null,
        ...(rest.rounds ? { rounds: rest.rounds.map((each) => ({ ...each, counted: null })) } : {}),
      }
    : entry;
  const { who, history, sheet } = plain;
  return {
    ...plain,
    title: withoutName(plain.title, person),
    note: withoutName(plain.note, person),
    sheet: sheetWithout(sheet, person),
    ...(who ? { who: { ...who, names: who.names.filter((each) => !same(each, person)) } } : {}),
    ...(history ? { history: history.map(({ at, was }) => ({ at, was: cleanedWas(was, person) })) } : {}),
    ...(!theirs && count ? { count } : {}),
  };
}

/** A sheet whose own words speak of nobody of a name; combinations are moves, and stay. */
function sheetWithout(sheet: Sheet, person: string): Sheet {
  const note = <Noted extends { readonly note?: string | undefined }>(noted: Noted): Noted =>
    noted.note === undefined ? noted : { ...noted, note: withoutName(noted.note, person) };
  const { title, blocks, class: people } = sheet;
  return { ...note(sheet), title: withoutName(title, person), class: note(people), blocks: blocks.map(note) };
}

/** What an entry was, without a person: a count that was theirs goes with its name. */
function cleanedWas(was: Readonly<Record<string, unknown>>, person: string): Record<string, unknown> {
  const theirs = same((was['count'] as { name?: unknown } | undefined)?.name, person);
  return Object.fromEntries(
    Object.entries(was).flatMap(([key, value]) =>
      theirs && (key === 'count' || key === 'counted' || key === 'rounds') ? [] : [[key, cleaned(value, person)]],
    ),
  );
}
