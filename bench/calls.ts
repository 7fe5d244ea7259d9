import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import {
  scriptOf,
  compile,
  heardIn,
  lengthIn,
  readTempoText,
  renderBlocks,
  type Recording,
  type Voice,
} from '../core/index';
import type { CallsFigures } from './calls-worker';
import { quantile, report } from './measure';

/** The scheduler as it ships: bundled, in a worker. */
async function inWorker(): Promise<CallsFigures> {
  const { outputFiles } = await build({
    entryPoints: [new URL('calls-worker.ts', import.meta.url).pathname],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    write: false,
  });
  const worker = new Worker(outputFiles[0]?.text ?? '', { eval: true });
  const [figures] = (await once(worker, 'message')) as [CallsFigures];
  return figures;
}

/** Scheduling an hour of calls, whole and with one change; a session as sound against real time. */
export async function benchCalls(): Promise<void> {
  const { first, anew, toClone, oneChange, again, liveChange } = await inWorker();
  report('scheduling 60 min of calls in a worker, the very first', `${first.toFixed(1)} ms`, '–');
  report('  nothing remembered, in a worker in use', `${anew.toFixed(1)} ms`, 'under 10 ms');
  report('    / the engine’s own copy of its timeline (structuredClone)', `${toClone.toFixed(1)} ×`, '–');
  report('  one round changed, the clock laid out as well / anew', `${oneChange.toFixed(2)} ×`, 'at most 0.3 ×');
  report('  every stretch remembered / anew', `${(again / anew).toFixed(2)} ×`, 'well under 1 ×');
  report('  a live change in the middle of it, the rest planned anew', `${liveChange.toFixed(1)} ms`, 'under 50 ms');

  const voice: Voice = {
    id: 'bench',
    name: '',
    files: ['-'],
    clips: { one: [0, 300], two: [300, 300], three: [600, 300] },
  };
  const recording: Recording = { voice, samples: new Float32Array(20_000).fill(0.2) };
  const half = readTempoText(Array.from({ length: 10 }, () => 'round 2:30: 1 2 3\nrest 0:30').join('\n')).sheet;
  const laid = compile(half);
  const track = scriptOf(half, { lengthOf: lengthIn(voice) }, laid);
  const heard = heardIn(track, { rate: 16_000, recording });
  const runs = [0, 1, 2].map(() => {
    const start = performance.now();
    for (const block of renderBlocks(heard, laid.ms, 16_000)) if (block.length === 0) throw new Error('empty');
    return performance.now() - start;
  });
  const render = quantile(runs, 0.5);
  report(
    `rendering ${laid.ms / 60_000} min of sound, times real time`,
    `${Math.round(laid.ms / render)} ×`,
    'at least 600 ×',
  );
}
