import { readCombination } from '../notation/read';
import type { Combination } from '../notation/combination';
import { describeCombination } from './describe';
import { paceOf, sayEffort } from './effort';
import { study } from './study';
import { studyOf } from './study-of';
import type { LoopSettings } from './seams';

/*
 * Rules 1 to 9 and the times of the trade page, section 4, worked by hand, one line for each branch of a rule. Verdicts, times
 * and levels are the page's; the reasons are our words for them.
 */
function combinationOf(text: string): Combination {
  const read = readCombination(text);
  if (!read.ok) throw new Error(`${text}: ${read.fault.what}`);
  return read.value;
}

const seamsOfText = (text: string, loop?: LoopSettings) =>
  study(combinationOf(text), loop ? { loop } : {}).turns[0]?.seams ?? [];

/** The first seam of a text: rule, text, verdict, milliseconds, level, reason. */
const first: readonly (readonly [number, string, string, number, string, string])[] = [
  [1, '1 switch', 'turned', 0, 'note', 'the stance switches here: from now on the numbers swap hands'],
  [1, 'tp 1+shift', 'turned', 0, 'note', 'the stance switches here: from now on the numbers swap hands'],
  [2, 'tp 3', 'step', 250, 'warning', 'lead hook needs a step in: you are out of range here'],
  [2, 'push 6', 'step', 250, 'warning', 'rear uppercut needs a step in: you are out of range here'],
  [2, 'out 5b', 'step', 250, 'warning', 'lead uppercut to the body needs a step in: you are out of range here'],
  [2, '1+out 3', 'step', 250, 'warning', 'lead hook needs a step in: you are out of range here'],
  [3, 'tp in+3', 'smooth', 0, 'none', 'the hips are square after the teep, ready for either hand'],
  [3, 'tp 1', 'smooth', 0, 'none', 'the hips are square after the teep, ready for either hand'],
  [3, '3 sl-l', 'smooth', 0, 'none', 'lead slip can follow anything'],
  [3, '3 sq', 'smooth', 0, 'none', 'squat can follow anything'],
  [3, '3 wait', 'smooth', 0, 'none', 'wait can follow anything'],
  [3, '3 ft 1', 'smooth', 0, 'none', 'feint jab can follow anything'],
  [3, '3 any 1', 'smooth', 0, 'none', 'the athlete chooses what follows'],
  [3, 'any 1 3', 'smooth', 0, 'none', 'the athlete chooses what comes before'],
  [3, 'in 3', 'smooth', 0, 'none', 'both sides are ready after step in'],
  [3, 'sq 2', 'smooth', 0, 'none', 'both sides are ready after squat'],
  [3, 'ft 1 3', 'smooth', 0, 'none', 'both sides are ready after jab'],
  [3, '1+switch 3', 'smooth', 0, 'none', 'both sides are ready after the switch'],
  [4, '1 rear kick', 'smooth', 0, 'none', 'rear body kick follows naturally from the lead hand'],
  [4, '2 lead kick', 'smooth', 0, 'none', 'lead body kick follows naturally from the rear hand'],
  [4, '3 rear knee', 'smooth', 0, 'none', 'rear knee follows naturally from the lead hand'],
  [4, '2 rear kick', 'step', 250, 'note', 'rear body kick on the same side as the punch needs a small step'],
  [4, 'kick kick', 'reload', 150, 'warning', 'the rear leg has to land and reload first'],
  [4, 'kick lead kick', 'smooth', 0, 'none', 'the other leg is free'],
  [4, 'check-l rear kick', 'smooth', 0, 'none', 'the checking leg lands ready to go'],
  [4, 'check-l rear knee', 'smooth', 0, 'none', 'the checking leg lands ready to go'],
  [4, 'check-l lead teep', 'smooth', 0, 'none', 'the checking leg lands ready to go'],
  [4, 'check-l lead kick', 'step', 250, 'warning', 'lead body kick needs a small step after a lead check'],
  [4, 'check-l rear teep', 'step', 250, 'warning', 'rear teep needs a small step after a lead check'],
  [4, 'check-r lead kick', 'smooth', 0, 'none', 'a kick or knee can follow any defence'],
  [4, 'sl-l kick', 'smooth', 0, 'none', 'a kick or knee can follow any defence'],
  [5, 'kick 2', 'smooth', 0, 'none', 'the hips are square after the body kick, ready for either hand'],
  [5, 'push 2', 'smooth', 0, 'none', 'the hips are square after the push, ready for either hand'],
  [6, 'sl-r 1', 'smooth', 0, 'none', 'the jab needs no loading'],
  [6, 'sl-l 3', 'smooth', 0, 'none', 'the slip loads the lead side'],
  [6, 'sl-r 2', 'smooth', 0, 'none', 'the slip loads the rear side'],
  [6, 'sl-r 3', 'reload', 150, 'warning', 'the slip loads the rear side, but the lead hook comes from the lead side'],
  [6, 'block-l 4', 'smooth', 0, 'none', 'the block loads the rear side'],
  [6, 'block-r 3', 'smooth', 0, 'none', 'the block loads the lead side'],
  [6, 'block-r 2', 'reload', 150, 'warning', 'the block loads the lead side, but the cross comes from the rear side'],
  [6, 'pull 4', 'smooth', 0, 'none', 'the pull back loads the rear side'],
  [6, 'cover 3', 'smooth', 0, 'none', 'the cover loads the lead side'],
  [6, 'check-l 2', 'smooth', 0, 'none', 'the check loads the rear side'],
  [7, '1 1b', 'smooth', 0, 'none', 'the jab can come at any time'],
  [8, '3 bf', 'smooth', 0, 'none', 'the hook rotates straight back into it'],
  [8, 'bf 3', 'reload', 150, 'warning', 'lead hook straight after back fist: the lead side has not reloaded'],
  [8, '1 3', 'reload', 80, 'none', 'doubling up with the lead hand: quick, but less power on the second'],
  [8, '3 3b', 'reload', 80, 'none', 'doubling up with the lead hand: quick, but less power on the second'],
  [8, '2 2', 'reload', 150, 'warning', 'cross straight after cross: the rear side has not reloaded'],
  [8, '3 5', 'reload', 150, 'warning', 'lead uppercut straight after lead hook: the lead side has not reloaded'],
  [9, '1 2', 'smooth', 0, 'none', 'turning one side loads the other'],
];

describe('the rules of seams, worked by hand', () => {
  for (const [rule, text, verdict, cost, level, reason] of first)
    it(`rule ${rule}: ${text}`, () => {
      const [seam] = seamsOfText(text);
      expect(seam).toEqual(jasmine.objectContaining({ after: 0, loop: false, verdict, cost, level, reason }));
      expect(seam?.stuck).toBe(level === 'warning');
    });

  it('the bag stays apart until somebody steps in or strikes', () => {
    expect(seamsOfText('tp wait 3').map(({ verdict }) => verdict)).toEqual(['smooth', 'step', 'step']);
    expect(seamsOfText('tp 1 3').map(({ verdict }) => verdict)).toEqual(['smooth', 'reload', 'step']);
    expect(seamsOfText('tp 1 4')[1]?.verdict).toBe('smooth');
  });

  it('the loop: a note with a breath, a warning without, stuck either way; one move is free', () => {
    const [, breath] = seamsOfText('2 4');
    expect(breath).toEqual(jasmine.objectContaining({ after: 1, loop: true, level: 'note', cost: 150, stuck: true }));
    const [, without] = seamsOfText('2 4', { nonStop: true, otherStance: 'carry on mirrored' });
    expect(without).toEqual(jasmine.objectContaining({ level: 'warning', cost: 150, stuck: true }));
    expect(seamsOfText('4', { nonStop: true, otherStance: 'carry on mirrored' })).toEqual([
      {
        after: 0,
        loop: true,
        verdict: 'smooth',
        cost: 0,
        level: 'none',
        reason: 'a single move can always repeat',
        stuck: false,
      },
    ]);
  });

  it('the loop from the other stance: carried on mirrored, or changed back first', () => {
    const reason = 'the jab can come at any time; it carries on mirrored';
    expect(seamsOfText('1 2+switch').at(-1)).toEqual(
      jasmine.objectContaining({ loop: true, level: 'note', stuck: false, cost: 0 }),
    );
    expect(seamsOfText('1 switch 2').at(-1)).toEqual(jasmine.objectContaining({ loop: true, reason, level: 'note' }));
    expect(seamsOfText('1 switch 2', { nonStop: false, otherStance: 'reset' }).at(-1)).toEqual(
      jasmine.objectContaining({
        verdict: 'turned',
        cost: 0,
        reason: 'it ends in the opposite stance: switch back before repeating',
        level: 'note',
        stuck: false,
      }),
    );
  });
});

describe('a combination in words', () => {
  const say = (text: string, added?: readonly number[]): string => describeCombination(combinationOf(text), added);

  it('names moves, pairs, groups, turns and what is left to the athlete', () => {
    expect(say('1 2 3b')).toBe('jab, cross, lead hook to the body.');
    expect(say('in+2')).toContain(' with cross.');
    expect(say('(1 2)x3 4')).toBe('3 times: jab, cross; end of repeat, rear hook.');
    expect(say('any 1 2')).toBe('any 1, athlete’s choice, cross.');
    expect(say('freestyle')).toBe('freestyle, athlete’s choice.');
    expect(say('1 [2 / 3]')).toBe('jab, alternating: cross; or lead hook; end of turns.');
  });

  it('names what is new, one move or several', () => {
    expect(say('1 2 3', [2])).toBe('jab, cross, lead hook. New: move 3.');
    expect(say('1 2 3', [0, 2])).toBe('jab, cross, lead hook. New: moves 1, 3.');
  });

  it('says where it sticks, the way back to the beginning included, or that it flows', () => {
    const judged = (text: string, school: 'opposite' | 'same' = 'opposite'): string =>
      describeCombination(combinationOf(text), [], study(combinationOf(text)), school);
    expect(judged('1 2 3 2')).toBe('jab, cross, lead hook, cross. Flows all the way through.');
    expect(judged('2 4')).toBe(
      'cross, rear hook. after move 1: rear hook straight after cross: the rear side has not reloaded. ' +
        'after move 2, on repeat: cross straight after rear hook: the rear side has not reloaded.',
    );
    expect(judged('1 2 lk')).toContain('after move 2: rear low kick on the same side');
    expect(judged('1 2 lk', 'same')).toContain('Flows all the way through.');
  });
});

/* Trade page, section 4: words and their paces; a per cent lies on the line through 0.8 at 50 and 1.45 at 100. */
describe('effort of a combination', () => {
  it('has its pace by word and by per cent, and never falls under 0.4', () => {
    expect([paceOf('easy'), paceOf('steady'), paceOf('strong'), paceOf('all-out')]).toEqual([0.8, 1, 0.9, 1.45]);
    expect(paceOf(50)).toBeCloseTo(0.8, 12);
    expect(paceOf(75)).toBeCloseTo(1.125, 12);
    expect(paceOf(100)).toBeCloseTo(1.45, 12);
    expect(paceOf(30)).toBeCloseTo(0.54, 12);
    expect(paceOf(10)).toBe(0.4);
  });

  it('gives way to what the piece is about', () => {
    expect([paceOf('easy', 'speed'), paceOf(100, 'technique'), paceOf('steady', 'power')]).toEqual([1.3, 0.6, 0.9]);
  });

  it('is said as it is written', () => {
    expect([sayEffort('all-out'), sayEffort(70)]).toEqual(['all-out', '70%']);
  });
});

describe('the loop of what ends out of reach', () => {
  const loopOf = (text: string) => study(combinationOf(text)).turns[0]?.seams.at(-1);

  it('sticks where the next time wants a step in, as it does when it is written twice (trade page, section 4: the range carries over)', () => {
    const twice = study(combinationOf('sl 4 tp sl 4 tp')).turns[0]?.seams[3];
    expect([twice?.verdict, twice?.stuck]).toEqual(['step', true]);
    const loop = loopOf('sl 4 tp');
    expect([loop?.verdict, loop?.cost, loop?.stuck, loop?.level]).toEqual(['step', 250, true, 'note']);
  });

  it('flows where the next time comes near by itself, or has nothing that needs it', () => {
    for (const text of ['sl 1 4 tp', 'sl 2 tp', 'sl in 4 tp', 'sl tp', '1 2 out'])
      expect(loopOf(text)?.stuck).withContext(text).toBeFalse();
  });
});

describe('a study that is remembered', () => {
  it('is the same for the same combination, stance and loop, and made anew for each other', () => {
    const [one, again] = [combinationOf('2 4'), combinationOf('2 4')];
    const kept = studyOf(one, 'orthodox');
    expect(studyOf(one, 'orthodox')).toBe(kept);
    expect(kept).toEqual(study(one, { stance: 'orthodox' }));
    const others = [
      studyOf(again, 'orthodox'),
      studyOf(one, 'southpaw'),
      studyOf(one, 'orthodox', true),
      studyOf(one, 'orthodox', false, 'reset'),
    ];
    for (const other of others) expect(other).not.toBe(kept);
    expect(others[1]).toEqual(study(one, { stance: 'southpaw' }));
    expect(others[2]?.turns[0]?.seams.at(-1)?.level).toBe('warning');
    expect(kept.turns[0]?.seams.at(-1)?.level).toBe('note');
  });
});
