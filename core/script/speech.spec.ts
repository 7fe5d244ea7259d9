import type { CallKind, Talk } from '../sheet/call-kinds';
import { plain } from './saying';
import { readTempoText } from '../formats/tempo-text/read';
import { eight, ownScheme, type Scheme } from '../moves/scheme';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import type { Sheet } from '../sheet/schema';
import { readStored } from '../notation/stored';
import type { Combination } from '../notation/combination';
import { onsets } from '../mechanics/study';
import { studyOf } from '../mechanics/study-of';
import { sayCombination } from './say-combination';
import { partsOf, phrases, usualSpeech, type Speech } from './speech';
import { scriptOf } from './script';

const combo = (text: string): Combination => {
  const read = readStored(text);
  if (!read.ok) throw new Error(read.fault.what);
  return read.value;
};
const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;

describe('how things are said', () => {
  it('follows the scheme: numbers where it has them, names where not, or names throughout', () => {
    const said = (text: string, more: Partial<Speech> = {}) =>
      sayCombination(combo(text), { ...usualSpeech, ...more }).say;
    expect(said('2 3b ro 4')).toBe('two, three body, roll, four');
    expect(said('sh oh')).toBe('lead shovel hook, overhand');
    expect(said('sh oh', { scheme: eight })).toBe('seven, eight');
    const own = ownScheme('kicks', [{ number: 9, id: 'body-kick', side: 'rear' }]);
    expect(said('1 bk', { scheme: own.ok ? own.value : (null as unknown as Scheme) })).toBe('one, nine');
    expect(said('1 3', { strikesAs: 'names' })).toBe('jab, lead hook');
    expect(said('ft 1 2')).toBe('feint jab, two');
  });

  it('says a long combination in parts, each a few moves, none lost', () => {
    const words = sayCombination(combo('1 2 3b 2 5 4 1 2'));
    expect(partsOf(words).map(({ say }) => say)).toEqual(['one, two, three body, two', 'five, four, one, two']);
    expect(partsOf(plain('one, two')).map(({ say }) => say)).toEqual(['one, two']);
    const [phrase] = phrases({ full: words });
    expect(phrase?.parts?.map(({ say }) => say)).toEqual(partsOf(words).map(({ say }) => say));
    expect(phrase?.parts?.[1]?.at).toBeGreaterThan(usualSpeech.lengthOf(plain('one, two, three body, two')));
    expect(phrase?.ms).toBe((phrase?.parts?.[1]?.at ?? 0) + usualSpeech.lengthOf(plain('five, four, one, two')));
  });

  it('takes the sheet’s words before the coach’s, and the coach’s before ours', () => {
    const sheet = sheetOf(
      'phrase: switch stance "Change over"',
      'focus: "Elbows in" "jab"',
      'stances: each round',
      'round 1:00 x2 rest 0:30: 1 2',
    );
    const wordings = {
      phrases: [
        { key: 'switch stance' as const, full: 'never this' },
        { key: 'breathing' as const, full: 'Breathe' },
      ],
    };
    const said = scriptOf(sheet, { wordings }).calls.map(({ say }) => say);
    expect(said).toContain('Change over');
    expect(said).toContain('Breathe');
    expect(said).toContain('Elbows in');
    expect(said).toContain('Rest. Water');
  });
});

describe('changes of calls by the coach', () => {
  const sheet = sheetOf('round 2:00: 1 2 3');
  const find = (now: Sheet, kind: string) => scriptOf(now).calls.find((call) => call.kind === kind);
  const focus = find(sheet, 'focus');
  const edited = (edit: object): Sheet => ({ ...sheet, calls: { edits: [{ key: focus?.key ?? '', ...edit }] } });

  it('say it in other words, mute it with the reason, lock it at its moment', () => {
    expect(find(edited({ say: 'Elbows down' }), 'focus')?.say).toBe('Elbows down');
    const muted = scriptOf(edited({ muted: true }));
    expect(muted.calls.some(({ kind }) => kind === 'focus')).toBeFalse();
    expect(muted.dropped.find(({ kind }) => kind === 'focus')?.why).toBe('muted by you');
    // The window of a focus opens at 55 % of the round; 12.5 s later it is 78.5 s.
    expect(find(edited({ atMs: 12_500 }), 'focus')?.at).toBe(78_500);
    expect(find(edited({ atMs: 3_000_000 }), 'focus')?.at).toBeLessThan(102_000);
  });

  it('stay with their call when something before it changes', () => {
    const longer = sheetOf('warm-up 5:00', 'round 2:00: 1 2 3');
    const key = (now: Sheet): string => (find(now, 'focus')?.key ?? '').replace(/b\d/g, '');
    expect(key(longer)).toBe(key(sheet));
  });

  it('leave kinds out, and talk less', () => {
    const quiet = scriptOf({ ...sheet, calls: { quiet: ['focus', 'cheer'] } });
    expect(quiet.calls.some(({ kind }) => kind === 'focus' || kind === 'cheer')).toBeFalse();
    expect(
      scriptOf(sheet, { talk: 'bells' }).calls.every(({ kind }) => kind === 'bell' || kind === 'count'),
    ).toBeTrue();
    const has = (talk: Talk, wanted: CallKind): boolean =>
      scriptOf(sheet, { talk }).calls.some(({ kind }) => kind === wanted);
    expect([has('all', 'cheer'), has('main', 'cheer')]).toEqual([true, false]);
    expect([has('main', 'focus'), has('names', 'focus'), has('names', 'new')]).toEqual([true, false, true]);
  });
});

describe('strike-paced calls', () => {
  it('have each word on the combination’s own time, whole repetitions only', () => {
    const sheet = sheetOf('round 0:30', '0:30: 1 2 3b ro 4 calls strikes');
    const [leaf] = compile(sheet).leaves;
    const lines = scriptOf(sheet).calls.filter(({ kind }) => kind === 'strikes');
    const study = studyOf(combo('1 2 3b ro 4'), 'orthodox');
    const [repetition] = study.turns;
    expect(lines.length).toBeGreaterThan(3);
    for (const line of lines) {
      expect(line.parts?.map(({ at }) => at)).toEqual(repetition ? onsets(repetition).map(Math.round) : []);
      expect(line.parts?.map(({ say }) => say)).toEqual(['one', 'two', 'three body', 'roll', 'four']);
      const place = (line.at - (leaf?.at ?? 0)) / (study.ms + 3000);
      expect(Math.abs(place - Math.round(place))).toBeLessThan(0.001);
      expect(line.at + line.ms).toBeLessThanOrEqual(30_000);
    }
  });

  it('leave room for what matters more, and groups change lanes and holders by a call', () => {
    const lanes = ['lane: pads, 4 places', 'lane: heavy, 4 places'];
    const { calls } = scriptOf(sheetOf(...lanes, 'round 2:00: 1 2', 'rest 0:45', 'round 2:00: 1 2'));
    expect(calls.filter(({ kind }) => kind === 'lanes').map(({ say }) => say)).toEqual([
      'Holders and hitters, swap',
      'Rotate to the next station',
      'Holders and hitters, swap',
    ]);
  });
});

describe('a rest with too much to say', () => {
  const sheet = sheetOf(
    'warm-up 5:00',
    'round 2:00: 1 2',
    'rest 0:15',
    'round 2:00 "The long way round the drill tower": 1 2 3b 2 5 4 ro 2 3 2 1 2',
  );

  it('is found, and each of its mends is enough', () => {
    const finding = findings(sheet).find(({ kind }) => kind === 'crowded rest');
    expect(finding?.mends.map(({ label }) => label)).toEqual([
      'Make the rest 0:20',
      'Drop the water and breathing calls',
      'Call only the combination',
    ]);
    const [longer, fewer] = finding?.mends ?? [];
    for (const mend of [longer, fewer]) {
      const after = mend?.edit(sheet);
      expect(after && findings(after).filter(({ kind }) => kind === 'crowded rest')).toEqual([]);
    }
    const shorter = finding?.mends[2]?.edit(sheet);
    expect(shorter && scriptOf(shorter).calls.some(({ say }) => say.startsWith('one, two, three body'))).toBeTrue();
  });

  it('lists what was shortened or left out with the reason', () => {
    const track = scriptOf(sheet);
    const missing = [...track.shortened, ...track.dropped].filter(({ kind }) =>
      ['water', 'breathing', 'preview'].includes(kind),
    );
    expect(missing.length).toBeGreaterThan(0);
    expect(missing.length).toBeGreaterThan(0);
    for (const each of missing) expect(each.why).toMatch(/more important at that moment|it takes|no room/);
  });
});
