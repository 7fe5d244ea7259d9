import fc from 'fast-check';
import { compile } from '../../timeline/compile';
import { sheetSchema, type Piece, type Sheet } from '../../sheet/schema';
import { anySheet } from '../../sheet/arbitrary-sheet.spec';
import { readSheetJson, writeSheetJson } from '../sheet-json';
import { sayPlace } from './line';
import { readTempoText } from './read';
import { writeTempoText } from './write';

const read = (...lines: string[]) => readTempoText(lines.join('\n'));
const pieces = (...lines: string[]): Piece[] => read('round 9:00', ...lines).sheet.blocks[0]?.pieces ?? [];
const bare = (...lines: string[]) =>
  pieces(...lines).map(({ id: _, ...piece }) => piece as Partial<Record<string, unknown>>);
const places = (text: ReturnType<typeof read>) =>
  text.faults.map((fault) => `${fault.level} ${fault.line}:${fault.column} ${fault.read}`);

// The text form is our own (trade pages, `tempo-text.md`); the examples are ours.
describe('tempo text', () => {
  it('reads a whole session as it is jotted down', () => {
    const { sheet, faults } = read(
      '# Tuesday tower class',
      'class: 12 people, beginners, 3 left-handed, gloves in the blue crate',
      'numbers: eight',
      'Bag heavy',
      'level: beginner',
      '// mind the wet floor',
      '',
      'warm-up 5:00',
      '  2:00 skipping, easy feet',
      '  3:00 easy shadow: freestyle',
      'show 0:30: 7 2 3b 2',
      'round 3:00 "Four and then six" on double-end goal 160',
      '  build ladder every 0:30: 1 2 3b 2 5 4',
      'rest open',
      'round 2:00 x3 rest 0:30 switch stance',
      '  1:30: 2 3 any 2',
      '  0:20 60%: 1 2',
      '  0:10 all-out nonstop: 1 2',
    );
    expect(faults).toEqual([]);
    expect(sheet.class).toEqual({ people: 12, level: 'beginner', leftHanded: 3, note: 'gloves in the blue crate' });
    expect(sheet.blocks.map(({ kind, ms }) => [kind, ms])).toEqual([
      ['warm-up', 300_000],
      ['show', 30_000],
      ['round', 180_000],
      ['rest', null],
      ['round', 120_000],
    ]);
    expect(sheet.blocks[0]?.note).toBe('mind the wet floor');
    expect(sheet.blocks[1]?.pieces).toEqual([
      { kind: 'combination', id: 'b2p1', ms: 30_000, effort: 'steady', text: 'sh 2 3b 2' },
    ]);
    expect(sheet.blocks[2]).toEqual(
      jasmine.objectContaining({ title: 'Four and then six', bag: 'double-end', goal: 160 }),
    );
    expect(sheet.blocks[4]).toEqual(jasmine.objectContaining({ times: 3, restMs: 30_000, switchStance: true }));
    expect(compile(sheet).ms).toBe((300 + 30 + 180 + 3 * 120 + 60) * 1000);
    expect(sheetSchema.safeParse(sheet).success).toBe(true);
  });

  it('takes options before words, and words before a colon', () => {
    expect(
      bare('  0:30 easy shadow: freestyle', '  1:00 power jab', '1:00 speed power strong: 1 2', '0:30 75 %: 1-2'),
    ).toEqual([
      { kind: 'combination', ms: 30_000, effort: 'easy', text: 'freestyle', words: 'shadow' },
      { kind: 'words', ms: 60_000, effort: 'steady', words: 'power jab' },
      { kind: 'combination', ms: 60_000, effort: 'strong', focus: 'power', text: '1 2' },
      { kind: 'combination', ms: 30_000, effort: 75, text: '1 2' },
    ]);
  });

  it('reads a combination without a colon only where all of it is one', () => {
    expect(bare('0:30 jab cross, hook', '0:30 "1 2"', '90s jab and move', '2 min OWN time')).toEqual([
      { kind: 'combination', ms: 30_000, effort: 'steady', text: '1 2 3' },
      { kind: 'words', ms: 30_000, effort: 'steady', words: '1 2' },
      { kind: 'words', ms: 90_000, effort: 'steady', words: 'jab and move' },
      { kind: 'own-time', ms: 120_000, effort: 'steady' },
    ]);
    expect(places(read('round 1:00', '  1:00 1 2 banana'))).toEqual(['note 2:8 1 2 banana']);
  });

  it('takes a colon before no move at all for words, and before some for a fault at the unknown one', () => {
    const text = read('round 1:00', '  0:30 skipping: keep it light', '  0:30 easy flow: 1 2 jabb 3');
    expect(places(text)).toEqual(['note 2:18 keep it light', 'error 3:23 jabb']);
    expect(
      text.sheet.blocks[0]?.pieces.map((piece) =>
        'text' in piece ? piece.text : piece.kind === 'words' && piece.words,
      ),
    ).toEqual(['skipping: keep it light', '1 2 jabb 3']);
    expect(text.faults[1]?.pieceId).toBe('b1p2');
    expect(sayPlace({ line: 3, column: 23 })).toBe('line 3, column 23');
  });

  it('makes as many pieces as there are names', () => {
    expect(bare('0:40 x3 plank / dead bug / 1 2').map((piece) => [piece['ms'], piece['kind']])).toEqual([
      [40_000, 'words'],
      [40_000, 'words'],
      [40_000, 'combination'],
    ]);
    expect(bare('0:40 x2 [bk / swk] 1 / easy').length).toBe(2);
    const wrong = read('core 2:00', '  0:40 x6 plank / dead bug');
    expect(places(wrong)).toEqual(['error 2:8 x6']);
    expect(wrong.faults[0]?.what).toBe('x6, but 2 names');
  });

  it('reads builds of every kind with their options', () => {
    const builds = pieces(
      'build ladder defence own every 0:30: 1 2 | ro 3',
      'build chunks cuts 3,5 every 0:30, 0:45: 1 2 3b ro 2 5 4',
      'build pyramid again every round: 1 2 3',
      'build kick-close kick same every 0:20: 1 2',
      'build alternator from 2 to 4 every 0:15',
      'build levels pattern body, head every 0:30: 1 2',
      'build amount to 5 every 0:30: any 2',
      'build join every 0:30: 1 2 // 3b 2 between "circle"',
      'build backward strong nonstop speed: 1 2 3',
    );
    expect(builds.map((each) => (each.kind === 'build' ? each.build : each.kind))).toEqual([
      'ladder',
      'chunks',
      'pyramid',
      'kick-close',
      'alternator',
      'levels',
      'amount',
      'join',
      'backward',
    ]);
    expect(builds[1]).toEqual(jasmine.objectContaining({ cuts: [3, 5], every: [30_000, 45_000] }));
    expect(builds[2]).toEqual(jasmine.objectContaining({ again: true, every: 'round' }));
    expect(builds[4]).toEqual(jasmine.objectContaining({ from: 2, to: 4, goal: '' }));
    expect(builds[5]).toEqual(jasmine.objectContaining({ pattern: ['body', 'head'] }));
    expect(builds[7]).toEqual(jasmine.objectContaining({ goal: '1 2', second: '3b 2', between: 'circle' }));
    expect(builds[8]).toEqual(
      jasmine.objectContaining({ effort: 'strong', nonStop: true, focus: 'speed', every: [30_000] }),
    );
  });

  it('reads parts, calls drills, change-overs, your own calls and what is done in between', () => {
    const { sheet, faults } = read(
      'combo A: 1 2 3b',
      'combo finish: A ro 4',
      'round 5:00 learn then mirror',
      '  1:00: A then finish gap 2.5s between "circle out" ',
      '  1:00 call count 2-6',
      '  1:00 call direction 2 seed 9 gap 1.5-4 between "light straights"',
      '  0:10 switch stance',
      '  say "hands up" at 0:45',
    );
    expect(faults).toEqual([]);
    expect(sheet.parts?.[1]).toEqual({ name: 'finish', text: '1 2 3b ro 4' });
    const [first, count, direction, change] = sheet.blocks[0]?.pieces ?? [];
    expect(first).toEqual(jasmine.objectContaining({ text: '1 2 3b 1 2 3b ro 4', gapMs: 2500, between: 'circle out' }));
    expect(count).toEqual(jasmine.objectContaining({ kind: 'calls', drill: 'count', least: 2, most: 6 }));
    expect(direction).toEqual(
      jasmine.objectContaining({ drill: 'direction', least: 2, most: 2, seed: 9, gapLeastMs: 1500 }),
    );
    expect(change?.kind).toBe('change-over');
    expect(sheet.blocks[0]).toEqual(
      jasmine.objectContaining({ learnThenMirror: true, says: [{ words: 'hands up', atMs: 45_000 }] }),
    );
    expect(pieces('1:00 call shots 4')[0]).toEqual(jasmine.objectContaining({ kind: 'words', words: 'call shots 4' }));
  });

  it('says line, column and word of what it cannot read, and keeps the rest', () => {
    const text = read(
      '# Tower',
      'stance: sideways',
      'mood: fast',
      'banana',
      'round "no length"',
      '  build pyrmid every 0:30: 1 2',
      '  potato',
      'round 3:00 on frog x2',
      '  1:00: 1 2',
      'round open',
      '  say hello',
      'rest 0:30 x0',
    );
    expect(places(text)).toEqual([
      'error 2:9 sideways',
      'note 3:1 mood',
      'error 4:1 banana',
      'error 4:1 banana',
      'error 5:7 "no',
      'error 6:9 pyrmid',
      'error 7:3 potato',
      'error 8:12 on frog',
      'error 10:7 open',
      'error 11:3 say',
      'error 12:11 x0',
    ]);
    expect(text.sheet.blocks.map(({ kind }) => kind)).toEqual(['round', 'round', 'round', 'round', 'rest']);
    expect(text.sheet.blocks[1]?.note).toBe('potato');
    expect(text.sheet.head).toEqual([{ key: 'mood', value: 'fast' }]);
    expect(text.sheet.blocks[2]?.pieces.length).toBe(1);
    expect(sheetSchema.safeParse(text.sheet).success).toBe(true);
  });

  it('carries every sheet there and back, text and JSON the same', () => {
    fc.assert(
      fc.property(anySheet, (sheet) => {
        const text = writeTempoText(sheet);
        const again = readTempoText(text);
        expect(again.faults.filter(({ level }) => level === 'error'))
          .withContext(text)
          .toEqual([]);
        expect(again.sheet).withContext(text).toEqual(sheet);
        expect(writeTempoText(again.sheet)).toBe(text);
        expect(readSheetJson(writeSheetJson(again.sheet))).toEqual({ ok: true, value: sheet });
      }),
      { numRuns: 500 },
    );
  });

  it('never throws, always gives a sheet that its schema takes', () => {
    const line = fc.oneof(
      fc.string({ maxLength: 40 }),
      fc
        .array(
          fc.constantFrom(
            'round',
            'rest',
            '3:00',
            '0:30',
            'open',
            'x3',
            '"a"',
            '"',
            'on',
            'goal',
            'build',
            'ladder',
            'every',
            ':',
            '1 2',
            '//',
            '/',
            'say',
            'at',
            'call',
            'count',
            '2-6',
            'gap',
            'between',
            'class',
            'combo A',
            'switch stance',
            '999999999',
            '60%',
            '(',
          ),
          { maxLength: 9 },
        )
        .map((words) => words.join(' ')),
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
        const { sheet } = readTempoText(lines.join('\n'));
        const parsed = sheetSchema.safeParse(sheet);
        expect(parsed.error?.issues).withContext(lines.join('\n')).toBeUndefined();
        const text = writeTempoText(sheet);
        expect(writeTempoText(readTempoText(text).sheet))
          .withContext(lines.join('\n'))
          .toBe(text);
      }),
      { numRuns: 2000 },
    );
  });

  it('leaves a sheet’s own id and title alone', () => {
    const sheet: Sheet = readTempoText('# "  odd "\nround 1:00', 'mine').sheet;
    expect([sheet.id, sheet.title]).toEqual(['mine', '  odd ']);
  });

  it('tells the first hundred places of one kind, and counts the others', () => {
    const faults = readTempoText('round 1:00\n'.repeat(19_900)).faults;
    expect(faults.length).toBe(101);
    expect(faults.at(-1)?.what).toBe('a sheet can hold at most 500 blocks: 19,300 more places like this');
    const two = readTempoText(`round 1:00\n${'jabb\n'.repeat(150)}${'say "x"\n'.repeat(3)}`).faults;
    expect(two.filter(({ what }) => what === 'this call could not be read').length).toBe(3);
    expect(two.length).toBe(100 + 1 + 3);
  });
});
