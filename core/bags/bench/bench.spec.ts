import fc from 'fast-check';
import { readTempoText } from '../../formats/tempo-text/read';
import { rotate } from '../../lanes/rotation';
import { sessionTemplates } from '../../library/templates';
import { findings } from '../../findings/index';
import { bagKinds } from '../../bags/kind-names';
import { readStored } from '../../notation/stored';
import { compile } from '../../timeline/compile';
import { adaptSheet } from '../../adapting/adapt-sheet';
import { fitToBag } from '../fit';
import { armReach, bodyHeights, classStatures, lowKickEdge, lowKicksLand } from './heights';
import { floorPlan } from './floor';
import { fromUnits, inUnits, sayLength } from '../../measures';
import { doubleEndSwing, excursion, stiffness } from './double-end';
import { comesBack, gravity, hungBagPeriod, pendulumPeriod } from './pendulum';
import { speedBagRate } from './speed-bag';

const ball = { mass: 0.3, upper: 1.2, lower: 0.9, tensionUpper: 60, tensionLower: 57 };

describe('the bag bench', () => {
  // A pendulum that beats seconds is 0.994 m long (textbook: L = g·T²/4π², T = 2 s); Huygens' 39.1 inches.
  it('swings a seconds pendulum in two seconds', () => {
    expect(pendulumPeriod(0.9936)).toBeCloseTo(2, 3);
    expect(pendulumPeriod(4)).toBeCloseTo(2 * pendulumPeriod(1), 12);
    expect(pendulumPeriod(gravity)).toBeCloseTo(2 * Math.PI, 12);
  });

  // Textbook: f = (1/2π)·√(k/m), k of two cords pulling sideways = T₁/L₁ + T₂/L₂. Worked by hand: 50 + 63.33 = 113.33 N/m; √(113.33/0.3) = 19.44 rad/s.
  it('knows the ball between two cords', () => {
    expect(stiffness(ball)).toBeCloseTo(50 + 63.3333, 3);
    const swing = doubleEndSwing(ball);
    expect(swing.frequency).toBeCloseTo(19.4365 / (2 * Math.PI), 3);
    expect(swing.returnInterval).toBeCloseTo(1 / (2 * swing.frequency), 12);
    expect(swing.tempos.map((tempo) => Math.round(tempo))).toEqual([371, 124, 74, 53, 41]);
    const tight = { ...ball, tensionUpper: 240, tensionLower: 228 };
    expect(doubleEndSwing(tight).frequency).toBeCloseTo(2 * swing.frequency, 9);
    expect(excursion(tight, 0.5)).toBeCloseTo(excursion(ball, 0.5) / 2, 9);
  });

  it('notes cords that do not balance the ball, and a ball faster than hands', () => {
    expect(
      doubleEndSwing({ ...ball, tensionUpper: 57 + 0.3 * gravity }).notes.filter((note) => note.includes('at rest')),
    ).toEqual([]);
    expect(doubleEndSwing({ ...ball, tensionUpper: 90 }).notes[0]).toContain('57 N below needs 59.9 N above');
    expect(doubleEndSwing({ ...ball, tensionUpper: 10, tensionLower: 7.06 }).notes).toEqual([]);
  });

  // Trade page, section 7: rebounds between hits are odd.
  it('divides rebounds by an odd number only', () => {
    expect(speedBagRate(360, 3)).toEqual({ ok: true, value: 120 });
    expect(speedBagRate(360, 4).ok).toBeFalse();
    expect(speedBagRate(360, 0).ok).toBeFalse();
  });

  // Drillis and Contini, shares of stature, as reprinted in biomechanics textbooks; from memory.
  it('places the joints of a body', () => {
    expect(bodyHeights(1.8)).toEqual({
      knee: 0.513,
      hip: 0.954,
      elbow: 1.134,
      shoulder: 1.472,
      chin: 1.566,
      eye: 1.685,
    });
  });

  // Textbook (physical pendulum): a uniform rod swung from its end has T = 2π·√(2l/3g); a thin bag without a chain is one.
  it('swings a hung bag as a body', () => {
    const rod = hungBagPeriod({ mass: 36, chain: 0, length: 1.5, radius: 0 });
    expect(rod).toBeCloseTo(2 * Math.PI * Math.sqrt((2 * 1.5) / (3 * gravity)), 9);
    expect(hungBagPeriod({ mass: 20, chain: 0.5, length: 1.2, radius: 0.17 })).toBe(
      hungBagPeriod({ mass: 60, chain: 0.5, length: 1.2, radius: 0.17 }),
    );
    // A small heavy thing on a long chain is a point.
    expect(hungBagPeriod({ mass: 1, chain: 3, length: 0.01, radius: 0.01 })).toBeCloseTo(pendulumPeriod(3.005), 4);
    expect(comesBack(2)).toEqual({ from: 1, to: 2 });
  });

  it('measures a class: smallest, middle, tallest, and what the smallest needs for a low kick', () => {
    expect(classStatures([1.8, 1.6, 1.7])).toEqual({ smallest: 1.6, median: 1.7, tallest: 1.8 });
    expect(classStatures([1.6, 1.8])?.median).toBeCloseTo(1.7, 12);
    expect(classStatures([])).toBeNull();
    // Knee 0.285 × 1.60 m = 0.456 m, and 5 cm above it (house value).
    expect(lowKickEdge(1.6)).toBe(0.506);
    expect(lowKicksLand(0.5, [1.6, 1.9])).toBeTrue();
    expect(lowKicksLand(0.52, [1.6, 1.9])).toBeFalse();
    expect(armReach(1.8)).toBe(0.695);
  });

  it('draws circles on the floor: walls take access, neighbours take room', () => {
    const bag = (id: string, x: number, y: number) => ({ id, name: id, x, y, radius: 0.18 });
    const alone = floorPlan({ width: 6, depth: 6 }, [bag('a', 3, 3)], 1.8)[0];
    expect(alone).toEqual(jasmine.objectContaining({ access: 'all round', overlaps: [], free: 1 }));
    expect(alone?.circle).toBeCloseTo(0.18 + 0.695 + 0.6, 9);
    expect(floorPlan({ width: 6, depth: 6 }, [bag('a', 3, 0.3)], 1.8)[0]?.access).toBe('half');
    expect(floorPlan({ width: 6, depth: 6 }, [bag('a', 0.3, 0.3)], 1.8)[0]?.access).toBe('quarter');
    const [first] = floorPlan({ width: 6, depth: 6 }, [bag('a', 2, 3), bag('b', 4, 3)], 1.8);
    // Worked by hand: two circles of 1.475 m need 2.95 m; 2 m apart they run 0.95 m into each other.
    expect(first?.overlaps).toEqual([{ id: 'b', by: 0.95 }]);
    expect(floorPlan({ width: 9, depth: 6 }, [bag('a', 2, 3), bag('b', 5, 3)], 1.8)[0]?.overlaps).toEqual([]);
  });

  // NIST SP 811: 1 in = 25.4 mm, 1 lb = 0.453 592 37 kg, 1 lbf = 4.448 222 N.
  it('shows metric and imperial measures', () => {
    expect(inUnits('length', 1.8, 'imperial')).toBe(70.9);
    expect(fromUnits('mass', 80, 'imperial')).toBeCloseTo(36.287, 3);
    expect(fromUnits('pull', 1, 'imperial')).toBeCloseTo(4.448222, 6);
    expect(sayLength(1.8, 'imperial')).toBe('5 ft 11 in');
    expect(sayLength(0.2, 'imperial')).toBe('8 in');
    expect(sayLength(1.8, 'metric')).toBe('1.80 m');
  });

  it('rotates groups: rows of a Latin square, everybody meets everything', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 7 }), (groups, kinds) => {
        const names = Array.from({ length: kinds }, (_, at) => `kind ${at}`);
        const { turns, sharing } = rotate(groups, names);
        expect(turns.length).toBe(kinds);
        for (let group = 0; group < groups; group += 1)
          expect(new Set(turns.map((turn) => turn[group])).size).toBe(kinds);
        for (const turn of turns)
          for (const name of names) expect(turn.filter((each) => each === name).length).toBeLessThanOrEqual(sharing);
        if (groups <= kinds) for (const turn of turns) expect(new Set(turn).size).toBe(groups);
      }),
    );
    expect(rotate(2, ['heavy', 'double-end']).turns).toEqual([
      ['heavy', 'double-end'],
      ['double-end', 'heavy'],
    ]);
  });
});

describe('a sheet for another bag', () => {
  const sheetOf = (text: string) => readTempoText(text).sheet;

  it('takes the smallest change that fits, and says which', () => {
    const { sheet, changes } = adaptSheet(
      sheetOf('bag: heavy\nround 1:00: 1 2 3b 2\nround 1:00: 1 2\nround 1:00 on shadow: lk'),
      'double-end',
    );
    expect(sheet.bag).toBe('double-end');
    expect(sheet.blocks.map(({ pieces: [piece] }) => (piece?.kind === 'combination' ? piece.text : ''))).toEqual([
      '1 2 3 2',
      '1 2',
      'lk',
    ]);
    expect(changes).toContain('Round 1: 1 2 3b 2 → 1 2 3 2');
  });

  it('lets what must follow a hook come with it in a ladder, in the same time', () => {
    const { sheet } = adaptSheet(sheetOf('round 2:30\n  build ladder every 0:30: 1 2 3 2 1'), 'double-end');
    const [piece] = sheet.blocks[0]?.pieces ?? [];
    expect(piece).toEqual(jasmine.objectContaining({ goal: '1 | 2 | 3 2 | 1' }));
    expect(findings(sheet).filter(({ level }) => level === 'error')).toEqual([]);
    expect(
      adaptSheet(sheetOf('round 2:30\n  build kick-close every 0:30: 1 2 5'), 'double-end').sheet.blocks[0]?.pieces[0],
    ).toEqual(jasmine.objectContaining({ build: 'pyramid' }));
  });

  it('is drilled in the bag’s own rhythm where no move fits it', () => {
    const [piece] = adaptSheet(sheetOf('round 2:00: 1 2'), 'speed').sheet.blocks[0]?.pieces ?? [];
    expect(piece).toEqual(jasmine.objectContaining({ kind: 'rhythm', ms: 120_000 }));
  });

  it('really fits every session of ours on every bag, keeps its length, and needs no second time', () => {
    expect(sessionTemplates.length).toBeGreaterThan(0);
    for (const { text } of sessionTemplates)
      for (const bag of bagKinds) {
        const before = sheetOf(text);
        const { sheet } = adaptSheet(before, bag);
        expect(compile(sheet).ms).toBe(compile(before).ms);
        expect(
          findings(sheet)
            .filter(({ level }) => level === 'error')
            .map(({ what }) => what),
        )
          .withContext(bag + text)
          .toEqual([]);
        expect(adaptSheet(sheet, bag).sheet).withContext(bag).toEqual(sheet);
        expect(sheet.blocks.length).toBeGreaterThan(0);
        for (const block of sheet.blocks)
          for (const piece of block.pieces) {
            const read =
              piece.kind === 'combination' && block.kind === 'round' && block.bag !== 'shadow'
                ? readStored(piece.text)
                : null;
            if (read?.ok) expect(fitToBag(read.value, bag).verdict).withContext(`${bag} ${piece.id}`).toBe('fits');
          }
      }
  });
});
