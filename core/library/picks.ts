import { shownBag } from '../bags/kinds';
import { six } from '../moves/scheme';
import { readStored } from '../notation/stored';
import type { Combination } from '../notation/combination';
import { readTempoText } from '../formats/tempo-text/read';
import type { BookEntry } from '../sheet/book';
import type { FreshId } from '../sheet/fresh';
import type { Block, Sheet } from '../sheet/schema';
import { blockLength } from '../timeline/compile';
import { pieceName } from '../timeline/piece-name';
import { textsOf } from '../timeline/stages';
import type { Milliseconds } from '../units';
import { bagPlans } from './bag-plans';
import { clockFormats } from './clock-formats';
import { exercises } from './exercise-list';
import { sessionTemplates } from './templates';

/** Where something that can be put into a sheet comes from, in the order they are offered. */
export const pickKinds = ['format', 'exercise', 'template', 'book', 'sheet'] as const;
export type PickKind = (typeof pickKinds)[number];

/** Something that can be put into a sheet: whole blocks, an exercise, or a combination. */
export interface Pick {
  readonly key: string;
  readonly kind: PickKind;
  readonly name: string;
  /** What it is for, in a line; empty where the name says it. */
  readonly what: string;
  /** What it was called before, by which it is found, too. */
  readonly formerly?: string;
  /** The whole sheet that it is, where it is one: a session may begin with it. */
  readonly sheet?: Sheet;
  readonly adds:
    | { readonly what: 'blocks'; readonly blocks: readonly Block[] }
    | { readonly what: 'exercise'; readonly words: string; readonly ms: Milliseconds }
    | { readonly what: 'combination'; readonly text: string };
}

const fromText = (key: string, kind: PickKind, name: string, what: string, text: string): Pick => ({
  key,
  kind,
  name,
  what,
  adds: { what: 'blocks', blocks: readTempoText(text).sheet.blocks },
});

let built: readonly Pick[] | null = null;

/** Everything of our own that can be put into a sheet: formats, plans for a bag, exercises, sessions. Read once. */
export function libraryPicks(): readonly Pick[] {
  built ??= [
    ...clockFormats.map(({ name, group, text }) => fromText(`format ${name}`, 'format', name, group, text)),
    ...bagPlans.map(({ name, bag, text }) => fromText(`plan ${name}`, 'format', name, `on the ${shownBag(bag)}`, text)),
    ...exercises.map(({ name, formerly, part, ms, how }): Pick => ({
      key: `exercise ${name}`,
      kind: 'exercise',
      name,
      ...(formerly ? { formerly } : {}),
      what: `${part}: ${how}`,
      adds: { what: 'exercise', words: name, ms },
    })),
    ...sessionTemplates.map(({ id, what, text }): Pick => {
      const { sheet } = readTempoText(text);
      return { ...sheetPick(sheet), key: `template ${id}`, kind: 'template', what };
    }),
  ];
  return built;
}

/** A combination of the coach's book, to be put into a sheet. */
export function bookPick({ id, name, text, tags }: BookEntry): Pick {
  return {
    key: `book ${id}`,
    kind: 'book',
    name: name || text,
    what: [...(name ? [text] : []), ...tags].join(' · '),
    adds: { what: 'combination', text },
  };
}

/** Another sheet of the coach's, its blocks to be put into this one. */
export function sheetPick(sheet: Sheet): Pick {
  const { id, title, blocks } = sheet;
  return {
    key: `sheet ${id}`,
    kind: 'sheet',
    name: title || 'Untitled',
    what: '',
    sheet,
    adds: { what: 'blocks', blocks },
  };
}

/** How long it takes; null where its place decides. `pickLength(libraryPicks()[0])` → `840000` */
export function pickLength({ adds }: Pick): Milliseconds | null {
  if (adds.what === 'combination') return null;
  if (adds.what === 'exercise') return adds.ms;
  return adds.blocks.reduce((sum, block) => sum + blockLength(block), 0);
}

/** The combination that shows what it is about: its first; null where it has none. */
export function pickPicture({ adds }: Pick): Combination | null {
  const texts =
    adds.what === 'combination'
      ? [adds.text]
      : adds.what === 'blocks'
        ? adds.blocks.flatMap(({ pieces }) => pieces.flatMap(textsOf))
        : [];
  for (const text of texts) {
    const read = readStored(text);
    if (read.ok) return read.value;
  }
  return null;
}

const texts = new WeakMap<Pick, string>();

/** All that a pick is found by: its name, its use, titles and pieces of its blocks. */
function textOf(pick: Pick): string {
  let text = texts.get(pick);
  if (text === undefined) {
    const { name, formerly = '', what, adds } = pick;
    const inside =
      adds.what === 'combination'
        ? [adds.text]
        : adds.what === 'blocks'
          ? adds.blocks.flatMap(({ title, pieces }) => [title ?? '', ...pieces.map((piece) => pieceName(piece, six))])
          : [];
    text = [name, formerly, what, ...inside].join(' ').toLowerCase();
    texts.set(pick, text);
  }
  return text;
}

/** Picks whose name, use or content holds all of the words. `picksFor(all, 'pyramid rear')` */
export function picksFor(picks: readonly Pick[], words: string): readonly Pick[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return wanted.length === 0 ? picks : picks.filter((pick) => wanted.every((word) => textOf(pick).includes(word)));
}

/** Blocks to be put in under ids of their own. */
export function freshBlocks(blocks: readonly Block[], freshId: FreshId): Block[] {
  return blocks.map((block) => ({
    ...block,
    id: freshId(),
    pieces: block.pieces.map((piece) => ({ ...piece, id: freshId() })),
  }));
}
