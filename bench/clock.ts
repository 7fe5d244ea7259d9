import { clockAt, handOver, setRunning, stoppedClock, type RunClock } from '../core/index';
import { report } from './measure';

/** A source clock of our own making: what it shows, and whether it is the audio or the page clock. */
interface Sources {
  audio: number;
  page: number;
}

/** A jitter that is the same in every run (a linear congruential generator, constants of Numerical Recipes). */
function jitter(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/**
 * An hour of a run: looks come late by up to 250 ms, a minute of throttling to one look a second, a ten-minute sleep
 * without any, and a hand-over from the audio clock to the page's, which goes 20 parts in a million faster.
 */
export function benchClock(): void {
  const random = jitter(7);
  const sources: Sources = { audio: 1234.5, page: 98_765.25 };
  let clock: RunClock = setRunning(stoppedClock(0, 1), true, sources.audio);
  let onAudio = true;
  let expected = 0;
  let worst = 0;
  let worstLastMinutes = 0;
  let between = 0;
  const hour = 3_600_000;
  while (expected < hour) {
    const sleeping = expected > 1_200_000 && expected < 1_200_300;
    const throttled = expected > 600_000 && expected < 660_000;
    const step = sleeping ? 600_000 : throttled ? 1000 : 16.7 + random() * 250;
    const before = onAudio ? sources.audio : sources.page;
    sources.audio += step;
    sources.page += step * 1.00002;
    expected += (onAudio ? sources.audio : sources.page) - before;
    const error = Math.abs(clockAt(clock, onAudio ? sources.audio : sources.page) - expected);
    worst = Math.max(worst, error);
    if (expected > hour - 300_000) worstLastMinutes = Math.max(worstLastMinutes, error);
    if (onAudio && expected > 2_400_000) {
      clock = handOver(clock, sources.audio, sources.page);
      onAudio = false;
    }
    between = Math.abs(sources.page - 98_765.25 - (sources.audio - 1234.5));
  }
  report('Run’s clock against its source over an hour, worst', `${worst.toExponential(1)} ms`, 'under 5 ms');
  report('  in the last five minutes (growth would show)', `${worstLastMinutes.toExponential(1)} ms`, 'no growth');
  report('  the two source clocks apart after the hour (reported, not judged)', `${between.toFixed(1)} ms`, '–');
}
