import loadHighs, { type Highs } from 'highs';
import { alphabet, type Letter } from './alphabet';
import { bestOf } from './best';
import { combinationOf, variedOf } from './compose';
import { sampleOf } from './count';
import { composed, lettersOf, leven, meets, wishesOf } from './meets.spec';
import { leastUncovered, roundsOf } from './rounds';
import { anyLiking, pairOf, scoreOf, type Liking } from './score';
import { varied } from './varied';

const everything = (text: string): (readonly Letter[])[] => {
  const { counted } = composed(text);
  return sampleOf(counted, Number(counted.count), 1);
};
const leastOf = (set: readonly (readonly Letter[])[]): number =>
  Math.min(...set.flatMap((one, at) => set.slice(0, at).map((other) => leven(one, other))));
const [jab = 0, cross = 0] = lettersOf('1 2');

describe('the best', () => {
  const likings: readonly (readonly [string, Liking])[] = [
    ['with nothing known', anyLiking],
    ['where a pair was had often', { seen: new Map([[pairOf(jab, cross), 5]]), lacks: null }],
    ['where body shots are lacking', { seen: new Map(), lacks: new Set(lettersOf('1b 2b 3b')) }],
  ];
  const sets = [
    '2-4 moves, only 1 2 1b 2b 3 3b sl, flows',
    '4 moves, only 1 2 3b 6 sl bk tp switch, loops, ends 2',
    '5 moves, only 1 2 2b 3 sl, one slip, answered, flows',
  ];

  for (const wished of sets)
    for (const [what, liking] of likings)
      it(`is what exhaustive search finds: ${wished}, ${what}`, () => {
        const scores = everything(wished)
          .map((letters) => scoreOf(combinationOf(letters), liking))
          .sort((a, b) => b - a);
        const best = bestOf(wishesOf(wished), liking, 10);
        expect(scores.length).toBeGreaterThan(10);
        if (!best.ok) fail(best.fault.mend);
        else {
          expect(best.value.found.map(({ score }) => score)).toEqual(scores.slice(0, 10));
          expect(new Set(best.value.found.map(({ letters }) => letters.join(' '))).size).toBe(10);
          expect(best.value.bound ?? 0).toBeLessThanOrEqual(scores[9] ?? 0);
          for (const { letters, score } of best.value.found)
            expect(scoreOf(combinationOf(letters), liking)).toBe(score);
        }
      });

  it('is found among more than could be looked at, meets the wishes, and all there are where those are few', () => {
    const wishes = wishesOf('12 moves, flows, begins 1 2, ends 3, contains ro, without kicks');
    const best = bestOf(wishes, anyLiking, 3);
    expect(best.ok && best.value.found.length).toBe(3);
    if (best.ok)
      for (const { letters } of best.value.found)
        for (const wish of wishes) expect(meets(combinationOf(letters), letters, wish, wishes)).toBeTrue();
    const few = bestOf(wishesOf('3 moves, begins 1 2, only 1 2 3'), anyLiking, 9);
    expect(few.ok && [few.value.found.length, few.value.bound]).toEqual([3, null]);
    expect(bestOf(wishesOf('flows'), anyLiking, 1).ok).toBeFalse();
  });

  it('has a score that says what it is made of', () => {
    const score = (text: string, liking?: Liking): number => scoreOf(combinationOf(lettersOf(text)), liking);
    // A first move has 90; a cross after it the same but for its height; both sides alike 10: (90 + 80) / 2 + 10.
    expect(score('1 2')).toBe(95);
    // A second jab changes neither side nor height, and half of what two strikes lean is too much: (90 + 60) / 2 + 5.
    expect(score('1 1')).toBe(80);
    // A pair that was had once is half as fresh: 95 - 15 / 2 / 2.
    expect(score('1 2', { seen: new Map([[pairOf(jab, cross), 1]]), lacks: null })).toBe(91);
    expect(score('1 2b 1 2b')).toBeGreaterThan(score('1 2 1 2'));
    expect(score('1 2 3')).toBeGreaterThan(score('2 2 2'));
    expect(score('1 2', likings[1]?.[1])).toBeLessThan(score('1 2'));
    expect(score('1 2', likings[2]?.[1])).toBeLessThan(score('1b 2b', likings[2]?.[1]));
  });
});

/** The largest least distance of so many out of a pool, as HiGHS finds it. */
function widest(highs: Highs, pool: readonly (readonly Letter[])[], count: number): number {
  const names = pool.map((_, at) => `x${at}`);
  // D is no more than the distance of two that are both taken; 99 sets it free where one is not.
  const rows = pool.flatMap((one, a) =>
    pool.slice(0, a).map((two, b) => ` d + 99 x${a} + 99 x${b} <= ${198 + leven(one, two)}`),
  );
  const model = ['Maximize', ' obj: d', 'Subject To', ` ${names.join(' + ')} = ${count}`, ...rows];
  const solved = highs.solve([...model, 'Bounds', ' d <= 99', 'Binary', ` ${names.join(' ')}`, 'End'].join('\n'));
  return solved.Status === 'Optimal' ? Math.round(solved.ObjectiveValue) : -1;
}

describe('a set that differs', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  for (const [wished, count] of [
    ['2-3 moves, only 1 2 3, flows', 3],
    ['3 moves, only 1 2 3b sl, flows, ends 2', 4],
    ['1-3 moves, only 1 2 3, begins 1', 4],
    ['4 moves, only 1 2 3b, loops, begins 1', 5],
  ] as const)
    it(`is as wide as HiGHS finds it, and says so: ${count} of ${wished}`, () => {
      const pool = everything(wished);
      expect(pool.length).toBeGreaterThan(count);
      expect(pool.length).toBeLessThan(60);
      const own = variedOf(composed(wished), count, 1);
      const best = widest(highs, pool, count);
      expect([own.least, own.most]).toEqual([best, best]);
      expect(leastOf(own.chosen)).toBe(own.least);
      expect(new Set(own.chosen.map((each) => each.join(' '))).size).toBe(count);
    });

  it('out of millions keeps its word, within a bound that nothing exceeds', () => {
    const { counted, ...rest } = composed('7 moves, flows, begins 1 2, ends 3');
    expect(counted.count > 1_000_000n).toBeTrue();
    const own = variedOf({ counted, ...rest }, 12, 3);
    expect([own.chosen.length, leastOf(own.chosen)]).toEqual([12, own.least]);
    // Seven moves that begin and end alike differ in four places at the most.
    expect(own.most).toBe(4);
    expect(own.least).toBeGreaterThanOrEqual(2);
    expect(variedOf({ counted, ...rest }, 12, 3)).toEqual(own);
  });

  it('of less than was asked is all there is; of one or none there is no distance', () => {
    expect(varied([[1], [2]], 5, 9, true)).toEqual({ chosen: [[1], [2]], least: 1, most: 1 });
    expect(varied([[1], [2], [3]], 1, 9, true)).toEqual({ chosen: [[1]], least: 0, most: 0 });
    expect(varied([], 3, 9, true).chosen).toEqual([]);
  });
});

describe('rounds with a theme', () => {
  let highs: Highs;
  beforeAll(async () => {
    highs = await loadHighs();
  });

  /** The least uncovered, and of that the least covered again, as HiGHS finds them. */
  function byHighs(sets: readonly number[], count: number, elements: number): readonly [number, number] {
    const all = Array.from({ length: elements }, (_, at) => at);
    const taken = sets.map((_, at) => `x${at}`);
    const rows = all.map((bit) => {
      const having = sets.flatMap((set, at) => (set & (1 << bit) ? [` + x${at}`] : []));
      return `${having.join('')} + u${bit} - a${bit} = 1`;
    });
    const goal = all.map((bit) => `1000 u${bit} + a${bit}`).join(' + ');
    const model = ['Minimize', ` obj: ${goal}`, 'Subject To', ` ${taken.join(' + ')} = ${count}`, ...rows];
    const solved = highs.solve(
      [
        ...model,
        'Bounds',
        ...all.map((bit) => ` u${bit} <= 1`),
        'General',
        ` ${taken.join(' ')} ${all.map((bit) => `u${bit} a${bit}`).join(' ')}`,
        'End',
      ].join('\n'),
    );
    const value = Math.round(solved.ObjectiveValue);
    return [Math.floor(value / 1000), value % 1000];
  }

  it('are covered as HiGHS covers them: exactly where that can be, else with the least left out', () => {
    let exact = 0;
    const draws = Array.from({ length: 40 }, (_, at) => at);
    for (const seed of draws) {
      // A linear congruential generator (Park and Miller 1988) is chance enough for sets of bits.
      let state = seed + 1;
      const draw = (below: number): number => (state = (state * 48_271) % 2_147_483_647) % below;
      const elements = 3 + draw(4);
      const sets = Array.from({ length: 2 + draw(6) }, () => draw(1 << elements));
      const count = 1 + draw(4);
      const own = leastUncovered(sets, count, elements);
      expect([own?.uncovered, own?.again])
        .withContext(`${sets.join()} ${count}`)
        .toEqual([...byHighs(sets, count, elements)]);
      exact += Number(own?.uncovered === 0 && own.again === 0);
    }
    expect(exact).toBeGreaterThan(2);
    expect(leastUncovered([], 2, 3)).toBeNull();
    // Where one could have all of it, each has its share.
    expect(leastUncovered([0b00, 0b11, 0b01, 0b10], 2, 2)?.chosen.toSorted()).toEqual([0b01, 0b10]);
  });

  const body = new Set(alphabet.flatMap(({ target }, letter) => (target === 'body' ? [letter] : [])));
  const elements = [...lettersOf('3 5 6').map((letter) => new Set([letter])), body];

  it('meet the wishes and have between them what was asked', () => {
    const wishes = wishesOf('4-5 moves, begins 1 2, flows, loops, without kicks');
    const found = roundsOf(wishes, elements, 3, 1);
    if (!found.ok || !found.value) fail('there are such rounds');
    else {
      const { rounds, uncovered, again } = found.value;
      expect([rounds.length, uncovered, again]).toEqual([3, [], 0]);
      const times = elements.map(
        (element) => rounds.filter((letters) => letters.some((each) => element.has(each))).length,
      );
      expect(times).toEqual([1, 1, 1, 1]);
      for (const letters of rounds)
        for (const wish of wishes) expect(meets(combinationOf(letters), letters, wish, wishes)).toBeTrue();
      expect(roundsOf(wishes, elements, 3, 1)).toEqual(found);
    }
  });

  it('say what they leave out, and that there is none', () => {
    const left = roundsOf(wishesOf('2 moves, flows, begins 1, without body'), elements, 1, 1);
    expect(left.ok && left.value?.uncovered.length).toBe(3);
    const none = roundsOf(wishesOf('2 moves, begins 2 2, flows'), elements, 2, 1);
    expect(none.ok && none.value).toBeNull();
  });
});
