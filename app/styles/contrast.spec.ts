/**
 * Contrast of the theme's colours by the formula of WCAG 2.2 (relative luminance and contrast ratio, as published by
 * the W3C): 4.5 for text, 3 for large text and for shapes that carry meaning.
 */
function channel(value: number): number {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
}

function luminance([red, green, blue]: readonly number[]): number {
  return 0.2126 * channel(red ?? 0) + 0.7152 * channel(green ?? 0) + 0.0722 * channel(blue ?? 0);
}

function contrast(one: readonly number[], other: readonly number[]): number {
  const [light, dark] = [luminance(one), luminance(other)].sort((a, b) => b - a);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
}

function colour(name: string, scheme: 'light' | 'dark'): number[] {
  const probe = document.createElement('span');
  probe.style.colorScheme = scheme;
  probe.style.color = `var(--${name})`;
  document.body.append(probe);
  const read = getComputedStyle(probe).color;
  probe.remove();
  return (read.match(/[\d.]+/g) ?? []).slice(0, 3).map(Number);
}

const text: readonly [string, string][] = [
  ['ink', 'canvas'],
  ['ink', 'paper'],
  ['ink', 'raised'],
  ['ink-soft', 'canvas'],
  ['ink-soft', 'paper'],
  ['rail-ink', 'rail'],
  ['rail-soft', 'rail'],
  ['lead-ink', 'lead'],
  ['rear-ink', 'rear'],
  ['action-ink', 'action'],
  ['danger', 'paper'],
  ['danger', 'canvas'],
  ['danger-ink', 'danger'],
  ['mark', 'paper'],
  ['warm', 'canvas'],
  ['warm', 'paper'],
];
const shapes: readonly [string, string][] = [
  ['lead', 'canvas'],
  ['lead', 'paper'],
  ['rear', 'canvas'],
  ['rear', 'paper'],
  ['mark', 'canvas'],
  ['focus', 'canvas'],
  ['focus', 'paper'],
];

describe('contrast', () => {
  it('the formula gives the published ends: 21 for black on white, 1 for like on like', () => {
    expect(contrast([0, 0, 0], [255, 255, 255])).toBeCloseTo(21, 6);
    expect(contrast([90, 90, 90], [90, 90, 90])).toBe(1);
    // A pair often quoted beside the definition: #767676 on white is just over 4.5 (from memory).
    expect(contrast([118, 118, 118], [255, 255, 255])).toBeCloseTo(4.54, 2);
  });

  for (const scheme of ['light', 'dark'] as const) {
    for (const [front, back] of text)
      it(`${scheme}: ${front} on ${back} reads as text`, () =>
        expect(contrast(colour(front, scheme), colour(back, scheme))).toBeGreaterThanOrEqual(4.5));
    for (const [front, back] of shapes)
      it(`${scheme}: ${front} on ${back} shows as a shape`, () =>
        expect(contrast(colour(front, scheme), colour(back, scheme))).toBeGreaterThanOrEqual(3));
  }
});
