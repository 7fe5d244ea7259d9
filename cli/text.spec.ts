import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { refused, tempo } from './tempo.spec';

const folder = mkdtempSync(join(tmpdir(), 'tempo-text-'));
const put = (name: string, ...lines: string[]): string => {
  const path = join(folder, name);
  writeFileSync(path, `${lines.join('\n')}\n`);
  return path;
};

const tower = put(
  'tower.tempo.txt',
  '# Tower, short',
  'bag: heavy',
  'warm-up 5:00: freestyle',
  'round 2:00',
  '  build ladder every 0:30: 1 2 3b 2',
  'rest open',
  'round 1:00: 2 3b 2',
);

describe('the tempo command on tempo text', () => {
  it('lays it out and adds it up', () => {
    const timeline = tempo(['timeline', tower]).json as {
      seconds: number;
      open: number;
      events: { kind: string; combination?: string }[];
    };
    expect([timeline.seconds, timeline.open]).toEqual([480, 1]);
    expect(timeline.events.map(({ kind, combination }) => `${kind} ${combination ?? ''}`)).toEqual([
      'piece freestyle',
      'stage 1',
      'stage 1 2',
      'stage 1 2 3b',
      'stage 1 2 3b 2',
      'rest ',
      'piece 2 3b 2',
    ]);
    const tally = tempo(['tally', tower]).json as { work: number; rounds: unknown[] };
    expect([tally.work, tally.rounds.length]).toEqual([180, 2]);
  });

  it('checks any text and says where it is wrong', () => {
    const path = put('wrong.tempo.txt', 'warm-up 5:00', 'round 1:00', '  0:45: 1 2 jabb', '  0:30 own time');
    const { findings } = tempo(['check', path]).json as { findings: Record<string, unknown>[] };
    expect(findings.slice(0, 2)).toEqual([
      jasmine.objectContaining({
        level: 'error',
        where: 'line 3, column 13',
        line: 3,
        column: 13,
        read: 'jabb',
        what: '"jabb" is not a move',
      }),
      jasmine.objectContaining({
        level: 'error',
        line: 2,
        what: 'the drills take 1:15, but the round is 1:00: 0:15 too long',
      }),
    ]);
    refused(['timeline', path], /line 3, column 13: "jabb" is not a move/);
    refused(['tally', path], /line 3/);
    expect(tempo(['check', put('empty.tempo.txt', '')]).status).toBe(0);
    refused(['check', put('notes.txt', 'round 1:00')], /\.tempo\.txt/);
  });

  it('turns text into JSON and back', () => {
    const json = join(folder, 'tower.json');
    expect(tempo(['export', tower, '--to', 'json', '--out', json]).json).toEqual({ written: json });
    const text = (tempo(['export', json, '--to', 'tempo-text']).json as { text: string }).text;
    expect(text).toContain('build ladder every 0:30: 1 2 3b 2');
    const again = put('again.tempo.txt', text.trimEnd());
    expect(tempo(['import', again, '--from', 'tempo-text']).json).toEqual(
      JSON.parse(readFileSync(json, 'utf8')) as Record<string, unknown>,
    );
    expect(tempo(['timeline', '-'], text).json).toEqual(tempo(['timeline', tower]).json);
  });

  it('gives the script of a calls drill', () => {
    const script = (...more: string[]) =>
      tempo(['calldrill', '--kind', 'count', '--seconds', '30', '--seed', '4', ...more]).json as {
        calls: { at: number; say: string; answer: number }[];
      };
    const { calls } = script();
    expect(calls.length).toBeGreaterThan(4);
    expect(script()).toEqual({ calls: calls as never });
    expect((calls.at(-1)?.at ?? 99) + (calls.at(-1)?.answer ?? 99)).toBeLessThanOrEqual(30);
    expect(new Set(script('--least', '3', '--most', '3').calls.map(({ say }) => say))).toEqual(new Set(['three']));
    refused(['calldrill', '--kind', 'shout', '--seconds', '30', '--seed', '1'], /count, direction, go/);
    refused(['calldrill', '--kind', 'go', '--seconds', '30', '--seed', '1.5'], /whole number/);
    refused(
      ['calldrill', '--kind', 'go', '--seconds', '30', '--seed', '1', '--least', '9', '--most', '3'],
      /smaller number first/,
    );
    refused(['calldrill', '--kind', 'go', '--seed', '1'], /--seconds missing/);
  });
});
