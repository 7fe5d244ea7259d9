// `npm test`: installs what is missing, then core specs in Node, Karma, the build, lint and types, then Playwright, and adds it
// all up.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium, installPackages, ng, root, watchOutput } from './steps.mjs';

installPackages();

const node = process.execPath;
const module = (path) => join(root, 'node_modules', path);
let passed = 0;
let failed = 0;
/** What each failed part printed last: said again at the very end, since a long log is read from there. */
const failures = [];

const seconds = (began) => Math.round((Date.now() - began) / 1000);

/** The last lines of a part that failed. */
const fault = (name, output) => failures.push(`${name}:\n${output.trim().split('\n').slice(-40).join('\n')}`);

/** A step that either holds or does not counts as one test. It says at its end what it had to say. */
async function step(name, args) {
  const began = Date.now();
  const { code, output } = await watchOutput(node, args, { quiet: true });
  if (code === 0) passed += 1;
  else {
    failed += 1;
    fault(name, output);
  }
  console.log(`\n== ${name}\n${output}${name}: ${code === 0 ? 'passed' : 'failed'}, in ${seconds(began)} s`);
  return code === 0;
}

/** A runner that counts its own tests; one that died without a count is a failure. A quiet one says at its end what it had to say. */
async function runner(name, args, count, { quiet = false } = {}) {
  if (!quiet) console.log(`\n== ${name}`);
  const began = Date.now();
  const { code, output } = await watchOutput(node, args, { quiet });
  if (quiet) console.log(`\n== ${name}\n${output}`);
  const counted = count(output);
  passed += counted.passed;
  failed += counted.failed;
  if (counted.passed + counted.failed === 0 || (code !== 0 && counted.failed === 0)) failed += 1;
  if (code !== 0) fault(name, output);
  console.log(`${name}: ${counted.passed} passed, ${counted.failed} failed, in ${seconds(began)} s`);
}

const core = () =>
  runner(
    'Core, command and server',
    ['--import', 'tsx', module('jasmine/bin/jasmine.js'), '--config=jasmine.json'],
    (output) => {
      const match = /(\d+) specs?, (\d+) failures?/.exec(output);
      const bad = Number(match?.[2] ?? 0);
      return { passed: Number(match?.[1] ?? 0) - bad, failed: bad };
    },
    { quiet: true },
  );
const karma = () =>
  runner(
    'Karma',
    [...ng, 'test'],
    (output) => {
      const last = [...output.matchAll(/Executed (\d+) of \d+(?: \((\d+) FAILED\))?/g)].at(-1);
      const bad = Number(last?.[2] ?? 0);
      return { passed: Number(last?.[1] ?? 0) - bad, failed: bad };
    },
    { quiet: true },
  );
let built = false;
const build = async () => {
  built = await step('Build', ['scripts/build.mjs']);
};

// Each core of a machine with two takes what comes next, the longest first. The browser tests need both, and the build.
const queue = [
  core,
  // A browser that has to be installed is waited for here, while the core's specs run.
  () => ensureChromium().then(karma),
  build,
  () => step('ESLint', [module('eslint/bin/eslint.js'), '.']),
  () => step('Type check', ['scripts/types.mjs']),
  () => step('Spelling', [module('cspell/bin.mjs'), 'lint', '--no-progress', '--quiet']),
  () => step('Prettier', [module('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']),
];
const lane = async () => {
  for (let next = queue.shift(); next; next = queue.shift()) await next();
};
await Promise.all([lane(), lane()]);
if (!built) {
  for (const said of failures) console.log(`\n-- failed: ${said}`);
  console.log(`\ntests: ${passed} passed, ${failed} failed`);
  process.exit(1);
}

/** Every test of Playwright's report, however deep it is described. */
const specsOf = (suites) => suites.flatMap(({ specs, suites: inner = [] }) => [...specs, ...specsOf(inner)]);
const secondTries = [];

const report = join(root, 'test-results/e2e.json');
mkdirSync(join(root, 'test-results'), { recursive: true });
rmSync(report, { force: true });
/** Counts what Playwright's report says, and notes what passed at the second try only. */
function told() {
  if (!existsSync(report)) return { passed: 0, failed: 0 };
  const { stats, suites } = JSON.parse(readFileSync(report, 'utf8'));
  rmSync(report);
  secondTries.push(...specsOf(suites).filter(({ tests }) => tests.some(({ status }) => status === 'flaky')));
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
}
const playwright = [module('@playwright/test/cli.js'), 'test'];
await runner('Playwright', [...playwright, '--grep-invert', '@alone'], told);
// What is measured against the clock of the room has the machine to itself.
await runner('Playwright, alone', [...playwright, '--grep', '@alone', '--workers', '1'], told);

for (const { file, title } of secondTries) console.log(`\n-- passed at the second try only: ${file} › ${title}`);
for (const said of failures) console.log(`\n-- failed: ${said}`);
console.log(`\ntests: ${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
