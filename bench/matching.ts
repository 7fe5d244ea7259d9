import { bagKinds, fitToBag, readCombination, type Combination } from '../core/index';
import { medianMs, report } from './measure';

/** A thousand combinations of three to eight moves over the everyday vocabulary, each its own. */
function texts(): string[] {
  const words = ['1', '2', '3', '3b', 'ro', '4', 'sl', '5', 'bk', '6', 'lk', '2!', 'tp', 'bl', 'ci'];
  return Array.from({ length: 1000 }, (_, at) =>
    Array.from({ length: 3 + (at % 6) }, (__, place) => words[(at * 7 + place * (1 + (at % 11))) % words.length]).join(
      ' ',
    ),
  );
}

/** Matching and adapting against reading: 1000 combinations on seven bags. */
export function benchMatching(): void {
  const all = texts();
  const read = all.flatMap((text): Combination[] => {
    const found = readCombination(text);
    return found.ok ? [found.value] : [];
  });
  const parse = medianMs(() => {
    for (const text of all) readCombination(text);
  });
  const match = medianMs(() => {
    for (const combination of read) for (const bag of bagKinds) fitToBag(combination, bag, { level: 'intermediate' });
  });
  report(
    `matching ${read.length} combinations with 7 bags / reading them`,
    `${(match / parse).toFixed(1)} ×`,
    'at most 10 ×',
  );
}
