import type { Page } from '@playwright/test';

/** When things were first drawn, in milliseconds of the page's own time; `pressed` is when something was last pressed. */
export interface Marks {
  bare?: number;
  line?: number;
  list?: number;
  clock?: number;
}

declare global {
  interface Window {
    firstMinute: {
      marks: Marks;
      pressed: number;
      shifts: [at: number, value: number][];
      tasks: [at: number, ms: number][];
    };
  }
}

/** Runs in the page before anything else: notes what is drawn, and types into the first line as soon as it is there. */
export function installMarks(): void {
  const state: Window['firstMinute'] = { marks: {}, pressed: 0, shifts: [], tasks: [] };
  window.firstMinute = state;
  const { marks } = state;
  const drawn = (name: keyof Marks): void => {
    requestAnimationFrame(() => setTimeout(() => (marks[name] ??= performance.now() - state.pressed)));
  };
  let typed = false;
  const look = (): void => {
    if (document.querySelector('bare-root button')) drawn('bare');
    if (document.querySelector('.list li')) drawn('list');
    if (document.querySelector('kt-run-page .start:not([disabled])')) drawn('clock');
    const line = document.querySelector<HTMLInputElement>(
      '#first-frame:not([hidden]) input, kt-type-and-go .goals input',
    );
    if (!line || typed) return;
    typed = true;
    line.focus();
    document.execCommand('insertText', false, '1');
    drawn('line');
  };
  new MutationObserver(look).observe(document, {
    childList: true,
    subtree: true,
    attributes: true,
    attributeFilter: ['hidden', 'disabled'],
  });
  const observe = (type: string, take: (entry: PerformanceEntry) => void): void =>
    new PerformanceObserver((list) => list.getEntries().forEach(take)).observe({ type, buffered: true });
  observe('layout-shift', (entry) => {
    if (!('hadRecentInput' in entry) || !entry.hadRecentInput)
      state.shifts.push([entry.startTime, (entry as unknown as { value: number }).value]);
  });
  observe('longtask', ({ startTime, duration }) => state.tasks.push([startTime, duration]));
}

/** What happened between two moments. */
export function timesOf(
  page: Page,
  from: number,
  to: number,
): Promise<{ shift: number; task: number; requests: number; kB: number }> {
  return page.evaluate(
    ([begin, end]) => {
      const { shifts, tasks } = window.firstMinute;
      const scripts = performance
        .getEntriesByType('resource')
        .filter((entry): entry is PerformanceResourceTiming => entry.name.endsWith('.js') && entry.startTime < end);
      return {
        shift: shifts.reduce((sum, [, value]) => sum + value, 0),
        task: Math.max(0, ...tasks.filter(([at]) => at > begin && at < end).map(([, ms]) => ms)),
        requests: scripts.length,
        kB: scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0) / 1000,
      };
    },
    [from, to] as const,
  );
}

/** Presses something a moment after the pointer has come to it, as hands do. */
export async function pressNear(page: Page, selector: string): Promise<void> {
  await page.evaluate(async (what) => {
    const target = document.querySelector<HTMLElement>(what);
    target?.dispatchEvent(new PointerEvent('pointerover', { bubbles: true }));
    await new Promise((done) => setTimeout(done, 250));
    window.firstMinute.pressed = performance.now();
    target?.click();
  }, selector);
}

/** Milliseconds from the press to the frame that shows the first key in a sheet's entry line. */
export function keyShown(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((done) => {
        const look = (): void => {
          if (document.activeElement?.id !== 'entry') {
            requestAnimationFrame(look);
            return;
          }
          document.execCommand('insertText', false, '1');
          requestAnimationFrame(() => setTimeout(() => done(performance.now() - window.firstMinute.pressed)));
        };
        look();
      }),
  );
}
