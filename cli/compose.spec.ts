import { refused, tempo } from './tempo.spec';

interface Composed {
  readonly count: string;
  readonly combinations: readonly { readonly text: string; readonly score: number }[];
  readonly conflict?: readonly string[];
}
const compose = (...args: string[]): Composed => tempo(['compose', ...args]).json as unknown as Composed;

describe('composing at the command', () => {
  it('counts, draws an even sample without repeats, and is the same for the same seed', () => {
    const few = compose('3 moves, only 1 2, flows', '--take', '20');
    // By hand: 1 2 1, 1 1 2, 1 1 1, 2 1 1, 2 1 2, 1 2 … a cross straight after a cross sticks, so of eight three are gone.
    expect(few.count).toBe('5');
    expect(few.combinations.map(({ text }) => text).sort()).toEqual(['1 1 1', '1 1 2', '1 2 1', '2 1 1', '2 1 2']);
    const wished = '5-6 moves, begins 1 2, ends 3, flows, loops';
    const ten = compose(wished, '--take', '10', '--seed', '4');
    expect(new Set(ten.combinations.map(({ text }) => text)).size).toBe(10);
    expect(
      ten.combinations.every(({ text, score }) => /^1 2 .*3$/.test(text) && score >= 0 && score <= 100),
    ).toBeTrue();
    expect(compose(wished, '--take', '10', '--seed', '4')).toEqual(ten);
    expect(compose(wished, '--count')).toEqual({ count: ten.count, combinations: [] });
  });

  it('says which wishes cannot hold together, and refuses what is no wish or has no end', () => {
    const none = compose('4 moves, contains bk, without kicks');
    expect([none.count, none.combinations, none.conflict]).toEqual(['0', [], ['contains bk', 'without kicks']]);
    refused(['compose'], /no criteria given/);
    refused(['compose', '5 bananas'], /5 bananas/);
    refused(['compose', '5 punches, contains ro'], /say how many moves/);
    refused(['compose', '3 moves', '--take', 'x'], /--take/);
  });

  it('tells what can follow, with and without wishes', () => {
    const { next } = tempo(['follow', '1 2']).json as unknown as {
      next: { text: string; verdict: string; cost: number; ways: string }[];
    };
    const of = (text: string) => next.find((each) => each.text === text);
    expect(of('2')).toEqual({ text: '2', verdict: 'reload', cost: 0.15, ways: '0' });
    expect(of('3')?.verdict).toBe('smooth');
    const { next: wished } = tempo(['follow', '1 2', '--wishes', '3 moves, only 1 2 3, flows']).json as unknown as {
      next: typeof next;
    };
    expect(
      wished
        .filter(({ ways }) => ways !== '0')
        .map(({ text, ways }) => [text, ways])
        .sort(),
    ).toEqual([
      ['1', '1'],
      ['3', '1'],
    ]);
    refused(['follow', '1 2 x'], /x/);
  });
});
