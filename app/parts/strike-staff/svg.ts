import { escaped } from '../../../core/index';
import type { StaffLayout } from './staff';
import { outlinePath } from './outlines';

const ink = 'currentColor';

/**
 * A staff as one SVG that stands by itself: colours by attributes, so that it needs no style of the product's. Glyphs say
 * which step they are (`data-step`), for whoever lights them.
 * @example staffSvg(layoutStaff(combination, options), 'jab, cross')
 */
export function staffSvg(layout: StaffLayout, words: string): string {
  const { width, height, middle } = layout;
  const bands = layout.bands.map(
    ({ from, to }) =>
      `<rect x="${from}" y="2" width="${to - from}" height="${height - 4}" fill="${ink}" opacity="0.1"/>`,
  );
  const staves = layout.staves.map(({ y, target }) => {
    const dashes = target === 'body' ? ' stroke-dasharray="5 3"' : target === 'leg' ? ' stroke-dasharray="1.5 4"' : '';
    return `<path d="M2 ${y}H${width - 2}" stroke="${ink}" stroke-width="0.8" opacity="0.5"${dashes}/>`;
  });
  const stems = layout.stems.map(
    ({ x, from, to }) => `<path d="M${x} ${from}V${to}" stroke="${ink}" stroke-width="1.4"/>`,
  );
  const brackets = layout.brackets.map(
    ({ from, to, text }) =>
      `<path d="M${from} 8V3H${to - 22}M${to} 8V3" fill="none" stroke="${ink}" stroke-width="1.2"/><text x="${to - 11}" y="7" text-anchor="middle" font-size="10" fill="${ink}">${escaped(text)}</text>`,
  );
  const signs = layout.signs.map(
    ({ x, text }) =>
      `<text x="${x + 4}" y="${middle + 5}" text-anchor="middle" font-size="18" fill="${ink}">${escaped(text)}</text>`,
  );
  const glyphs = layout.glyphs.map((glyph) => {
    const between = ['defence', 'feet', 'conditioning', 'wait', 'slot', 'hold'].includes(glyph.outline) || glyph.hollow;
    const [fill, text] = between
      ? ['none', ink]
      : glyph.side === 'lead'
        ? ['#9c450a', '#ffffff']
        : glyph.side === 'rear'
          ? ['#12505d', '#ffffff']
          : ['none', ink];
    const edge = between
      ? ` stroke="${ink}" stroke-width="1.2"${glyph.hollow || glyph.outline === 'slot' ? ' stroke-dasharray="4 2.5"' : ''}`
      : '';
    const x = glyph.width / 2;
    const name = glyph.name
      ? `<text x="${x}" y="20" text-anchor="middle" font-size="9" fill="${ink}">${escaped(glyph.name)}</text>`
      : '';
    const stress =
      glyph.force === 'hard' ? `<path d="M4 14H${glyph.width - 4}" stroke="${ink}" stroke-width="2"/>` : '';
    return `<g data-step="${glyph.path.join('.')}" transform="translate(${glyph.x} ${glyph.y})"><path d="${outlinePath(glyph.outline, glyph.width)}" fill="${fill}"${edge}/><text x="${x}" y="5" text-anchor="middle" font-size="14" font-weight="700" fill="${text}">${escaped(glyph.label)}</text>${name}${stress}</g>`;
  });
  const line = `<path d="M2 ${middle}H${width - 2}" stroke="${ink}" stroke-width="1.6"/>`;
  const inside = [...bands, ...staves, line, ...stems, ...brackets, ...signs, ...glyphs].join('');
  return `<svg xmlns="http://www.w3.org/2000/svg" class="staff-drawing" role="img" aria-label="${escaped(words)}" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" font-family="sans-serif">${inside}</svg>`;
}
