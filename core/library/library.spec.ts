import { readTempoText } from '../formats/tempo-text/read';
import { writeTempoText } from '../formats/tempo-text/write';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import { buildKinds } from '../progressions/kinds';
import { clockFormats } from './clock-formats';
import { exercises } from './exercise-list';
import { exerciseNamed, exercisesFor } from './exercises';
import { readCombination } from '../notation/read';
import { scriptOf } from '../script/script';
import { sheetSchema } from '../sheet/schema';
import { shownSheet } from './shown-sheet';
import { sessionTemplates } from './templates';

const minutesOf = (text: string): number => compile(readTempoText(text).sheet).ms / 60_000;

describe('a combination shown by itself', () => {
  it('is taught, then done, each strike called, in the stance it was shown in', () => {
    const read = readCombination('1 2 3b');
    if (!read.ok) throw new Error('unread');
    let count = 0;
    const sheet = shownSheet(read.value, 'Turnout', 'southpaw', () => `id-${(count += 1)}`);
    expect(sheetSchema.safeParse(sheet).success).toBe(true);
    const timeline = compile(sheet);
    expect(timeline.leaves.map(({ block, ms, stance }) => `${block} ${ms} ${stance}`)).toEqual([
      'show 60000 southpaw',
      'round 30000 southpaw',
    ]);
    const kinds = new Set(scriptOf(sheet).calls.map(({ kind }) => kind));
    expect(kinds.has('teach') && kinds.has('strikes')).toBe(true);
  });
});

describe('the library', () => {
  it('has sessions that read, add up and warn of nothing', () => {
    expect(sessionTemplates.length).toBeGreaterThanOrEqual(8);
    expect(new Set(sessionTemplates.map(({ id }) => id)).size).toBe(sessionTemplates.length);
    for (const { id, text } of sessionTemplates) {
      const { sheet, faults } = readTempoText(text);
      expect(faults).withContext(id).toEqual([]);
      expect(
        findings(sheet)
          .filter(({ level }) => level !== 'note')
          .map(({ what }) => what),
      )
        .withContext(id)
        .toEqual([]);
      expect(readTempoText(writeTempoText(sheet)).sheet)
        .withContext(id)
        .toEqual(sheet);
    }
  });

  it('goes from ten minutes alone to an hour, with every build and calls drill', () => {
    expect(minutesOf(sessionTemplates[0]?.text ?? '')).toBe(10);
    expect(minutesOf(sessionTemplates.at(-1)?.text ?? '')).toBe(60);
    const all = sessionTemplates.map(({ text }) => text).join('\n');
    expect(buildKinds.length).toBeGreaterThan(0);
    for (const kind of buildKinds) expect(all).toContain(`build ${kind}`);
    for (const kind of ['count', 'direction', 'go', 'learn then mirror', 'switch stance', 'goal', 'rest open'])
      expect(all).toContain(kind);
  });

  // Trade page, section 6: the listed formats, common practice, no source.
  it('has the clock formats of the trade', () => {
    const length = (name: string): number =>
      minutesOf(clockFormats.find((each) => each.name.startsWith(name))?.text ?? '');
    expect(length('Technique rounds')).toBe(5 * 2 + 4);
    expect(length('Shadow warm-up')).toBe(3 * 3 + 2 * 0.5);
    expect(length('Hard and easy')).toBe(6);
    expect(length('Core')).toBe(3.75);
    expect(clockFormats.length).toBeGreaterThan(0);
    for (const { name, text } of clockFormats) {
      const { sheet, faults } = readTempoText(text);
      expect(faults).withContext(name).toEqual([]);
      expect(findings(sheet).filter(({ level }) => level === 'error'))
        .withContext(name)
        .toEqual([]);
    }
  });

  it('knows what is done at each level, and pieces by their words', () => {
    for (const part of ['warm-up', 'core', 'cool-down'] as const) {
      const easy = exercisesFor(part, 'beginner');
      expect(easy.length).toBeGreaterThanOrEqual(5);
      expect(easy.some(({ jumps }) => !jumps)).toBeTrue();
      expect(exercisesFor(part, 'advanced').length).toBeGreaterThanOrEqual(easy.length);
    }
    expect(exercisesFor('core', 'advanced', []).map(({ needs }) => needs)).toEqual([undefined]);
    expect(exerciseNamed('plank, knees down')?.name).toBe('Plank');
    expect(exerciseNamed('juggling')).toBeNull();
    expect(exercises.every(({ how }) => how.endsWith('.'))).toBeTrue();
  });
});
