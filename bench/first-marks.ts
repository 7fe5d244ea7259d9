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
    if (document.querySelector('.sheet-list li')) drawn('list');
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

const newSheet = 'button[data-leads-to]';

/** The pointer comes to something, and stays there for a moment, as hands do. */
async function near(page: Page, selector: string): Promise<void> {
  await page.evaluate(async (what) => {
    document.querySelector(what)?.dispatchEvent(new PointerEvent('pointerover', { bubbles: true }));
    await new Promise((done) => setTimeout(done, 250));
  }, selector);
}

/** Presses something when the pointer has come to it. */
export async function pressNear(page: Page, selector: string): Promise<void> {
  await near(page, selector);
  await page.evaluate((what) => {
    window.firstMinute.pressed = performance.now();
    document.querySelector<HTMLElement>(what)?.click();
  }, selector);
}

/** Presses New sheet; milliseconds until the frame that shows the first key in its entry line, typed as soon as it has the focus. */
export async function keyOnNewSheet(page: Page): Promise<number> {
  await near(page, newSheet);
  return page.evaluate(
    (button) =>
      new Promise<number>((done) => {
        window.firstMinute.pressed = performance.now();
        document.querySelector<HTMLElement>(button)?.click();
        const look = (): void => {
          if (!(document.activeElement?.id === 'entry' || document.activeElement?.closest('#first-entry'))) {
            requestAnimationFrame(look);
            return;
          }
          document.execCommand('insertText', false, '1');
          requestAnimationFrame(() => setTimeout(() => done(performance.now() - window.firstMinute.pressed)));
        };
        look();
      }),
    newSheet,
  );
}
