import { usualDrill } from '../progressions/call-drill';
import type { Block, Piece, PieceOf } from '../sheet/schema';
import { usualGapMs, type Content } from './content';
import { learnThenMirror, passContents } from './contents';
import { drillOf, fillsHalf, goalTexts, isMirrored, piecesLength, stageLengths, stagesOf, textsOf } from './stages';
import { emptySheet } from '../sheet/fresh';

const timing = { id: 'p', ms: 30_000, effort: 'steady' } as const;
const block = (kind: Block['kind'], ms: number | null, ...pieces: Piece[]): Block => ({ id: 'b', kind, ms, pieces });
const contentsOf = (of: Block): Content[] => passContents(of, 0, of.ms ?? 0, 'opposite');
const contentOf = (piece: Piece, kind: Block['kind'] = 'round'): Content => {
  const [content] = contentsOf(block(kind, 600_000, piece));
  if (!content) throw new Error('no content');
  return content;
};
const combination: PieceOf<'combination'> = { ...timing, kind: 'combination', text: '1 2' };
const ladder: PieceOf<'build'> = {
  kind: 'build',
  id: 'l',
  effort: 'steady',
  build: 'ladder',
  goal: '1 2 3b',
  defence: 'rides',
  every: [20_000],
};

// What fills a block, piece by piece (trade page, sections 5 and 6; common practice, no source).
describe('what fills a block', () => {
  it('is done by the kind of piece, and is kept apart in show and rest', () => {
    expect(contentOf({ ...timing, kind: 'own-time' }).doing).toBe('own-time');
    expect(contentOf({ ...timing, kind: 'words', words: 'Shake out' })).toEqual(
      jasmine.objectContaining({ doing: 'words', words: 'Shake out', kind: 'piece', pieceId: 'p' }),
    );
    expect(contentOf({ ...timing, kind: 'change-over' })).toEqual(
      jasmine.objectContaining({ doing: 'change-over', kind: 'change-over', ms: 30_000, combination: null }),
    );
    expect(contentOf({ ...timing, kind: 'pause' })).toEqual(
      jasmine.objectContaining({ doing: 'pause', kind: 'rest', words: null }),
    );
    const kinds = ['round', 'core', 'show', 'rest'] as const;
    expect(kinds.map((kind) => contentOf({ ...combination }, kind).kind)).toEqual(['piece', 'piece', 'show', 'rest']);
    // The same piece in another kind of block is another kind of leaf.
    expect(kinds.map((kind) => contentOf(combination, kind).kind)).toEqual(['piece', 'piece', 'show', 'rest']);
  });

  it('has a breath of three seconds, none without a stop, or the piece’s own; voice, clicks and what is between', () => {
    expect(usualGapMs).toBe(3000);
    expect(contentOf(combination)).toEqual(
      jasmine.objectContaining({ nonStop: false, gapMs: 3000, between: null, voice: null, bpm: 120, focus: null }),
    );
    expect(contentOf({ ...combination, nonStop: true, gapMs: 5000 })).toEqual(
      jasmine.objectContaining({ nonStop: true, gapMs: 0 }),
    );
    expect(contentOf({ ...combination, gapMs: 0, between: 'jog', voice: 'click', bpm: 90, focus: 'speed' })).toEqual(
      jasmine.objectContaining({ gapMs: 0, between: 'jog', voice: 'click', bpm: 90, focus: 'speed' }),
    );
  });

  it('keeps text that is no combination as words', () => {
    expect(contentOf({ ...combination, text: 'wiggle' })).toEqual(
      jasmine.objectContaining({ doing: 'words', combination: null, words: 'wiggle' }),
    );
    expect(contentOf({ ...combination, words: 'Hands' })).toEqual(
      jasmine.objectContaining({ doing: 'combination', words: 'Hands', otherStance: 'carry on mirrored' }),
    );
    expect(contentOf({ ...combination, otherStance: 'reset', stance: 'southpaw' })).toEqual(
      jasmine.objectContaining({ otherStance: 'reset', wanted: 'southpaw' }),
    );
  });

  it('of a rhythm are its touches, in turn or by one hand, growing where it is told', () => {
    const rhythm: PieceOf<'rhythm'> = { ...timing, ms: 60_000, kind: 'rhythm', row: [3, 3, 1] };
    const plain = contentOf(rhythm);
    expect(plain).toEqual(jasmine.objectContaining({ doing: 'rhythm', nonStop: true, gapMs: 0, row: [3, 3, 1] }));
    expect(new Set(plain.touches.map(({ side }) => side))).toEqual(new Set(['lead']));
    const rear = contentOf({ ...rhythm, hand: 'rear' });
    expect(new Set(rear.touches.map(({ side }) => side))).toEqual(new Set(['rear']));
    // 300 rebounds a minute are one each 200 ms: three of them between two touches are 600 ms.
    expect((plain.touches[1]?.at ?? 0) - (plain.touches[0]?.at ?? 0)).toBeCloseTo(600, 3);
    const slower = contentOf({ ...rhythm, rebounds: 150 });
    expect((slower.touches[1]?.at ?? 0) - (slower.touches[0]?.at ?? 0)).toBeCloseTo(1200, 3);
    // Grown from one to five the last number stands five times in the last fifth.
    const grown = contentOf({ ...rhythm, growTo: 5 });
    const grownFrom = contentOf({ ...rhythm, growFrom: 4, growTo: 5 });
    expect(grown.touches.length).toBeGreaterThan(plain.touches.length);
    expect(grownFrom.touches.length).toBeGreaterThan(grown.touches.length);
  });

  it('of a calls drill is drawn by its piece, and begins when it has explained itself', () => {
    const calls: PieceOf<'calls'> = { ...timing, kind: 'calls', drill: 'count', least: 2, most: 4 };
    const content = contentOf({ ...calls, between: 'jog' });
    expect(content).toEqual(jasmine.objectContaining({ doing: 'calls', between: 'jog' }));
    expect(contentOf(calls).between).toBeNull();
    // The explanation has 4 s (trade page, section 9): the drill itself is so much shorter.
    expect(content.drill).toEqual(jasmine.objectContaining({ kind: 'count', ms: 26_000, least: 2, most: 4, seed: 1 }));
    expect(content.drillCalls.length).toBeGreaterThan(2);
    expect(content.drillCalls[0]?.at).toBeGreaterThanOrEqual(4000);
    expect(drillOf({ ...calls, ms: 3000 }).ms).toBe(0);
    expect(drillOf({ ...calls, least: 5, most: 3 }).most).toBe(5);
    expect(drillOf({ ...calls, seed: 7, gapLeastMs: 500, gapMostMs: 900 })).toEqual(
      jasmine.objectContaining({ seed: 7, gapLeastMs: 500, gapMostMs: 900 }),
    );
    expect(drillOf(calls)).toEqual(jasmine.objectContaining({ gapLeastMs: usualDrill.gapLeastMs, seed: 1 }));
  });

  it('names after each pause what comes next, and nothing after the last', () => {
    const exercise = (words: string): Piece => ({ ...timing, kind: 'words', words });
    const pause: Piece = { ...timing, kind: 'pause' };
    const all = contentsOf(block('core', 180_000, exercise('plank'), pause, exercise('dead bug'), pause));
    expect(all.map(({ doing, words }) => [doing, words])).toEqual([
      ['words', 'plank'],
      ['pause', 'dead bug'],
      ['words', 'dead bug'],
      ['pause', null],
      ['unplanned', null],
    ]);
    // A combination after it has no words to name.
    expect(contentsOf(block('core', 60_000, pause, combination)).map(({ words }) => words)).toEqual([null, null]);
  });

  it('is cut at the end, unplanned where it is short, and free where there is none', () => {
    expect(contentsOf(block('round', 40_000, combination, combination)).map(({ ms }) => ms)).toEqual([30_000, 10_000]);
    expect(contentsOf(block('round', 60_000, combination, combination)).map(({ ms }) => ms)).toEqual([30_000, 30_000]);
    expect(contentsOf(block('round', 40_000, combination)).map(({ doing, ms }) => [doing, ms])).toEqual([
      ['combination', 30_000],
      ['unplanned', 10_000],
    ]);
    expect(contentsOf(block('round', 40_000)).map(({ doing, open }) => [doing, open])).toEqual([['free', false]]);
    expect(contentsOf(block('rest', 40_000)).map(({ doing, kind }) => [doing, kind])).toEqual([['words', 'rest']]);
    // An open break needs a length, whatever stands in it.
    expect(contentsOf(block('rest', null, combination)).map(({ open, ms }) => [open, ms])).toEqual([[true, 0]]);
  });

  it('of a build is every stage with its number, or the one of this repeat in the time the others leave', () => {
    const stages = contentsOf(block('round', 60_000, ladder));
    expect(stages.map(({ stage, ms, kind }) => [stage?.number, stage?.of, ms, kind])).toEqual([
      [1, 3, 20_000, 'stage'],
      [2, 3, 20_000, 'stage'],
      [3, 3, 20_000, 'stage'],
    ]);
    expect(stages.map(({ added }) => added)).toEqual([[0], [1], [2]]);
    expect(contentsOf(block('show', 60_000, ladder)).map(({ kind }) => kind)).toEqual(['show', 'show', 'show']);
    const each = { ...ladder, every: 'round' as const };
    const round = block('round', 60_000, combination, each);
    const of = (repeat: number) =>
      passContents(round, repeat, 60_000, 'opposite').map(({ ms, stage }) => [ms, stage?.number]);
    expect(of(0)).toEqual([
      [30_000, undefined],
      [30_000, 1],
    ]);
    expect(of(9)[1]).toEqual([30_000, 3]);
    // Where the others leave nothing there is no stage.
    expect(passContents(block('round', 30_000, combination, each), 0, 30_000, 'opposite').length).toBe(1);
  });

  it('of a build follows the school of kicks, unless it says its own', () => {
    const close: PieceOf<'build'> = { ...ladder, id: 'k', build: 'kick-close', goal: '1 2' };
    const last = (build: PieceOf<'build'>, school: 'opposite' | 'same') =>
      JSON.stringify(stagesOf(build, school).map((stage) => stage.combination.items));
    expect(last(close, 'opposite')).not.toBe(last(close, 'same'));
    expect(last({ ...close, kick: 'same' }, 'opposite')).toBe(last(close, 'same'));
    const laid = (school: 'opposite' | 'same') =>
      JSON.stringify(passContents(block('round', 120_000, close), 0, 120_000, school).map((each) => each.combination));
    expect(laid('opposite')).not.toBe(laid('same'));
    expect(laid('opposite')).not.toBe(laid('same'));
  });
});

describe('the lengths and goals of a build', () => {
  it('last as they are told, the last length going on', () => {
    expect(stageLengths({ ...ladder, every: [10_000, 20_000] })).toEqual([10_000, 20_000, 20_000]);
    expect(stageLengths({ ...ladder, every: 'round' })).toEqual([]);
    expect(piecesLength(block('round', 60_000, combination, { ...ladder, every: [10_000, 20_000] }))).toBe(80_000);
    expect(piecesLength(block('round', 60_000, combination, { ...ladder, every: 'round' }))).toBe(30_000);
  });

  it('come from the goals that its kind has, none where they cannot be read', () => {
    expect(goalTexts({ ...ladder, second: '6' })).toEqual(['1 2 3b']);
    expect(goalTexts({ ...ladder, build: 'join', second: '6' })).toEqual(['1 2 3b', '6']);
    expect(goalTexts({ ...ladder, build: 'join' })).toEqual(['1 2 3b', '']);
    expect(goalTexts({ ...ladder, build: 'alternator' })).toEqual([]);
    expect(stagesOf({ ...ladder, goal: 'wiggle' })).toEqual([]);
    expect(textsOf(combination)).toEqual(['1 2']);
    expect(textsOf(ladder)).toEqual(['1 2 3b']);
    expect(textsOf({ ...timing, kind: 'own-time' })).toEqual([]);
  });
});

describe('a block that is learnt and then mirrored', () => {
  const half = (ms: number, ...pieces: Piece[]): Block => ({ ...block('round', ms, ...pieces), learnThenMirror: true });

  it('does twice what fills its half, and each half as long where it fills the whole', () => {
    expect(fillsHalf(half(60_000, combination))).toBeTrue();
    expect(fillsHalf(half(60_000, combination, combination))).toBeFalse();
    expect(fillsHalf({ ...half(60_000, combination), ms: null })).toBeFalse();
    const twice = learnThenMirror(half(60_000, combination), 0, 'opposite');
    expect([twice.second, twice.contents.map(({ ms }) => ms)]).toEqual([30_000, [30_000, 30_000]]);
    const halves = learnThenMirror(half(60_000, combination, combination), 0, 'opposite');
    expect([halves.second, halves.contents.map(({ ms }) => ms)]).toEqual([30_000, [15_000, 15_000, 15_000, 15_000]]);
  });

  it('gives the thousandth that halving leaves over to its last part', () => {
    const odd = learnThenMirror(half(60_001, { ...combination, ms: 30_001 }, combination), 0, 'opposite');
    expect(odd.contents.map(({ ms }) => ms)).toEqual([15_000, 15_000, 15_000, 15_001]);
    expect(odd.second).toBe(30_000);
  });

  it('by the sheet’s plan where there is one, and then in rounds only; else by its own word', () => {
    const sheet = emptySheet(() => 'id');
    const usual = { settleMs: 3000, firstPace: 0.8 };
    const own = half(60_000, combination);
    const not = block('round', 60_000, combination);
    expect([isMirrored(sheet, own), isMirrored(sheet, not)]).toEqual([true, false]);
    const planned = { ...sheet, stances: { ...usual, plan: 'learn then mirror' as const } };
    expect([isMirrored(planned, not), isMirrored(planned, { ...own, kind: 'core' })]).toEqual([true, false]);
    expect(isMirrored({ ...sheet, stances: { ...usual, plan: 'never' } }, own)).toBeFalse();
  });
});
