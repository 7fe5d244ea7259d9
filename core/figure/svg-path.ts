import { outlineOf } from './outline';
import type { Disc } from './picture';

const round = (value: number): string => String(Math.round(value * 100) / 100);

/**
 * The outline around discs as the data of an SVG path.
 * @example svgOutline([{ x: 0, y: 0, r: 1 }]) // "M0 -1A1 1 0 1 1 0 1A1 1 0 1 1 0 -1Z"
 */
export function svgOutline(discs: readonly Disc[]): string {
  const at = (disc: Disc, angle: number): string =>
    `${round(disc.x + disc.r * Math.cos(angle))} ${round(disc.y + disc.r * Math.sin(angle))}`;
  const arcs = outlineOf(discs).filter(({ from, to }) => to - from > 1e-9);
  const drawn = arcs.map(({ disc, from, to }, index) => {
    const r = round(disc.r);
    const start = `${index === 0 ? 'M' : 'L'}${at(disc, from)}`;
    // An arc of a full circle has no end of its own: two halves have.
    const half = (from + to) / 2;
    return `${start}A${r} ${r} 0 0 1 ${at(disc, half)}A${r} ${r} 0 0 1 ${at(disc, to)}`;
  });
  return `${drawn.join('')}Z`;
}
