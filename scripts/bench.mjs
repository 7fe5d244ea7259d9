// `npm run bench`: figures of speed, as ratios measured in the same run. Nothing here can fail a test.
import { build, ensureChromium, installPackages, must, ng } from './steps.mjs';

installPackages();
await ensureChromium();
await build();
must(process.execPath, [...ng, 'build', 'bare'], 'Building the bare shell that the first view is measured against');
must(process.execPath, ['--import', 'tsx', 'bench/main.ts', ...process.argv.slice(2)], 'The bench');
