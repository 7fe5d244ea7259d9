import axe from 'axe-core';
import { expect, test, type Page } from '@playwright/test';
import { views, type ViewState } from './views';

/** Puts axe into the page, which keeps it for all that is asked: read anew for each, it would take longer than its work. */
const bringAxe = (page: Page): Promise<unknown> => page.evaluate(axe.source);

/** What axe finds in a state of a view, in words. */
async function found(page: Page, { part, alike }: ViewState, rule?: string): Promise<string[]> {
  if (alike) {
    await page.locator(alike).evaluateAll((rows) => {
      for (const row of rows.slice(30)) row.setAttribute('data-alike', '');
    });
  }
  const where = { include: part ?? 'html', ...(alike ? { exclude: '[data-alike]' } : {}) };
  return page.evaluate(
    async ([context, only]) => {
      // Only what is wrong is gathered: everything that passes would be listed node by node.
      const { violations } = await window.axe.run(context, {
        resultTypes: ['violations'],
        ...(only ? { runOnly: [only] } : {}),
      });
      return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
    },
    [where, rule] as const,
  );
}

declare global {
  interface Window {
    readonly axe: typeof axe;
  }
}

const widths = [
  ['a phone', 390, 844],
  ['a tablet', 820, 1180],
  // 1280 by 800 at 200 %.
  ['a screen at twice its size', 640, 400],
] as const;

for (const view of views)
  test(`${view.name}: axe finds nothing, nothing is wider than its screen, nothing is asked of any other place`, async ({
    page,
  }) => {
    // Axe goes through every node, and a ruler of calls has thousands.
    test.slow();
    const elsewhere: string[] = [];
    page.on('request', (request) => {
      const url = new URL(request.url());
      if (url.hostname !== 'localhost' && !['blob:', 'data:'].includes(url.protocol)) elsewhere.push(request.url());
    });
    const refused: string[] = [];
    page.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) refused.push(message.text());
    });
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
    await page.goto(view.path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    await view.prepare?.(page);
    await bringAxe(page);
    expect(await found(page, view), 'light').toEqual([]);
    await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
    // Nothing but colours differs.
    expect(await found(page, view, 'color-contrast'), 'dark').toEqual([]);
    for (const [screen, width, height] of widths) {
      await page.setViewportSize({ width, height });
      await expect
        .poll(
          () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
          screen,
        )
        .toBeLessThanOrEqual(0);
    }
    expect(elsewhere).toEqual([]);
    // Styles come with the page's nonce, or not at all.
    expect(refused).toEqual([]);
  });

test('forced colours: the focus is seen, and the two hands are told apart without colour', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  for (const path of [
    '/sheets',
    '/sheets/demo-first-watch',
    '/combos',
    '/room',
    '/settings',
    '/run/demo-first-watch',
  ]) {
    await page.goto(path);
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    for (let step = 0; step < 3; step += 1) {
      await page.keyboard.press('Tab');
      const seen = await page.evaluate(() => {
        const focused = document.activeElement ?? document.body;
        // A link has an outline, a button of Material's a frame inside it; a field's own frame grows thick.
        const { outlineStyle, outlineWidth } = getComputedStyle(focused);
        const frame = getComputedStyle(focused.querySelector('.mat-focus-indicator') ?? focused, '::before');
        const framed =
          focused.closest('.mat-focused') !== null ||
          (frame.content !== 'none' && frame.display !== 'none' && parseFloat(frame.borderTopWidth) >= 2);
        return { tag: focused.tagName, drawn: framed || (outlineStyle !== 'none' && parseFloat(outlineWidth) >= 2) };
      });
      expect(seen.tag, path).not.toBe('BODY');
      expect(seen.drawn, `${path}: ${seen.tag}`).toBe(true);
    }
  }
  await page.goto('/sheets/demo-first-watch');
  const heights = await page
    .locator('kt-strike-staff', { has: page.locator('.glyph.lead') })
    .filter({ has: page.locator('.glyph.rear') })
    .first()
    .evaluate((staff) =>
      Array.from(
        staff.querySelectorAll('.glyph.lead, .glyph.rear'),
        (glyph) => [glyph.classList.contains('lead'), Math.round(glyph.getBoundingClientRect().top)] as const,
      ),
    );
  expect(new Set(heights.map(([lead]) => lead)).size).toBe(2);
  const topsOf = (side: boolean): Set<unknown> =>
    new Set(heights.filter(([lead]) => lead === side).map(([, top]) => top));
  expect([...topsOf(true)].filter((top) => topsOf(false).has(top))).toEqual([]);
});
