// Generators over the whole vocabulary, shared by the property tests. Holds no tests of its own.
import fc from 'fast-check';
import { moveKinds } from '../moves/catalogue';
import type { Side } from '../moves/kind';
import { familyOf, isStrike, type Move } from '../moves/move';
import { fullTurn, unfoldedLength, type Combination, type Item } from './combination';
import { slotKinds } from './slot-kinds';

const plainMove: fc.Arbitrary<Move> = fc.constantFrom(...moveKinds).chain((kind) =>
  fc.record({
    kind: fc.constant('move' as const),
    id: fc.constant(kind.id),
    // Feet may leave their side open.
    side: fc.constantFrom<Side | null>(...(kind.sides.length > 0 ? kind.sides : [null]), kind.usual),
    target: kind.targets.length > 0 ? fc.constantFrom(...kind.targets) : fc.constant(null),
  }),
);

const aims = fc.constantFrom('jaw', 'thigh', 'hip', 'chest');

export const anyMove: fc.Arbitrary<Move> = fc
  .tuple(plainMove, fc.option(fc.constantFrom('hard' as const, 'light' as const)), fc.option(aims), fc.boolean())
  .map(([move, force, aim, feint]) => ({
    ...move,
    ...(force ? { force } : {}),
    ...(aim ? { aim } : {}),
    ...(feint && (isStrike(move) || familyOf(move) === 'feet') ? { feint: true as const } : {}),
  }));

const slot: fc.Arbitrary<Item> = fc
  .tuple(
    fc.integer({ min: 1, max: 9 }),
    fc.integer({ min: 0, max: 4 }),
    fc.constantFrom(...slotKinds),
    fc.option(anyMove),
    fc.boolean(),
    fc.boolean(),
  )
  .map(([least, more, of, end, different, hard]) => ({
    kind: 'slot',
    least,
    most: least + more,
    of,
    ...(hard ? { force: 'hard' as const } : {}),
    ...(end ? { end } : {}),
    ...(different ? { different: true as const } : {}),
  }));

const pair: fc.Arbitrary<Item> = fc.tuple(anyMove, anyMove).map(([one, two]) => ({ kind: 'pair', moves: [one, two] }));
const simple: fc.Arbitrary<Item> = fc.oneof({ arbitrary: anyMove, weight: 8 }, slot, pair);
const turns: fc.Arbitrary<Item> = fc
  .array(fc.array(simple, { minLength: 1, maxLength: 3 }), { minLength: 2, maxLength: 3 })
  .map((options) => ({ kind: 'turns', options }));
const group: fc.Arbitrary<Item> = fc
  .tuple(
    fc.array(fc.oneof({ arbitrary: simple, weight: 6 }, turns), { minLength: 1, maxLength: 4 }),
    fc.integer({ min: 1, max: 4 }),
  )
  .map(([items, times]) => ({ kind: 'group', items, times }));

/** Combinations over the whole vocabulary: every move, marks, feints, slots, pairs, groups and turns. */
export const anyCombination: fc.Arbitrary<Combination> = fc
  .array(fc.oneof({ arbitrary: simple, weight: 8 }, turns, group), { minLength: 1, maxLength: 8 })
  .map((items) => ({ items }))
  .filter(({ items }) => unfoldedLength(items) <= 200 && fullTurn(items) <= 12);

/** Combinations of plain moves only. */
export const plainCombination: fc.Arbitrary<Combination> = fc
  .array(anyMove, { minLength: 1, maxLength: 10 })
  .map((items) => ({ items }));
