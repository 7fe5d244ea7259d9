// Few, well-cut scripts. Angular's bundler makes a chunk of whatever is loaded by the same set of entries: 250 of them, 150 for
// one view. This step bundles its output once more, by rolldown, into the groups that views load together.
// Angular's own `NG_BUILD_OPTIMIZE_CHUNKS` was read, not run: it gives rolldown no groups, so that the same rule holds. Joining
// without the rule for the first view (`alikeAtFirst`) was simulated: its scripts grew from 223 to 381 kB.
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { buildFirstLine } from './first-line.mjs';

/**
 * What one request costs, in kB: groups are joined as long as that saves more than is loaded in vain. It is raised step by
 * step until no view needs too many.
 */
const requestKB = { first: 18, step: 3, most: 90 };
/** Views that are opened most, and how much more what they load in vain counts. */
const weights = {
  'app/pages/sheets/sheets-page.ts': 4,
  'app/pages/sheet/sheet-page.ts': 4,
  'app/pages/run/run-page.ts': 2,
};
/** What a view loads by itself a little later is smaller than this, in kB; larger parts are loaded by who asks for them. */
const mostLaterKB = 30;
/** Most scripts that a view may need beyond the frame's before it runs. */
const mostForView = 12;
const pageEntry = /^app\/pages\/[a-z-]+\/[a-z-]+-page\.ts$/;

/** What is loaded together, as sets of chunks: the frame, each view, each view with what comes a little later, and all else by itself. */
function occasions(outputs, size) {
  const chunks = Object.keys(size);
  const imported = (chunk, kind) =>
    outputs[chunk].imports
      .filter((each) => each.kind === kind && size[each.path] !== undefined)
      .map(({ path }) => path);
  const closure = (roots) => {
    const all = new Set();
    for (const next = [...roots]; next.length > 0;) {
      const chunk = next.pop();
      if (all.has(chunk)) continue;
      all.add(chunk);
      next.push(...imported(chunk, 'import-statement'));
    }
    return all;
  };
  const entryOf = (chunk) => outputs[chunk].entryPoint;
  const at = (entry) => chunks.find((chunk) => entryOf(chunk) === entry);
  const [main, views] = [at('app/main.ts'), at('app/views.ts')];
  const pages = chunks.filter((chunk) => pageEntry.test(entryOf(chunk) ?? ''));
  const kBOf = (all) => all.reduce((sum, chunk) => sum + size[chunk], 0);
  const found = [
    { weight: 6, first: true, chunks: closure([main]) },
    { weight: 6, first: true, chunks: closure([main, views]) },
  ];
  for (const page of pages) {
    const entry = entryOf(page);
    const weight = weights[entry] ?? 1;
    const needed = closure([page, views, main]);
    found.push({ weight, first: entry === 'app/pages/sheets/sheets-page.ts', chunks: needed });
    const later = new Set(needed);
    // Twice: what comes later brings parts of its own.
    for (let round = 0; round < 2; round += 1)
      for (const chunk of [...later])
        for (const part of imported(chunk, 'dynamic-import')) {
          if (part === views || pages.includes(part)) continue;
          const more = [...closure([part])].filter((each) => !later.has(each));
          if (kBOf(more) < mostLaterKB) more.forEach((each) => later.add(each));
        }
    found.push({ weight, first: false, chunks: later });
  }
  const covered = new Set(found.flatMap((each) => [...each.chunks]));
  for (const chunk of chunks)
    if (entryOf(chunk) !== undefined && !covered.has(chunk))
      found.push({ weight: 0.3, first: false, chunks: closure([chunk]) });
  return found;
}

/**
 * Whether joining two groups would make groups import each other in a circle, in which a class could be extended before it is
 * there: one leads to the other by way of a third.
 */
function closesCircle(outputs, groups, { a, b }) {
  const groupOf = new Map(groups.flatMap((group) => group.chunks.map((chunk) => [chunk, group])));
  const next = (group) =>
    group.chunks.flatMap((chunk) =>
      outputs[chunk].imports
        .filter(({ kind }) => kind === 'import-statement')
        .map(({ path }) => groupOf.get(path))
        .filter((each) => each !== undefined && each !== group),
    );
  const leads = (from, to) => {
    const seen = new Set();
    for (const open = next(from).filter((group) => group !== to); open.length > 0;) {
      const group = open.pop();
      if (group === to) return true;
      if (seen.has(group)) continue;
      seen.add(group);
      open.push(...next(group));
    }
    return false;
  };
  return leads(a, b) || leads(b, a);
}

/** Most groups that any view needs beyond the frame's: a group brings all that any of its chunks imports. */
function mostNeeded(outputs, size, groups) {
  const chunks = Object.keys(size);
  const of = (entry) => groups.get(chunks.find((chunk) => outputs[chunk].entryPoint === entry));
  const closure = (group) => {
    const all = new Set([group]);
    for (const each of all)
      for (const chunk of chunks.filter((name) => groups.get(name) === each))
        for (const { kind, path } of outputs[chunk].imports)
          if (kind === 'import-statement' && groups.has(path)) all.add(groups.get(path));
    return all;
  };
  const frame = new Set([...closure(of('app/main.ts')), ...closure(of('app/views.ts'))]);
  const pages = chunks.map((chunk) => outputs[chunk].entryPoint ?? '').filter((entry) => pageEntry.test(entry));
  return Math.max(...pages.map((page) => [...closure(of(page))].filter((group) => !frame.has(group)).length));
}

/** Which chunks are joined: a map from the name of a chunk to the number of its group. */
export function groupsOf(outputs, size) {
  for (let kB = requestKB.first; kB <= requestKB.most; kB += requestKB.step) {
    const groups = groupsFor(outputs, size, kB);
    if (mostNeeded(outputs, size, groups) <= mostForView) return groups;
  }
  throw new Error(`There is no way to load each view in ${mostForView} scripts`);
}

function groupsFor(outputs, size, requestCost) {
  const all = occasions(outputs, size);
  const bySet = new Map();
  for (const [chunk, kB] of Object.entries(size)) {
    const on = all.map(({ chunks }) => chunks.has(chunk));
    const key = on.map(Number).join('');
    const group = bySet.get(key) ?? { on, chunks: [], kB: 0 };
    bySet.set(key, { on, chunks: [...group.chunks, chunk], kB: group.kB + kB });
  }
  let groups = [...bySet.values()];
  // What the first view needs is joined with nothing else.
  const alikeAtFirst = (a, b) => all.every(({ first }, at) => !first || a.on[at] === b.on[at]);
  const gain = (a, b) =>
    all.reduce((sum, { weight }, at) => {
      if (a.on[at] && b.on[at]) return sum + weight * requestCost;
      return sum - weight * (a.on[at] ? b.kB : b.on[at] ? a.kB : 0);
    }, 0);
  for (;;) {
    const pairs = groups.flatMap((a, index) =>
      groups
        .slice(index + 1)
        .map((b) => ({ a, b, gain: alikeAtFirst(a, b) ? gain(a, b) : 0 }))
        .filter((pair) => pair.gain > 0),
    );
    const best = pairs.sort((one, other) => other.gain - one.gain).find((pair) => !closesCircle(outputs, groups, pair));
    if (!best) break;
    const { a, b } = best;
    const joined = { on: a.on.map((on, at) => on || b.on[at]), chunks: [...a.chunks, ...b.chunks], kB: a.kB + b.kB };
    groups = [...groups.filter((group) => group !== a && group !== b), joined];
  }
  return new Map(groups.flatMap(({ chunks }, number) => chunks.map((chunk) => [chunk, number])));
}

/** Joins the chunks of a built application and writes its first page anew. Workers stay as they are. */
export async function joinChunks(folder, stats) {
  const { rolldown } = await import('rolldown');
  const { outputs } = JSON.parse(readFileSync(stats, 'utf8'));
  const names = readdirSync(folder).filter(
    (name) => name.endsWith('.js') && outputs[name] && !name.startsWith('worker-'),
  );
  const sources = new Map(names.map((name) => [name, readFileSync(join(folder, name), 'utf8')]));
  const size = Object.fromEntries(names.map((name) => [name, gzipSync(sources.get(name)).length / 1000]));
  const groups = groupsOf(outputs, size);
  const main = names.find((name) => outputs[name].entryPoint === 'app/main.ts');
  const bundle = await rolldown({
    input: { main },
    preserveEntrySignatures: 'allow-extension',
    treeshake: false,
    plugins: [
      {
        name: 'chunks',
        resolveId: (source) => {
          const name = source.replace(/^\.\//, '');
          return sources.has(name) ? name : { id: source, external: true };
        },
        load: (id) => sources.get(id) ?? null,
      },
    ],
  });
  const { output } = await bundle.generate({
    minify: { mangle: false, compress: false, codegen: true },
    hashCharacters: 'base36',
    entryFileNames: 'main-[hash].js',
    chunkFileNames: 'chunk-[hash].js',
    codeSplitting: {
      includeDependenciesRecursively: false,
      groups: [{ name: (id) => (groups.has(id) ? `group${groups.get(id)}` : null) }],
    },
  });
  await bundle.close();
  for (const name of names) rmSync(join(folder, name));
  // The names of built files have their hash in capitals.
  const renamed = new Map(
    output.map(({ fileName }) => [fileName, fileName.replace(/-(\w+)\.js$/, (_, hash) => `-${hash.toUpperCase()}.js`)]),
  );
  const rename = (text) => text.replace(/\b(?:main|chunk)-[a-z0-9]{8}\.js\b/g, (name) => renamed.get(name) ?? name);
  for (const chunk of output) writeFileSync(join(folder, renamed.get(chunk.fileName)), rename(chunk.code));
  const first = output.find(({ isEntry }) => isEntry);
  /** All scripts that an entry needs before it runs. */
  const neededBy = (entry) => {
    const chunkOf = (name) => output.find(({ fileName }) => fileName === name);
    const source = names.find((name) => outputs[name].entryPoint === entry);
    const own = output.find(({ moduleIds }) => moduleIds.includes(source));
    const all = new Set([own]);
    for (const chunk of all) chunk.imports.forEach((name) => all.add(chunkOf(name)));
    return [...all].map(({ fileName }) => renamed.get(fileName)).filter((name) => name !== renamed.get(first.fileName));
  };
  const page = join(folder, 'index.html');
  // The frame's scripts are asked for at once, without waiting until the first one asks for them.
  const framed = neededBy('app/views.ts');
  const preloaded = framed.map((name) => `<link rel="modulepreload" href="${name}">`).join('');
  writeFileSync(
    page,
    readFileSync(page, 'utf8')
      .replace(/<link rel="modulepreload"[^>]*>/g, '')
      // Begun by the script that draws the first frame, when that is drawn (app/first/first-line.ts).
      .replace(
        /<script src="main-[A-Z0-9]+\.js" type="module">/,
        `${preloaded}<link rel="modulepreload" href="${renamed.get(first.fileName)}">` +
          `<script id="application" src="${renamed.get(first.fileName)}" type="text/plain">`,
      ),
  );
  await buildFirstLine(
    folder,
    neededBy('app/pages/sheets/sheets-page.ts').filter((name) => !framed.includes(name)),
  );
  console.log(
    `Scripts: ${output.length} in place of ${names.length}, ${Math.round(output.reduce((sum, { code }) => sum + gzipSync(code).length, 0) / 1000)} kB compressed`,
  );
}
