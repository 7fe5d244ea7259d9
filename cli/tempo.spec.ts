import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { writeSheetJson } from '../core/index';
import { demoSheets } from '../demo/sheets';

interface Answer {
  status: number | null;
  out: string;
  error: string;
  json: Record<string, unknown>;
}

export function tempo(args: readonly string[], input = ''): Answer {
  const run = spawnSync(process.execPath, ['cli/run.mjs', ...args], { input, encoding: 'utf8' });
  return {
    status: run.status,
    out: run.stdout,
    error: run.stderr,
    json: (run.status === 0 ? JSON.parse(run.stdout) : {}) as Record<string, unknown>,
  };
}

export function refused(args: readonly string[], said: RegExp, input = ''): void {
  const { status, out, error } = tempo(args, input);
  expect(status).withContext(args.join(' ')).toBe(2);
  expect(out).toBe('');
  expect(error).toMatch(said);
  expect(error.trimEnd().split('\n').length).toBe(1);
}

const folder = mkdtempSync(join(tmpdir(), 'tempo-'));
const file = join(folder, 'sheet.json');
writeFileSync(file, writeSheetJson(demoSheets[0] as (typeof demoSheets)[0]));

describe('the tempo command', () => {
  it('combo tells moves, counts, stance, seams and seconds', () => {
    const { json } = tempo(['combo', '1 2 3b ro 4 5']);
    expect(json).toEqual(
      jasmine.objectContaining({
        text: '1 2 3b ro 4 5',
        counts: { punches: 5, elbows: 0, knees: 0, kicks: 0, teeps: 0, strikes: 5, defences: 1, feet: 0, moves: 6 },
        stance: { start: 'orthodox', end: 'orthodox' },
        seconds: 2.15,
      }),
    );
    expect((json['moves'] as unknown[])[2]).toEqual({
      name: 'lead hook',
      side: 'lead',
      limb: 'left hand',
      target: 'body',
      family: 'punch',
    });
    expect((json['seams'] as { after: number }[]).map((seam) => seam.after)).toEqual([0, 1, 2, 3, 4, 5]);
  });

  it('figure gives joints in metres, hits in order, and exactly the frames that are asked for', () => {
    const { json } = tempo(['figure', '1 2 tp ft 3 [lk / swk]', '--frames', '5', '--pace', '0.8']);
    const hits = json['hits'] as { at: number; move: string; limb: string; y: number; target: { y: number } }[];
    expect(hits.map(({ move, limb }) => `${limb}: ${move}`)).toEqual([
      'left hand: jab',
      'right hand: cross',
      'left leg: teep',
      'right leg: low kick',
    ]);
    expect(hits[0]?.at).toBeCloseTo(0.15 / 0.8, 6);
    const frames = json['frames'] as { at: number; joints: Record<string, number[]> }[];
    expect(frames.map(({ at }) => at)).toEqual(
      [0, 0.25, 0.5, 0.75, 1].map((share) => Math.round(share * (json['seconds'] as number) * 1e6) / 1e6),
    );
    expect(Object.keys(frames[0]?.joints ?? {}).length).toBe(18);
    // Midway between the feet, on the floor.
    const [left, right] = [frames[0]?.joints['left ball'] ?? [], frames[0]?.joints['right ball'] ?? []];
    expect([0, 1, 2].map((axis) => (left[axis] ?? 1) + (right[axis] ?? 1))).toEqual([0, 0, 0]);
    expect(tempo(['figure', '1', '--frames', '1']).status).toBe(2);
    const southpaw = tempo(['figure', '1 left', '--stance', 'southpaw', '--frames', '3']).json;
    const mirror = tempo(['figure', '1 right', '--frames', '3']).json;
    expect((southpaw['frames'] as typeof frames)[2]?.joints['right hand']?.[2]).toBe(
      -((mirror['frames'] as typeof frames)[2]?.joints['left hand']?.[2] ?? 0),
    );
    expect(tempo(['figure', '1 2']).out).not.toContain('-0,');
  });

  it('combo counts seams by moves where two are done together, and gives repairs', () => {
    const { json } = tempo(['combo', 'in+1 2 4', '--stance', 'southpaw', '--pace', '2']);
    const seams = json['seams'] as { after: number; verdict: string; cost: number; repairs: string[] }[];
    expect(seams.map((seam) => [seam.after, seam.verdict])).toEqual([
      [1, 'smooth'],
      [2, 'reload'],
      [3, 'smooth'],
    ]);
    expect(seams[1]?.repairs[0]).toBe('in+1 2 sl 4');
    expect(json['seconds']).toBe(0.555);
    expect((json['moves'] as { limb: string }[])[1]?.limb).toBe('right hand');
  });

  it('combo knows the eight-number scheme, and reads standard input', () => {
    expect(tempo(['combo', '7 8', '--scheme', 'eight']).json['text']).toBe('7 8');
    expect(tempo(['combo', '-'], '1-2').json['text']).toBe('1 2');
  });

  it('combo tells whether a bag takes it', () => {
    expect(tempo(['combo', '1 2 3b', '--bag', 'double-end']).json['fit']).toEqual({
      bag: 'double-end',
      verdict: 'adapt',
      reasons: [jasmine.stringContaining('to the body'), jasmine.stringContaining('sideways')],
      adapted: '1 2 3 2',
    });
    expect(tempo(['combo', '1 2', '--bag', 'heavy']).json['fit']).toEqual({
      bag: 'heavy',
      verdict: 'fits',
      reasons: [],
      adapted: null,
    });
    refused(['combo', '1', '--bag', 'pillow'], /write shadow, heavy/);
  });

  it('build makes the stages of a ladder', () => {
    expect(tempo(['build', '1 2 sl 6', '--kind', 'ladder', '--defence', 'own']).json).toEqual({
      stages: [
        { text: '1', added: [0] },
        { text: '1 2', added: [1] },
        { text: '1 2 sl', added: [2] },
        { text: '1 2 sl 6', added: [3] },
      ],
    });
  });

  it('build knows the other kinds with their options', () => {
    const stages = (args: readonly string[]) =>
      (tempo(['build', ...args]).json as { stages: { text: string }[] }).stages.map((stage) => stage.text);
    expect(stages(['1 2 3', '--kind', 'backward'])).toEqual(['3', '2 3', '1 2 3']);
    expect(stages(['1 2 3 2', '--kind', 'chunks', '--cuts', '1,3'])).toEqual(['1', '1 2 3', '1 2 3 2']);
    expect(stages(['1 2', '--kind', 'pyramid', '--again'])).toEqual(['1', '1 2', '1', '1 2']);
    expect(stages(['1 2', '--kind', 'kick-close', '--kick', 'same'])).toEqual(['1 lbk', '1 2 bk', '1 lbk']);
    expect(stages(['--kind', 'alternator', '--from', '2', '--to', '3'])).toEqual(['1 2', '1 2 1', '2 1', '2 1 2']);
    expect(stages(['1 2', '3', '--kind', 'join'])).toEqual(['1', '1 2', '3', '1 2', '3', '1 2 3']);
    expect(stages(['any 2-3', '--kind', 'amount'])).toEqual(['any 2', 'any 3']);
    expect(stages(['7 2', '--kind', 'singles', '--scheme', 'eight'])).toEqual(['7', '2', '7 2']);
    expect(stages(['1', '--kind', 'levels'])).toEqual(['1b 1b 1 1']);
    refused(['build', '1 2', '--kind', 'amount'], /needs a range/);
    refused(['build', '1 2', '--kind', 'join'], /needs two goals/);
    refused(['build', '--kind', 'alternator', '--from', '5', '--to', '2'], /smaller number first/);
    refused(['build', '1 2', '--kind', 'kick-close', '--kick', 'left'], /opposite or same/);
    refused(['build', '1 2', '3'], /too many goals/);
  });

  it('timeline, tally and check read a sheet', () => {
    const timeline = tempo(['timeline', file]).json as unknown as {
      seconds: number;
      open: number;
      events: { at: number; seconds: number }[];
    };
    expect([timeline.seconds, timeline.open]).toEqual([1365, 1]);
    expect(timeline.events.reduce((sum, event) => sum + event.seconds, 0)).toBe(1365);
    const tally = tempo(['tally', '-'], readFileSync(file, 'utf8')).json as unknown as {
      work: number;
      rest: number;
      other: number;
      rounds: unknown[];
    };
    expect([tally.work, tally.rest, tally.other, tally.rounds.length]).toEqual([540, 120, 705, 3]);
    expect(tempo(['check', file]).json).toEqual({ findings: [] });
  });

  it('export and import give the same sheet', () => {
    const copy = join(folder, 'copy.json');
    expect(tempo(['export', file, '--to', 'json', '--out', copy]).json).toEqual({ written: copy });
    expect(tempo(['import', copy, '--from', 'json']).json as unknown).toEqual(demoSheets[0]);
    expect(JSON.stringify(tempo(['export', '--help']).json)).toContain('json');
  });

  it('refuses bad input with one line and code 2', () => {
    refused(['combo', '112'], /^character 1: "112" is not a move; did you mean "1 1 2"\?$/m);
    refused(['combo'], /no combination given/);
    refused(['combo', '1', '--pace', '0'], /--pace 0/);
    refused(['combo', '1', '--stance', 'lotus'], /orthodox, southpaw or square/);
    refused(['combo', '1', '--scheme', 'nine'], /six or eight/);
    refused(['combo', '1', '--bogus'], /bogus/);
    refused(['build', '1 2', '--kind', 'spiral'], /ladder/);
    refused(['timeline', join(folder, 'none.json')], /cannot be opened/);
    refused(['check', '-'], /not JSON/, '{');
    refused(['export', file, '--to', 'pdf'], /write json/);
    refused(['dance'], /unknown command/);
    refused([], /usage: tempo combo/);
    const broken = writeSheetJson(demoSheets[0] as (typeof demoSheets)[0]).replaceAll('1 2 3b 2 5 4', '1 2 zz');
    writeFileSync(join(folder, 'broken.json'), broken);
    refused(['timeline', join(folder, 'broken.json')], /blocks\[1\]\.pieces\[0\]: character 5/);
    expect(tempo(['check', join(folder, 'broken.json')]).status).toBe(0);
  });
});
