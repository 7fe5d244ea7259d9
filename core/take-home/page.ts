import * as z from '../schemas';
import type { Sheet } from '../sheet/schema';
import { writeTempoText } from '../formats/tempo-text/write';
import { inPage, sheetOpens } from '../formats/sheet-in-page';
import { writeSheetJson } from '../formats/sheet-json';
import { sayClock } from '../clock-text';
import { escaped } from '../escaped';
import type { TakenSession } from './session';

const hash = z.string().check(z.regex(/^sha256-[A-Za-z0-9+/]{43}=$/));
/** The file's own script and style, and the hashes by which alone they may run (made when the product is built). */
export const playerPartsSchema = z.strictObject({
  script: z.string().check(z.minLength(1)),
  style: z.string().check(z.minLength(1)),
  scriptHash: hash,
  styleHash: hash,
});
export type PlayerParts = z.infer<typeof playerPartsSchema>;

/** A picture of a combination: its staff, and the figure's telling moments. */
export interface TakenPicture {
  readonly staff: string;
  readonly strip: string;
}

/** What is said before anything is done. */
export const takeHomeCautions = [
  'Warm up first. Stop if you feel joint pain, chest pain or dizziness.',
  'Wear wraps and gloves on bags; don’t lock your elbows or knees.',
  'The figure shows the order and shape of the moves; it is not an instructor. Learn technique, contact and heavy work with a licensed coach, and follow the rules of the gym where you train.',
] as const;

export interface TakeHome {
  /** The sheet as it goes along (`takenSheet`). */
  readonly sheet: Sheet;
  readonly session: TakenSession;
  /** By the number that a leaf's `staff` names. */
  readonly pictures: readonly TakenPicture[];
  /** The recording that clips lie in, as MP3 in base64; null for bells alone. */
  readonly recording: string | null;
}

function rowHtml(leaf: TakenSession['leaves'][number], pictures: readonly TakenPicture[]): string {
  const picture = leaf.staff === null ? null : pictures[leaf.staff];
  const words = leaf.words ? `<p>${escaped(leaf.words)}</p>` : '';
  const drawn = picture ? `<div class="pictures">${picture.staff}${picture.strip}</div>` : '';
  return `<li><h3><span>${sayClock(leaf.at)}</span> ${escaped(leaf.heading)} <span>${leaf.open ? 'until you continue' : sayClock(leaf.ms)}</span></h3>${words}${drawn}</li>`;
}

/**
 * One HTML file that plays a session from disk, with nothing from outside: by its policy it may run its own script, use its
 * own style and play its own sound. Where scripts do not run it reads as a session sheet with pictures.
 * @example takeHomePage(takeHome, parts).startsWith('<!doctype html>') // true
 */
export function takeHomePage({ sheet, session, pictures, recording }: TakeHome, parts: PlayerParts): string {
  const title = escaped(session.title || 'Session');
  const policy = `default-src 'none'; script-src '${parts.scriptHash}'; style-src '${parts.styleHash}'; media-src data: blob:`;
  const seen = new Set<number>();
  const rows = session.leaves.map((leaf) => {
    // A picture stands once; later rows name it by their heading.
    const again = leaf.staff !== null && seen.has(leaf.staff);
    if (leaf.staff !== null) seen.add(leaf.staff);
    return rowHtml(again ? { ...leaf, staff: null } : leaf, pictures);
  });
  const staffs = pictures.map(({ staff }, index) => `<template id="staff-${index}">${staff}</template>`);
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta http-equiv="Content-Security-Policy" content="${policy}">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta name="color-scheme" content="light dark">
<title>${title}</title>
<style>${parts.style}</style>
</head>
<body>
<main id="player" hidden></main>
<article id="sheet">
<h1>${title}</h1>
<p class="cautions">${takeHomeCautions.map(escaped).join(' ')}</p>
<ol>${rows.join('\n')}</ol>
<details><summary>As text</summary><pre>${escaped(writeTempoText(sheet))}</pre></details>
</article>
${staffs.join('\n')}
<script type="application/json" id="keen-tempo-session">${inPage(JSON.stringify({ ...session, recording, cautions: takeHomeCautions }))}</script>
${sheetOpens}${inPage(writeSheetJson(sheet))}</script>
<script>${parts.script}</script>
</body>
</html>
`;
}
