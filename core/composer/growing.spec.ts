import { study } from '../mechanics/study';
import { readCombination } from '../notation/read';
import type { Combination } from '../notation/combination';
import { alphabet, lettersFlow, type Letter } from './alphabet';
import { chainBetween } from './chain';
import { combinationOf } from './compose';
import { growFamily, longestGoal, type Relative } from './family';
import { lettersOf, leven } from './meets.spec';
import { likingOf } from './liking';
import { flows, neighboursOf } from './neighbours';
import { pairOf } from './score';

const combo = (text: string): Combination => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
};

describe('neighbours', () => {
  it('are all that lie one edit away and flow, each once, the best first', () => {
    const own = lettersOf('1 2 3b');
    const all = alphabet.map((_, letter) => letter);
    const edits = new Set<string>();
    for (let at = 0; at <= own.length; at += 1) {
      const [before, after] = [own.slice(0, at), own.slice(at)];
      for (const letter of all) {
        edits.add([...before, letter, ...after].join(' '));
        if (at < own.length) edits.add([...before, letter, ...after.slice(1)].join(' '));
      }
      if (at < own.length) edits.add([...before, ...after.slice(1)].join(' '));
    }
    edits.delete(own.join(' '));
    const flowing = [...edits].filter((text) => flows(combinationOf(text.split(' ').map(Number))));
    const found = neighboursOf(combo('1 2 3b'));
    expect(flowing.length).toBeGreaterThan(100);
    expect(new Set(found.map(({ text }) => lettersOf(text).join(' ')))).toEqual(new Set(flowing));
    expect(found.length).toBe(flowing.length);
    const scores = found.map(({ score }) => score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
  });

  it('are called what was done, and leave groups, pairs and slots alone', () => {
    const edit = (text: string, to: string) => neighboursOf(combo(text)).find((each) => each.text === to);
    expect(edit('1 2 3b', '1 2 3')?.edit).toBe('target');
    expect(edit('1 2 3b', '1 2')).toEqual(jasmine.objectContaining({ edit: 'drop', at: 2 }));
    expect(edit('1 bl 1', '1 bl-r 1')?.edit).toBe('side');
    // A rear block leaves the lead hand loaded, so that a cross after it would stick.
    expect(edit('1 bl 2', '1 bl-r 2')).toBeUndefined();
    expect(edit('1 2 3b', '1 2 3b 2')).toEqual(jasmine.objectContaining({ edit: 'insert', at: 3 }));
    expect(edit('1 2 3b', '1 2 5')?.edit).toBe('swap');
    const grouped = neighboursOf(combo('(1 2)x2 3'));
    expect(grouped.length).toBeGreaterThan(0);
    for (const { text } of grouped) expect(text).toContain('(1 2)x2');
    expect(neighboursOf(combo('1')).every(({ edit: what }) => what !== 'drop')).toBeTrue();
  });
});

/** The shortest chain by breadth first over some letters only. */
function breadthFirst(
  from: readonly Letter[],
  to: readonly Letter[],
  letters: readonly Letter[],
  most: number,
): number {
  let level = [from];
  const seen = new Set([from.join(' ')]);
  for (let steps = 0; steps <= most; steps += 1) {
    if (level.some((each) => each.join(' ') === to.join(' '))) return steps;
    const next: (readonly Letter[])[] = [];
    for (const each of level)
      for (let at = 0; at <= each.length; at += 1) {
        const [before, after] = [each.slice(0, at), each.slice(at)];
        const edited = letters.flatMap((letter) => [
          [...before, letter, ...after],
          ...(at < each.length ? [[...before, letter, ...after.slice(1)]] : []),
        ]);
        if (at < each.length && each.length > 1) edited.push([...before, ...after.slice(1)]);
        for (const one of edited) {
          const key = one.join(' ');
          if (seen.has(key) || one.length > to.length + 1 || !(key === to.join(' ') || lettersFlow(one))) continue;
          seen.add(key);
          next.push(one);
        }
      }
    level = next;
  }
  return Infinity;
}

describe('the way from one combination to another', () => {
  it('is as short as breadth first finds it, each step one edit, all between flowing', () => {
    const pairs = [
      ['1 2', '1 2 3b 2'],
      ['1 2 3', '2 3b 2'],
      ['1', '2 3 2 1'],
      ['1 2 3b', '3b 2'],
      ['3 2', '2 3'],
      ['2 3', '3 2 3'],
      // These two have to go a longer way than their edits, since what lies on the shorter one sticks.
      ['4 3', 'ro 2'],
      ['ro 2 3', 'ro ro 4'],
    ] as const;
    let longer = 0;
    for (const [from, to] of pairs) {
      const [a, b] = [lettersOf(from), lettersOf(to)];
      const { steps, least } = chainBetween(a, b);
      expect(steps.length - 1)
        .withContext(`${from} to ${to}`)
        .toBeLessThanOrEqual(breadthFirst(a, b, lettersOf('1 2 3 3b 4 ro'), 3));
      expect(least).toBe(steps.length - 1);
      steps.slice(1).forEach((step, at) => expect(leven(step, steps[at] ?? [])).toBe(1));
      for (const step of steps.slice(1, -1))
        expect(study(combinationOf(step)).turns[0]?.seams.every((seam) => seam.loop || !seam.stuck)).toBeTrue();
      longer += Number(steps.length - 1 > leven(a, b));
      expect([steps[0], steps.at(-1)]).toEqual([a, b]);
      expect(steps.length - 1).toBeGreaterThanOrEqual(leven(a, b));
    }
    expect(longer).toBe(2);
  });

  it('says where there is none, and stays where it is between the same', () => {
    expect(chainBetween(lettersOf('1 2'), lettersOf('2 6 2 6'))).toEqual({ steps: [], least: Infinity });
    expect(chainBetween(lettersOf('1 2'), lettersOf('1 2'))).toEqual({ steps: [lettersOf('1 2')], least: 0 });
  });
});

describe('a family', () => {
  const members = (tree: Relative): Relative[] => [tree, ...tree.children.flatMap(members)];

  it('grows by one move from parent to child, from one move to each goal, everything on the way flowing', () => {
    const goals = ['1 2 3b 2 5 2', '1 2 sl 2 3', '2 3b 2'].map(lettersOf);
    const { trees, left } = growFamily(goals);
    const all = trees.flatMap(members);
    expect(left).toEqual([]);
    expect(all.filter(({ goal }) => goal).map(({ letters }) => letters)).toEqual(jasmine.arrayWithExactContents(goals));
    let children = 0;
    for (const member of all)
      for (const child of member.children) {
        const without = child.letters.filter((_, at) => at !== child.adds);
        expect(without).toEqual([...member.letters]);
        expect(lettersFlow(child.letters)).toBeTrue();
        children += 1;
      }
    expect(children).toBeGreaterThan(7);
    expect(trees.every(({ letters, adds }) => letters.length === 1 && adds === null)).toBeTrue();
    // What grows out of the same is there once.
    expect(new Set(all.map(({ letters }) => letters.join(' '))).size).toBe(all.length);
  });

  it('shares what it can: a goal that can lie on the way to another adds nothing', () => {
    const alone = growFamily([lettersOf('1 2 3 2')]).trees.flatMap(members).length;
    const both = growFamily(['1 2 3 2', '3 2'].map(lettersOf)).trees.flatMap(members).length;
    expect(alone).toBe(4);
    expect(both).toBe(4);
  });

  it('does not lead over a goal that sticks', () => {
    const goals = ['2 2 1', '2 2 1 2'].map(lettersOf);
    const { trees } = growFamily(goals);
    const parents = trees.flatMap(members).filter(({ children }) => children.length > 0);
    expect(parents.length).toBeGreaterThan(1);
    expect(parents.every(({ letters }) => lettersFlow(letters))).toBeTrue();
  });

  it('leaves out goals to which no way leads, and those that are too long', () => {
    const long = Array.from({ length: longestGoal + 1 }, (_, at) => lettersOf(at % 2 ? '2' : '1')[0] ?? 0);
    const { left } = growFamily([lettersOf('2 6 2 6'), long, []]);
    expect(left.length).toBe(3);
  });
});

describe('what a coach has had', () => {
  it('counts pairs of moves by how often they came, and marks moves that serve an aim that is short', () => {
    const { seen, lacks } = likingOf(
      [
        { text: '1 2 3', times: 2 },
        { text: '1 2', times: 3 },
        { text: '(1 2)x2 3 any 2', times: 9 },
        { text: 'no combination', times: 9 },
      ],
      ['body', 'no such aim'],
    );
    const [jab = 0, cross = 0, hook = 0] = lettersOf('1 2 3');
    expect([seen.get(pairOf(jab, cross)), seen.get(pairOf(cross, hook)), seen.size]).toEqual([5, 2, 2]);
    expect(lettersOf('1b 2b 3b').every((letter) => lacks?.has(letter))).toBeTrue();
    expect(lacks?.has(jab)).toBeFalse();
    expect(likingOf([], []).lacks).toBeNull();
    expect(likingOf([], ['other stance']).lacks).toBeNull();
  });
});
