/** After a key, a press, something fetched or long work the page is left alone for so long, in milliseconds. */
const quietMs = 1000;
const inputs = ['keydown', 'pointerdown', 'input'] as const;

let lastBusy = 0;
for (const type of inputs)
  addEventListener(type, () => (lastBusy = performance.now()), { capture: true, passive: true });
for (const type of ['resource', 'longtask'])
  new PerformanceObserver((seen) => {
    for (const { startTime, duration } of seen.getEntries()) lastBusy = Math.max(lastBusy, startTime + duration);
  }).observe({ type });

const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** Settles when the page has nothing to do at this moment: what a view shows a little later begins then. */
export const idle = (): Promise<void> =>
  new Promise((done) => {
    // Not every browser says when it has nothing to do.
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => done());
    else setTimeout(done, 200);
  });

/**
 * Settles when the page has been loaded, and for a moment has fetched nothing, done nothing long, and nobody has pressed or
 * typed anything: whatever nobody has asked for waits for this.
 * @example await whenIdle(); // then fetch ahead
 */
export async function whenIdle(forMs = quietMs): Promise<void> {
  if (document.readyState !== 'complete')
    await new Promise((done) => addEventListener('load', () => done(null), { once: true }));
  for (;;) {
    await idle();
    const rest = lastBusy + forMs - performance.now();
    if (rest <= 0) return;
    await wait(rest);
  }
}
