import { escaped } from '../escaped';
import { unfold } from '../mechanics/steps';
import type { Scheme } from '../moves/scheme';
import type { Combination } from '../notation/combination';
import { writeMove } from '../notation/write';
import type { Milliseconds } from '../units';
import type { Figure } from './figure-of';
import type { Paint, PicturePart } from './picture';
import { sceneAt, type Scene } from './scene';
import { svgOutline } from './svg-path';
import type { View } from './view';

/** Colours by what they paint; `ink` for outlines. */
export type Paints = Readonly<Record<Paint | 'ink' | 'floor', string>>;

/** Colours for paper: limbs pale in the tint of their side, gloves and shoes full. */
export const paperPaints: Paints = {
  'lead limb': '#efb38b',
  'rear limb': '#8fc2c2',
  'lead glove': '#c4501c',
  'rear glove': '#0f6e78',
  trunk: '#f6ecd9',
  skin: '#f6ecd9',
  shorts: '#3d3a36',
  band: '#1c2426',
  line: '#1c2426',
  bag: '#a59a86',
  ink: '#1c2426',
  floor: '#d9cfba',
};

/** The same on dark ground: shorts lighter, outlines darker. */
export const darkPaints: Paints = {
  ...paperPaints,
  shorts: '#75797a',
  floor: '#0c1213',
  bag: '#566268',
  ink: '#0a1011',
};

/** How many pixels a stature is in a picture of so many by so many, and where its middle is. */
export function fitted(
  width: number,
  height: number,
): { readonly scale: number; readonly x: number; readonly y: number } {
  const scale = Math.min(height / 1.24, width / 1.1);
  return { scale, x: width * 0.5, y: height * 0.53 };
}

const short = (value: number): string => String(Math.round(value * 10) / 10);

function partSvg(part: PicturePart, paints: Paints, scale: number, x: number, y: number): string {
  if (part.kind === 'line') {
    const points = part.points.map(([px, py]) => `${short(x + px * scale)},${short(y + py * scale)}`).join(' ');
    return `<polyline points="${points}" fill="none" stroke="${paints[part.paint]}" stroke-width="${short(part.width * scale)}" stroke-linecap="round"/>`;
  }
  const discs = part.discs.map((disc) => ({ x: x + disc.x * scale, y: y + disc.y * scale, r: disc.r * scale }));
  return `<path d="${svgOutline(discs)}" fill="${paints[part.paint]}"/>`;
}

/** A scene as SVG elements, its middle at a point, a stature so many pixels tall. */
export function sceneSvg(scene: Scene, paints: Paints, scale: number, x: number, y: number): string {
  const floor = scene.shadows.map(
    (each) =>
      `<ellipse cx="${short(x + each.x * scale)}" cy="${short(y + each.y * scale)}" rx="${short(each.rx * scale)}" ry="${short(each.ry * scale)}" fill="${paints.floor}"/>`,
  );
  const parts = scene.parts.map((part) => partSvg(part, paints, scale, x, y));
  const ring = scene.ring
    ? `<circle cx="${short(x + scene.ring.x * scale)}" cy="${short(y + scene.ring.y * scale)}" r="${short(scene.ring.r * scale)}" fill="none" stroke="${paints.ink}" stroke-width="2"/>`
    : '';
  return `${floor.join('')}<g stroke="${paints.ink}" stroke-width="1.1" stroke-linejoin="round">${parts.join('')}</g>${ring}`;
}

/** The moments that tell a combination: each strike as it lands, and the middle of what is no strike. */
export function tellingMoments(figure: Figure | null): Milliseconds[] {
  if (!figure) return [];
  const { done, hits } = figure.motion;
  return done.map(({ at, ms, step }) => {
    const hit = hits.find((each) => each.step === step && each.at >= at && each.at <= at + ms);
    return hit?.at ?? at + ms / 2;
  });
}

/** What stands under each still: the step as it is written, a slot as a question. `stripLabels(combination, six)` → `['1', '2']` */
export function stripLabels(combination: Combination, scheme: Scheme): string[] {
  return unfold(combination).map(({ content }) =>
    content.map((each) => (each.kind === 'move' ? writeMove(each, scheme) : '?')).join('+'),
  );
}

/**
 * The telling moments of a combination side by side, as one SVG file: for print, for the book, to be saved.
 * @example stripSvg(figureOf(combination, 'orthodox'), views['three-quarter'], ['1', '2'])
 */
export function stripSvg(figure: Figure, view: View, labels: readonly string[], paints: Paints = paperPaints): string {
  const [width, height, line] = [120, 150, 18];
  const moments = tellingMoments(figure);
  const { scale, x, y } = fitted(width, height);
  const stills = moments.map((at, index) => {
    const left = index * width;
    const label = labels[index] ?? '';
    return `${sceneSvg(sceneAt(figure, at, view), paints, scale, left + x, y)}<text x="${left + width / 2}" y="${height + 12}" text-anchor="middle" font-family="sans-serif" font-size="13" fill="${paints.ink}">${escaped(label)}</text>`;
  });
  const all = Math.max(1, moments.length) * width;
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${all} ${height + line}" width="${all}" height="${height + line}">${stills.join('')}</svg>`;
}
