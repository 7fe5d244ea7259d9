import { leastGap, type Call } from './call';

/** Expects that no two calls overlap and that each leaves a breath before the next; counts and bells may follow at once. */
export function apart(calls: readonly Call[]): void {
  const sorted = [...calls].sort((a, b) => a.at - b.at);
  sorted.slice(1).forEach((call, index) => {
    const before = sorted[index];
    expect(call.at - ((before?.at ?? 0) + (before?.ms ?? 0)))
      .withContext(`${before?.say ?? ''} then ${call.say}`)
      .toBeGreaterThanOrEqual(before?.kind === 'count' || call.kind === 'count' || call.kind === 'bell' ? 0 : leastGap);
  });
}
