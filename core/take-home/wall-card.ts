import { sayClock } from '../clock-text';
import { escaped } from '../escaped';
import type { TakenPicture } from './page';
import type { TakenLeaf, TakenSession } from './session';

/** A row of a card: a block, its length, and what is done in it, each picture once. */
interface CardRow {
  readonly name: string;
  readonly ms: number;
  readonly words: readonly string[];
  readonly pictures: readonly number[];
}

function rowsOf(leaves: readonly TakenLeaf[]): CardRow[] {
  const rows: CardRow[] = [];
  for (const leaf of leaves) {
    if (leaf.block === 'rest' || leaf.ms === 0) continue;
    const last = rows.at(-1);
    const words = leaf.words === '' ? [] : [leaf.words];
    const pictures = leaf.staff === null ? [] : [leaf.staff];
    if (last?.name === leaf.part)
      rows[rows.length - 1] = {
        name: last.name,
        ms: last.ms + leaf.ms,
        words: [...new Set([...last.words, ...words])],
        // Of a build the last stage says it all.
        pictures: pictures.length > 0 ? pictures : last.pictures,
      };
    else rows.push({ name: leaf.part, ms: leaf.ms, words, pictures });
  }
  return rows;
}

const style = `@page { size: auto; margin: 12mm }
body { margin: 0; color: #1c2426; background: #fff; font-family: system-ui, sans-serif }
h1 { margin: 0 0 4mm; font-size: 9mm }
table { width: 100%; border-collapse: collapse }
tr { break-inside: avoid; border-top: 0.4mm solid #1c2426 }
th { width: 40mm; padding: 3mm 4mm 3mm 0; text-align: left; vertical-align: top; font-size: 5.5mm }
th span { display: block; font-size: 8mm; font-variant-numeric: tabular-nums }
td { padding: 3mm 0 }
td p { margin: 0 0 1mm; font-size: 5mm }
svg { display: block; max-width: 100%; height: auto }
.strip svg { max-height: 42mm }
footer { margin-top: 4mm; font-size: 3.6mm }`;

/**
 * A card for the wall: one block a row, with its staff and the figure's telling moments, to be printed on A4 or Letter. A
 * page without any script.
 * @example wallCard(session, pictures).includes('<table>') // true
 */
export function wallCard(session: TakenSession, pictures: readonly TakenPicture[]): string {
  const rows = rowsOf(session.leaves).map(({ name, ms, words, pictures: shown }) => {
    const drawn = shown.map(
      (at) => `${pictures[at]?.staff ?? ''}<div class="strip">${pictures[at]?.strip ?? ''}</div>`,
    );
    const said = words.map((each) => `<p>${escaped(each)}</p>`);
    return `<tr><th scope="row">${escaped(name)}<span>${sayClock(ms)}</span></th><td>${said.join('')}${drawn.join('')}</td></tr>`;
  });
  const title = escaped(session.title || 'Session');
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>${title}</title>
<style>${style}</style>
</head>
<body>
<h1>${title}</h1>
<table>${rows.join('\n')}</table>
<footer>Warm up first, wraps and gloves on bags. Stop if you feel joint pain, chest pain or dizziness. Technique, contact and heavy work with a licensed coach.</footer>
</body>
</html>
`;
}
