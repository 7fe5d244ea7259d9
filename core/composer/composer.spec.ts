import fc from 'fast-check';
import { study } from '../mechanics/study';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { alphabet, graph, letterOf } from './alphabet';
import { combinationOf, conflictIn, drawn } from './compose';
import { countWays, sampleOf } from './count';
import { whatFollows } from './follow';
import { machineOf } from './machine';
import { byForce, composed, countOf, lettersOf, meets, wishesOf } from './meets.spec';
import { scoreOf } from './score';
import { noNames } from './wish';

describe('the seams of the graph', () => {
  it('are those of the ordinary judgement, for every pair, from near and from afar', () => {
    const { seam, apartAfter } = graph();
    let compared = 0;
    // `out` leaves them apart, a jab brings them together: a pair is judged in the context of either.
    const contexts = [lettersOf('1')[0] ?? 0, lettersOf('out')[0] ?? 0];
    for (let from = 0; from < alphabet.length; from += 1)
      for (let to = 0; to < alphabet.length; to += 1)
        for (const context of contexts) {
          const apart = apartAfter(from, apartAfter(context, false));
          const judged = study(combinationOf([context, from, to])).turns[0]?.seams[1];
          const own = seam(from, to, apart);
          if (own.verdict !== judged?.verdict || own.cost !== judged.cost || own.stuck !== judged.stuck)
            fail(writeCombination(combinationOf([context, from, to])));
          compared += 1;
        }
    expect(compared).toBe(2 * alphabet.length ** 2);
  });

  it('go over every move but slots and held beats, with each side and target', () => {
    expect(alphabet.length).toBeGreaterThan(70);
    expect(new Set(alphabet.map((move) => JSON.stringify(move))).size).toBe(alphabet.length);
    expect([letterOf({ kind: 'move', id: 'jab', side: 'lead', target: 'head', feint: true })]).toEqual([-1]);
  });
});

describe('counting', () => {
  const small = 'only 1 2 3b 6 sl bk tp switch';
  const sets = [
    'flows',
    'loops',
    'flows, loops',
    'same stance, flows',
    'begins 1 2, flows',
    'ends 2 3b, flows, loops',
    'ends 1 2 1',
    'contains 2 sl 2',
    'without kicks, one slip',
    '2-3 strikes, flows',
    'at most 1.6 s',
    'at most 1.2 s at speed',
    'at most 2 s, flows, loops',
    'on double-end, level beginner',
    'on double-end, flows',
    'on heavy, on standing, level intermediate, flows',
    'on reflex',
    'like 1 _ 3b _',
    'heights head body',
    'sides within 20 %',
    'answered, flows',
    '2 edits from 1 2 3b 2',
    '3 edits from the book, flows',
    '3 changes from my combinations, flows',
    'teaches tower, loops',
    'all bags, flows',
    'starts from Tower two',
  ];
  const names = {
    ...noNames,
    book: [
      { name: 'Tower two', letters: lettersOf('1 2') },
      { name: '', letters: lettersOf('2 3b 2 sl') },
    ],
    bags: [
      { name: 'Tower bag', kind: 'heavy', conditions: { lowKicks: false } },
      { name: 'Ball', kind: 'double-end', conditions: {} },
    ],
    drills: [{ names: ['tower'], letters: lettersOf('sl 2') }],
  } as const;

  sets.forEach((wished) => {
    it(`equals what is found one by one: ${wished}`, () => {
      const text = `1-4 moves, ${small}, ${wished}`;
      const wishes = wishesOf(text, names);
      const found = byForce(lettersOf('1 2 3b 6 sl bk tp switch'), 4, wishes);
      expect(composed(text, names).counted.count).toBe(BigInt(found));
      expect(found).toBeGreaterThanOrEqual(wished.startsWith('on reflex') ? 0 : 1);
    });
  });

  it('equals what is found one by one up to five moves of a smaller alphabet', () => {
    const text = '5 moves, only 1 2 3b sl tp, flows, loops';
    expect(countOf(text)).toBe(BigInt(byForce(lettersOf('1 2 3b sl tp'), 5, wishesOf(text))));
  });

  it('equals what is found one by one over the whole catalogue up to two moves, and three that flow', () => {
    const { seam, apartAfter } = graph();
    const all = alphabet.map((_, letter) => letter);
    expect(countOf('1-2 moves, flows, loops')).toBe(BigInt(byForce(all, 2, wishesOf('1-2 moves, flows, loops'))));
    let flowing = 0;
    for (const one of all)
      for (const two of all)
        for (const three of all)
          if (
            !seam(one, two, apartAfter(one, false)).stuck &&
            !seam(two, three, apartAfter(two, apartAfter(one, false))).stuck
          )
            flowing += 1;
    expect(countOf('3 moves, flows')).toBe(BigInt(flowing));
    expect(countOf('3 moves')).toBe(BigInt(alphabet.length) ** 3n);
  });

  it('goes on where nobody could count one by one', () => {
    expect(countOf('30 moves, flows') > 10n ** 50n).toBeTrue();
    expect(countOf('12 moves')).toBe(BigInt(alphabet.length) ** 12n);
  });
});

describe('what is composed', () => {
  const phrases = [
    ...[
      'flows',
      'loops',
      'same stance',
      'begins 1',
      'ends 2',
      'contains 3',
      'without kicks',
      'without body',
      'one roll',
    ],
    ...['heights head body', 'sides within 25 %', 'answered', '2 edits from 1 2 3', 'no jumping', 'contains sl 2'],
    ...['2-4 punches', 'at most 1.2 s', 'on heavy', 'on double-end', 'level beginner', 'at most 2 kicks', 'ends on bk'],
  ];

  it('meets every wish, judged by the ordinary seams, lengths and fit, for any wishes', () => {
    let judged = 0;
    fc.assert(
      fc.property(fc.subarray(phrases), fc.integer({ min: 0, max: 1000 }), (some, seed) => {
        const wishes = wishesOf(['2-5 moves', ...some].join(', '));
        const machine = machineOf(wishes);
        if (!machine.ok) throw new Error(machine.fault.mend);
        for (const combination of sampleOf(countWays(machine.value), 4, seed).map(combinationOf)) {
          const letters = combination.items.map((item) => (item.kind === 'move' ? letterOf(item) : -1));
          for (const wish of wishes)
            if (!meets(combination, letters, wish, wishes)) fail(`${writeCombination(combination)}: ${wish.phrase}`);
          // As it is written it is read again.
          expect(lettersOf(writeCombination(combination))).toEqual(letters);
          judged += 1;
        }
      }),
      { numRuns: 40, seed: 5 },
    );
    expect(judged).toBeGreaterThan(60);
  });

  it('is an even sample: as many of each as chance lets be (chi-square)', () => {
    const { counted } = composed('2 moves, only 1 2 3 sl, flows');
    const drawnOnes = Array.from({ length: 3000 }, (_, seed) => sampleOf(counted, 1, seed)[0]?.join(' ') ?? '');
    const numbers = [...new Set(drawnOnes)];
    expect(BigInt(numbers.length)).toBe(counted.count);
    const places = drawnOnes.map((each) => numbers.indexOf(each));
    const expectedEach = places.length / numbers.length;
    const chi = numbers.reduce(
      (sum, _, at) => sum + (places.filter((each) => each === at).length - expectedEach) ** 2 / expectedEach,
      0,
    );
    // One in a thousand even samples is further off (table of the chi-square distribution, 15 degrees of freedom: 37.70).
    expect(numbers.length).toBeLessThanOrEqual(16);
    expect(chi).toBeLessThan(37.7);
  });

  it('has no repeats, is the same for the same seed, and all there are where those are few', () => {
    const many = composed('6 moves, flows');
    const texts = drawn(many, 200, 3).map((each) => writeCombination(each));
    expect(new Set(texts).size).toBe(200);
    expect(drawn(many, 200, 3).map((each) => writeCombination(each))).toEqual(texts);
    expect(drawn(many, 200, 4).map((each) => writeCombination(each))).not.toEqual(texts);
    const few = composed('3 moves, begins 1 2, only 1 2 3');
    expect(
      drawn(few, 50, 1)
        .map((each) => writeCombination(each))
        .sort(),
    ).toEqual(['1 2 1', '1 2 2', '1 2 3']);
  });

  it('has a score from 0 to 100, higher where it flows and changes sides', () => {
    const score = (text: string): number => scoreOf(combinationOf(lettersOf(text)));
    expect(score('1 2 3b 2')).toBeGreaterThan(score('2 2 4 4'));
    expect(score('1')).toBeGreaterThanOrEqual(0);
    expect(score('1 2 3b 2 5 2')).toBeLessThanOrEqual(100);
  });
});

describe('wishes that cannot hold together', () => {
  it('are answered with the smallest set of them', () => {
    const conflict = (text: string) => conflictIn(composed(text));
    expect(conflict('4-6 moves, contains bk, flows, without kicks')).toEqual(['contains bk', 'without kicks']);
    expect(conflict('3 moves, begins 1 2 3, ends 3 2 1, flows')).toEqual(['3 moves', 'begins 1 2 3', 'ends 3 2 1']);
    expect(conflict('3 punches, on reflex, 3-4 moves, without head')).toEqual([
      '3 punches',
      'on reflex',
      'without head',
    ]);
    expect(conflict('3 moves, flows')).toBeNull();
  });
});

describe('what can follow', () => {
  const after = (text: string, wishes: string | null = null) => {
    const read = readCombination(text);
    const found = whatFollows(read.ok ? read.value : { items: [] }, wishes === null ? null : wishesOf(wishes));
    if (!found.ok) throw new Error(found.fault.mend);
    return new Map(found.value.map((next) => [writeCombination({ items: [next.move] }), next] as const));
  };

  it('has the verdict and the cost that the whole combination has there', () => {
    let judged = 0;
    for (const [text, { verdict, cost, move }] of after('1 2')) {
      const seam = study({ items: [...combinationOf(lettersOf('1 2')).items, move] }).turns[0]?.seams[1];
      if (seam?.verdict !== verdict || seam.cost !== cost) fail(text);
      judged += 1;
    }
    expect(judged).toBe(alphabet.length);
    expect([after('1 2').get('2')?.verdict, after('1 2').get('2')?.cost]).toEqual(['reload', 150]);
    expect(after('tp').get('3')?.verdict).toBe('step');
  });

  it('counts how many ways lead on: three more moves that flow, or all that meet the wishes', () => {
    const cross = after('1').get('2');
    expect(cross?.ways).toBe(countOf('5 moves, begins 1 2, flows'));
    expect(after('1 2').get('2')?.ways).toBe(0n);
    const wished = '3-4 moves, flows, only 1 2 3';
    expect(after('1', wished).get('2')?.ways).toBe(countOf(`${wished}, begins 1 2`));
    expect(after('1', wished).get('bk')?.ways).toBe(0n);
    expect([...after('1', wished).values()].reduce((sum, { ways }) => sum + ways, 0n)).toBe(
      countOf(`${wished}, begins 1`),
    );
  });

  it('with wishes takes beginnings of plain moves only', () => {
    const read = readCombination('(1 2)x3');
    const found = whatFollows(read.ok ? read.value : { items: [] }, wishesOf('9 moves'));
    expect(found.ok).toBeFalse();
  });
});
