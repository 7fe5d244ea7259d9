import { readTempoText } from '../formats/tempo-text/read';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { isMovable } from './call';
import { usualOptions } from './options';
import { allCalls } from './all-calls';
import { callOptionsOf, scriptOf, type ScriptWishes } from './script';

const sheet = readTempoText('round 1:00: 1 2\nrest 0:30\nround 1:00: 1 2\nrest 0:30\nround 1:00: 3').sheet;
const madeBy = (of: Sheet, wishes: ScriptWishes = {}) => callOptionsOf(of, compile(of), wishes);
const [first] = sheet.blocks;
const focused = (words: string): Sheet => ({
  ...sheet,
  blocks: sheet.blocks.map((block) => (block.id === first?.id ? { ...block, focuses: [{ words, moves: [] }] } : block)),
});

describe('what a script is made by', () => {
  it('is the very same while nothing has changed that it is of', () => {
    expect(madeBy(sheet)).toBe(madeBy(sheet));
    const titled = { ...sheet, title: 'Another title', blocks: sheet.blocks.map((block) => ({ ...block, note: 'x' })) };
    expect(madeBy(sheet)).toBe(madeBy(titled));
    const focuses = focused('Chin down');
    expect(madeBy(focuses)).toBe(madeBy({ ...focuses, title: 'Another title' }));
  });

  it('is another as soon as anything of it is', () => {
    const changed: readonly (readonly [string, Sheet, ScriptWishes])[] = [
      ['calls', { ...sheet, calls: { quiet: ['water'], edits: [] } }, {}],
      ['level', { ...sheet, class: { ...sheet.class, level: 'beginner' } }, {}],
      ['focus', focused('Chin down'), {}],
      ['gloves', { ...sheet, gloves: { onMs: 1000, offMs: 1000 } } as Sheet, {}],
      ['lanes', { ...sheet, lanes: [{ bag: 'pads', places: 2 }] }, {}],
      ['count', sheet, { countFrom: 5 }],
      ['lead out', sheet, { leadOut: 'nothing' } as ScriptWishes],
      ['breath', sheet, { breathHeld: true }],
      ['lengths', sheet, { lengthOf: () => 100 }],
    ];
    expect(changed.length).toBe(9);
    for (const [name, of, wishes] of changed) {
      const before = madeBy(sheet);
      expect(madeBy(of, wishes)).withContext(name).not.toBe(before);
      // And back: nothing of the other one is left.
      expect(madeBy(sheet))
        .withContext(name)
        .toEqual(jasmine.objectContaining({ countFrom: 3, breathHeld: false }));
    }
    expect(madeBy(focused('Chin down'))).not.toBe(madeBy(focused('Elbows in')));
  });

  it('is as it usually is where nothing is wished', () => {
    const { countFrom, leadOut, blockClock, talk, quiet, edits, onPads, level } = madeBy(sheet);
    const { countFrom: count, leadOut: led, blockClock: clock, talk: words } = usualOptions;
    expect([countFrom, leadOut, blockClock, talk]).toEqual([count, led, clock, words]);
    expect([quiet, edits, onPads, level]).toEqual([[], [], false, null]);
  });

  it('knows before which rounds groups change lanes, where there are two at least', () => {
    const lanes = [
      { bag: 'pads', places: 2 },
      { bag: 'heavy', places: 2 },
    ];
    expect(madeBy(sheet).laneChanges).toEqual(new Set());
    expect(madeBy({ ...sheet, lanes: lanes.slice(0, 1) }).laneChanges).toEqual(new Set());
    expect(madeBy({ ...sheet, lanes }).laneChanges).toEqual(new Set([2, 3]));
    expect([madeBy({ ...sheet, lanes }).onPads, madeBy({ ...sheet, lanes: lanes.slice(1) }).onPads]).toEqual([
      ...[true, false],
    ]);
  });
});

describe('a whole script', () => {
  it('holds what is said at open breaks beside the rest', () => {
    const script = scriptOf(readTempoText('round 0:30: 1 2\nrest open\nround 0:30: 3').sheet);
    const said = script.breaks.flatMap(({ calls }) => calls);
    expect(said.length).toBeGreaterThan(1);
    expect(allCalls(script)).toEqual([...said, ...script.calls]);
  });

  it('can move what has more room than it takes', () => {
    expect([1500, 1501].map((closes) => isMovable({ opens: 1000, closes, ms: 500 }))).toEqual([false, true]);
  });
});
