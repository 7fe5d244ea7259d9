import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { refused, tempo } from './tempo.spec';

const folder = mkdtempSync(join(tmpdir(), 'tempo-calls-'));
const put = (name: string, ...lines: string[]): string => {
  const path = join(folder, name);
  writeFileSync(path, `${lines.join('\n')}\n`);
  return path;
};

interface Part {
  readonly at: number;
  readonly say: string;
}
interface Said extends Part {
  readonly seconds: number;
  readonly kind: string;
  readonly form: string;
  readonly parts?: readonly Part[];
}
interface Script {
  readonly calls: readonly Said[];
  readonly breaks: readonly { readonly at: number; readonly calls: readonly Said[] }[];
  readonly dropped: readonly {
    readonly at: number;
    readonly kind: string;
    readonly say: string;
    readonly why: string;
  }[];
  readonly shortened: readonly { readonly say: string; readonly why: string }[];
}
const script = (...lines: string[]): Script =>
  tempo(['calls', put('script.tempo.txt', ...lines)]).json as unknown as Script;

// The trade's command page: `tempo calls FILE`; moments in seconds on the session's clock.
describe('tempo calls', () => {
  it('gives every call with its moment, length, kind, words and form', () => {
    const { calls } = script('round 1:00: 1 2 3b');
    expect(calls[0]).toEqual({ at: 0, seconds: 1, kind: 'bell', say: 'bell', form: 'full' });
    expect(calls[1]).toEqual({ at: 1.3, seconds: 1.455, kind: 'new', say: 'One, two, three body.', form: 'full' });
    expect(calls.filter(({ kind }) => kind === 'bell').at(-1)?.at).toBe(60);
    expect(calls.at(-1)?.say).toBe('Session over. Well done');
  });

  it('gives the parts of a strike-paced line on the combination’s own grid', () => {
    // A straight takes 0.30 s, a hook 0.36, a roll 0.45 (trade page, section 4); all smooth.
    const { calls } = script('round 0:30', '  0:30: 1 2 3b ro 4 calls strikes');
    const lines = calls.filter(({ kind }) => kind === 'strikes');
    expect(lines.length).toBeGreaterThan(3);
    for (const { at, parts = [] } of lines) {
      expect(parts.map(({ say }) => say)).toEqual(['one', 'two', 'three body', 'roll', 'four']);
      expect(parts.map((part) => Math.round((part.at - at) * 1000))).toEqual([0, 300, 600, 960, 1410]);
    }
  });

  it('gives a long combination in parts', () => {
    const { calls } = script('round 1:00: 1 2 3b 2 5 4 1 2');
    const [long] = calls.filter(({ kind }) => kind === 'new');
    expect(long?.parts?.map(({ say }) => say)).toEqual(['One, two, three body, two', 'five, four, one, two.']);
    expect(long?.parts?.[0]?.at).toBe(long?.at);
  });

  it('puts what is said at an open break there, and the bell behind it among the calls', () => {
    const { calls, breaks } = script('round 1:00: 1 2', 'rest open', 'round 1:00: 2 3');
    expect(breaks.map(({ at }) => at)).toEqual([60]);
    expect(breaks[0]?.calls[0]).toEqual({ at: 60, seconds: 1, kind: 'bell', say: 'bell', form: 'full' });
    expect(calls.filter(({ kind }) => kind === 'bell').map(({ at }) => at)).toEqual([0, 60, 120]);
  });

  it('says what is short or not said, and why', () => {
    const { dropped, shortened } = script(
      'round 2:00: 1 2',
      'rest 0:10',
      'round 2:00 "The long way round the drill tower": 1 2 3b 2 5 4 ro 2 3 2 1 2',
    );
    expect(dropped.length + shortened.length).toBeGreaterThan(0);
    expect([...dropped, ...shortened].length).toBeGreaterThan(0);
    for (const { why } of [...dropped, ...shortened]) expect(why.length).toBeGreaterThan(10);
    for (const { at } of dropped) expect(at).toBeGreaterThanOrEqual(0);
  });

  it('refuses a sheet that cannot be run as written', () => {
    refused(['calls', put('wrong.tempo.txt', 'round 1:00', '  0:30: 1 2 nonsense')], /nonsense/);
  });
});
