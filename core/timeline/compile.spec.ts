import { leafName } from './names';
import fc from 'fast-check';
import { eight, six } from '../moves/scheme';
import { blockLength, compile } from './compile';
import { readClock, sayClock } from '../clock-text';
import { paceOf } from '../mechanics/effort';
import {
  addPiece,
  changeBlock,
  duplicateBlock,
  duplicatePiece,
  moveBlock,
  movePiece,
  removePiece,
  shiftBlock,
  shiftPiece,
} from '../sheet/edit';
import { findings } from '../findings/index';
import { sheetSchema, type Block, type Piece, type PieceOf, type Sheet } from '../sheet/schema';
import { schemeOf, spell, takeIn } from '../notation/stored';
import { emptySheet, freshBlock } from '../sheet/fresh';
import { buildRound } from '../library/build-round';

let count = 0;
const freshId = (): string => `id${(count += 1)}`;
const combo = (ms: number, text = '1 2'): PieceOf<'combination'> => ({
  kind: 'combination',
  id: freshId(),
  ms,
  effort: 'steady',
  text,
});
const block = (kind: Block['kind'], ms: number | null, pieces: Piece[] = [], more: Partial<Block> = {}): Block => ({
  id: freshId(),
  kind,
  ms,
  pieces,
  ...more,
});
const sheetOf = (...blocks: Block[]): Sheet => ({ ...emptySheet(freshId, 'Test'), blocks });
const ladderOf = (goal: string, every: 'round' | number[]): Piece => ({
  kind: 'build',
  id: freshId(),
  effort: 'steady',
  build: 'ladder',
  goal,
  defence: 'rides',
  every,
});

// Facts of the trade (section 6): common practice, no source.
describe('the clock of a session', () => {
  it('six stages of 30 s are 3:00, four of 45 s are 3:00', () => {
    expect(sayClock(buildRound('1 2 3b 2 5 4', freshId).ms ?? 0)).toBe('3:00');
    const four = sheetOf(block('round', 180_000, [ladderOf('1 2 3 2', [45_000])]));
    expect(compile(four).leaves.map((leaf) => sayClock(leaf.at))).toEqual(['0:00', '0:45', '1:30', '2:15']);
    expect(findings(four).filter((finding) => finding.level === 'error')).toEqual([]);
  });

  it('five rounds of 2:00 with 60 s rests are 14:00', () => {
    const sheet = sheetOf(block('round', 120_000, [], { times: 5, restMs: 60_000 }));
    const timeline = compile(sheet);
    expect(sayClock(timeline.ms)).toBe('14:00');
    expect([timeline.rounds, timeline.leaves.length]).toEqual([5, 9]);
    expect(timeline.leaves.filter((leaf) => leaf.round !== null).map(leafName)).toEqual([
      'Round 1',
      'Round 2',
      'Round 3',
      'Round 4',
      'Round 5',
    ]);
    expect(sheet.blocks[0] && blockLength(sheet.blocks[0])).toBe(timeline.ms);
  });

  it('four pairs of hard and easy are 6:00', () => {
    const pairs = Array.from({ length: 4 }, () => [combo(60_000), combo(30_000)]).flat();
    expect(sayClock(compile(sheetOf(block('round', 360_000, pairs))).ms)).toBe('6:00');
  });

  it('counts work rounds only, and an open break takes no time', () => {
    const timeline = compile(
      sheetOf(
        block('warm-up', 60_000),
        block('round', 60_000),
        block('rest', null),
        block('core', 60_000),
        block('round', 60_000),
      ),
    );
    expect(timeline.leaves.map((leaf) => leaf.round)).toEqual([null, 1, null, null, 2]);
    expect([timeline.ms, timeline.openBreaks]).toEqual([240_000, 1]);
    expect(timeline.leaves[2]).toEqual(jasmine.objectContaining({ open: true, ms: 0, at: 120_000 }));
  });

  it('gives one stage to each repeat of the round', () => {
    const sheet = sheetOf(
      block('round', 120_000, [ladderOf('1 2 3', 'round'), combo(30_000)], { times: 4, restMs: 30_000 }),
    );
    const stages = compile(sheet).leaves.filter((leaf) => leaf.kind === 'stage');
    expect(stages.map((leaf) => [leaf.stage?.number, leaf.ms])).toEqual([
      [1, 90_000],
      [2, 90_000],
      [3, 90_000],
      [3, 90_000],
    ]);
  });

  it('never stretches: what is missing stands as unplanned, what is too long is cut at the bell', () => {
    const short = compile(sheetOf(block('round', 180_000, [combo(60_000)])));
    expect(short.leaves.map((leaf) => [leaf.doing, leaf.ms])).toEqual([
      ['combination', 60_000],
      ['unplanned', 120_000],
    ]);
    const long = compile(sheetOf(block('round', 60_000, [combo(45_000), combo(45_000), combo(45_000)])));
    expect(long.leaves.map((leaf) => leaf.ms)).toEqual([45_000, 15_000]);
  });

  it('has no gap, no overlap, and sums to the total, whatever the sheet', () => {
    let ran = 0;
    const piece = fc.record({
      ms: fc.integer({ min: 1000, max: 300_000 }),
      text: fc.constantFrom('1 2', 'nonsense', 'any 2-3', '[bk / swk]'),
    });
    const anyBlock = fc.record({
      kind: fc.constantFrom('warm-up' as const, 'show' as const, 'round' as const, 'rest' as const, 'core' as const),
      ms: fc.integer({ min: 1000, max: 600_000 }),
      open: fc.boolean(),
      times: fc.integer({ min: 1, max: 4 }),
      pieces: fc.array(piece, { maxLength: 5 }),
      build: fc.constantFrom(null, 'round' as const, [30_000], [10_000, 20_000]),
    });
    fc.assert(
      fc.property(fc.array(anyBlock, { maxLength: 8 }), (drafts) => {
        const blocks = drafts.map(({ kind, ms, open, times, pieces, build }) =>
          block(
            kind,
            kind === 'rest' && open ? null : ms,
            [...pieces.map((each) => combo(each.ms, each.text)), ...(build ? [ladderOf('1 2 sl 3', build)] : [])],
            { times, restMs: 30_000 },
          ),
        );
        const timeline = compile(sheetOf(...blocks));
        let at = 0;
        ran += timeline.leaves.length;
        for (const leaf of timeline.leaves) {
          expect(leaf.at).toBe(at);
          expect(Number.isInteger(leaf.ms)).toBeTrue();
          expect(leaf.ms > 0 || leaf.open).toBeTrue();
          at += leaf.ms;
        }
        expect(at).toBe(timeline.ms);
        expect(blocks.reduce((sum, each) => sum + blockLength(each), 0)).toBe(timeline.ms);
      }),
    );
    expect(ran).toBeGreaterThan(0);
  });
});

describe('lengths as text', () => {
  it('read what they write', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 86_400 }), (seconds) =>
        expect(readClock(sayClock(seconds * 1000))).toBe(seconds * 1000),
      ),
    );
  });
  it('read what coaches write, and refuse the rest', () => {
    expect(
      ['1:30', '90s', '90', '2 min', '2m', '1:00:00', '0:00.5', '0:75', '-1', '', '25:00:00', 'x'].map((text) =>
        readClock(text),
      ),
    ).toEqual([90_000, 90_000, 90_000, 120_000, 120_000, 3_600_000, null, null, null, null, null, null]);
  });
});

describe('effort', () => {
  it('sets the pace by the house values', () => {
    expect([paceOf('easy'), paceOf('steady'), paceOf('strong'), paceOf('all-out')]).toEqual([0.8, 1, 0.9, 1.45]);
    expect([paceOf(50), paceOf(100), paceOf(10)]).toEqual([0.8, 1.45, 0.4]);
    expect(paceOf(75)).toBeCloseTo(1.125, 9);
    expect([paceOf('easy', 'technique'), paceOf('steady', 'speed'), paceOf('steady', 'power')]).toEqual([
      0.6, 1.3, 0.9,
    ]);
  });
});

describe('findings', () => {
  const errors = (sheet: Sheet): string[] =>
    findings(sheet)
      .filter((finding) => finding.level === 'error')
      .map((finding) => finding.what);

  it('say by how much pieces miss their block, and mend it', () => {
    const sheet = sheetOf(block('round', 180_000, [combo(60_000), combo(135_000)]));
    const [finding] = findings(sheet);
    expect(finding?.what).toBe('the drills take 3:15, but the round is 3:00: 0:15 too long');
    expect(finding?.mends.map((mend) => mend.label)).toEqual(['Make the last drill 2:00', 'Make the round 3:15']);
    expect((finding?.mends ?? []).length).toBeGreaterThan(0);
    for (const mend of finding?.mends ?? []) expect(errors(mend.edit(sheet))).toEqual([]);
    expect(errors(sheetOf(block('round', 180_000, [combo(165_000)])))).toEqual([
      'the drills take 2:45, but the round is 3:00: 0:15 too short',
    ]);
  });

  it('name a build with more stages than rounds or time', () => {
    expect(
      errors(sheetOf(block('round', 120_000, [ladderOf('1 2 3 2 3', 'round')], { times: 3, restMs: 30_000 }))),
    ).toEqual(['5 stages, but 3 rounds']);
    expect(errors(sheetOf(block('round', 120_000, [ladderOf('1 2 3 2 5 4', [30_000])])))).toEqual([
      '6 stages take 3:00, but the round is 2:00: 1:00 too long',
    ]);
  });

  it('point at text that cannot be read and keep it', () => {
    const sheet = sheetOf(block('round', 60_000, [combo(60_000, '1 jabb <b>')]));
    expect(errors(sheet)[0]).toContain('"jabb"');
    expect(compile(sheet).leaves[0]?.words).toBe('1 jabb <b>');
  });

  it('ask for a warm-up, and note a short one', () => {
    const levels = (...blocks: Block[]) => findings(sheetOf(...blocks)).map((finding) => finding.level);
    expect(levels(block('round', 60_000))).toEqual(['warning']);
    expect(levels(block('warm-up', 120_000), block('round', 60_000))).toEqual(['note']);
    expect(levels(block('warm-up', 300_000), block('round', 60_000))).toEqual([]);
  });

  it('warn of a stuck seam, the loop only where there is no breath', () => {
    const piece = combo(60_000, '2 3 2');
    const with_ = (each: Piece) =>
      findings(sheetOf(block('warm-up', 300_000), block('round', 60_000, [each])))
        .filter((finding) => finding.kind === 'seam')
        .map((finding) => finding.level);
    expect(with_(piece)).toEqual([]);
    expect(with_({ ...piece, nonStop: true })).toEqual(['warning']);
    expect(with_({ ...piece, text: '1 2 4' })).toEqual(['warning']);
  });

  it('note a stage that adds two strikes at once', () => {
    const found = findings(sheetOf(block('warm-up', 300_000), block('round', 60_000, [ladderOf('1 | 2 3', [30_000])])));
    expect(found.map((finding) => finding.what)).toEqual(['stage 2 adds 2 strikes at once']);
  });
});

describe('edits', () => {
  const [a, b, c] = [combo(10_000), combo(20_000), combo(30_000)];
  const sheet = sheetOf(block('round', 60_000, [a, b]), block('rest', 60_000), block('round', 60_000, [c]));
  const order = (edited: Sheet) => edited.blocks.map((each) => each.pieces.map((piece) => piece.id));
  const [first, rest, last] = sheet.blocks.map((each) => each.id);

  it('move pieces within and between blocks, past a rest', () => {
    expect(order(shiftPiece(sheet, a.id, 1))).toEqual([[b.id, a.id], [], [c.id]]);
    expect(order(shiftPiece(sheet, b.id, 1))).toEqual([[a.id], [], [b.id, c.id]]);
    expect(order(shiftPiece(sheet, c.id, -1))).toEqual([[a.id, b.id, c.id], [], []]);
    expect(shiftPiece(sheet, a.id, -1)).toBe(sheet);
    expect(order(movePiece(sheet, a.id, last ?? '', 1))).toEqual([[b.id], [], [c.id, a.id]]);
  });

  it('move, copy and change blocks; copies have names of their own', () => {
    expect(shiftBlock(sheet, rest ?? '', -1).blocks.map((each) => each.id)).toEqual(
      [rest, first, last].map((each) => each ?? ''),
    );
    expect(shiftBlock(sheet, first ?? '', -1)).toBe(sheet);
    expect(moveBlock(sheet, last ?? '', 0).blocks[0]?.id).toBe(last);
    const copied = duplicatePiece(duplicateBlock(sheet, first ?? '', freshId), c.id, freshId);
    expect(sheetSchema.safeParse(copied).success).toBeTrue();
    expect(copied.blocks.map((each) => each.pieces.length)).toEqual([2, 2, 0, 2]);
    expect(changeBlock(sheet, first ?? '', { goal: 90 }).blocks[0]?.goal).toBe(90);
  });

  it('leave everything else as it was, so that only what changed is drawn anew', () => {
    expect(removePiece(sheet, c.id).blocks[0]).toBe(sheet.blocks[0]);
    expect(addPiece(sheet, first ?? '', combo(1000), b.id).blocks[2]).toBe(sheet.blocks[2]);
  });
});

describe('kept text', () => {
  it('is spelt in six and shown in any scheme', () => {
    expect(takeIn('7 2 8', eight).text).toBe('sh 2 oh');
    expect(spell('sh 2 oh', eight)).toBe('7 2 8');
    expect(takeIn('7 2', six)).toEqual(jasmine.objectContaining({ text: '7 2', combination: null }));
    expect(spell('7 2', six)).toBe('7 2');
  });

  it('knows a coach’s own numbers, and refuses bad ones', () => {
    const mine = schemeOf({ name: 'kicks', beyondSix: [{ number: 9, move: 'bk' }] });
    expect(mine.ok && takeIn('1 9', mine.value).text).toBe('1 bk');
    expect(schemeOf({ name: 'kicks', beyondSix: [{ number: 9, move: '1 2' }] }).ok).toBeFalse();
    expect(schemeOf({ name: 'kicks', beyondSix: [{ number: 9, move: 'zzz' }] }).ok).toBeFalse();
  });

  it('a fresh block is a plain stretch of the clock', () => {
    expect(compile(sheetOf(freshBlock('round', freshId))).leaves[0]?.doing).toBe('free');
  });
});
