import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const pages = join(import.meta.dirname, '../app/pages');

/** What is drawn or printed has looks of its own: room, bench, ruler, strip, calendar, paper. */
const drawings = [
  'bench/bench-drawing.scss',
  'calls/call-ruler.scss',
  'calls/call-sheet.ts',
  'combos/print-book.ts',
  'programme/week-calendar.scss',
  'room/room-elevation.ts',
  'room/room-plan.ts',
  'sheet/print-sheet.scss',
  'sheet/session-strip.ts',
];

/** What makes a look: colours, lines, letters, shades. Everything else puts things in their places. */
const look =
  /^(?:color|background|border|outline(?!-offset)|box-shadow|font|line-height|text-decoration|text-underline|opacity|fill|stroke|content$|--mat-.*(?:color|text-(?:size|weight)))/;

/** The declarations of a file's styles: all of a style sheet, and what stands in a component's own. */
function declarationsIn(path: string): string[] {
  const text = readFileSync(join(pages, path), 'utf8');
  const styles = path.endsWith('.scss')
    ? [text]
    : [...text.matchAll(/styles: `([^`]*)`/g)].map(([, style]) => style ?? '');
  return styles.flatMap((style) => [...style.matchAll(/^\s*([-\w]+):\s*[^;{]+;/gm)].map(([, name]) => name ?? ''));
}

const looksIn = (path: string): string[] => declarationsIn(path).filter((name) => look.test(name));

describe('styles of a page', () => {
  const paths = readdirSync(pages, { recursive: true, encoding: 'utf8' }).filter((path) =>
    /(?<!\.spec)\.(?:scss|ts)$/.test(path),
  );
  const elsewhere = paths.filter((path) => !drawings.includes(path));

  it('only lay out: how a thing looks stands in one place, for all pages', () => {
    expect(elsewhere.flatMap(declarationsIn).length).toBeGreaterThan(300);
    expect(elsewhere.flatMap((path) => looksIn(path).map((name) => `${path}: ${name}`))).toEqual([]);
  });

  it('know every drawing that is excepted', () => {
    expect(drawings.filter((path) => looksIn(path).length === 0)).toEqual([]);
  });
});
