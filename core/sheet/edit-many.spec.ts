import { readTempoText } from '../formats/tempo-text/read';
import { keepIds } from '../formats/tempo-text/keep-ids';
import { readPieceLine } from '../formats/tempo-text/line-of-pieces';
import { writeTempoText } from '../formats/tempo-text/write';
import { six } from '../moves/scheme';
import { effortOverTime } from '../tally/at-a-glance';
import { tally } from '../tally/tally';
import { compile } from '../timeline/compile';
import { duplicateMarked, markedRows, moveMarked, nudgeTimes, removeMarked, setEffortOf } from './edit-many';
import { mirrorMarked } from '../adapting/mirror-marked';
import type { Sheet } from './schema';

const sheet: Sheet = readTempoText(
  'round 2:00\n  1:00: 1 2 3b\n  1:00 easy: 2 swk\nrest 1:00\nround 1:30\n  build ladder every 0:30: 1 2 3',
).sheet;
const rows = (changed: Sheet): string[] => writeTempoText(changed).split('\n').slice(5).filter(Boolean);
const marked = (...ids: string[]): ReadonlySet<string> => new Set(ids);

describe('editing many rows at once', () => {
  it('sets effort and nudges times, a build’s stages each', () => {
    expect(rows(setEffortOf(sheet, marked('b1', 'b3p1'), 'strong'))).toEqual([
      'round 2:00',
      '  1:00 strong: 1 2 3b',
      '  1:00 strong: 2 swk',
      'rest 1:00',
      'round 1:30',
      '  build ladder every 0:30 strong: 1 2 3',
    ]);
    expect(rows(nudgeTimes(sheet, marked('b1p1', 'b2', 'b3p1'), 5000))).toEqual([
      'round 2:00',
      '  1:05: 1 2 3b',
      '  1:00 easy: 2 swk',
      'rest 1:05',
      'round 1:30',
      '  build ladder every 0:35: 1 2 3',
    ]);
    expect(nudgeTimes(sheet, marked('b2'), -90_000).blocks[1]?.ms).toBe(1000);
  });

  it('mirrors blocks by their stance and pieces by the other hand, twice the same again', () => {
    const mirrored = mirrorMarked(sheet, marked('b3', 'b1p1'));
    expect(rows(mirrored).filter((_, at) => at !== 2)).toEqual([
      'round 2:00',
      '  1:00: 2 1 4b',
      'rest 1:00',
      'round 1:30 switch stance',
      '  build ladder every 0:30: 1 2 3',
    ]);
    expect(mirrorMarked(mirrored, marked('b3', 'b1p1'))).toEqual(sheet);
  });

  it('moves, duplicates and removes together', () => {
    expect(markedRows(sheet, marked('b1p2', 'b1', 'b3p1')).map(({ id }) => id)).toEqual(['b1', 'b3p1']);
    expect(rows(moveMarked(sheet, marked('b1', 'b2'), 1)).filter((line) => !line.startsWith(' '))).toEqual([
      'round 1:30',
      'round 2:00',
      'rest 1:00',
    ]);
    expect(moveMarked(sheet, marked('b1', 'b2'), -1)).toBe(sheet);
    let next = 0;
    const twice = duplicateMarked(sheet, marked('b1p1', 'b2'), () => `n${(next += 1)}`);
    expect(rows(twice).filter((line) => line.startsWith('rest') || line.includes('3b')).length).toBe(4);
    expect(rows(removeMarked(sheet, marked('b1', 'b3p1')))).toEqual(['rest 1:00', 'round 1:30']);
  });
});

describe('tempo text, live', () => {
  it('keeps ids of what did not change, and of what changed in its place', () => {
    const typed = readTempoText(
      writeTempoText(sheet).replace('1 2 3b', '1 2 3b 2').replace('rest 1:00', 'rest 0:45\n\nshow 0:30'),
    ).sheet;
    let next = 0;
    const before: Sheet = {
      ...sheet,
      blocks: sheet.blocks.map((block) => ({
        ...block,
        id: `old-${block.id}`,
        pieces: block.pieces.map((piece) => ({ ...piece, id: `old-${piece.id}` })),
      })),
    };
    const after = keepIds(before, typed, () => `new-${(next += 1)}`);
    expect(after.blocks.map(({ id }) => id)).toEqual(['old-b1', 'old-b2', 'new-1', 'old-b3']);
    expect(after.blocks[0]?.pieces.map(({ id }) => id)).toEqual(['old-b1p1', 'old-b1p2']);
    expect(after.blocks[3]).toBe(before.blocks[2] as Sheet['blocks'][0]);
  });

  it('reads a line on its own', () => {
    const line = (text: string) => readPieceLine(text, { scheme: six, parts: new Map() }, () => 'x');
    expect(line('build pyramid every 0:20: 1 2').pieces).toEqual([
      jasmine.objectContaining({ kind: 'build', build: 'pyramid' }),
    ]);
    expect(line('0:40 x2 plank / bridge').pieces.length).toBe(2);
    expect(line('plank').faults.length).toBe(1);
  });
});

describe('a plan at a glance', () => {
  it('is gapless in effort and adds up in strikes', () => {
    const timeline = compile(sheet);
    const stretches = effortOverTime(timeline);
    expect(stretches.length).toBeGreaterThan(1);
    stretches.slice(1).forEach((each, at) => {
      expect(each.from).toBe(stretches[at]?.to ?? -1);
    });
    expect(stretches.map(({ percent }) => percent)).toEqual([65, 45, 0, 65, 65, 65]);
    const strikes = tally(timeline, 'orthodox').byKind;
    expect(strikes.kicks.right).toBe(0);
    expect(strikes.kicks.left).toBeGreaterThan(10);
    const southpaw = tally(timeline, 'southpaw').byKind;
    expect([southpaw.kicks.right, southpaw.straights.left]).toEqual([strikes.kicks.left, strikes.straights.right]);
  });
});
