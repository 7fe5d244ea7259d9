import type * as z from '../schemas';
import { bookEntrySchema, bookSchema } from './book';
import { focusSchema, sheetCallsSchema, wordingsSchema } from './calls';
import { roomSchema } from './room';
import { sheetSchema } from './schema';
import { readTempoText } from '../formats/tempo-text/read';

/* The other limits of docs/formats/sheet.md, each at its figure and one above it: what the schema of that door takes. */
const many = <T>(count: number, one: (at: number) => T): T[] => Array.from({ length: count }, (_, at) => one(at));
const sheet = readTempoText('round 1:00').sheet;
const ownBag = (at: number): object => ({ name: `bag ${at}`, targets: ['head'], families: ['punch'] });
const lane = (at: number): object => ({ bag: `bag ${at}`, places: 1 });
const entry = (at: number): Record<string, unknown> => ({ id: `e${at}`, name: '', text: '1 2', tags: [], note: '' });
const book = (entries: readonly object[]): object => ({
  format: 'keen-tempo/book',
  version: 1,
  title: '',
  entries,
});
const room = {
  format: 'keen-tempo/room',
  version: 1,
  name: 'x',
  width: 6,
  depth: 6,
  statures: [],
  bags: [],
  ownBags: [],
};
const roomBag = (at: number): object => ({
  id: `r${at}`,
  kind: 'heavy',
  name: '',
  x: 1,
  y: 1,
  radius: 0.2,
  bottom: 0.5,
  top: 1.9,
  places: 1,
});

const limits: readonly (readonly [string, number, z.ZodMiniType, (count: number) => unknown])[] = [
  ['lanes', 12, sheetSchema, (count) => ({ ...sheet, ownBags: many(count, ownBag), lanes: many(count, lane) })],
  ['own bags of a sheet', 20, sheetSchema, (count) => ({ ...sheet, ownBags: many(count, ownBag) })],
  ['edited calls', 2000, sheetCallsSchema, (count) => ({ edits: many(count, (at) => ({ key: `k${at}` })) })],
  ['cheers', 30, wordingsSchema, (count) => ({ cheers: many(count, (at) => `go ${at}`) })],
  ['moves of a reminder', 40, focusSchema, (count) => ({ words: 'x', moves: many(count, () => '2') })],
  ['own bags of a room', 20, roomSchema, (count) => ({ ...room, ownBags: many(count, ownBag) })],
  ['bags of a room', 60, roomSchema, (count) => ({ ...room, bags: many(count, roomBag) })],
  ['statures', 500, roomSchema, (count) => ({ ...room, statures: many(count, () => 1.7) })],
  ['combinations of a book', 10_000, bookSchema, (count) => book(many(count, entry))],
  ['tags', 20, bookEntrySchema, (count) => ({ ...entry(1), tags: many(count, (at) => `t${at}`) })],
  ['characters of a book’s note', 1000, bookEntrySchema, (count) => ({ ...entry(1), note: 'x'.repeat(count) })],
];

describe('limits beside blocks on a sheet', () => {
  for (const [what, most, schema, made] of limits)
    it(`${most} ${what}, and no more`, () => {
      const full = schema.safeParse(made(most));
      expect(full.success ? '' : JSON.stringify(full.error.issues.slice(0, 2))).toBe('');
      const over = schema.safeParse(made(most + 1));
      expect(over.success ? [] : over.error.issues.map(({ code }) => code)).toEqual(['too_big']);
    });
});
