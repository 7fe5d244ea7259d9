import { moveKind, moveKinds, type MoveId } from '../moves/catalogue';
import type { MoveKind, Side, Target } from '../moves/kind';
import type { Scheme } from '../moves/scheme';

/** What a word, or words, mean: a move before its default side is worked out. */
export interface Meaning {
  readonly id: MoveId;
  /** null where the words leave the side to the default. */
  readonly side: Side | null;
  readonly target: Target | null;
  /** A finer aim that the words name (`teep to the thigh`). */
  readonly aim?: string;
}

/** All spellings of a scheme, in small letters, words parted by one space. */
export interface Forms {
  readonly scheme: Scheme;
  readonly meanings: ReadonlyMap<string, Meaning>;
  /** Words in the longest spelling that begins with a word. */
  readonly longestFrom: ReadonlyMap<string, number>;
}

const targetLetter: Readonly<Record<Target, string>> = { head: 'h', body: 'b', leg: 'l' };
/** Places of the body as they are said, with the target they belong to; `aim` is kept beside it where it says more. */
const places: readonly { readonly word: string; readonly target: Target; readonly aim?: string }[] = [
  { word: 'head', target: 'head' },
  { word: 'face', target: 'head' },
  { word: 'body', target: 'body' },
  { word: 'leg', target: 'leg' },
  ...['jaw', 'chin', 'temple'].map((word) => ({ word, target: 'head' as const, aim: word })),
  ...['chest', 'ribs', 'belly', 'liver', 'hip'].map((word) => ({ word, target: 'body' as const, aim: word })),
  ...['thigh', 'knee', 'calf'].map((word) => ({ word, target: 'leg' as const, aim: word })),
];

type Add = (text: string, meaning: Meaning) => void;

function addAimed(add: Add, text: string, kind: MoveKind & { id: MoveId }, side: Side | null): void {
  const usual = kind.targets[0] ?? null;
  add(text, { id: kind.id, side, target: usual });
  if (kind.targets.length < 2) return;
  for (const target of kind.targets) add(text + targetLetter[target], { id: kind.id, side, target });
}

function addNames(add: Add, kind: MoveKind & { id: MoveId }): void {
  const usual = kind.targets[0] ?? null;
  for (const spelt of [kind.name, ...(kind.alsoNames ?? [])]) {
    const name = spelt.replaceAll('-', ' ');
    const sided: [string, Side | null][] = [[name, kind.marked ? null : kind.usual]];
    const namesOneSide = name.startsWith('lead ') || name.startsWith('rear ');
    if (!namesOneSide) for (const side of kind.sides) sided.push([`${side} ${name}`, side]);
    for (const [text, side] of sided) {
      add(text, { id: kind.id, side, target: usual });
      for (const { word, target, aim } of places) {
        if (!kind.targets.includes(target)) continue;
        const meaning = { id: kind.id, side, target, ...(aim ? { aim } : {}) };
        add(`${text} to ${word}`, meaning);
        add(`${text} to the ${word}`, meaning);
      }
      if (kind.family !== 'punch' || kind.targets.length < 2) continue;
      add(`body ${text}`, { id: kind.id, side, target: 'body' });
      if (side && text.startsWith(`${side} `)) add(`${side} body ${name}`, { id: kind.id, side, target: 'body' });
    }
  }
}

function addKind(add: Add, kind: MoveKind & { id: MoveId }): void {
  const { lead, rear, both, byTarget } = kind.short;
  if (byTarget) {
    const [first = '', ...others] = kind.name.split(' ');
    for (const target of kind.targets) {
      add(byTarget[target], { id: kind.id, side: kind.usual, target });
      const level = target === 'leg' ? 'low' : target;
      add([first, level, ...others].join(' '), { id: kind.id, side: kind.usual, target });
    }
  } else {
    if (both) add(both, { id: kind.id, side: kind.marked ? null : kind.usual, target: null });
    const numbered = (text: string) => /^\d/.test(text);
    if (lead && !numbered(lead)) addAimed(add, lead, kind, 'lead');
    if (rear && !numbered(rear)) addAimed(add, rear, kind, 'rear');
    for (const [text, side] of Object.entries(kind.alsoShort ?? {})) addAimed(add, text, kind, side);
  }
  addNames(add, kind);
}

function buildForms(scheme: Scheme): Forms {
  const meanings = new Map<string, Meaning>();
  const longestFrom = new Map<string, number>();
  const add: Add = (text, meaning) => {
    const before = meanings.get(text);
    if (before && (before.id !== meaning.id || before.side !== meaning.side || before.target !== meaning.target))
      throw new Error(`"${text}" would mean ${before.id} and ${meaning.id}`);
    meanings.set(text, meaning);
    const words = text.split(' ');
    const [first = ''] = words;
    longestFrom.set(first, Math.max(longestFrom.get(first) ?? 1, words.length));
  };
  for (const kind of moveKinds) addKind(add, kind);
  for (const { number, id, side } of scheme.numbers) {
    addAimed(add, String(number), { ...moveKind(id), id }, side);
  }
  return { scheme, meanings, longestFrom };
}

const built = new WeakMap<Scheme, Forms>();

/** All spellings that a scheme reads. Built once a scheme. `formsOf(six).meanings.get('2b')` */
export function formsOf(scheme: Scheme): Forms {
  let forms = built.get(scheme);
  if (!forms) {
    forms = buildForms(scheme);
    built.set(scheme, forms);
  }
  return forms;
}

/** How a scheme spells a kind of move on a side and target, without defence marks. `2b`, `lk`, `swh`, `sl` */
export function shortForm(scheme: Scheme, kind: MoveKind, side: Side | null, target: Target | null): string {
  if (kind.short.byTarget) return kind.short.byTarget[target ?? kind.targets[0] ?? 'body'];
  const numbered = scheme.numbers.find((meaning) => meaning.id === kind.id && meaning.side === side);
  const { lead, rear, both } = kind.short;
  const base = numbered ? String(numbered.number) : (both ?? (side === 'rear' ? rear : lead) ?? kind.name);
  return target && target !== kind.targets[0] ? base + targetLetter[target] : base;
}

/**
 * The side a defence takes when none is written: a first slip goes to the rear and each slip directly after
 * alternates; roll and duck to the rear; a lone block or parry is the lead arm, blocks directly after alternate; a
 * check is the lead leg; feet leave it open (trade page, section 3, common practice). Reader and writer both ask here.
 */
export function defaultSide(
  id: MoveId,
  before: { readonly id: MoveId; readonly side: Side | null } | null,
): Side | null {
  const kind = moveKind(id);
  if (!kind.marked) return kind.usual;
  if (kind.alternates && before?.id === id) return before.side === 'lead' ? 'rear' : 'lead';
  return kind.usual;
}
