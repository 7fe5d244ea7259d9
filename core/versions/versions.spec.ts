import { readTempoText } from '../formats/tempo-text/read';
import { writeTempoText } from '../formats/tempo-text/write';
import { sessionTemplates } from '../library/templates';
import { countByMove } from '../tally/counts';
import { readStored } from '../notation/stored';
import { sheetSchema, type Sheet } from '../sheet/schema';
import { fitToBag } from '../bags/fit';
import { study } from '../mechanics/study';
import { textsOf } from '../timeline/stages';
import { versionKinds, versionOf, type VersionKind } from './versions';

const sheetOf = (...lines: string[]): Sheet => readTempoText(lines.join('\n')).sheet;
const rows = (kind: VersionKind, ...lines: string[]): string[] =>
  writeTempoText(versionOf(sheetOf(...lines), kind).sheet)
    .split('\n')
    .slice(4)
    .filter((line) => line !== '');

// House rules; none of this is medical advice, and the screen says so.
describe('versions of a sheet', () => {
  it('easier and harder: efforts, rests, goals and the longest combinations', () => {
    const lines = ['round 3:00 goal 200', '  1:00 strong nonstop: 1 2 3b 2 5 4', '  2:00 80%: 1 2', 'rest 1:00'];
    expect(rows('easier', ...lines)).toEqual([
      'round 3:00 goal 160',
      '  1:00: 1 2 3b 2 5',
      '  2:00 65%: 1 2',
      'rest 1:30',
    ]);
    expect(rows('harder', ...lines)).toEqual([
      'round 3:00 goal 230',
      '  1:00 all-out nonstop: 1 2 3b 2 5 4',
      '  2:00 95%: 1 2',
      'rest 0:45',
    ]);
  });

  it('different combinations: as long, out of the same families and the moves that the sheet knows, flowing, on the same bag', () => {
    const sheet = sheetOf(
      'bag: double-end',
      'level: intermediate',
      'round 2:00',
      '  1:00: 1 2 3 2',
      '  1:00: 1 2 sl 2 3',
      'round 2:30 on heavy',
      '  build ladder every 0:30: 1 2 3b 2 5',
      'round 1:00: 1 2',
      'round 1:00: any 3 end 2',
    );
    const texts = (of: Sheet): string[] => of.blocks.flatMap(({ pieces }) => pieces.flatMap(textsOf));
    const { sheet: other, changes } = versionOf(sheet, 'other combinations');
    const [before, after] = [texts(sheet), texts(other)];
    expect(after.length).toBe(before.length);
    // Two moves and slots stay: nothing else of that length is far enough away, or it is open anyhow.
    expect(after.slice(3)).toEqual(before.slice(3));
    expect(changes.length).toBeGreaterThan(2);
    after.slice(0, 3).forEach((text, at) => {
      const was = before[at] ?? '';
      const [is, old] = [readStored(text), readStored(was)];
      if (!is.ok || !old.ok) throw new Error(text);
      const bag = at === 2 ? 'heavy' : 'double-end';
      expect(text).not.toBe(was);
      expect(is.value.items.length).toBe(old.value.items.length);
      expect(is.value.items[0]).toEqual(old.value.items[0]);
      expect(fitToBag(is.value, bag, { level: 'intermediate' }).verdict).toBe('fits');
      expect(study(is.value).turns[0]?.seams.some(({ stuck }) => stuck)).toBeFalse();
    });
    expect(texts(versionOf(sheet, 'other combinations').sheet)).toEqual(after);
  });

  it('no jumping: feet stay down in combinations, builds and warm-ups', () => {
    expect(
      rows(
        'no jumping',
        'warm-up 2:00',
        '  1:00 Skipping, easy feet',
        '  1:00 burpees and jumps',
        'round 2:00',
        '  1:00: 1 swk swkn jkn leap spr',
        '  1:00: 1 2 switch 1 2',
        'round 2:30',
        '  build kick-close every 0:30: 1 2 3',
      ),
    ).toEqual([
      'warm-up 2:00',
      '  1:00 March and reach',
      '  1:00 Side steps, hands up',
      'round 2:00',
      '  1:00: 1 lbk lkn rkn 2 sq',
      '  1:00: 1 2 shift 1 2',
      'round 2:30',
      '  build kick-close kick same every 0:30: 1 2 3',
    ]);
  });

  it('no kicks: the straight of that side instead, slots of punches, a pyramid for a kick close', () => {
    expect(
      rows('no kicks', 'round 3:00', '  1:00: 1 2 swk ck rtph', '  1:00: any 3 kicks end lk', '  1:00: [bk / swk] rkn'),
    ).toEqual(['round 3:00', '  1:00: 1 2 1b 2', '  1:00: any 3 end 2b', '  1:00: [2b / 1b] rkn']);
    expect(rows('no kicks', 'round 2:30', '  build kick-close kick same every 0:30: 1 2 3')[1]).toBe(
      '  build pyramid every 0:30: 1 2 3',
    );
    expect(rows('no kicks', 'round 1:00: ck')).toEqual(['round 1:00: 1']);
  });

  it('sore wrist: no bag, light fists, nobody on their hands', () => {
    const { sheet } = versionOf(
      sheetOf(
        'bag: heavy',
        'round 1:00 on double-end',
        '  1:00 all-out power: 1! 2 bk',
        'core 0:40',
        '  0:40 Push-ups',
      ),
      'sore wrist',
    );
    expect([sheet.bag, sheet.blocks[0]?.bag]).toEqual(['shadow', 'shadow']);
    expect(sheet.blocks[0]?.pieces[0]).toEqual(jasmine.objectContaining({ text: '1~ 2~ bk', effort: 'steady' }));
    expect(sheet.blocks[0]?.pieces[0]).not.toEqual(jasmine.objectContaining({ focus: 'power' }));
    expect(sheet.blocks[1]?.pieces[0]).toEqual(jasmine.objectContaining({ words: 'Plank' }));
  });

  it('sore shoulder: nothing above it', () => {
    const { sheet } = versionOf(sheetOf('round 1:00: 1 2 oh leap lel hk'), 'sore shoulder');
    const [text = ''] = sheet.blocks[0]?.pieces.flatMap(textsOf) ?? [];
    expect(text).toBe('1b~ 2b~ 6b~ 2b~ 3b~ hk');
  });

  it('leave a sheet that needs no change as it is but for its name', () => {
    const sheet = sheetOf('# Hands', 'round 1:00: 1 2');
    expect(versionOf(sheet, 'no kicks')).toEqual({ sheet: { ...sheet, title: 'Hands, no kicks' }, changes: [] });
  });

  it('keep every session of ours sound, and do what they say', () => {
    expect(sessionTemplates.length).toBeGreaterThan(0);
    for (const { text } of sessionTemplates)
      for (const kind of versionKinds) {
        const { sheet } = versionOf(readTempoText(text).sheet, kind);
        expect(sheetSchema.safeParse(sheet).success).withContext(`${kind} ${text}`).toBeTrue();
        const moves = sheet.blocks
          .flatMap(({ pieces }) => pieces.flatMap(textsOf))
          .flatMap((each) => {
            const read = readStored(each);
            return read.ok ? Object.keys(countByMove(read.value)) : ['unread'];
          });
        expect(moves).not.toContain('unread');
        if (kind === 'no kicks') expect(moves.filter((name) => /kick|teep/.test(name))).toEqual([]);
        if (kind === 'no jumping') expect(moves.filter((name) => /switch|jump|leap|sprawl/.test(name))).toEqual([]);
      }
  });
});
