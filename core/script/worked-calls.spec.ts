import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { readStored } from '../notation/stored';
import { candidatesOf } from './candidates';
import { callKinds, callNature, isSaid, phraseKeys } from '../sheet/call-kinds';
import { plain } from './saying';
import { spokenLength } from './call';
import { usualPhrases } from './phrasebook';
import { sayCombination, sayStrikes } from './say-combination';
import { usualSpeech, worded } from './speech';
import { scriptOf } from './script';

const track = (...lines: string[]) => scriptOf(readTempoText(lines.join('\n')).sheet);
const at = (calls: ReturnType<typeof track>['calls'], kind: string): string[] =>
  calls.filter((call) => call.kind === kind).map((call) => `${call.at / 1000} ${call.say}`);

describe('worked calls: combinations as they are said', () => {
  // Trade page, sections 3 and 9: numbers for the six punches, "body" for the body, lead and rear for the rest.
  const rows: readonly (readonly [string, string])[] = [
    ['1', 'jab'],
    ['1 2', 'one, two'],
    ['2 3b ro 4', 'two, three body, roll, four'],
    ['2 3b ro-l 4', 'two, three body, lead roll, four'],
    ['1b 2b', 'one body, two body'],
    ['5 6', 'five, six'],
    ['sl 2', 'slip, two'],
    ['sl sl 2', 'slip, slip, two'],
    ['sl sl-r 2', 'slip, rear slip, two'],
    ['ck bk', 'check, body kick'],
    ['1~ 2!', 'one light, two hard'],
    ['lk@thigh! 3', 'low kick hard thigh, three'],
    ['sl-l 3', 'lead slip, three'],
    ['bk', 'body kick'],
    ['lbk', 'lead body kick'],
    ['lk', 'low kick'],
    ['tp', 'teep'],
    ['rtp', 'rear teep'],
    ['tph', 'teep to the head'],
    ['swk', 'switch kick'],
    ['rkn', 'knee'],
    ['in+1', 'step in with one'],
    ['(1 2)x3', 'one two, three times'],
    ['sq sq (1 2)x2', 'two squats, then one two, twice'],
    ['(1 2)x4', 'one two, four times'],
    ['sq 1', 'squat, one'],
    ['1 1 2', 'one, one, two'],
    ['1 1 1 2', 'three jabs, two'],
    ['3 3 3', 'three lead hooks'],
    ['bk bk 1', 'two body kicks, one'],
    ['(sq)x5', 'five squats'],
    ['[1 / 2] 3', 'one, three, then two, three'],
    ['any 2-4', 'any two to four punches'],
    ['any 1 body', 'any one punch to the body'],
    ['any 3 hooks end tp', 'any three hooks, finish with the teep'],
    ['any 2-5 end 3', 'any two to five punches, finish with the lead hook'],
    ['any 1 kicks', 'any one kick'],
    ['any 1!', 'any one punch, hard'],
    ['any 2 defences different', 'any two defences, different every time'],
    ['freestyle', 'freestyle'],
    ['1 switch 2', 'one, switch, two'],
    ['oh', 'overhand'],
  ];
  for (const [typed, said] of rows)
    it(`${typed}: ${said}`, () => {
      const read = readStored(typed);
      if (!read.ok) throw new Error(read.fault.what);
      expect(sayCombination(read.value).say).toBe(said);
    });

  it('strike by strike each step has its own word', () => {
    const read = readStored('in+1 2 [3 / 4]');
    if (!read.ok) throw new Error('unread');
    expect(sayStrikes(read.value, 0, usualSpeech).map(({ say }) => say)).toEqual(['one', 'two', 'three']);
    expect(sayStrikes(read.value, 1, usualSpeech).map(({ say }) => say)).toEqual(['one', 'two', 'four']);
  });
});

describe('worked calls: a round of three minutes', () => {
  const { calls } = track('round 3:00: 1 2 3');

  // Trade page, section 9: bells, the last ten seconds and 3-2-1, half way, one minute, thirty seconds.
  it('rings at both ends and counts the last seconds', () => {
    expect(at(calls, 'bell')).toEqual(['0 bell', '180 bell']);
    expect(at(calls, 'count')).toEqual(['170 ten seconds', '177 three', '178 two', '179 one']);
  });

  it('tells the time where it still is one', () => {
    const times = calls.filter(({ kind }) => kind === 'time');
    expect(times.map(({ say }) => say)).toEqual([
      'halfway',
      'one minute left',
      'thirty seconds left',
      'Session over. Well done',
    ]);
    [90_000, 120_000, 150_000].forEach((wished, index) => {
      const late = (times[index]?.at ?? 0) - wished;
      expect(late).toBeGreaterThanOrEqual(0);
      expect(late).toBeLessThanOrEqual(4000);
    });
  });

  it('tells more of it in a long round, and something in a short one', () => {
    const times = (length: string): string[] =>
      at(track(`round ${length}: 1 2`).calls, 'time')
        .map((each) => each.replace(/^\S+ /, ''))
        .slice(0, -1);
    expect(times('5:00')).toEqual(['halfway', 'two minutes left', 'one minute left', 'thirty seconds left']);
    expect(times('2:00')).toEqual(['one minute left', 'thirty seconds left']);
    expect(times('1:00')).toEqual(['thirty seconds left']);
    expect(times('0:45')).toEqual(['fifteen seconds left']);
    expect(times('0:20')).toEqual([]);
  });

  it('reminds of technique late in it, and cheers before', () => {
    const focuses = calls.filter(({ kind }) => kind === 'focus');
    expect(focuses.length).toBe(2);
    expect(new Set(focuses.map(({ say }) => say)).size).toBe(2);
    const late = focuses.at(-1);
    expect(late && late.at >= 99_000 && late.at + late.ms <= 153_000).toBeTrue();
    expect(calls.filter(({ kind }) => kind === 'cheer').length).toBe(1);
  });
});

describe('worked calls: rests, efforts, stances', () => {
  it('a rest of a minute has water, breathing, what comes next and the count', () => {
    const { calls } = track('round 1:00: 1 2', 'rest 1:00', 'round 1:00: 2 3 2');
    const rest = calls.filter((call) => call.at > 60_000 && call.at < 120_000);
    expect(rest.map(({ kind }) => kind).sort()).toEqual([
      'breathing',
      'count',
      'count',
      'count',
      'preview',
      'preview',
      'water',
    ]);
    expect(rest.find(({ kind }) => kind === 'preview')?.say).toBe('Next, the last round: two, three, two');
  });

  it('only the effort is said where the work stays the same', () => {
    const { calls } = track('round 1:00', '0:30 easy: 1 2', '0:30 all-out: 1 2');
    expect(at(calls, 'new').length).toBe(1);
    expect(at(calls, 'effort').map((each) => each.replace(/^\S+ /, ''))).toEqual(['Easy', 'All-out']);
  });

  it('a change of stance is called before it, by the plan as by a block', () => {
    for (const text of [
      ['stances: each round', 'round 1:00: 1 2', 'rest 0:30', 'round 1:00: 1 2'],
      ['round 1:00: 1 2', 'rest 0:30', 'round 1:00 switch stance: 1 2'],
    ]) {
      const [stance] = track(...text).calls.filter(({ kind }) => kind === 'stance');
      expect(stance && stance.at >= 78_000 && stance.at + stance.ms <= 90_000).toBeTrue();
    }
  });

  it('back to the natural stance is called too, and at an open break while the clock stands', () => {
    const back = track('stances: half round', 'round 1:00 x2 rest 0:30: 1 2').calls;
    expect(back.filter(({ kind }) => kind === 'stance').map(({ at }) => at > 60_000 && at < 90_000)).toEqual([
      false,
      true,
      false,
    ]);
    const { calls, breaks } = track('stances: each round', 'round 1:00: 1 2', 'rest open', 'round 1:00: 1 2');
    expect(calls.some(({ kind }) => kind === 'stance')).toBeFalse();
    expect(breaks[0]?.calls.map(({ kind }) => kind)).toEqual(['bell', 'new', 'stance', 'preview']);
    const { sheet } = readTempoText('round 1:00: 1 2\nrest open\nround 1:00: 1 2');
    const [open] = scriptOf(sheet).breaks[0]?.calls.filter(({ kind }) => kind === 'new') ?? [];
    const change = (edit: object) => scriptOf({ ...sheet, calls: { edits: [{ key: open?.key ?? '', ...edit }] } });
    expect(change({ say: 'Take your time' }).breaks[0]?.calls.map(({ say }) => say)).toContain('Take your time');
    expect(change({ muted: true }).breaks[0]?.calls.some(({ kind }) => kind === 'new')).toBeFalse();
    expect(change({ muted: true }).dropped).toContain(
      jasmine.objectContaining({ key: open?.key, why: 'muted by you', opens: 60_000 }),
    );
    const quiet = track('quiet: preview, new', 'stances: each round', 'round 1:00: 1', 'rest open', 'round 1:00: 1');
    expect(quiet.breaks[0]?.calls.map(({ kind }) => kind)).toEqual(['bell', 'stance']);
  });

  it('counts from five where the coach counts from five, in rounds and before them', () => {
    const { sheet } = readTempoText('round 1:00: 1 2\nrest 0:45\nround 1:00: 1 2');
    const { calls } = scriptOf(sheet, { countFrom: 5 });
    expect(at(calls, 'count').filter((each) => each.startsWith('5') || each.startsWith('1'))).toEqual([
      '50 ten seconds',
      '55 five',
      '56 four',
      '57 three',
      '58 two',
      '59 one',
      '100 five',
      '101 four',
      '102 three',
      '103 two',
      '104 one',
      '155 ten seconds',
      '160 five',
      '161 four',
      '162 three',
      '163 two',
      '164 one',
    ]);
  });

  it('says the short form where the full one has no room, and never without one', () => {
    const { calls, shortened } = track(
      'round 1:00',
      '0:04: 1 2 3 2 5 2',
      '0:56: 1',
      'say "hands up, all of you, and keep them there" at 0:01',
    );
    expect(shortened.length + calls.length).toBeGreaterThan(0);
    expect(calls.length).toBeGreaterThan(0);
    for (const { key, form } of calls) expect(form === 'short').toBe(shortened.some((each) => each.key === key));
  });

  it('inside a round it is called in the eight seconds before', () => {
    const { calls } = track('stances: half round', 'round 2:00: 1 2');
    const settle = compile(readTempoText('stances: half round\nround 2:00: 1 2').sheet).leaves[1];
    const [stance] = calls.filter(({ kind }) => kind === 'stance');
    const before = (settle?.at ?? 0) - (stance?.at ?? 0);
    expect(before).toBeGreaterThan(0);
    expect(before).toBeLessThanOrEqual(8000);
  });
});

describe('worked calls: words and kinds', () => {
  it('every wording of ours can be filled, and every kind has its worth in the trade’s order', () => {
    const blanks = [
      'seconds',
      'rounds',
      'title',
      'number',
      'minutes',
      'round',
      'combination',
      'moves',
      'effort',
      'percent',
      'pace',
      'words',
      'bag',
      'row',
      'hand',
      'block',
      'exercise',
    ];
    const values = Object.fromEntries(blanks.map((blank) => [blank, plain('x')]));
    expect(phraseKeys.length).toBeGreaterThan(0);
    for (const key of phraseKeys) {
      const { full, short } = worded(usualSpeech, key, values);
      expect(full.say + (short?.say ?? '')).not.toMatch(/[{}]/);
      expect(usualPhrases[key].full.length).toBeGreaterThan(0);
    }
    const worth = callKinds.map((kind) => callNature(kind).worth);
    expect([...worth].sort((a, b) => b - a)).toEqual(worth);
  });

  it('talking less leaves out what is not needed to follow', () => {
    expect(callKinds.filter((kind) => isSaid(kind, 'bells'))).toEqual(['bell', 'count']);
    expect(callKinds.filter((kind) => !isSaid(kind, 'main'))).toEqual([
      ...['preview', 'reminder', 'water', 'breathing', 'cheer'],
    ] as (typeof callKinds)[number][]);
    // Names and time: what there is to follow, and nothing of how it is done.
    expect(callKinds.filter((kind) => isSaid(kind, 'names'))).toEqual([
      ...['bell', 'own', 'new', 'stance', 'count', 'drill', 'time', 'again', 'strikes'],
    ] as (typeof callKinds)[number][]);
    expect(callKinds.every((kind) => isSaid(kind, 'all'))).toBeTrue();
  });

  // 165 words a minute: a word is 364 ms.
  it('takes the time of its words', () => {
    const rows: readonly (readonly [string, number])[] = [
      ['one', 364],
      ['one two', 727],
      ['forty-five seconds left', 1455],
      ['', 364],
      ['— one —', 364],
      ['one two three four five six', 2182],
    ];
    expect(rows.length).toBeGreaterThan(0);
    for (const [words, ms] of rows) expect(spokenLength(words)).withContext(words).toBe(ms);
  });

  it('names each candidate once', () => {
    const { sheet } = readTempoText(
      'round 2:00 x4 rest 0:30: 1 2\nrest open\nround 1:00\n  build ladder every 0:15: 1 2 3 2',
    );
    const keys = candidatesOf(compile(sheet)).candidates.map(({ key }) => key);
    expect(new Set(keys).size).toBe(keys.length);
  });
});
