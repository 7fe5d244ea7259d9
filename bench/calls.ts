import {
  callTrack,
  compile,
  cues,
  heardIn,
  lengthIn,
  readTempoText,
  renderBlocks,
  type Recording,
  type Sheet,
  type Voice,
} from '../core/index';
import { medianMs, quantile, report } from './measure';

/** An hour of twenty rounds, each a build and two pieces, with rests; `mark` makes every text its own. */
function hour(mark: number): Sheet {
  const rounds = Array.from(
    { length: 20 },
    (_, at) =>
      `round 2:00 "Round of bench ${mark} ${at}"\n  build ladder every 0:15: 1 2 3b 2\n  0:30 strong: 1 2 sl 6 3\n  0:30 all-out nonstop: 1 2\nrest 1:00`,
  );
  return readTempoText(rounds.join('\n')).sheet;
}

/** Scheduling an hour of calls, whole and with one change; a session as sound against real time. */
export function benchCalls(): void {
  const sheets = Array.from({ length: 40 }, (_, mark) => ({ sheet: hour(mark), timeline: compile(hour(mark)) }));
  let next = 0;
  const anew = (): unknown => {
    const one = sheets[(next += 1) % sheets.length];
    // Other lengths each time, so that nothing is remembered.
    const mark = next;
    return one && callTrack(one.sheet, { lengthOf: (words) => words.length * 60 + (mark % 997) }, one.timeline);
  };
  const start = performance.now();
  anew();
  report('scheduling 60 min of calls, the very first', `${(performance.now() - start).toFixed(1)} ms`, '–');
  // A worker that has been asked a few dozen times, as it is while a sheet is edited; the engine has compiled it by then.
  for (let run = 0; run < 60; run += 1) anew();
  const whole = medianMs(anew);
  report('  nothing remembered, as in a worker in use', `${whole.toFixed(1)} ms`, 'under 20 ms');
  const [{ sheet, timeline } = { sheet: hour(0), timeline: compile(hour(0)) }] = sheets;
  const lengthOf = (words: string): number => words.length * 60;
  const again = medianMs(() => callTrack(sheet, { lengthOf }, timeline));
  report('  the same with every stretch remembered / anew', `${(again / whole).toFixed(2)} ×`, 'well under 1 ×');

  const voice: Voice = {
    id: 'bench',
    name: '',
    files: ['-'],
    clips: { one: [0, 300], two: [300, 300], three: [600, 300] },
  };
  const recording: Recording = { voice, samples: new Float32Array(20_000).fill(0.2) };
  const half = readTempoText(Array.from({ length: 10 }, () => 'round 2:30: 1 2 3\nrest 0:30').join('\n')).sheet;
  const laid = compile(half);
  const track = callTrack(half, { lengthOf: lengthIn(voice) }, laid);
  const heard = heardIn(track, cues(laid, 5), { rate: 16_000, recording });
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
