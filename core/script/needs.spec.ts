import { readTempoText } from '../formats/tempo-text/read';
import { compile } from '../timeline/compile';
import { findings } from '../findings/index';
import type { Sheet } from '../sheet/schema';
import { spokenLength } from './call';
import { crowdedCalls, restNeeds } from './needs';
import { callOptionsOf, scriptOf, type ScriptWishes } from './script';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const crowded = (sheet: Sheet) => findings(sheet).filter(({ kind }) => kind === 'crowded call');

// Trade page, section 1: "a long combination takes longer to say than the gap before the next change"; 165 words a minute.
describe('what a piece has the time to say', () => {
  const long = '1 2 3b 2 5 4 2 3 1 2';
  const sheet = sheetOf('warm-up 5:00', 'round 1:00', '0:55: 1 2', `0:05: ${long}`);

  it('is too little where the combination takes longer than the piece lasts', () => {
    const [found] = crowdedCalls(compile(sheet));
    // Five, four and two words (364 ms each) in three parts with two pauses of 0.45 s; the last second before the bell is quiet.
    const parts = ['one, two, three body, two', 'five, four, two, three', 'one, two'];
    expect(found?.takes).toBe(parts.reduce((sum, words) => sum + spokenLength(words), 2 * 450));
    expect(found?.room).toBe(4000);
    expect(scriptOf(sheet).dropped.some(({ key }) => key === found?.call.key)).toBeTrue();
  });

  it('is found, and each mend is enough', () => {
    const [finding] = crowded(sheet);
    expect(finding?.what).toMatch(/^“One, two, .*” takes \d\.\d s to say, but there are only 4\.0 s$/);
    expect(finding?.mends.map(({ label }) => label)).toEqual(['Make it 0:10', 'Say “As shown”', 'Drop this call']);
    expect((finding?.mends ?? []).length).toBeGreaterThan(0);
    for (const mend of finding?.mends ?? []) {
      const after = mend.edit(sheet);
      expect(crowded(after)).withContext(mend.label).toEqual([]);
      expect(findings(after).filter(({ level }) => level === 'error')).toEqual([]);
    }
    const longer = finding?.mends[0]?.edit(sheet);
    expect(
      longer && scriptOf(longer).calls.some(({ say }) => say.toLowerCase().startsWith('one, two, three body')),
    ).toBeTrue();
  });

  it('is found once for a build, and mended for each of its stages', () => {
    const build = sheetOf('warm-up 5:00', 'round 0:38', `build pyramid every 0:02: ${long}`);
    const found = crowded(build);
    expect(found.length).toBe(1);
    expect((found[0]?.mends.slice(0, 1) ?? []).length).toBeGreaterThan(0);
    for (const mend of found[0]?.mends.slice(0, 1) ?? [])
      expect(findings(mend.edit(build)).filter(({ level }) => level === 'error')).toEqual([]);
  });

  it('is enough for a long combination in a long piece, however long it takes to say', () => {
    const roomy = sheetOf('round 2:00', `2:00: ${long} ${long} ${long}`);
    expect(crowded(roomy)).toEqual([]);
    const [call] = scriptOf(roomy).calls.filter(({ kind }) => kind === 'new');
    expect(call && call.ms > 8000).toBeTrue();
  });

  it('goes by the coach’s voice, words and count', () => {
    const rest = sheetOf('warm-up 5:00', 'round 1:00: 1 2b', 'rest 0:20', 'round 1:00: 2b 3 2');
    const of = (wishes: ScriptWishes) =>
      findings(rest, undefined, undefined, undefined, wishes).filter(({ kind }) => kind === 'crowded rest');
    // By the speaking rate: a second after the bell, 0.7 + 2.2 + 2.9 s of words with gaps, 3.5 s for the count.
    expect(of({})).toEqual([]);
    expect(of({ lengthOf: ({ say }) => say.length * 300 }).length).toBe(1);
    expect(of({ lengthOf: ({ say }) => say.length * 300, talk: 'bells' })).toEqual([]);
    const needs = (countFrom: 3 | 5): number =>
      restNeeds(compile(rest), callOptionsOf(rest, compile(rest), { countFrom }))[0]?.needs ?? 0;
    expect(needs(5) - needs(3)).toBe(2000);
  });

  it('measures what the coach has worded, and asks again where that is too long as well', () => {
    const [finding] = crowded(sheet);
    const shorter = finding?.mends[1]?.edit(sheet);
    const [edit] = shorter?.calls?.edits ?? [];
    const reworded = (say: string): Sheet => ({ ...sheet, calls: { edits: [{ key: edit?.key ?? '', say }] } });
    expect(crowded(reworded('Fast hands'))).toEqual([]);
    expect(crowded(reworded('Now all of it once more and as fast as ever you can')).length).toBe(1);
  });

  it('is asked of the coach’s own calls, too, and each mend is enough', () => {
    const own = sheetOf('warm-up 5:00', 'round 1:00: 1 2b', 'say "hands up all of you" at 0:58', 'rest 0:30');
    const [finding] = crowded(own);
    // Five words take 1.8 s; from 58 s there is one second before the quiet one.
    expect(finding?.what).toBe('“hands up all of you” takes 1.8 s to say, but there are only 1.0 s');
    expect(finding?.mends.map(({ label }) => label)).toEqual(['Call it 1 s earlier', 'Drop this call']);
    expect((finding?.mends ?? []).length).toBeGreaterThan(0);
    for (const mend of finding?.mends ?? [])
      expect(crowded(mend.edit(own)))
        .withContext(mend.label)
        .toEqual([]);
    expect(finding?.mends[0]?.edit(own).blocks[1]?.says?.[0]?.atMs).toBe(57_000);
  });

  it('asks nothing of what is not said', () => {
    expect(crowdedCalls(compile(sheet), { ...callOptionsOf(sheet, compile(sheet)), talk: 'bells' })).toEqual([]);
    expect(crowded({ ...sheet, calls: { quiet: ['new'] } })).toEqual([]);
    const rest = sheetOf('round 1:00: 1', 'rest 0:30', 'round 1:00: 2');
    expect(restNeeds(compile(rest))[0]?.what).toEqual(['water', 'breathing', 'preview']);
    expect(restNeeds(compile(rest), { ...callOptionsOf(rest, compile(rest)), quiet: ['water'] })[0]?.what).toEqual([
      'breathing',
      'preview',
    ]);
  });
});
