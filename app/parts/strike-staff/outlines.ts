import { glyphHeight } from './layout';
import type { Outline } from './staff';

const h = glyphHeight / 2;

/** The outline of a glyph as SVG path data, round its own left middle. */
export function outlinePath(outline: Outline, width: number): string {
  const w = width;
  switch (outline) {
    case 'straight':
      return `M0 ${-h}H${w - 8}L${w} 0L${w - 8} ${h}H0Z`;
    case 'turning':
      return `M${h} ${-h}H${w - h}A${h} ${h} 0 0 1 ${w - h} ${h}H${h}A${h} ${h} 0 0 1 ${h} ${-h}Z`;
    case 'rising':
      return `M0 ${-h + 7}L${w / 2} ${-h - 3}L${w} ${-h + 7}V${h}H0Z`;
    case 'kick':
      return `M8 ${-h}H${w + 3}L${w - 5} ${h}H0Z`;
    case 'knee':
      return `M7 ${-h}H${w - 7}L${w} ${h}H0Z`;
    case 'teep':
      return `M0 ${-h + 4}H${w - 12}V${-h - 2}L${w + 2} 0L${w - 12} ${h + 2}V${h - 4}H0Z`;
    case 'elbow':
      return `M0 ${-h}H${w}L${w - 9} 0L${w} ${h}H0Z`;
    case 'push':
      return `M0 ${-h}H${w - 5}V${-h - 2}H${w}V${h + 2}H${w - 5}V${h}H0Z`;
    case 'defence':
      return `M4 ${-h}H${w - 4}Q${w} ${-h} ${w} ${-h + 4}V${h - 4}Q${w} ${h} ${w - 4} ${h}H4Q0 ${h} 0 ${h - 4}V${-h + 4}Q0 ${-h} 4 ${-h}Z`;
    case 'feet':
      return `M8 ${-h}H${w - 8}L${w} 0L${w - 8} ${h}H8L0 0Z`;
    case 'hold':
      return `M0 ${-h}H6V${-h + 2}H${w - 6}V${-h}H${w}V${h}H${w - 6}V${h - 2}H6V${h}H0Z`;
    case 'conditioning':
      return `M0 ${-h}H${w}V${h}H0Z`;
    case 'wait':
      return `M0 ${h}H${w}`;
    case 'slot':
      return `M${h} ${-h}H${w - h}A${h} ${h} 0 0 1 ${w - h} ${h}H${h}A${h} ${h} 0 0 1 ${h} ${-h}Z`;
  }
}
