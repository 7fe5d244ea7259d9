import { compile } from '../../timeline/compile';
import { tally } from '../../tally/tally';
import { sheetSchema } from '../../sheet/schema';
import { readTempoText } from './read';
import { writeTempoText } from './write';

const head = 'warm-up 5:00';
const sheetOf = (...lines: string[]) => {
  const { sheet, faults } = readTempoText(lines.join('\n'));
  expect(faults).toEqual([]);
  return sheet;
};
/** There and back: the same sheet, and the same text again. */
function holds(...lines: string[]): void {
  const sheet = sheetOf(...lines);
  const text = writeTempoText(sheet);
  expect(readTempoText(text).sheet).toEqual(sheet);
  expect(sheetSchema.parse(JSON.parse(JSON.stringify(sheet)))).toEqual(sheet);
}
const strikes = (...lines: string[]): number => {
  const sheet = sheetOf(...lines);
  return tally(compile(sheet), sheet.stance).counts.strikes;
};

// Forms: the page on tempo text. Counts by hand: touches = whole touches that fit in the rebounds of the time.
describe('rhythms as they are written', () => {
  it('plan the touches that fit the board’s rebounds', () => {
    // 300 rebounds a minute; a row of 3 + 3 + 1 takes 7: 42 rows are 294, and two touches of 3 make 300.
    expect(strikes('round 1:00', '  1:00 rhythm 3,3,1')).toBe(128);
    expect(strikes('round 1:00', '  1:00 rhythm 5')).toBe(60);
    expect(strikes('round 1:00', '  1:00 rhythm 3 at 360')).toBe(120);
    // Softly: half a second each.
    expect(strikes('round 0:30', '  0:30 rhythm 0')).toBe(60);
  });

  it('hold what they are told, by hand, growth and elbow, and refuse an even number with the reason', () => {
    holds(
      'schools: ball-tricks yes',
      'round 2:00 on speed',
      '  1:00 rhythm 3,1 turns grow 1-5',
      '  1:00 rhythm 3 rear elbow at 280',
    );
    const { sheet, faults } = readTempoText('round 1:00\n  1:00 rhythm 3,2');
    expect(faults[0]?.what).toMatch(/odd|even|far side/);
    expect(sheet.blocks[0]?.pieces.length).toBe(1);
  });

  it('fall on both hands by row where they take turns', () => {
    const leaf = compile(sheetOf('round 1:00', '  1:00 rhythm 3,3 turns')).leaves[0];
    expect(leaf?.touches.slice(0, 5).map(({ side }) => side)).toEqual(['lead', 'lead', 'rear', 'rear', 'lead']);
    expect(leaf?.touches.slice(0, 3).map(({ at }) => at)).toEqual([0, 600, 1200]);
  });
});

describe('what else is written', () => {
  it('exercises with their pauses, each of which names the next', () => {
    const lines = ['core 2:00', '  0:45/0:15 x2 plank / dead bug'];
    holds(head, ...lines);
    const { leaves, ms } = compile(sheetOf(...lines));
    expect(ms).toBe(120_000);
    expect(leaves.map(({ doing, words }) => `${doing} ${words ?? ''}`)).toEqual([
      'words plank',
      'pause dead bug',
      'words dead bug',
      'pause ',
    ]);
    const one = compile(sheetOf('core 3:00', '  0:45/0:15 x3 plank')).leaves;
    expect(one.filter(({ words, doing }) => doing === 'words' && words === 'plank').length).toBe(3);
  });

  it('a stance for a piece, and square for the sheet', () => {
    holds(head, 'stance: square');
    const lines = ['round 1:30', '  0:30: 1 2', '  0:30 southpaw: 1 2', '  0:30 square: 1 2'];
    holds(head, ...lines);
    const leaves = compile(sheetOf(...lines)).leaves.filter(({ doing }) => doing === 'combination');
    expect(leaves.map(({ stance }) => stance)).toEqual(['orthodox', 'southpaw', 'square']);
    // Who goes into the other lead stance and out of it settles first, in the piece’s own time.
    expect(compile(sheetOf(...lines)).leaves.map(({ doing }) => doing)).toContain('change-over');
    expect(compile(sheetOf(...lines)).ms).toBe(90_000);
  });

  it('a label of one word is kept, and no part', () => {
    holds(head, 'round 0:30', '  0:30 close: 5 6 3');
    expect(sheetOf('round 0:30', '  0:30 close: 5 6 3').blocks[0]?.pieces[0]).toEqual(
      jasmine.objectContaining({ words: 'close', text: '5 6 3' }),
    );
  });

  it('singles alone, schools, the ball, gloves, and focus lines of the sheet and of a block', () => {
    holds(
      '# Tower',
      'schools: kick same; after-hook same-hand; ball-body cord; ball-tricks yes',
      'ball: 0.35, 1.2, 1.1, 80, 70',
      'gloves: on 60s, off 30s',
      'focus: "Elbows in" on 3b body bag heavy level beginner every 0:45 only',
      'warm-up 5:00',
      'round 1:30',
      '  focus: "Chin down" every 0:30',
      '  build singles alone every 0:30: 1 2 3',
    );
  });
});

describe('a file of the first version', () => {
  const old = {
    format: 'keen-tempo/sheet',
    version: 1,
    id: 'x',
    title: 'Older',
    ownBags: [{ name: 'Pads', targets: ['head'], families: ['punch'] }],
    lanes: [{ bag: 'Pads', places: 2 }],
    calls: { wordings: { focuses: [{ words: 'Chin down', moves: [] }] } },
    blocks: [],
  };

  it('is read, its reminders alone as they were, and its own bag keeps the name that is built in now', () => {
    const sheet = sheetSchema.parse(old);
    expect(sheet.version).toBe(3);
    expect(sheet.focuses).toEqual([jasmine.objectContaining({ words: 'Chin down', only: true })]);
    expect(sheet.ownBags?.[0]?.name).toBe('Pads');
  });
});
