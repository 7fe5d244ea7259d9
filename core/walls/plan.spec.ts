import { emptySheet } from '../sheet/fresh';
import { sheetSchema, type Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import { liveTimeline } from '../live/live';
import { scriptOf } from '../script/script';
import { soundsOf } from '../script/sounds';
import { saidAt, wordsOn } from '../script/shown';
import type { LiveChange } from '../run/live-changes';
import { hostSchema, readMessage } from './messages';
import { wallChanges, wallPlanSchema, wallSheet, wallWords, wordsOfCoach } from './plan';

let count = 0;
const fresh = (): string => `id${(count += 1)}`;

/** A sheet in which everything that a coach keeps for themselves says so. */
const full: Sheet = sheetSchema.parse({
  ...emptySheet(fresh, 'Thursday'),
  class: { people: 9, level: 'beginner', pace: 0.9, leftHanded: 2, note: 'SECRET class' },
  note: 'SECRET note',
  head: [{ key: 'SECRET', value: 'SECRET line' }],
  parts: [{ name: 'SECRET', text: '1 2' }],
  focuses: [{ words: 'SECRET focus', moves: [] }],
  calls: { wordings: { cheers: ['SECRET cheer'] }, edits: [{ key: 'SECRET', say: 'SECRET say' }] },
  lanes: [
    { bag: 'heavy', places: 4 },
    { bag: 'double-end', places: 4 },
  ],
  schools: { kick: 'same' },
  stances: { plan: 'each round' },
  blocks: [
    { ...{ id: 'a', kind: 'warm-up', ms: 60_000, title: 'Loosen', pieces: [] }, note: 'SECRET block note' },
    {
      ...{
        id: 'b',
        kind: 'round',
        ms: 120_000,
        times: 2,
        restMs: 30_000,
        goal: 77,
        focuses: [{ words: 'SECRET', moves: [] }],
      },
      says: [{ words: 'SECRET call', atMs: 40_000 }],
      pieces: [{ id: 'c', kind: 'combination', ms: 120_000, text: '1 2 3b 2' }],
    },
  ],
});

describe('what a wall is given', () => {
  it('is the session, and nothing that a coach keeps for themselves', () => {
    const shown = wallSheet(full);
    expect(JSON.stringify(shown)).not.toContain('SECRET');
    expect(JSON.stringify(shown)).not.toContain('77');
    expect(sheetSchema.safeParse(shown).success).toBeTrue();
    // A field that is new in a sheet or a block goes to no wall before somebody has thought about it here.
    const named = [
      'blocks',
      'changeOverMs',
      'class',
      'format',
      'groups',
      'id',
      'lanes',
      'numbers',
      'ownBags',
      'bag',
      'schools',
      'stance',
      'stances',
      'title',
      'version',
    ];
    expect(Object.keys(shown).filter((key) => !named.includes(key))).toEqual([]);
  });

  it('is laid out there to the very same timeline', () => {
    const without = (sheet: Sheet) => compile(sheet).leaves.map(({ says: _, ...leaf }) => leaf);
    expect(without(wallSheet(full))).toEqual(without(full));
    expect(compile(full).leaves.length).toBeGreaterThan(3);
  });

  it('has the words that are said, own calls and cheers only where they may be shown', () => {
    const script = scriptOf({ ...full, calls: { wordings: { cheers: ['SECRET cheer'] } } });
    const [quiet, loud] = [wallWords(script, []), wallWords(script, null)];
    expect(JSON.stringify(loud)).toContain('SECRET call');
    expect(JSON.stringify(quiet)).not.toMatch(/SECRET (call|cheer)/);
    expect(quiet.calls.length).toBeGreaterThan(10);
    const leaf = compile(full).leaves.find(({ combination }) => combination);
    if (!leaf) throw new Error('no combination');
    expect(wordsOn(loud, leaf, 0)).toEqual(wordsOn(script, leaf, 0));
    expect(saidAt(loud, leaf, leaf.at + 9000)?.say).toBe(saidAt(script, leaf, leaf.at + 9000)?.say ?? 'nothing');
    expect(soundsOf(compile(full), [...loud.lead, ...loud.calls], loud.breaks)).toEqual([...script.sounds]);
  });

  it('has nothing that the coach has worded where own calls may not be shown: reminders, reworded calls, wordings', () => {
    const [reminded] = scriptOf(full).calls.filter(({ kind }) => kind === 'new');
    if (!reminded) throw new Error('a call to word anew');
    const worded: Sheet = {
      ...full,
      focuses: [{ words: 'SECRET reminder', moves: [], everyMs: 15_000 }],
      calls: {
        edits: [{ key: reminded.key, say: 'SECRET edit' }],
        wordings: { phrases: [{ key: 'rest', full: 'SECRET rest' }] },
      },
    };
    const coach = { phrases: [{ key: 'gloves on' as const, full: 'SECRET gloves' }] };
    const script = scriptOf(worded, { wordings: coach });
    const [quiet, loud] = [wallWords(script, wordsOfCoach(worded, coach)), wallWords(script, null)];
    for (const what of ['reminder', 'edit', 'rest', 'gloves']) expect(JSON.stringify(loud)).toContain(`SECRET ${what}`);
    expect(JSON.stringify(quiet)).not.toContain('SECRET');
    expect(quiet.calls.length).toBeGreaterThan(5);
  });

  it('has the changes that were pressed, but for faults seen and the undoing of them', () => {
    const pace: LiveChange = { kind: 'pace', at: 1000, factor: 0.8 };
    const fault: LiveChange = { kind: 'fault', at: 2000, fault: 'wrist' };
    const longer: LiveChange = { kind: 'longer', at: 4000, ms: 30_000 };
    const undo = (at: number): LiveChange => ({ kind: 'undo', at });
    expect(wallChanges([pace, fault, undo(3000), longer, undo(5000)])).toEqual([pace, longer, undo(5000)]);
    expect(wallChanges([fault, pace, undo(3000), undo(4000)])).toEqual([pace, undo(3000)]);
    const all = [pace, fault, undo(3000), longer];
    const ends = (changes: readonly LiveChange[]) => liveTimeline(compile(full), changes).ms;
    expect(ends(wallChanges(all))).toBe(ends(all));
    expect(ends(all)).toBe(compile(full).ms + 30_000);
  });

  it('is read back from the line as it was sent', () => {
    const plan = {
      ...{ sheet: wallSheet(full), changes: [], named: true, breathHeld: false },
      words: wallWords(scriptOf(full), null),
    };
    expect(readMessage(hostSchema, JSON.stringify({ kind: 'plan', plan }))).toEqual({ kind: 'plan', plan });
    expect(wallPlanSchema.safeParse({ ...plan, note: 'SECRET' }).success).toBeFalse();
  });
});
