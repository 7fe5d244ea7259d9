import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { layoutStaff } from '../app/parts/strike-staff/layout';
import { move, six } from '../core/index';

/**
 * A letter that somebody of 20/20 vision can just read is seen at five minutes of arc (Snellen's definition of the optotype,
 * as ISO 8596 and every handbook of optometry have it; from memory); comfort is three times that (issue of the product).
 */
const minutes = 5;
const comfort = 3;
const metres = 5;
const letterMm = (times: number): number => times * metres * 1000 * Math.tan((minutes / 60) * (Math.PI / 180));

/** A television of 55 inches, 16 to 9 (house value): 55 × 25.4 × 16 / √(16² + 9²) mm wide. */
const screenMm = (55 * 25.4 * 16) / Math.hypot(16, 9);
/** Capital letters of Archivo, as a share of the size of type (measured in Chromium at 1000 px). */
const capital = 0.6875;

describe('what a class reads across the room', () => {
  const styles = readFileSync(join(import.meta.dirname, '../app/parts/stage/stage.scss'), 'utf8');
  const sizes = [...styles.matchAll(/--(wall-[a-z]+): max\([\d.]+rem, ([\d.]+)cqw\)/g)].map(
    ([, name = '', share = '']) => ({ name, mm: (Number(share) / 100) * screenMm * capital }),
  );

  it('knows the formula: 7.3 mm for 20/20 at five metres, 21.8 for comfort (worked by hand)', () => {
    expect(letterMm(1)).toBeCloseTo(7.27, 2);
    expect(letterMm(comfort)).toBeCloseTo(21.82, 2);
    expect(screenMm).toBeCloseTo(1217.6, 0);
  });

  it('has letters of at least that height, every size of them, with nothing that keeps them small on a large screen', () => {
    expect(sizes.map(({ name }) => name)).toEqual([
      'wall-clock',
      'wall-large',
      'wall-middle',
      'wall-small',
      'wall-clock',
    ]);
    for (const { name, mm } of sizes) expect(mm).withContext(name).toBeGreaterThanOrEqual(letterMm(comfort));
    // Nothing of the stage is set in another size.
    const others = [...styles.matchAll(/font-size: ([^;]+);/g)].map(([, size = '']) => size);
    expect(others.length).toBeGreaterThan(5);
    expect(others.filter((size) => !/^var\(--wall-[a-z]+\)$/.test(size))).toEqual([]);
  });

  it('has codes of moves at the height of comfort up to ten of them, and their names never under that of 20/20 up to twenty', () => {
    const drawing = readFileSync(join(import.meta.dirname, '../app/parts/strike-staff/strike-staff.scss'), 'utf8');
    const sizeOf = (pattern: RegExp): number => Number(pattern.exec(drawing)?.[1]);
    const [code, name] = [sizeOf(/\nsvg \{[^}]*font: 700 (\d+)px/), sizeOf(/\.name \{[^}]*font-size: (\d+)px/)];
    expect([code, name]).toEqual([14, 9]);
    /** Millimetres of a capital of so many units, of a combination that fills a wall from side to side (its margins are 4 %). */
    const heights = (moves: number, units: number): number => {
      const items = Array.from({ length: moves }, (_, at) => (at % 2 === 0 ? move('jab') : move('cross')));
      const { width } = layoutStaff(
        { items },
        { scheme: six, added: [], levels: 'used', study: null, names: true, aspect: 3 },
      );
      return (0.96 * screenMm * units * capital) / width;
    };
    for (const moves of [4, 6, 8, 10])
      expect(heights(moves, code)).withContext(`codes of ${moves}`).toBeGreaterThanOrEqual(letterMm(comfort));
    for (const moves of [4, 8, 12, 16, 20])
      expect(heights(moves, name)).withContext(`names of ${moves}`).toBeGreaterThanOrEqual(letterMm(1));
  });
});
