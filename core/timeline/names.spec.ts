import { readTempoText } from '../formats/tempo-text/read';
import { six } from '../moves/scheme';
import { usualDrill } from '../progressions/call-drill';
import type { Piece, Sheet } from '../sheet/schema';
import { blockNames } from './block-names';
import { compile } from './compile';
import { wholeOf, type Leaf } from './leaf';
import { blockName, leafDetail, leafName, plainName } from './names';
import { buildNames, goalsName, pieceName } from './piece-name';
import { stretchBlock, stretchLastPiece } from './stretch';

const sheetOf = (text: string): Sheet => {
  const { sheet, faults } = readTempoText(text);
  expect(faults).toEqual([]);
  return sheet;
};
const piecesOf = (text: string): readonly Piece[] => sheetOf(text).blocks.flatMap(({ pieces }) => pieces);
const firstBlock = (sheet: Sheet): string => sheet.blocks[0]?.id ?? '';

// Words of the screen: ours (design page); each is read by people and by outside tests of the timeline.
describe('the names of a session', () => {
  it('are a round’s number and title, and a block’s kind elsewhere', () => {
    expect(plainName({ block: 'round', round: 3, title: 'Hands' })).toBe('Round 3');
    expect(blockName({ block: 'round', round: 3, title: 'Hands' })).toBe('Round 3 · Hands');
    const kinds = ['warm-up', 'show', 'round', 'rest', 'conditioning', 'core', 'cool-down'] as const;
    expect(kinds.map((block) => blockName({ block, round: null, title: null }))).toEqual([
      'Warm-up',
      'Demo',
      'Round',
      'Rest',
      'Conditioning',
      'Core',
      'Cool-down',
    ]);
    expect(blockName({ block: 'core', round: null, title: 'Floor' })).toBe('Core · Floor');
  });

  it('number each block by its first round, whatever stands between', () => {
    const sheet = sheetOf('warm-up 2:00\nround 1:00 x2 "Hands": 1 2\nrest 0:30\nround 1:00: 1\ncore 1:00 "Floor"');
    expect([...blockNames(sheet, compile(sheet)).values()]).toEqual([
      'Warm-up',
      'Round 1 · Hands',
      'Rest',
      'Round 3',
      'Core · Floor',
    ]);
    expect([...blockNames(sheet, compile(sheet)).keys()]).toEqual(sheet.blocks.map(({ id }) => id));
  });

  it('say of a leaf what is done in it, in the fewest words', () => {
    const text = [
      'round 4:00 "Hands"',
      '  build ladder every 0:20: 1 2 3b',
      '  0:30 steady hands: 1 2',
      '  0:30: 1 2 3',
      '  0:20 own time',
      'core 0:50',
      '  0:20/0:10 x2 plank / dead bug',
    ].join('\n');
    const { leaves } = compile(readTempoText(text).sheet);
    const details = leaves.map(leafDetail);
    expect(details.slice(0, 3)).toEqual(['stage 1 of 3', 'stage 2 of 3', 'stage 3 of 3']);
    expect(leaves.map(leafName)[0]).toBe('Round 1 · Hands · stage 1 of 3');
    expect(details).toContain('free work');
    expect(details).toContain('pause, next: dead bug');
    expect(details).toContain('plank');
    // A combination without words of its own needs none; its block says it all.
    const bare = leaves.find(({ doing, words, stage }) => doing === 'combination' && !words && !stage);
    expect(bare && leafDetail(bare)).toBeNull();
    expect(bare && leafName(bare)).toBe('Round 1 · Hands');
  });

  it('of a leaf follow from what is done, kind by kind', () => {
    const [leaf] = compile(sheetOf('round 1:00: 1 2')).leaves;
    if (!leaf) throw new Error('no leaf');
    const plain: Leaf = { ...leaf, stage: null, words: null, drill: null, row: [] };
    const drill = { ...usualDrill, kind: 'count' as const, ms: 30_000 };
    expect(leafDetail({ ...plain, doing: 'change-over' })).toBe('switch stance');
    expect(leafDetail({ ...plain, doing: 'calls', drill })).toBe('number drill');
    expect(leafDetail({ ...plain, doing: 'calls' })).toBe('calls');
    expect(leafDetail({ ...plain, doing: 'rhythm', row: [3, 3, 1] })).toBe('rhythm 3, 3, 1');
    expect(leafDetail({ ...plain, doing: 'pause' })).toBe('pause');
    expect(leafDetail({ ...plain, doing: 'pause', words: 'plank' })).toBe('pause, next: plank');
    expect(leafDetail({ ...plain, doing: 'unplanned' })).toBe('unplanned');
    expect(leafDetail({ ...plain, doing: 'words', words: 'Shake out' })).toBe('Shake out');
    expect(leafDetail({ ...plain, doing: 'combination', words: 'hands' })).toBe('hands');
    expect(leafDetail({ ...plain, doing: 'own-time', words: 'hands' })).toBe('free work');
    expect(leafDetail({ ...plain, doing: 'free', words: 'hands' })).toBeNull();
  });
});

const timing = { id: 'p', ms: 30_000, effort: 'steady' } as const;

describe('a piece in a line', () => {
  const name = (piece: Piece): string => pieceName(piece, six);

  it('is its combination, with its words where it has some', () => {
    const [hands, bare] = piecesOf('round 1:00\n  0:30 hands: 1 2 3b\n  0:30: 1 2');
    expect(hands && name(hands)).toBe('hands, 1 2 3b');
    expect(bare && name(bare)).toBe('1 2');
  });

  it('is what is done where it is no combination', () => {
    expect(name({ ...timing, kind: 'words', words: 'Shake out' })).toBe('Shake out');
    expect(name({ ...timing, kind: 'words', words: '' })).toBe('free');
    expect(name({ ...timing, kind: 'own-time' })).toBe('free work');
    expect(name({ ...timing, kind: 'change-over' })).toBe('switch stance');
    expect(name({ ...timing, kind: 'pause' })).toBe('pause');
  });

  it('says how many punches a drill calls', () => {
    const calls = { ...timing, kind: 'calls' } as const;
    expect(name({ ...calls, drill: 'count', least: 2, most: 6 })).toBe('number drill, 2–6 punches');
    expect(name({ ...calls, drill: 'go', least: 3, most: 3 })).toBe('go drill, 3 punches');
    expect(name({ ...calls, drill: 'direction', least: 1, most: 1 })).toBe('direction drill, 1 punch');
  });

  it('says a rhythm’s row, and hand, elbow and growth where they are not the usual ones', () => {
    const row = { ...timing, kind: 'rhythm' as const, row: [3, 3, 1] };
    expect(name(row)).toBe('rhythm 3, 3, 1');
    expect(name({ ...row, hand: 'lead' })).toBe('rhythm 3, 3, 1');
    expect(name({ ...row, hand: 'rear' })).toBe('rhythm 3, 3, 1, rear');
    expect(name({ ...row, elbow: true, growTo: 5 })).toBe('rhythm 3, 3, 1, elbow, the last 1–5 times');
    expect(name({ ...row, growFrom: 2, growTo: 5 })).toBe('rhythm 3, 3, 1, the last 2–5 times');
  });

  it('says what a build is and where it leads, several goals one after the other', () => {
    const kinds = ['ladder', 'backward', 'chunks', 'pyramid'] as const;
    for (const kind of kinds) {
      const [piece] = piecesOf(`round 4:00\n  build ${kind} every 0:20: 1 2 3b`);
      expect(piece && name(piece)).toBe(`${buildNames[kind]} to 1 2 3b`);
    }
    expect(kinds.map((kind) => buildNames[kind])).toEqual(['ladder', 'back-to-front build', 'chunks', 'pyramid']);
    const [join] = piecesOf('round 6:00\n  build join every 0:20: 1 2 // 3b 2');
    if (join?.kind !== 'build') throw new Error('no build');
    expect(goalsName(join, six)).toContain(', then ');
    expect(name(join)).toBe(`join to ${goalsName(join, six)}`);
    const [alternator] = piecesOf('round 2:00\n  build alternator every 0:20');
    if (alternator) expect(name(alternator)).toBe('alternator');
  });
});

describe('a leaf that live changes have parted', () => {
  it('is whole with all that goes on with it, before and behind', () => {
    const { leaves, ...rest } = compile(sheetOf('round 1:00\n  0:20: 1\n  0:20: 1 2\n  0:20: 1 2 3'));
    const [a, b, c] = leaves;
    if (!a || !b || !c) throw new Error('no leaves');
    const half = { ...b, ms: 10_000 };
    const second = { ...half, at: b.at + 10_000, goesOn: true };
    const third = { ...c, goesOn: true };
    const parted = { ...rest, leaves: [a, half, second, c] };
    expect(wholeOf(parted, half)).toEqual([half, second]);
    expect(wholeOf(parted, second)).toEqual([half, second]);
    expect(wholeOf(parted, a)).toEqual([a]);
    expect(wholeOf(parted, c)).toEqual([c]);
    expect(wholeOf({ ...rest, leaves: [a, b, third] }, third)).toEqual([b, third]);
    // What is not of the timeline stands for itself.
    expect(wholeOf({ ...rest, leaves: [a, c] }, b)).toEqual([b]);
  });
});

describe('a block that does not come out even', () => {
  const short = (): Sheet => sheetOf('round 2:00\n  0:30: 1\n  0:40: 1 2');
  const lengths = ({ blocks }: Sheet) => blocks[0]?.pieces.map((piece) => ('ms' in piece ? piece.ms : null));

  it('is made as long as it is told', () => {
    const sheet = short();
    expect(stretchBlock(sheet, firstBlock(sheet), 70_000).blocks[0]?.ms).toBe(70_000);
  });

  it('gives its last piece what is missing, or takes what is too much', () => {
    const sheet = short();
    expect(lengths(stretchLastPiece(sheet, firstBlock(sheet)))).toEqual([30_000, 90_000]);
    const long = sheetOf('round 1:00\n  0:30: 1\n  0:40: 1 2');
    expect(lengths(stretchLastPiece(long, firstBlock(long)))).toEqual([30_000, 30_000]);
  });

  it('keeps a last piece that would be left under a second, one that is a build, and blocks without pieces', () => {
    const full = sheetOf('round 0:31\n  0:30: 1\n  0:40: 1 2');
    expect(lengths(stretchLastPiece(full, firstBlock(full)))).toEqual([30_000, 1000]);
    const over = sheetOf('round 0:30\n  0:30: 1\n  0:40: 1 2');
    expect(stretchLastPiece(over, firstBlock(over))).toBe(over);
    const build = sheetOf('round 2:00\n  build ladder every 0:20: 1 2 3b');
    expect(stretchLastPiece(build, firstBlock(build))).toBe(build);
    const empty = sheetOf('round 2:00');
    expect(stretchLastPiece(empty, firstBlock(empty))).toBe(empty);
    expect(stretchLastPiece(empty, 'nobody')).toBe(empty);
  });
});
