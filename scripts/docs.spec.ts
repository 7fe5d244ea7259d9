import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { addressIn, anchorOf, compilePage, guideIds } from './guide.mjs';
import { refusedIn } from './words/plain.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const read = (path: string): string => readFileSync(join(root, path), 'utf8');
const filesIn = (folder: string, ending: RegExp): readonly string[] =>
  readdirSync(join(root, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && ending.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name).slice(root.length));

const documents = ['README.md', 'CONTRIBUTING.md', ...filesIn('docs', /\.md$/)];
const guide = guideIds().map((id) => `docs/guide/${id}.md`);
/** Text without what stands in code. */
const prose = (text: string): string => text.replace(/```[\s\S]*?```/g, '').replace(/`[^`]*`/g, '');

/** Everything that the interface shows, without regard to line breaks. */
const shown = (): string =>
  ['app', 'core']
    .flatMap((folder) => filesIn(folder, /\.(ts|html)$/))
    .filter((path) => !path.includes('.spec.'))
    .map((path) => read(path).replace(/\s+/g, ' ').replaceAll('&nbsp;', ' '))
    .join('\n');

describe('documents', () => {
  it('link to what is there: files, headings and pictures', () => {
    expect(documents.length).toBeGreaterThan(20);
    const broken = documents.flatMap((path) =>
      [...prose(read(path)).matchAll(/\]\(([^)\s]+)\)/g)].flatMap(([, href = '']) => {
        if (/^[a-z]+:/.test(href)) return [];
        const [file = '', fragment] = href.split('#');
        const target = file === '' ? path : join(dirname(path), file);
        if (!existsSync(join(root, target))) return [`${path}: ${href}`];
        const anchors = [...read(target).matchAll(/^#+ (.+)$/gm)].map(([, heading = '']) => anchorOf(heading));
        return fragment === undefined || anchors.includes(fragment) ? [] : [`${path}: ${href}`];
      }),
    );
    expect(broken).toEqual([]);
  });

  it('of the guide name in bold what the interface shows', () => {
    const all = shown();
    const labels = guide.flatMap((path) =>
      [...read(path).matchAll(/\*\*([^*]+)\*\*/g)].map(([, label = '']) => ({ path, label })),
    );
    expect(labels.length).toBeGreaterThan(100);
    const key = /^([A-Z?]|Ctrl|Alt|Space)\b/;
    const missing = labels.filter(({ label }) => !all.includes(label) && !key.test(label));
    expect(missing).toEqual([]);
  });

  it('of the guide have one picture each, and every view’s question mark leads to one of them', () => {
    const pictures = guide.map((path) => [...read(path).matchAll(/!\[[^\]]+\]\(/g)].length);
    expect(pictures).toEqual(guide.map(() => 1));
    const asked = [...shown().matchAll(/<kt-help-link page="([a-z-]+)"/g)].map(([, id = '']) => id);
    expect(asked.length).toBeGreaterThan(10);
    expect(asked.filter((id) => !guideIds().includes(id))).toEqual([]);
  });

  it('of the guide become HTML whose links stay inside the application', async () => {
    expect(addressIn('a', 'run-a-class.md#start')).toBe('/help/run-a-class#start');
    expect(addressIn('a', '#start')).toBe('/help/a#start');
    const pictures = new Set<string>();
    const page = await compilePage('run-a-class', pictures);
    expect(page.title).toBe('Run a class');
    expect(page.html).toContain('<h2 id="when-it-ends">');
    expect(page.html).toMatch(/<img src="guide\/run\.png" alt="[^"]+" width="\d+" height="\d+"/);
    expect(page.words).not.toContain('<');
    expect(pictures.size).toBe(1);
  });

  it('use the words of the interface', () => {
    const said = ['README.md', ...guide].flatMap((path) =>
      prose(read(path))
        .split('\n')
        .flatMap((line) =>
          refusedIn(line.replace(/\]\([^)]*\)/g, ']')).map(({ found }) => `${path}: ${found} in “${line.trim()}”`),
        ),
    );
    expect(said).toEqual([]);
  });
});

describe('the README', () => {
  const text = read('README.md');

  it('is one page of short lines and short sentences', () => {
    const lines = text.trimEnd().split('\n');
    expect(lines.length).toBeLessThanOrEqual(100);
    expect(lines.filter((line) => line.length > 120)).toEqual([]);
    const sentences = prose(text)
      .replace(/\[([^\]]*)\]\([^)]*\)/g, '$1')
      .split(/[.:;!?]\s|\n\n|\n- /)
      .map((sentence) => sentence.split(/\s+/).filter(Boolean).length)
      .filter((words) => words > 1)
      .sort((one, other) => one - other);
    expect(sentences.length).toBeGreaterThan(30);
    expect(sentences[Math.floor(sentences.length / 2)]).toBeLessThan(16);
  });

  it('links every picture', () => {
    const pictures = filesIn('docs/screenshots', /\.png$/);
    expect(pictures.length).toBeGreaterThan(10);
    expect(pictures.length).toBeLessThan(20);
    expect(pictures.filter((path) => !text.includes(`(${path})`))).toEqual([]);
  });
});

describe('the page of the trade', () => {
  it('has each section that the code cites', () => {
    const headings = [...read('docs/trade.md').matchAll(/^## (\d+)\. /gm)].map(([, number]) => Number(number));
    expect(headings).toEqual(Array.from({ length: 16 }, (_, at) => at + 1));
    const folders = ['app', 'core', 'cli', 'server', 'demo', 'voice', 'fuzz', 'bench', 'e2e', 'scripts'];
    const sources = folders.flatMap((folder) => filesIn(folder, /\.(ts|mjs)$/)).map(read);
    const cited = sources.flatMap((source) =>
      [...source.matchAll(/trade page,?\s+(?:\*\s+)?sections? (\d+(?:(?:, | and )\d+)*)/g)].flatMap(
        ([, numbers = '']) => numbers.split(/, | and /).map(Number),
      ),
    );
    expect(cited.length).toBeGreaterThan(80);
    expect(cited.filter((number) => !headings.includes(number))).toEqual([]);
  });
});
