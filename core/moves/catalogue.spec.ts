import { formsOf } from '../notation/forms';
import { readCombination } from '../notation/read';
import { kindNamed, moveKinds, moveKind } from './catalogue';
import { families } from './kind';
import {
  familyOf,
  fullMoveName,
  isHandStrike,
  isLegStrike,
  isStrike,
  mirrorMove,
  move,
  moveName,
  otherSide,
} from './move';
import { six } from './scheme';

describe('the catalogue', () => {
  it('knows every family but the slot, which is not a move', () => {
    const known = new Set(moveKinds.map((kind) => kind.family));
    expect(families.filter((family) => !known.has(family))).toEqual(['slot']);
  });

  it('is consistent: sides have short forms, strikes have targets, the usual side is one of the sides', () => {
    expect(moveKinds.length).toBeGreaterThan(0);
    for (const kind of moveKinds) {
      expect(kind.ms).withContext(kind.id).toBeGreaterThan(0);
      const strikes = ['punch', 'elbow', 'knee', 'kick', 'teep', 'push'].includes(kind.family);
      expect(kind.targets.length > 0)
        .withContext(kind.id)
        .toBe(strikes);
      if (kind.usual) expect(kind.sides).withContext(kind.id).toContain(kind.usual);
      for (const side of kind.sides)
        expect(kind.short.both ?? kind.short[side] ?? kind.short.byTarget?.[kind.targets[0] ?? 'body'])
          .withContext(`${kind.id} ${side}`)
          .toBeDefined();
      if (strikes) expect(kind.reach).withContext(kind.id).not.toBeNull();
    }
  });

  it('every kind that a trait names is there', () => {
    const named = moveKinds.flatMap((kind) => [
      ...[kind.otherSide, kind.mirror, kind.grounded, kind.belowShoulder],
      ...(kind.takesBack ?? []),
      ...Object.values(kind.heights ?? {}),
    ]);
    expect(named.filter((id) => id !== null).length).toBeGreaterThan(10);
    for (const id of named) if (id !== null) expect(kindNamed(id)).withContext(id).not.toBeNull();
  });

  it('every kind can be typed by its name and by each of its short forms', () => {
    expect(moveKinds.length).toBeGreaterThan(0);
    for (const kind of moveKinds) {
      const spellings = [
        kind.name,
        ...(kind.alsoNames ?? []),
        ...Object.values({ ...kind.short, byTarget: undefined }).filter((each) => each !== undefined),
        ...Object.values(kind.short.byTarget ?? {}),
        ...Object.keys(kind.alsoShort ?? {}),
      ];
      expect(spellings.length).toBeGreaterThan(0);
      for (const spelling of spellings) {
        const read = readCombination(spelling);
        const [item] = read.ok ? read.value.items : [];
        expect(item?.kind === 'move' ? item.id : read)
          .withContext(spelling)
          .toBe(kind.id);
      }
    }
  });

  // Trade page, section 3 (common practice for one to six, house values for short forms): side and usual target.
  const table: readonly [string, string, string | null, string | null][] = [
    ['1', 'jab', 'lead', 'head'],
    ['2', 'cross', 'rear', 'head'],
    ['3', 'lead hook', 'lead', 'head'],
    ['4', 'rear hook', 'rear', 'head'],
    ['5', 'lead uppercut', 'lead', 'head'],
    ['6', 'rear uppercut', 'rear', 'head'],
    ['oh', 'overhand', 'rear', 'head'],
    ['sh', 'shovel hook', 'lead', 'body'],
    ['rsh', 'shovel hook', 'rear', 'body'],
    ['bf', 'back fist', 'lead', 'head'],
    ['leap', 'leaping cross', 'rear', 'head'],
    ['lel', 'elbow', 'lead', 'head'],
    ['rkn', 'knee', 'rear', 'body'],
    ['swkn', 'switch knee', 'lead', 'body'],
    ['jkn', 'jump knee', 'rear', 'body'],
    ['lk', 'low kick', 'rear', 'leg'],
    ['ilk', 'inside low kick', 'lead', 'leg'],
    ['bk', 'body kick', 'rear', 'body'],
    ['lhk', 'head kick', 'lead', 'head'],
    ['swl', 'switch kick', 'lead', 'leg'],
    ['swk', 'switch kick', 'lead', 'body'],
    ['swh', 'switch kick', 'lead', 'head'],
    ['suk', 'step-up kick', 'lead', 'body'],
    ['tp', 'teep', 'lead', 'body'],
    ['rtp', 'teep', 'rear', 'body'],
    ['push', 'push', 'lead', 'body'],
    ['sl', 'slip', 'rear', null],
    ['ro', 'roll', 'rear', null],
    ['du', 'duck', 'rear', null],
    ['bl', 'block', 'lead', null],
    ['pa', 'parry', 'lead', null],
    ['pu', 'pull back', null, null],
    ['cov', 'cover', null, null],
    ['ck', 'check', 'lead', null],
    ['in', 'step in', null, null],
    ['ci', 'circle', null, null],
    ['switch', 'switch', null, null],
    ['sq', 'squat', null, null],
  ];
  for (const [text, name, side, target] of table)
    it(`${text} is ${name}`, () => {
      const read = readCombination(text);
      const [item] = read.ok ? read.value.items : [];
      if (item?.kind !== 'move') throw new Error('no move');
      expect([moveName(item), item.side, item.target]).toEqual([name, side, target]);
    });

  it('tells hand strikes, leg strikes and counted strikes apart', () => {
    const groups = (id: Parameters<typeof move>[0]) => [
      isHandStrike(move(id)),
      isLegStrike(move(id)),
      isStrike(move(id)),
    ];
    expect(groups('jab')).toEqual([true, false, true]);
    expect(groups('elbow')).toEqual([true, false, true]);
    expect(groups('push')).toEqual([true, false, false]);
    expect(groups('teep')).toEqual([false, true, true]);
    expect(groups('slip')).toEqual([false, false, false]);
    const feint = { ...move('jab'), feint: true as const };
    expect([familyOf(feint), isStrike(feint)]).toEqual(['feet', false]);
  });

  it('names a move in full', () => {
    expect(fullMoveName(move('low-kick'))).toBe('rear low kick');
    expect(fullMoveName({ ...move('cross', 'rear', 'body'), force: 'hard', aim: 'chest' })).toBe(
      'cross to the body, hard, chest',
    );
    expect(fullMoveName(move('shovel-hook', 'lead', 'head'))).toBe('lead shovel hook to the head');
    expect(fullMoveName({ ...move('hook'), feint: true })).toBe('feint lead hook');
  });

  it('mirrors only the athlete’s own left and right, and finds the other side of a strike', () => {
    expect(mirrorMove(move('step-left')).id).toBe('step-right');
    expect(mirrorMove(move('hook'))).toEqual(move('hook'));
    expect(moveKinds.filter((each) => each.sides.length > 0).length).toBeGreaterThan(0);
    for (const kind of moveKinds.filter((each) => each.sides.length > 0)) {
      const other = otherSide(move(kind.id));
      if (other) expect(other.side).withContext(kind.id).not.toBe(move(kind.id).side);
    }
    expect(otherSide(move('switch-kick'))?.id).toBe('body-kick');
  });

  it('lists no spelling twice, and refuses an unknown kind loudly', () => {
    expect(formsOf(six).meanings.size).toBeGreaterThan(200);
    expect(() => moveKind('somersault' as 'jab')).toThrowError(/no move kind/);
  });
});
