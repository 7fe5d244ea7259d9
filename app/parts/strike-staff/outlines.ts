import { glyphHeight } from './layout';
import type { Outline } from './staff';

const h = glyphHeight / 2;

/** The outline of a glyph as SVG path data from its own left middle on, relative throughout: `M20 30` before it puts it there. */
export function outlinePath(outline: Outline, width: number): string {
  const w = width;
  switch (outline) {
    case 'straight':
      return `m0 ${-h}h${w - 8}l8 ${h}l-8 ${h}h${8 - w}z`;
    case 'rising':
      return `m0 ${7 - h}l${w / 2} -10l${w / 2} 10v${2 * h - 7}h${-w}z`;
    case 'kick':
      return `m8 ${-h}h${w - 5}l-8 ${2 * h}h${5 - w}z`;
    case 'knee':
      return `m7 ${-h}h${w - 14}l7 ${2 * h}h${-w}z`;
    case 'teep':
      return `m0 ${4 - h}h${w - 12}v-6l14 ${h + 2}l-14 ${h + 2}v-6h${12 - w}z`;
    case 'elbow':
      return `m0 ${-h}h${w}l-9 ${h}l9 ${h}h${-w}z`;
    case 'push':
      return `m0 ${-h}h${w - 5}v-2h5v${2 * h + 4}h-5v-2h${5 - w}z`;
    case 'defence':
      return `m4 ${-h}h${w - 8}q4 0 4 4v${2 * h - 8}q0 4 -4 4h${8 - w}q-4 0 -4 -4v${8 - 2 * h}q0 -4 4 -4z`;
    case 'feet':
      return `m8 ${-h}h${w - 16}l8 ${h}l-8 ${h}h${16 - w}l-8 ${-h}z`;
    case 'hold':
      return `m0 ${-h}h6v2h${w - 12}v-2h6v${2 * h}h-6v-2h${12 - w}v2h-6z`;
    case 'conditioning':
      return `m0 ${-h}h${w}v${2 * h}h${-w}z`;
    case 'wait':
      return `m0 ${h}h${w}`;
    case 'turning':
    case 'slot':
      return `m${h} ${-h}h${w - 2 * h}a${h} ${h} 0 0 1 0 ${2 * h}h${2 * h - w}a${h} ${h} 0 0 1 0 ${-2 * h}z`;
  }
}
