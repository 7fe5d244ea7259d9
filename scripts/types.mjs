// Type check of everything that the builds do not check themselves: theirs and Karma's know templates too. core is checked
// once more without the DOM, which shows that it needs none.
import { must } from './steps.mjs';

for (const config of ['tsconfig.core.json', 'tsconfig.node.json', 'tsconfig.worker.json'])
  must(process.execPath, ['node_modules/typescript/bin/tsc', '--noEmit', '-p', config], `Type check of ${config}`);
