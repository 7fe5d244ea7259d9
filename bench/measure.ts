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
 * The median of two pieces of work in milliseconds, and of how much longer the first takes than the second: run in turn, so
 * that a machine that slows down in between slows both.
 */
export function besideMs(work: () => unknown, yardstick: () => unknown): { ms: number; ratio: number } {
  const timed = (run: () => unknown): number => {
    const start = performance.now();
    run();
    return performance.now() - start;
  };
  const pairs = Array.from({ length: 60 }, () => [timed(work), timed(yardstick)] as const);
  return {
    ms: quantile(
      pairs.map(([own]) => own),
      0.5,
    ),
    ratio: quantile(
      pairs.map(([own, other]) => own / other),
      0.5,
    ),
  };
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
