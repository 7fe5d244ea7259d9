import {
  compile,
  readTempoText,
  scriptOf,
  sessionTemplates,
  type Script,
  type Sheet,
  type Timeline,
} from '../core/index';
import { demoSheets } from './sheets';

/** Sheets with the coach's own words wherever they may stand. */
const ownWords = [
  'level: beginner',
  'warm-up 2:00: Skipping',
  '  say "Gather round" at 0:30',
  'demo 0:40 "The base": 1 2 | 3 2',
  '  say "Watch my feet" at 0:25',
  'round 2:00 x2 rest 1:00',
  '  build ladder every 0:30: 1 2 3 2',
  '  say "Hands up" at 1:10',
  'rest 1:00',
  '  0:30 "Shake it out"',
  '  0:30 "Breathe with me"',
  '  say "Look at the clock" at 0:20',
  'round 2:00: 2 3 2',
  'rest open "Bags away"',
  '  say "Wipe them down" at 0:00',
  'core 1:00: plank',
];

const sheets: readonly Sheet[] = [
  ...demoSheets,
  ...sessionTemplates.map(({ text }) => readTempoText(text).sheet),
  readTempoText(ownWords.join('\n')).sheet,
];

interface Heard {
  readonly sheet: Sheet;
  readonly timeline: Timeline;
  readonly script: Script;
}
const all = sheets.map((sheet): Heard => {
  const timeline = compile(sheet);
  return { sheet, timeline, script: scriptOf(sheet, {}, timeline) };
});

// Trade page, section 15 (common practice, no source): what must be heard, and when. The figures are house values.
describe('what is heard in every example and template', () => {
  it('what begins is named within half a second of its moment, or of the bell, the count or own words there', () => {
    let named = 0;
    for (const { sheet, script } of all)
      for (const call of script.calls.filter(({ kind }) => kind === 'new')) {
        named += 1;
        const before = script.calls.findLast(
          ({ kind, at, ms }) =>
            ['bell', 'count', 'own'].includes(kind) && at + ms <= call.at && at + ms > call.opens - 500,
        );
        const due = Math.max(call.opens, before ? before.at + before.ms : 0);
        expect(call.at - due)
          .withContext(`${sheet.title}, “${call.say}” at ${call.at / 1000} s`)
          .toBeLessThanOrEqual(500);
      }
    expect(named).toBeGreaterThan(100);
  });

  it('every piece, stage and own word is said once, or stands among what is not said, with its reason', () => {
    let own = 0;
    for (const { sheet, script, timeline } of all) {
      const breaks = script.breaks.flatMap(({ calls }) => calls);
      const said = [...script.calls, ...breaks, ...script.dropped]
        .filter(({ kind }) => kind === 'own')
        .map(({ say }) => say);
      const wanted = timeline.leaves.flatMap(({ says }) => says.map(({ words }) => words));
      own += wanted.length;
      for (const words of new Set(wanted))
        expect(said.filter((each) => each === words).length)
          .withContext(`${sheet.title}: ${words}`)
          .toBe(wanted.filter((each) => each === words).length);
      for (const { say, why } of script.dropped) expect(why).withContext(say).not.toBe('');
    }
    expect(own).toBeGreaterThan(4);
  });

  it('the pieces of a rest and of an open break are all said, in the coach’s words', () => {
    const script = all.at(-1)?.script;
    const own = script?.calls.filter(({ kind }) => kind === 'own').map(({ say }) => say);
    expect(own).toEqual([
      ...[
        'Gather round',
        'Watch my feet',
        'Hands up',
        'Hands up',
        'Shake it out',
        'Look at the clock',
        'Breathe with me',
      ],
    ]);
    expect(script?.breaks[0]?.calls.map(({ say }) => say)).toContain('Wipe them down');
    // The coach says how to breathe, so we do not: only the rest between the two rounds has our words.
    expect(script?.calls.filter(({ kind }) => kind === 'breathing')).toHaveSize(1);
  });

  it('no sentence begins with a small letter behind a full stop', () => {
    const said = all.flatMap(({ script }) => script.calls.map(({ say }) => say));
    expect(said.length).toBeGreaterThan(1000);
    expect(said.filter((say) => /[.!?] \p{Ll}/u.test(say))).toEqual([]);
  });

  it('what goes on is named again every 40 to 60 s, twelve repetitions at most', () => {
    const { script } = heard('round 5:00: 1 2 3 2');
    const moments = script.calls.filter(({ kind }) => kind === 'new' || kind === 'again').map(({ at }) => at);
    expect(moments.length).toBeGreaterThan(5);
    moments.slice(1).forEach((at, index) => {
      expect(at - (moments[index] ?? 0)).toBeLessThanOrEqual(60_000);
      expect(at - (moments[index] ?? 0)).toBeGreaterThanOrEqual(30_000);
    });
  });

  it('a new strike of a build has its cue within 15 s, before any other', () => {
    const { script } = heard('level: beginner\nround 2:00\n  build ladder every 0:30: 1 2 3 ro');
    const cues = [0, 30, 60, 90].map((from) =>
      script.calls.find(({ kind, at }) => kind === 'focus' && at >= from * 1000 && at < (from + 15) * 1000),
    );
    expect(cues.map((cue) => cue !== undefined)).toEqual([true, true, true, true]);
    expect(cues.at(-1)?.say).toMatch(/roll/i);
  });

  it('praise pushes in hard work and calms in easy work, and is never the same twice', () => {
    const { script } = heard('round 3:00 x4 rest 0:30\n  1:30 easy: 1 2\n  1:30 all-out nonstop: 1 2');
    const cheers = script.calls.filter(({ kind }) => kind === 'cheer').map(({ say }) => say);
    expect(cheers.length).toBeGreaterThan(4);
    expect(new Set(cheers).size).toBe(cheers.length);
  });

  it('the coach’s own praise comes once each, in hard rounds and others', () => {
    const lines = ['round 2:00: 1 2', 'round 2:00', '  2:00 all-out: 1 2', 'round 2:00: 1 2', 'round 2:00: 1 2'];
    const { sheet } = readTempoText(lines.join('\n'));
    const cheers = ['A', 'B', 'C', 'D'];
    const said = scriptOf({ ...sheet, calls: { wordings: { cheers } } }).calls.filter(({ kind }) => kind === 'cheer');
    expect(said.map(({ say }) => say)).toEqual(cheers);
  });
});

function heard(text: string): Heard {
  const { sheet } = readTempoText(text);
  const timeline = compile(sheet);
  return { sheet, timeline, script: scriptOf(sheet, {}, timeline) };
}
