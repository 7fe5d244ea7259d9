// A generator of whole sheets, shared by the property tests. Holds no tests of its own.
import fc from 'fast-check';
import { anyCombination } from '../notation/arbitrary.spec';
import { writeCombination } from '../notation/write';
import { goalsOf } from '../progressions/build';
import { buildKinds } from '../progressions/kinds';
import { stancePlans } from './stances';
import { effortNames, focusNames } from '../mechanics/effort';
import { rhythmHands, stanceNames } from './pieces';
import { blockKinds, sheetFormat, sheetVersion, type Block, type Piece, type Sheet } from './schema';
import { bagKinds, levels } from '../bags/kind-names';

const maybe = <T>(key: string, value: fc.Arbitrary<T>): fc.Arbitrary<Record<string, T>> =>
  fc.option(value, { nil: null }).map((got): Record<string, T> => (got === null ? {} : { [key]: got }));
const merged = (...parts: fc.Arbitrary<object>[]): fc.Arbitrary<object> =>
  fc.tuple(...parts).map((all) => Object.assign({}, ...all) as object);

const ms = fc.oneof(
  fc.integer({ min: 1, max: 40 }).map((count) => count * 5000),
  fc.integer({ min: 1000, max: 7_300_000 }),
);
/** Words as a coach writes them, and words that could be taken for something else. */
const words = fc.oneof(
  fc.constantFrom(
    'easy feet',
    '1 2',
    'own time',
    'call go 3',
    'x3 a / b',
    'strong: not an effort',
    'hands "high"',
    '  spaces ',
    'gap 2s',
    'a\nb',
    '// no comment',
    '0:30 more',
    '“quoted”',
    'technique',
    'reset',
    'square hips',
    'pause',
    'rhythm 3',
    'A',
    'close',
    '',
  ),
  fc.string({ maxLength: 30 }),
);
/** A coach's own words for a drill. */
const drillWords = fc.constantFrom('stand on the spot', 'hands "high"', 'call go 3', 'strong: x', '1 2', ' spaces ');
const text = anyCombination.map((combination) => writeCombination(combination));
const effort = fc.oneof(fc.constantFrom(...effortNames), fc.integer({ min: 10, max: 100 }));
const timed = merged(
  fc.record({ ms, effort }),
  maybe('focus', fc.constantFrom(...focusNames)),
  maybe('stance', fc.constantFrom(...stanceNames)),
  maybe('power', fc.integer({ min: 10, max: 100 })),
);
const breath = merged(
  maybe('nonStop', fc.constant(true)),
  maybe('gapMs', fc.integer({ min: 0, max: 60_000 })),
  maybe('between', words),
  maybe('voice', fc.constantFrom('strikes', 'click')),
  maybe('bpm', fc.integer({ min: 30, max: 240 })),
  maybe(
    'lanes',
    fc.tuple(text, text).map(([a, b]) => [
      { bag: 'double-end', text: a },
      { bag: 'Rope mat', text: b },
    ]),
  ),
);

const piece: fc.Arbitrary<object> = fc.oneof(
  merged(
    fc.record({ kind: fc.constant('combination'), text }),
    timed,
    breath,
    maybe(
      'words',
      words.filter((each) => each !== ''),
    ),
    maybe('otherStance', fc.constantFrom('reset', 'carry on mirrored')),
  ),
  merged(fc.record({ kind: fc.constantFrom('own-time', 'change-over', 'pause') }), timed),
  merged(
    fc.record({
      kind: fc.constant('rhythm'),
      row: fc.array(fc.constantFrom(0, 1, 3, 5, 7), { minLength: 1, maxLength: 4 }),
    }),
    timed,
    maybe('hand', fc.constantFrom(...rhythmHands)),
    maybe('elbow', fc.constant(true)),
    fc.constantFrom({}, { growTo: 5 }, { growFrom: 2, growTo: 4 }),
    maybe('rebounds', fc.integer({ min: 30, max: 1000 })),
    maybe('words', drillWords),
  ),
  merged(fc.record({ kind: fc.constant('words'), words }), timed),
  merged(
    fc.record({
      kind: fc.constant('calls'),
      drill: fc.constantFrom('count', 'direction', 'go'),
      least: fc.integer({ min: 1, max: 4 }),
      most: fc.integer({ min: 4, max: 20 }),
    }),
    timed,
    maybe('seed', fc.integer({ min: 0, max: 4_294_967_295 })),
    fc.option(
      fc.record({ gapLeastMs: fc.integer({ min: 0, max: 2000 }), gapMostMs: fc.integer({ min: 2000, max: 9000 }) }),
      { nil: {} },
    ),
    maybe('between', words),
    maybe('words', drillWords),
  ),
  fc.constantFrom(...buildKinds).chain((build) =>
    merged(
      fc.record({
        kind: fc.constant('build'),
        build: fc.constant(build),
        effort,
        goal: goalsOf(build) === 0 ? fc.constant('') : text,
        defence: fc.constantFrom('rides', 'own'),
        every: fc.oneof(fc.constant('round'), fc.array(ms, { minLength: 1, maxLength: 3 })),
      }),
      goalsOf(build) === 2 ? fc.record({ second: text }) : fc.constant({}),
      maybe('focus', fc.constantFrom(...focusNames)),
      maybe('kick', fc.constantFrom('opposite', 'same')),
      maybe('cuts', fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 3 })),
      maybe('from', fc.integer({ min: 1, max: 5 })),
      maybe('to', fc.integer({ min: 5, max: 9 })),
      maybe('again', fc.constant(true)),
      maybe('alone', fc.constant(true)),
      maybe('stance', fc.constantFrom(...stanceNames)),
      maybe('power', fc.integer({ min: 10, max: 100 })),
      maybe('efforts', fc.array(fc.integer({ min: 10, max: 100 }), { minLength: 2, maxLength: 5 })),
      maybe('pattern', fc.array(fc.constantFrom('head', 'body', 'leg'), { minLength: 1, maxLength: 4 })),
      breath,
    ),
  ),
);

const focuses = fc.constantFrom(
  [
    { words: 'Chin "down"', moves: ['jab', 'rear hook', '3b'] },
    { words: 'Touch it', moves: ['body'], bags: ['standing', 'rope "wall"'], levels: ['beginner'], everyMs: 45_000 },
  ],
  [{ words: 'Alone', moves: [], only: true }],
);

const block: fc.Arbitrary<object> = fc.constantFrom(...blockKinds).chain((kind) =>
  merged(
    fc.record({
      kind: fc.constant(kind),
      ms: kind === 'rest' ? fc.option(ms) : ms,
      pieces: fc.array(piece, { maxLength: 4 }),
    }),
    maybe('title', words),
    maybe('purpose', words),
    maybe('bag', fc.constantFrom(...bagKinds)),
    maybe('goal', fc.integer({ min: 1, max: 100_000 })),
    maybe('times', fc.integer({ min: 1, max: 12 })),
    maybe('restMs', ms),
    maybe('switchStance', fc.constant(true)),
    maybe('learnThenMirror', fc.constant(true)),
    maybe('focuses', focuses),
    maybe(
      'says',
      fc.array(fc.record({ words, atMs: fc.integer({ min: 0, max: 600_000 }) }), { minLength: 1, maxLength: 2 }),
    ),
    maybe(
      'note',
      fc.array(fc.string({ maxLength: 20 }), { minLength: 1, maxLength: 3 }).map((lines) => lines.join('\n')),
    ),
  ),
);

const head: fc.Arbitrary<object> = merged(
  fc.record({
    title: words,
    numbers: fc.oneof(
      fc.constantFrom('six', 'eight'),
      fc.constant({ name: 'Tower, "own"', beyondSix: [{ number: 7, move: 'bk' }] }),
    ),
    stance: fc.constantFrom(...stanceNames),
    bag: fc.constantFrom(...bagKinds),
    class: merged(
      maybe('people', fc.integer({ min: 0, max: 500 })),
      maybe('leftHanded', fc.integer({ min: 0, max: 500 })),
      maybe('level', fc.constantFrom(...levels)),
      maybe('pace', fc.constantFrom(0.3, 0.85, 1.15, 2.5)),
      maybe(
        'note',
        words.filter((each) => each !== ''),
      ),
    ),
  }),
  maybe(
    'parts',
    fc.tuple(text, text).map(([a, b]) => [
      { name: 'A', text: a },
      { name: 'Finish2', text: b },
    ]),
  ),
  maybe(
    'lanes',
    fc.constant([
      { bag: 'heavy', places: 2, access: 'quarter', lowKicks: false },
      { bag: 'Rope mat', places: 0 },
      { bag: 'double-end', places: 1 },
    ]),
  ),
  maybe(
    'ownBags',
    fc.constant([
      {
        name: 'Rope mat',
        targets: ['head', 'leg'],
        families: ['punch', 'kick'],
        powerCapped: true,
        wildAfterHooks: true,
        oneAtATime: true,
        longest: { beginner: 2, intermediate: 4, advanced: 6 },
        rhythm: 'soft, "by ear"',
        care: 'mind the knots',
      },
      { name: 'Tyre', targets: ['body'], families: ['punch'] },
    ]),
  ),
  maybe(
    'changeOverMs',
    fc.integer({ min: 0, max: 600 }).map((count) => count * 1000),
  ),
  maybe('groups', fc.integer({ min: 1, max: 100 })),
  maybe(
    'stances',
    fc.record({
      plan: fc.constantFrom(...stancePlans),
      pieces: fc.integer({ min: 1, max: 50 }),
      settleMs: fc.integer({ min: 0, max: 60 }).map((count) => count * 500),
      firstPace: fc.constantFrom(0.3, 0.8, 0.85, 1),
    }),
  ),
  maybe(
    'calls',
    fc.constantFrom(
      { quiet: ['water', 'breathing'], wordings: { strikesAs: 'both', sides: false } },
      {
        wordings: {
          phrases: [{ key: 'switch stance', full: 'Change / over', short: 'Change' }],
          cheers: ['Good work'],
          strikesAs: 'names',
          sides: true,
        },
        talk: 'names',
        edits: [
          { key: 'b1/b1p1/1//first new', say: 'Hands up', atMs: 1200 },
          { key: 'b1/b1p1/1//first focus', muted: true },
        ],
      },
    ),
  ),
  maybe('focuses', focuses),
  maybe(
    'schools',
    fc.constantFrom<object>(
      { kick: 'same' },
      { afterHook: 'rear straight', bodyOnDoubleEnd: 'lower cord', ballTricks: true },
    ),
  ),
  maybe('ball', fc.constant({ mass: 0.3, upper: 1.2, lower: 1.4, tensionUpper: 63, tensionLower: 60 })),
  maybe('gloves', fc.constant({ onMs: 50_000, offMs: 15_000 })),
  maybe('head', fc.constant([{ key: 'coach', value: 'Wren, "the first"' }])),
  maybe('note', fc.constant('last words\n\nafter an empty line')),
  maybe('origin', fc.constant('R1: "1 2" // all out\n\n  abs 4 min')),
);

/** Sheets over the whole schema, with ids by place as the text's reader gives them. */
export const anySheet: fc.Arbitrary<Sheet> = fc.tuple(head, fc.array(block, { maxLength: 5 })).map(([top, blocks]) => ({
  format: sheetFormat,
  version: sheetVersion,
  id: 'tempo-text',
  ...(top as Pick<Sheet, 'title' | 'class' | 'numbers' | 'stance' | 'bag'>),
  blocks: (blocks as Block[]).map((each, at) => ({
    ...each,
    id: `b${at + 1}`,
    pieces: each.pieces.map((inner, index): Piece => ({ ...inner, id: `b${at + 1}p${index + 1}` })),
  })),
}));
