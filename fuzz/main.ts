// `npm run fuzz`: damaged files, typed combinations, what is said on the channel and stored rows, in great numbers, by hand.
// `npm run fuzz -- files 1000 --seed 7`.
import fc from 'fast-check';
import { channelHolds, saidOnChannel } from './channel';
import { damagedFile, typedCombination } from './inputs';
import { combinationHolds, fileHolds } from './properties';
import { damagedRow, rowHolds } from './rows';

const args = process.argv.slice(2);
const at = args.indexOf('--seed');
const seed = at < 0 ? Date.now() % 2 ** 31 : Number(args[at + 1]);
const [which = 'all', count] = args.filter((_, index) => at < 0 || (index !== at && index !== at + 1));

/** Runs one property so often; prints the seed, and the shrunk case where it does not hold. */
function run<T>(name: string, numRuns: number, property: fc.IProperty<[T]>): boolean {
  console.log(`${name}: ${numRuns} with seed ${seed}`);
  const result = fc.check(property, { numRuns, seed, markInterruptAsFailure: true });
  if (!result.failed) {
    console.log('  all hold');
    return true;
  }
  console.log(`  fails after ${result.numRuns}, shrunk ${result.numShrinks} times:`);
  console.log(`  ${JSON.stringify(result.counterexample?.[0])}`);
  console.log(`  ${result.errorInstance instanceof Error ? result.errorInstance.message : ''}`);
  return false;
}

const wanted = (name: string): boolean => which === 'all' || which === name;
const runs = (usual: number): number => (count === undefined ? usual : Number(count));
const results = [
  !wanted('files') ||
    run(
      'files',
      runs(100_000),
      fc.property(damagedFile, (text) => void fileHolds(text)),
    ),
  !wanted('combinations') ||
    run(
      'combinations',
      runs(1_000_000),
      fc.property(typedCombination, (text) => void combinationHolds(text)),
    ),
  !wanted('channel') ||
    run(
      'channel',
      runs(100_000),
      fc.property(saidOnChannel, (texts) => void channelHolds(texts)),
    ),
  !wanted('rows') ||
    run(
      'rows',
      runs(100_000),
      fc.property(damagedRow, (row) => void rowHolds(row)),
    ),
];
process.exitCode = results.every(Boolean) ? 0 : 1;
