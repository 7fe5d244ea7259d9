// The guide, ready for the application: Markdown of docs/guide as HTML, with its pictures. An asset of the application.
import { copyFileSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { root } from './steps.mjs';

const source = join(root, 'docs/guide');

/** What a heading is found by: `The first minute by keys` → `the-first-minute-by-keys`, as Markdown's own readers have it. */
export const anchorOf = (heading) =>
  heading
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\s-]/gu, '')
    .trim()
    .replace(/\s+/g, '-');

/** Pages in the order of docs/guide/index.md: its links. */
export const guideIds = () =>
  [...readFileSync(join(source, 'index.md'), 'utf8').matchAll(/\]\(([a-z-]+)\.md\)/g)].map(([, id]) => id);

/** Width and height of a PNG, from its header (W3C PNG specification, section 11.2.1). */
function sizeOf(path) {
  const header = readFileSync(path);
  return { width: header.readUInt32BE(16), height: header.readUInt32BE(20) };
}

/** Where a link of a page leads inside the application. `run-a-class.md#start` → `/help/run-a-class#start` */
export const addressIn = (id, href) =>
  /^[a-z]+:/.test(href) ? href : `/help/${href.replace(/^#/, `${id}#`).replace(/\.md(?=#|$)/, '')}`;

/** A page as HTML, its title, and its words to be searched; `pictures` gets the paths of what it shows. */
export async function compilePage(id, pictures) {
  const { Marked } = await import('marked');
  const marked = new Marked();
  marked.use({
    renderer: {
      heading({ tokens, depth, text }) {
        return `<h${depth} id="${anchorOf(text)}">${this.parser.parseInline(tokens)}</h${depth}>\n`;
      },
      link({ href, tokens }) {
        return `<a href="${addressIn(id, href)}">${this.parser.parseInline(tokens)}</a>`;
      },
      image({ href, text }) {
        const path = join(source, href);
        pictures.add(path);
        const { width, height } = sizeOf(path);
        return `<img src="guide/${basename(href)}" alt="${text}" width="${width}" height="${height}" loading="lazy">`;
      },
    },
  });
  const html = marked.parse(readFileSync(join(source, `${id}.md`), 'utf8'));
  const words = html
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return { id, title: /<h1[^>]*>([^<]+)</.exec(html)?.[1] ?? id, html, words };
}

/** Writes dist/guide: pages.json and the pictures that the pages show. */
export async function buildGuide() {
  const folder = join(root, 'dist/guide');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const pictures = new Set();
  const pages = await Promise.all(guideIds().map((id) => compilePage(id, pictures)));
  writeFileSync(join(folder, 'pages.json'), JSON.stringify(pages));
  for (const path of pictures) copyFileSync(path, join(folder, basename(path)));
}
