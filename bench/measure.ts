/** Length of one run of a function in milliseconds: the median over runs that together take about a third of a second. */
export function medianMs(work: () => unknown): number {
  const times: number[] = [];
  const until = performance.now() + 330;
  // Once for warming up, uncounted.
  work();
  while (times.length < 15 || (performance.now() < until && times.length < 5000)) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return quantile(times, 0.5);
}

/**
 * Repeats of as long one piece of work takes as another, in the median: run in turn, so that a machine that slows down in
 * between slows both.
 * @example timesAsLong(anew, () => structuredClone(timeline)) // 4.2
 */
export function timesAsLong(work: () => unknown, yardstick: () => unknown): number {
  const timed = (run: () => unknown): number => {
    const start = performance.now();
    run();
    return performance.now() - start;
  };
  const ratios = Array.from({ length: 60 }, () => timed(work) / timed(yardstick));
  return quantile(ratios, 0.5);
}

/** The value below which a share of the values lies. `quantile([1, 2, 3], 0.5)` → `2` */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
}

/** Prints one figure beside its aim; figures are judged by people, not by tests. */
export function report(what: string, figure: string, aim: string): void {
  console.log(`${what.padEnd(62)} ${figure.padStart(22)}   aim: ${aim}`);
}
