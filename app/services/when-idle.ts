/** After a key or a press the page is left alone for so long, in milliseconds. */
const afterInputMs = 1500;
const inputs = ['keydown', 'pointerdown', 'input'] as const;

let lastInput = -Infinity;
for (const type of inputs) addEventListener(type, () => (lastInput = performance.now()), { capture: true, passive: true });

const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

const idle = (): Promise<void> =>
  new Promise((done) => {
    // Not every browser says when it has nothing to do.
    if ('requestIdleCallback' in globalThis) requestIdleCallback(() => done());
    else setTimeout(done, 200);
  });

/**
 * Settles when the page has been loaded, has nothing to do, and nobody has pressed or typed anything for a moment: whatever
 * nobody has asked for waits for this.
 * @example await whenIdle(); // then fetch ahead
 */
export async function whenIdle(): Promise<void> {
  if (document.readyState !== 'complete')
    await new Promise((done) => addEventListener('load', () => done(null), { once: true }));
  for (;;) {
    await idle();
    const rest = lastInput + afterInputMs - performance.now();
    if (rest <= 0) return;
    await wait(rest);
  }
}
