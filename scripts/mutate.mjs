// `npm run mutate -- tally timeline`: how much of a folder of core its own specs hold fast (Stryker), folder by folder.
// By hand, never in CI. What has not changed since the last time is not tried again. `--sample 3` tries every third file
// only, for folders that take too long. Specs that take seconds each, and therefore hours here, are left out (`slow`): what is
// found without them is never more than what the specs hold. The report of each folder is in test-results/mutation/.
import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { installPackages, must } from './steps.mjs';

const args = process.argv.slice(2);
const at = args.indexOf('--sample');
const every = at < 0 ? 1 : Number(args[at + 1]);
const folders = args.filter((_, index) => at < 0 || (index !== at && index !== at + 1));
const slow = { script: ['again', 'any-sheet', 'optimal'] };
const usual = ['mechanics', 'timeline', 'script', 'bags', 'tally'];

installPackages();
for (const folder of folders.length > 0 ? folders : usual) {
  const out = `test-results/mutation/${folder}`;
  mkdirSync(out, { recursive: true });
  const files = readdirSync(`core/${folder}`, { recursive: true })
    .map((name) => `core/${folder}/${name}`)
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.spec.ts'))
    .sort()
    .filter((_, index) => index % every === 0);
  const left = (slow[folder] ?? []).map((name) => `!core/${folder}/${name}.spec.ts`);
  writeFileSync(
    `${out}/jasmine.json`,
    JSON.stringify({ spec_dir: '.', spec_files: [`core/${folder}/**/*.spec.ts`, ...left] }),
  );
  const config = {
    packageManager: 'npm',
    testRunner: 'jasmine',
    jasmineConfigFile: `${out}/jasmine.json`,
    testRunnerNodeArgs: ['--import', 'tsx'],
    coverageAnalysis: 'perTest',
    // Tables of words and values at the top of a module: each change of one would ask for every spec again, for hours.
    ignoreStatic: true,
    mutate: files,
    incremental: true,
    incrementalFile: `${out}/incremental.json`,
    reporters: ['clear-text', 'html'],
    clearTextReporter: { allowColor: false, logTests: false },
    htmlReporter: { fileName: `${out}/index.html` },
    ignorePatterns: ['dist', 'docs', '.angular', 'app/public'],
    tempDirName: 'test-results/stryker-tmp',
    concurrency: 2,
  };
  writeFileSync(`${out}/stryker.json`, JSON.stringify(config, null, 2));
  must(process.execPath, ['node_modules/@stryker-mutator/core/bin/stryker.js', 'run', `${out}/stryker.json`], folder);
}
