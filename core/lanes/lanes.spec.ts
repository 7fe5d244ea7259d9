import fc from 'fast-check';
import { demoSheets } from '../../demo/sheets';
import { readTempoText } from '../formats/tempo-text/read';
import { writeTempoText } from '../formats/tempo-text/write';
import { fitToBag } from '../bags/fit';
import { readStored } from '../notation/stored';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import type { Sheet } from '../sheet/schema';
import { groupSizes, rotationBoard } from './board';
import { chooseForLane, laneVersion, lanesOf, pieceLanes } from './lanes';
import { holderCalls, pairUp } from './pads';
import { forToday } from '../adapting/today';

const lanesText = 'lane: heavy, 3 places, half\nlane: double-end, 3 places\nlane: shadow, 9 places\n';
const sheetOf = (text: string): Sheet => readTempoText(text).sheet;
const class9 = (rounds: string): Sheet => sheetOf(`class: 9 people\n${lanesText}${rounds}`);
const threeRounds = class9('round 1:00: 1 2 3b\nrest 0:30\nround 1:00: 1 2\nrest 0:30\nround 1:00: 1 2 lk');
const kinds = (sheet: Sheet): string[] => findings(sheet).map(({ kind }) => kind);

describe('lanes', () => {
  it('give each kind its own version, the coach’s word first', () => {
    const [piece] = threeRounds.blocks[0]?.pieces ?? [];
    const [block] = threeRounds.blocks;
    if (!piece || !block) throw new Error('no piece');
    const lanes = lanesOf(threeRounds);
    const texts = (given: typeof piece) =>
      pieceLanes(given, block, lanes).map(({ bag, how, text }) => `${bag} ${how} ${text}`);
    expect(texts(piece)).toEqual(['heavy fits 1 2 3b', 'double-end adapted 1 2 3 2', 'shadow fits 1 2 3b']);
    expect(texts(chooseForLane(piece, 'double-end', '1 2'))[1]).toBe('double-end chosen 1 2');
    const overruled = chooseForLane(piece, 'double-end', '1 2 3b');
    expect(texts(overruled)[1]).toBe('double-end overruled 1 2 3b');
    expect(chooseForLane(overruled, 'double-end', null)).toEqual(piece);
    expect(pieceLanes(piece, { ...block, bag: 'shadow' }, lanes)).toEqual([]);
  });

  it('go by the level of the class and by kinds of the coach’s own', () => {
    const sheet = sheetOf(
      'level: beginner\nown bag: "Tyre" body punch longest 2 3 4\nlane: "Tyre", 2 places\nround 1:00: 1 2 3',
    );
    const [lane] = lanesOf(sheet);
    expect(lane && laneVersion('1 2 3', lane)).toEqual(
      jasmine.objectContaining({ bag: 'Tyre', how: 'adapted', text: '1b 2b' }),
    );
    expect(laneVersion('1 2', { bag: 'Nothing', nature: null, places: 1, conditions: {} })).toBeNull();
  });

  it('offer the drill of the speed bag, and keep what is overruled as a finding', () => {
    const sheet = sheetOf(
      'lane: speed, 1 place\nlane: double-end, 1 place\nround 1:00\n  1:00: 1 2 3b lane double-end "1 2 3b"',
    );
    const [block] = sheet.blocks;
    const [piece] = block?.pieces ?? [];
    const versions = block && piece ? pieceLanes(piece, block, lanesOf(sheet)) : [];
    expect(versions.map(({ how }) => how)).toEqual(['drill', 'overruled']);
    expect(versions[0]?.text).toContain('soft touches');
    expect(kinds(sheet)).toContain('overruled');
  });

  // Every demo combination on every lane's bag really fits once it is adapted.
  it('every demo sheet’s combinations fit each lane, or are a drill', () => {
    expect(demoSheets.length).toBeGreaterThan(0);
    for (const sheet of demoSheets) {
      const lanes = lanesOf({
        ...sheet,
        lanes: ['heavy', 'standing', 'double-end', 'reflex', 'speed', 'pads', 'shadow'].map((bag) => ({
          bag,
          places: 2,
        })),
      });
      expect(sheet.blocks.length).toBeGreaterThan(0);
      for (const block of sheet.blocks)
        for (const piece of block.pieces)
          for (const version of pieceLanes(piece, block, lanes)) {
            const lane = lanes.find(({ bag }) => bag === version.bag);
            if (!version.combination || !lane?.nature) continue;
            const fit = fitToBag(version.combination, lane.nature, lane.conditions);
            expect(fit.verdict).withContext(`${version.bag} ${version.text}`).toBe('fits');
          }
    }
  });
});

describe('the rotation board', () => {
  it('is a Latin square of groups, rounds and kinds where there are as many of each', () => {
    const board = rotationBoard(threeRounds);
    expect(board?.groups).toEqual([3, 3, 3]);
    const rows = board?.turns.map(({ stations }) => stations.map(({ bag }) => bag)) ?? [];
    expect(rows.length).toBeGreaterThan(0);
    for (const row of rows) expect(new Set(row).size).toBe(3);
    for (const at of [0, 1, 2]) expect(new Set(rows.map((row) => row[at])).size).toBe(3);
    expect(board?.turns.map(({ changeOver }) => changeOver)).toEqual([null, 30_000, 30_000]);
    expect(board?.missed).toEqual([]);
    expect(kinds(threeRounds).filter((kind) => ['places', 'rotation', 'lane change'].includes(kind))).toEqual([]);
  });

  it('shows what comes again, what is missed and what is crowded, with mends', () => {
    const four = class9('round 1:00 x4 rest 0:10: 1 2');
    const board = rotationBoard(four);
    expect(board?.turns[3]?.stations.every(({ again }) => again)).toBeTrue();
    const short = findings(four).find(({ kind }) => kind === 'lane change');
    const mended = short?.mends[0]?.edit(four);
    expect(mended && kinds(mended)).not.toContain('lane change');
    const two = class9('round 1:00: 1 2\nrest 0:30\nround 1:00: 1 2');
    expect(rotationBoard(two)?.missed).toEqual(['heavy', 'double-end', 'shadow']);
    expect(kinds(two)).toContain('rotation');
    const crowd = sheetOf(`class: 12 people\nlane: heavy, 2 places\nlane: double-end, 6 places\nround 1:00: 1 2`);
    const places = findings(crowd).find(({ kind }) => kind === 'places');
    expect(places?.what).toBe('heavy bag: groups of 6, but only 2 places');
    const more = places?.mends[0]?.edit(crowd);
    expect(more?.lanes?.map(({ bag }) => bag)).toEqual(['heavy', 'double-end', 'shadow']);
    expect(kinds(sheetOf('lane: "Bench", 2 places\nround 1:00: 1 2'))).toContain('unknown bag');
  });

  it('takes any number of groups; those that share a kind need the places of all', () => {
    const six = rotationBoard({ ...threeRounds, groups: 6, class: { people: 12 } });
    expect(six?.groups).toEqual([2, 2, 2, 2, 2, 2]);
    expect((six?.turns ?? []).length).toBeGreaterThan(0);
    for (const { stations } of six?.turns ?? [])
      for (const kind of six?.kinds ?? []) expect(stations.filter(({ bag }) => bag === kind).length).toBe(2);
    expect(six?.missed).toEqual([]);
    expect(six?.crowded.map(({ bag, people, places }) => `${bag} ${people} ${places}`)).toEqual([
      'heavy 4 3',
      'double-end 4 3',
    ]);
    expect(rotationBoard({ ...threeRounds, groups: 2 })?.turns[0]?.stations.length).toBe(2);
    expect(readTempoText('groups: many').faults.length).toBe(1);
  });

  it('parts people evenly into any number of groups, never into more than there are people', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 9 }), (people, groups) => {
        const sizes = groupSizes(people, groups);
        expect(sizes.reduce((sum, size) => sum + size, 0)).toBe(people);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }),
    );
    expect(rotationBoard({ ...threeRounds, class: { people: 2 } })?.groups).toEqual([1, 1]);
    expect(rotationBoard({ ...threeRounds, lanes: [] })).toBeNull();
  });
});

describe('pads', () => {
  // Round robin by the circle method: in n − 1 turns (n even) each meets each once; with an odd number each sits out once in n turns.
  it('pairs everybody with everybody, and lets each sit out once', () => {
    for (const people of [2, 3, 4, 7, 8]) {
      const turns = people % 2 === 0 ? people - 1 : people;
      const plan = pairUp(people, turns);
      const met = plan.flatMap(({ pairs }) => pairs.map((pair) => [...pair].sort().join('-')));
      expect(new Set(met).size)
        .withContext(`${people}`)
        .toBe((people * (people - 1)) / 2);
      const odd = plan.map((turn) => turn.odd);
      if (people % 2 === 0) expect(odd.every((one) => one === null)).toBeTrue();
      else expect(new Set(odd).size).toBe(people);
    }
    expect(pairUp(1, 1)).toEqual([{ pairs: [], odd: 1 }]);
  });

  it('tells the holder where to hold, when to step back, resist and feed', () => {
    const read = readStored('1 2 tp ck lbk push sl 1 any 2');
    if (!read.ok) throw new Error('unread');
    const calls = holderCalls(read.value);
    expect(calls[0]).toBe('jab: lead side pad facing out, at head height');
    expect(calls.some((call) => call.includes('step back'))).toBeTrue();
    expect(calls.some((call) => call.startsWith('feed a light low kick'))).toBeTrue();
    expect(calls.some((call) => call.includes('resist'))).toBeTrue();
    expect(calls.filter((call) => call.startsWith('jab'))).toHaveSize(1);
    expect(calls.join(' ')).not.toMatch(/sternum|groin/);
  });
});

describe('today', () => {
  it('follows nine instead of twelve, one bag down and ten minutes less, and lists what changed', () => {
    const plan = sheetOf(`class: 12 people\n${lanesText}warm-up 8:00\nround 3:00 x6 rest 1:00: 1 2 3b\ncool-down 5:00`);
    const today = forToday(plan, { people: 9, places: { heavy: 0 }, earlierMs: 600_000 });
    if (!today.ok) throw new Error(today.what);
    expect(compile(today.sheet).ms).toBe(compile(plan).ms - 600_000);
    expect(rotationBoard(today.sheet)?.kinds).toEqual(['double-end', 'shadow']);
    expect(rotationBoard(today.sheet)?.groups).toEqual([5, 4]);
    expect(today.changes.slice(0, 2)).toEqual(['people: 12 → 9', 'heavy bag is out of use: its station is removed']);
    expect(today.changes).toContain('groups of 4, 4, 4 → 5, 4');
    expect(today.changes.at(-1)).toContain('double-end bag: 5 people for 3 places');
  });

  it('says what cannot be, and changes nothing when nothing is different', () => {
    const plan = sheetOf('bag: heavy\nround 3:00: 1 2');
    const never = forToday(plan, { earlierMs: 170_000 });
    expect(never.ok).toBeFalse();
    expect(forToday(plan, {})).toEqual({ ok: true, sheet: plan, changes: [] });
    const shadow = forToday(plan, { places: { heavy: 0 } });
    expect(shadow.ok && shadow.sheet.bag).toBe('shadow');
  });

  it('survives being written down', () => {
    const text = writeTempoText(threeRounds);
    expect(text).toContain('lane: heavy, 3 places, half');
    expect(readTempoText(text).sheet).toEqual(threeRounds);
    const odd = [
      'lane: heavy',
      'lane: sofa, 2 places',
      'own bag: "x"',
      'lane change: soon',
      'lane: heavy, 2 places\nlane: heavy, 1 place',
    ];
    expect(odd.length).toBeGreaterThan(0);
    for (const line of odd) expect(readTempoText(line).faults.length).withContext(line).toBe(1);
  });
});
