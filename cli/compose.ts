import {
  compose,
  conflictIn,
  drawn,
  readWishes,
  sayFault,
  scoreOf,
  six,
  toSeconds,
  whatFollows,
  writeCombination,
  type Wish,
} from '../core/index';
import { combinationFrom } from './combo';
import { BadInput } from './io';
import { wholeFlag } from './numbers';

function wishesFrom(text: string | undefined): readonly Wish[] {
  if (text === undefined) throw new BadInput('no criteria given; put them in quotes, for example "4-6 moves, flows"');
  const read = readWishes(text);
  if (!read.ok) throw new BadInput(sayFault(read.fault));
  return read.value;
}

/** Combinations that `tempo compose` gives where it is not told how many (house value). */
const usualTake = 10;

/** `tempo compose "WISHES" [--count] [--take N] [--seed N]` */
export function composed(
  text: string | undefined,
  values: {
    readonly count?: boolean | undefined;
    readonly take?: string | undefined;
    readonly seed?: string | undefined;
  },
) {
  const found = compose(wishesFrom(text));
  if (!found.ok) throw new BadInput(sayFault(found.fault));
  const { counted } = found.value;
  const conflict = conflictIn(found.value);
  const take = values.count && values.take === undefined ? 0 : wholeFlag('take', values.take, 0, 10_000, usualTake);
  const seed = wholeFlag('seed', values.seed, 0, 4_294_967_295, 1);
  return {
    count: String(counted.count),
    combinations: drawn(found.value, take, seed).map((each) => ({
      text: writeCombination(each),
      score: scoreOf(each),
    })),
    ...(conflict ? { conflict } : {}),
  };
}

/** `tempo follow "TEXT" [--wishes "WISHES"]` */
export function follow(text: string | undefined, values: { readonly wishes?: string | undefined }) {
  const wishes = values.wishes === undefined ? null : wishesFrom(values.wishes);
  const found = whatFollows(combinationFrom(text, six), wishes);
  if (!found.ok) throw new BadInput(sayFault(found.fault));
  return {
    next: found.value.map(({ move, verdict, cost, ways }) => ({
      ...{ text: writeCombination({ items: [move] }), verdict, cost: toSeconds(cost), ways: String(ways) },
    })),
  };
}
