import fc from 'fast-check';
import { anyCombination, plainCombination } from '../notation/arbitrary.spec';
import type { Combination } from '../notation/combination';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { familyOf, move, otherSide } from '../moves/move';
import { insertBefore, removeAt, replaceAt } from './edit';
import { mirrorCombination } from './mirror';
import { isWorthSaying } from './seams';
import { repairsFor } from './repairs';
import { unfold } from './steps';
import { onsets, study, type Study } from './study';
import { limbOf, walk } from './walk';

function combinationOf(text: string): Combination {
  const read = readCombination(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
}

const verdicts = (text: string) => study(combinationOf(text)).turns[0]?.seams.map((seam) => seam.verdict);
const costs = (text: string) => study(combinationOf(text)).turns[0]?.seams.map((seam) => seam.cost);
const limbs = (text: string, stance: 'orthodox' | 'southpaw' | 'square') =>
  walk(unfold(combinationOf(text)), stance).steps.flatMap(({ step, stance: here }) =>
    step.content.map((each) => (each.kind === 'move' ? limbOf(each, here) : null)),
  );

describe('seams', () => {
  it('cost what the trade page says: reload 0.15 s, a double 0.08 s, a step 0.25 s, flowing nothing', () => {
    expect(costs('2 4')).toEqual([150, 150]);
    expect(costs('3 3b 2')).toEqual([80, 0, 0]);
    expect(costs('tp 3')).toEqual([250, 250]);
    expect(costs('1 2')).toEqual([0, 0]);
  });

  it('the first rule that fits decides', () => {
    expect(verdicts('2 switch 2')).toEqual(['turned', 'smooth', 'reload']);
    expect(verdicts('tp 1+shift')).toEqual(['turned', 'smooth']);
    expect(verdicts('1+shift 3')?.[0]).toBe('smooth');
    expect(verdicts('out left 3')?.[1]).toBe('step');
    expect(verdicts('tp in+3')?.[0]).toBe('smooth');
    expect(verdicts('tp 1 3')?.slice(0, 2)).toEqual(['smooth', 'reload']);
  });

  it('a same-side kick is a note, never a warning, and costs a step', () => {
    const seam = study(combinationOf('1 2 lk')).turns[0]?.seams[1];
    expect([seam?.verdict, seam?.level, seam?.cost]).toEqual(['step', 'note', 250]);
  });

  it('a same-side kick is no news where it is the school’s own', () => {
    const [seam, other] = [study(combinationOf('2 lk')), study(combinationOf('2 4'))].map(
      (each) => each.turns[0]?.seams[0],
    );
    expect(seam && [isWorthSaying(seam), isWorthSaying(seam, 'same')]).toEqual([true, false]);
    expect(other && isWorthSaying(other, 'same')).toBeTrue();
  });

  it('the loop is a note with a breath and a warning without', () => {
    const loop = (nonStop: boolean) =>
      study(combinationOf('2 3 2'), { loop: { nonStop, otherStance: 'carry on mirrored' } }).turns[0]?.seams.at(-1)
        ?.level;
    expect(loop(false)).toBe('note');
    expect(loop(true)).toBe('warning');
  });

  it('a combination that ends in the other stance says so, and may be reset', () => {
    const carried = study(combinationOf('1 2 switch')).turns[0]?.seams.at(-1);
    expect(carried?.reason).toContain('carries on mirrored');
    const reset = study(combinationOf('1 2 switch'), {
      loop: { nonStop: false, otherStance: 'reset' },
    }).turns[0]?.seams.at(-1);
    expect(reset?.verdict).toBe('turned');
  });

  it('judges every turn, the loop leading to the next one', () => {
    const studied = study(combinationOf('2 [4 / 3]'));
    expect(studied.turns.map((turn) => turn.seams.map((seam) => seam.verdict))).toEqual([
      ['reload', 'reload'],
      ['smooth', 'smooth'],
    ]);
    expect(studied.ms).toBe((300 + 360 + 300 + 300 + 360) / 2);
  });

  it('never costs less than nothing, and the seconds are moves and seams', () => {
    fc.assert(
      fc.property(anyCombination, (combination) => {
        expect(study(combination).turns.length).toBeGreaterThan(0);
        for (const turn of study(combination).turns) {
          expect(turn.seams.length).toBe(turn.walk.steps.length);
          const last = onsets(turn).at(-1) ?? 0;
          expect(last).toBeLessThanOrEqual(turn.ms);
          expect(
            turn.seams.every((seam) => (seam.verdict === 'smooth' || seam.verdict === 'turned') === (seam.cost === 0)),
          ).toBeTrue();
        }
      }),
    );
  });

  it('takes the lengths of the house table', () => {
    // Trade page, section 4, house values: straights 0.30, hook 0.36, uppercut 0.38, roll 0.45.
    expect(study(combinationOf('1 2 3b ro 4 5')).ms).toBe(300 + 300 + 360 + 450 + 360 + 380);
    expect(study(combinationOf('in+1')).ms).toBe(300);
    expect(study(combinationOf('1+shift')).ms).toBe(500);
    expect(study(combinationOf('sq spr')).ms).toBe(3600);
  });
});

describe('stance', () => {
  it('lead and rear become left and right by stance, square has none', () => {
    expect(limbs('1 2 bk tp bl sl', 'orthodox')).toEqual([
      'left hand',
      'right hand',
      'right leg',
      'left leg',
      'left hand',
      null,
    ]);
    expect(limbs('1 2 bk tp bl sl', 'southpaw')).toEqual([
      'right hand',
      'left hand',
      'left leg',
      'right leg',
      'right hand',
      null,
    ]);
    expect(limbs('1 2', 'square')).toEqual([null, null]);
  });

  it('a strike under a shift still uses the stance before it; a switch kick changes nothing', () => {
    expect(limbs('1+shift 1', 'orthodox')).toEqual(['left hand', null, 'right hand']);
    expect(limbs('swk 1', 'orthodox')).toEqual(['left leg', 'left hand']);
  });

  it('orthodox and southpaw limbs are each other’s mirror image', () => {
    const swap: Record<string, string> = { left: 'right', right: 'left' };
    fc.assert(
      fc.property(plainCombination, (combination) => {
        const walked = (stance: 'orthodox' | 'southpaw') => limbs(writeCombination(combination), stance);
        expect(walked('southpaw')).toEqual(
          walked('orthodox').map((limb) =>
            limb ? (limb.replace(/left|right/, (side) => swap[side] ?? side) as typeof limb) : null,
          ),
        );
      }),
    );
  });

  it('two changes cancel, and mirroring twice is the identity', () => {
    fc.assert(
      fc.property(plainCombination, (combination) => {
        const changes = combination.items.filter(
          (item) => item.kind === 'move' && !item.feint && (item.id === 'switch' || item.id === 'shift'),
        ).length;
        expect(walk(unfold(combination), 'orthodox').end).toBe(changes % 2 === 0 ? 'orthodox' : 'southpaw');
        expect(mirrorCombination(mirrorCombination(combination))).toEqual(combination);
      }),
    );
    expect(writeCombination(mirrorCombination(combinationOf('left+1 2 [right / 1]')))).toBe('right+1 2 [left / 1]');
  });
});

function stuckCount(studied: Study): number {
  return studied.turns.reduce((sum, turn) => sum + turn.seams.filter((seam) => seam.stuck).length, 0);
}

describe('repairs', () => {
  it('each really removes the fault and brings no new one', () => {
    let ran = 0;
    fc.assert(
      fc.property(anyCombination, (combination) => {
        const studied = study(combination);
        expect(studied.turns.length).toBeGreaterThan(0);
        studied.turns.forEach((turn, index) => {
          ran += turn.seams.filter((each) => each.stuck).length;
          for (const seam of turn.seams.filter((each) => each.stuck)) {
            const repairs = repairsFor(studied, index, seam);
            if (seam.level === 'warning') expect(repairs.length).toBeGreaterThan(0);
            for (const repair of repairs) {
              // Read back from its text, as a coach would get it.
              const again = readCombination(writeCombination(repair.combination));
              expect(again.ok).toBeTrue();
              if (!again.ok) return;
              const before = stuckCount(studied) / studied.turns.length;
              const mended = study(again.value);
              expect(stuckCount(mended) / mended.turns.length).toBeLessThan(before);
            }
          }
        });
      }),
      { numRuns: 400 },
    );
    expect(ran).toBeGreaterThan(0);
  });

  it('puts a slip in or swaps a strike, smallest change first', () => {
    const studied = study(combinationOf('1 2 4'));
    const seam = studied.turns[0]?.seams[1];
    if (!seam) throw new Error('no seam');
    expect(repairsFor(studied, 0, seam).map((repair) => writeCombination(repair.combination))).toEqual([
      '1 2 sl 4',
      '1 2 ro 4',
      '1 2 3',
      '1 1 4',
    ]);
    expect(repairsFor(studied, 0, { ...seam, stuck: false })).toEqual([]);
  });

  it('steps in where the bag is out of reach', () => {
    const studied = study(combinationOf('tp 3 2'));
    const seam = studied.turns[0]?.seams[0];
    expect(seam && repairsFor(studied, 0, seam).map((repair) => writeCombination(repair.combination))[0]).toBe(
      'tp in 3 2',
    );
  });
});

describe('edits of a combination', () => {
  it('work on moves, never on text: sides do not flip', () => {
    const slips = combinationOf('sl sl 3');
    expect(writeCombination(removeAt(slips, [0]))).toBe('sl-l 3');
    expect(writeCombination(insertBefore(slips, [1], move('jab')))).toBe('sl 1 sl-l 3');
    expect(writeCombination(replaceAt(combinationOf('(1 [2 / 3])x2'), [0, 1, 1, 0], move('hook', 'rear')))).toBe(
      '(1 [2 / 4])x2',
    );
  });

  it('stage ends marked by hand move along', () => {
    expect(writeCombination(insertBefore(combinationOf('1 2 | 3'), [0], move('slip')))).toBe('sl 1 2 | 3');
    expect(writeCombination(removeAt(combinationOf('1 2 | 3'), [0]))).toBe('2 | 3');
  });

  it('the other side of a strike is the same kind of strike, where there is one', () => {
    expect(otherSide(move('jab'))?.id).toBe('cross');
    expect(otherSide(move('hook', 'rear'))?.side).toBe('lead');
    expect(otherSide(move('push'))).toBeNull();
    expect(familyOf({ ...move('jab'), feint: true })).toBe('feet');
  });
});
