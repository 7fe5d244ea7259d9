import { createHash } from 'node:crypto';
import { demoBook } from '../../demo/combinations';
import { demoLog } from '../../demo/log';
import { demoRoom } from '../../demo/room';
import { demoSheets } from '../../demo/sheets';
import { backupPieces, contentPieces, readBackup, sortOut, type BackupContent } from './backup';
import { readIncomingText } from './incoming';

const content: BackupContent = {
  sheets: demoSheets.map((sheet) => ({ id: sheet.id, demo: true, changedAt: 1, sheet })),
  log: demoLog(1_800_000_000_000).map((entry) => ({
    id: entry.id,
    demo: true,
    startedAt: entry.startedAt,
    sheetId: entry.sheetId,
    entry,
  })),
  book: demoBook.map((entry) => ({ id: entry.id, demo: true, changedAt: 1, entry })),
  choices: [
    { key: 'room', value: demoRoom },
    { key: 'settings', value: { look: 'dark' } },
  ],
  unread: [{ store: 'sheets', row: { id: 'x', sheet: 7 } }],
};
const sha = (text: string): string => createHash('sha256').update(text).digest('hex');
const whole = (pieces: Iterable<string>): string => [...pieces].join('');
const file = (): string =>
  whole(backupPieces(content, new Date(Date.UTC(2026, 10, 26)), sha(whole(contentPieces(content)))));

describe('a backup', () => {
  it('holds everything, and comes back as it was, with the checksum that Node works out', () => {
    const read = readBackup(file());
    if (!read.ok) throw new Error(JSON.stringify(read.problems.slice(0, 3)));
    expect(read.value.content).toEqual(JSON.parse(JSON.stringify(content)) as BackupContent);
    expect(read.value.checksum).toBe(sha(whole(contentPieces(read.value.stored))));
    expect(read.value.madeAt).toBe('2026-11-26T00:00:00.000Z');
  });

  it('comes in pieces of a record each, which make the JSON that ECMAScript makes of the whole', () => {
    const pieces = [...contentPieces(content)];
    expect(pieces.length).toBeGreaterThan(demoSheets.length + content.log.length);
    expect(pieces.join('')).toBe(JSON.stringify(content));
    expect([{}, { a: [] }, { a: [1], b: { c: [2] } }].map((each) => whole(contentPieces(each)))).toEqual([
      '{}',
      '{"a":[]}',
      '{"a":[1],"b":{"c":[2]}}',
    ]);
  });

  it('is refused with the paths that are wrong, and when it is newer', () => {
    const damaged = (
      change: (data: { content: Record<string, Record<string, unknown>[]>; version: number }) => void,
    ) => {
      const data = JSON.parse(file()) as { content: Record<string, Record<string, unknown>[]>; version: number };
      change(data);
      const read = readBackup(JSON.stringify(data));
      return read.ok ? [] : read.problems.map(({ path, what }) => `${path}: ${what}`);
    };
    const sheetless = damaged(({ content: { sheets } }) => {
      if (sheets?.[1]) sheets[1]['sheet'] = { title: 7 };
    });
    expect(sheetless.some((line) => line.startsWith('content.sheets[1].sheet'))).toBeTrue();
    const roomless = damaged(({ content: { choices } }) => {
      if (choices?.[0]) choices[0]['value'] = { width: 'wide' };
    });
    expect(roomless).toEqual(['content.choices[0].value: this is not a room']);
    expect(damaged((data) => (data.version = 2))[0]).toContain('newer than this version of Keen Tempo');
    expect(readBackup('{').ok).toBeFalse();
  });

  it('is sorted by what is there: new, same, different', () => {
    const there = [
      { id: 'a', n: 1 },
      { id: 'b', n: 1 },
    ];
    const coming = [
      { id: 'b', n: 1 },
      { id: 'a', n: 2 },
      { id: 'c', n: 3 },
    ];
    const { fresh, same, different } = sortOut(
      there,
      coming,
      ({ id }) => id,
      ({ n }) => n,
    );
    expect([fresh, same, different].map((rows) => rows.map(({ id }) => id))).toEqual([['c'], ['b'], ['a']]);
  });
});

describe('what comes in', () => {
  const kindOf = (text: string): string => readIncomingText(text).kind;
  const why = (text: string): string => {
    const read = readIncomingText(text);
    return read.kind === 'refused' ? (read.problems[0]?.what ?? '') : '';
  };

  it('is known by its content, not by its name', () => {
    expect(kindOf(JSON.stringify(demoSheets[0]))).toBe('sheet');
    expect(kindOf(`\uFEFF  ${JSON.stringify(demoSheets[0])}`)).toBe('sheet');
    expect(kindOf('{"format":"keen-tempo/book","version":1,"entries":[]}')).toBe('book');
    expect(kindOf(file())).toBe('backup');
    expect(kindOf('round 3:00: 1 2 3')).toBe('sheet');
    expect(kindOf('[1 / 2] 3')).toBe('sheet');
    expect(why('{"format":"other/thing","version":1}')).toContain('not a sheet');
    expect(why(' \n ')).toBe('the file is empty');
  });

  it('is refused where it would unfold beyond all bounds, before it is laid out', () => {
    const goal = Array.from({ length: 980 }, () => '1').join(' ');
    expect(why(`round 3:00 x99\n  build pyramid every 0:01: ${goal}`)).toContain('this makes more than');
    expect(why('x'.repeat(1_000_001))).toContain('1,000,000 characters');
  });
});
