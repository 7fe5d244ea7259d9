import { lengthIn, type Voice } from '../audio/voice';
import { readIncomingText } from '../formats/incoming';
import { sheetInPage } from '../formats/sheet-in-page';
import { readTempoText } from '../formats/tempo-text/read';
import { writeCombination } from '../notation/write';
import { scriptOf } from '../script/script';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { takeHomePage, type PlayerParts } from './page';
import { knockAt, takenSession } from './session';
import { keptNothing, takenSheet } from './taken-sheet';
import { wallCard } from './wall-card';

const parts: PlayerParts = {
  script: 'void 0',
  style: 'p{}',
  scriptHash: `sha256-${'A'.repeat(43)}=`,
  styleHash: `sha256-${'B'.repeat(43)}=`,
};

const sheetOf = (text: string): Sheet => readTempoText(text).sheet;
const plainSheet = sheetOf('# Tower\nround 0:30: 1 2\nrest 0:15\nround 0:30: 2 3');

const hostile: Sheet = {
  ...plainSheet,
  title: '</title><script>alert(1)</script>',
  note: 'Mia: knee',
  head: [{ key: 'owner', value: 'Ada' }],
  class: { people: 12, note: 'Ben new', pace: 0.9 },
  blocks: plainSheet.blocks.map((block) => ({ ...block, note: 'quiet, Mia', title: '"><img src=x>' })),
};

const pageOf = (sheet: Sheet): string => {
  const timeline = compile(sheet);
  const { session } = takenSession(sheet.title, timeline, scriptOf(sheet, {}, timeline), null, 16_000);
  return takeHomePage({ sheet, session, pictures: [], recording: null }, parts);
};

/** A voice of three made-up clips, a tenth of a second each, one after the other. */
const voice: Voice = {
  id: 'v',
  name: 'V',
  files: ['v.ogg'],
  clips: { one: [0, 100], two: [100, 100], three: [200, 100] },
};

describe('what is taken home', () => {
  it('leaves notes, class and unknown lines behind unless they are ticked', () => {
    const bare = JSON.stringify(takenSheet(hostile, keptNothing));
    for (const word of ['Mia', 'Ben', 'Ada', '"people"']) expect(bare).withContext(word).not.toContain(word);
    expect(takenSheet(hostile, keptNothing).class).toEqual({ pace: 0.9 });
    expect(takenSheet(hostile, { notes: true, people: true, head: true })).toEqual(hostile);
  });

  it('escapes every text, names its policy, and gives the very same sheet back', () => {
    const page = pageOf(hostile);
    expect(page).not.toContain('<script>alert');
    expect(page).not.toContain('<img');
    expect(page.match(/<script/g)?.length).toBe(3);
    expect(page).toContain(
      `content="default-src 'none'; script-src '${parts.scriptHash}'; style-src '${parts.styleHash}'; media-src data: blob:"`,
    );
    const again = readIncomingText(page);
    expect(again.kind).toBe('sheet');
    expect(again.kind === 'sheet' && again.sheet).toEqual(hostile);
    expect(sheetInPage('<!doctype html><p>another page</p>')).toBeNull();
    expect(readIncomingText('<!doctype html><p>1 2</p>').kind).toBe('sheet');
  });

  it('reads as a session sheet where no script runs', () => {
    const page = pageOf(plainSheet);
    const article = page.slice(page.indexOf('<article'), page.indexOf('</article>'));
    expect(article).toContain('Warm up first.');
    expect(article).toContain('<span>0:30</span>');
    expect(article).toContain('round 0:30');
  });

  it('takes along only the clips it needs, each once, behind a knock by which a decoder is set', () => {
    const rate = 16_000;
    const samples = Float32Array.from({ length: (rate * 300) / 1000 }, (_, at) => Math.floor(at / 1600) + 1);
    const timeline = compile(plainSheet);
    const script = scriptOf(plainSheet, { lengthOf: lengthIn(voice) }, timeline);
    const { session, recording } = takenSession('Tower', timeline, script, { voice, samples }, rate);
    expect(session.clips.length).toBeGreaterThan(3);
    const places = new Map(session.clips.map(({ from, ms }) => [from, ms]));
    expect(places.size).toBe(3);
    const taken = recording?.samples ?? new Float32Array();
    for (const from of places.keys()) {
      const inside = taken[Math.round(((from + 50) / 1000) * rate)] ?? 0;
      expect([1, 2, 3]).toContain(inside);
      expect(taken[Math.round(((from - 20) / 1000) * rate)]).toBe(0);
    }
    const knock = taken.findIndex((value) => Math.abs(value) > 0.2);
    expect((knock / rate) * 1000).toBeCloseTo(knockAt, 0);
  });

  it('has every leaf with its heading, words and open breaks', () => {
    const sheet = sheetOf('# Tower\nwarm-up 1:00\nrest open\nround 0:30: 1 2');
    const timeline = compile(sheet);
    const { session } = takenSession('Tower', timeline, scriptOf(sheet, {}, timeline), null, 16_000);
    expect(session.leaves.length).toBe(timeline.leaves.length);
    expect(session.leaves.some(({ open }) => open)).toBe(true);
    expect(session.leaves.at(-1)?.heading).toContain('Round 1');
    expect(session.breaks.length).toBe(1);
    expect(session.sounds.length).toBeGreaterThan(0);
    const bagged = sheetOf('bag: heavy\nshow 0:30: 1 2\nround 0:30: 1 2');
    const plan = compile(bagged);
    const taken = takenSession('t', plan, scriptOf(bagged, {}, plan), null, 16_000).session;
    expect(taken.leaves.map(({ bag }) => bag)).toEqual([null, 'heavy']);
  });

  it('pictures each combination once in each stance, and every leaf names its own', () => {
    const sheet = sheetOf('round 1:00:\n  0:20: 1 2\n  0:20: 2 3\n  0:20 southpaw: 1 2\nround 0:30: 1 2');
    const timeline = compile(sheet);
    const { session, pictured } = takenSession('t', timeline, scriptOf(sheet, {}, timeline), null, 16_000);
    expect(pictured.map(({ combination, stance }) => [writeCombination(combination), stance])).toEqual([
      ['1 2', 'orthodox'],
      ['2 3', 'orthodox'],
      ['1 2', 'southpaw'],
    ]);
    // The change of stance between them has none.
    expect(session.leaves.map(({ staff }) => staff)).toEqual([0, 1, null, 2, 0]);
  });

  it('as a card has a row for each block but the rests, and every text escaped', () => {
    const timeline = compile(hostile);
    const script = scriptOf(hostile, {}, timeline);
    const { session, pictured } = takenSession(hostile.title, timeline, script, null, 16_000);
    const card = wallCard(
      session,
      pictured.map(() => ({ staff: '<svg id="staff"></svg>', strip: '<svg id="strip"></svg>' })),
    );
    expect(card.match(/<tr>/g)?.length).toBe(2);
    expect(card.match(/id="strip"/g)?.length).toBe(2);
    expect(card).not.toContain('<img');
    expect(card).not.toContain('<script');
    expect(card).toContain('Stop if you feel joint pain, chest pain or dizziness');
  });
});
