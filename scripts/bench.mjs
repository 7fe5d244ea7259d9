// `npm run bench`: figures of speed, as ratios measured in the same run. Nothing here can fail a test.
import { build, ensureChromium, installPackages, must } from './steps.mjs';

installPackages();
ensureChromium();
await build();
must(process.execPath, ['--import', 'tsx', 'bench/main.ts'], 'The bench');
