import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const app = join(import.meta.dirname, '../app');

/** Drawings, whose letters are in the units of what is drawn, and the call sheet, which is laid out to the page in points. */
const drawings = [
  'parts/strike-staff/strike-staff.scss',
  'pages/room/room-elevation.ts',
  'pages/room/room-plan.ts',
  'pages/bench/bench-drawing.scss',
  'pages/calls/call-sheet.ts',
];

function sizesIn(path: string): string[] {
  const text = readFileSync(join(app, path), 'utf8');
  return [...text.matchAll(/(?<![-\w])font(?:-size)?:\s*([^;]+);/g)].map(([, value]) => value ?? '');
}

describe('sizes of type', () => {
  const paths = readdirSync(app, { recursive: true, encoding: 'utf8' }).filter((path) =>
    /(?<!\.spec)\.(?:scss|ts)$/.test(path),
  );
  const elsewhere = paths.filter((path) => !drawings.includes(path));

  it('are at most six, and every page takes its own from them or from the wall’s scale', () => {
    const tokens = readFileSync(join(app, 'styles/tokens.scss'), 'utf8').match(/--type-[a-z]+:/g) ?? [];
    expect(tokens.length).toBeGreaterThan(2);
    expect(tokens.length).toBeLessThanOrEqual(6);
    const found = elsewhere.flatMap((path) => sizesIn(path).map((size) => `${path}: ${size}`));
    expect(found.length).toBeGreaterThan(20);
    expect(found.filter((each) => !/var\(--(?:type|wall)-|: inherit$/.test(each))).toEqual([]);
  });

  it('knows every drawing that is excepted', () => {
    expect(drawings.filter((path) => sizesIn(path).length === 0)).toEqual([]);
  });
});
