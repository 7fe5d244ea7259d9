import fc from 'fast-check';
import { demoSheets } from '../demo/sheets';
import { sessionTemplates, writeSheetJson, writeTempoText } from '../core/index';

/** One way to damage a text: at a place given as a share of its length. */
interface Damage {
  readonly how: 'cut' | 'double' | 'swap' | 'put';
  readonly at: number;
  readonly length: number;
  readonly put: string;
}

const pieces = [
  ...[
    '{',
    '}',
    '[',
    ']',
    '"',
    ':',
    ',',
    '\\',
    '\n',
    '\r',
    '\t',
    '\u0000',
    '\uFEFF',
    '\u202E',
    '😀',
    '-1',
    '1e309',
    '0.5',
  ],
  ...[
    'null',
    '99',
    'x99',
    '24:00:00',
    '0:00',
    '999:99:99',
    '"id":"',
    '"ms":',
    '"kind":"round"',
    '__proto__',
    'round 1:00',
  ],
  ...[
    'build pyramid every 0:01: ',
    'any 1-99',
    '(1 2)x99',
    '[1 / 2]',
    '+',
    '!',
    '~',
    'say "x" at ',
    'focus: ',
    'combo A: A',
  ],
];

const damage: fc.Arbitrary<Damage> = fc.record({
  how: fc.constantFrom('cut', 'double', 'swap', 'put'),
  at: fc.double({ min: 0, max: 1, noNaN: true }),
  length: fc.nat(40),
  put: fc.constantFrom(...pieces),
});

function damaged(text: string, { how, at, length, put }: Damage): string {
  const from = Math.floor(at * text.length);
  const [before, here, after] = [text.slice(0, from), text.slice(from, from + length), text.slice(from + length)];
  switch (how) {
    case 'cut':
      return before + after;
    case 'double':
      return before + here + here + after;
    case 'swap':
      return before + put + after;
    case 'put':
      return before + put + here + after;
  }
}

const texts = [
  ...demoSheets.map(writeSheetJson),
  ...demoSheets.map(writeTempoText),
  ...sessionTemplates.map(({ text }) => text),
];

/** Files as they come in after an accident: our own, damaged in some places. */
export const damagedFile: fc.Arbitrary<string> = fc
  .tuple(fc.constantFrom(...texts), fc.array(damage, { minLength: 1, maxLength: 6 }))
  .map(([text, all]) => all.reduce(damaged, text));

const words = [
  ...[
    '1',
    '2',
    '3',
    '4',
    '5',
    '6',
    '1b',
    '3b',
    '2!',
    '1~',
    'lk',
    'bk',
    'tp',
    'sl',
    'ro',
    'bl',
    'in',
    'out',
    'swk',
    'hk',
  ],
  ...[
    'any 1',
    'any 2-4',
    'any 1 body',
    'any 1 defence',
    'end',
    '(',
    ')',
    ')x2',
    ')x99',
    '[',
    '/',
    ']',
    '+',
    ',',
    '-',
    'x3',
  ],
  ...[
    'jab',
    'cross',
    'lead',
    'rear',
    'hook',
    'feint',
    'sp',
    'ft',
    '112',
    '7',
    '99',
    'ang-l',
    'piv-r',
    'freestyle',
    'zz',
    '',
  ],
];

/** Combinations as fingers type them: words of the notation and others in any order. */
export const typedCombination: fc.Arbitrary<string> = fc.oneof(
  { weight: 9, arbitrary: fc.array(fc.constantFrom(...words), { maxLength: 14 }).map((all) => all.join(' ')) },
  { weight: 1, arbitrary: fc.string({ maxLength: 60, unit: 'binary' }) },
);

/** Values that stand in the place of others in damaged data. */
const instead: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom(null, undefined, '', -1, Infinity, NaN, [], {}, '__proto__', '\u0000', '\ud800', true),
  fc.jsonValue({ maxDepth: 1 }),
);

/** Data with values replaced or taken out at some places, counted through as they stand. */
function replaced(data: unknown, all: readonly { readonly at: number; readonly value: unknown }[]): unknown {
  let count = 0;
  const total = (value: unknown): number =>
    typeof value === 'object' && value !== null
      ? Object.values(value).reduce<number>((sum, each) => sum + total(each), 1)
      : 1;
  const places = new Map(all.map(({ at, value }) => [Math.floor(at * total(data)), value]));
  const walk = (value: unknown): unknown => {
    const place = count;
    count += 1;
    if (places.has(place)) return places.get(place);
    if (Array.isArray(value)) return value.map(walk);
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, walk(each)]));
  };
  return walk(data);
}

/** One of some data, damaged in some places. `fc.sample(damagedData([{ kind: 'close' }]))` */
export const damagedData = (seeds: readonly unknown[]): fc.Arbitrary<unknown> =>
  fc
    .tuple(
      fc.constantFrom(...seeds),
      fc.array(fc.record({ at: fc.double({ min: 0, max: 0.999, noNaN: true }), value: instead }), { maxLength: 4 }),
    )
    .map(([seed, all]) => replaced(seed, all));
