import {
  anyLiking,
  bestOf,
  compose,
  neighboursOf,
  variedOf,
  graph,
  alphabet,
  readWishes,
  study,
  combinationOf,
  sampleOf,
  whatFollows,
  type Wish,
} from '../core/index';
import { medianMs, report } from './measure';

function wishes(text: string): readonly Wish[] {
  const read = readWishes(text);
  if (!read.ok) throw new Error(read.fault.mend);
  return read.value;
}

const counting = (text: string): number => {
  const said = wishes(text);
  return medianMs(() => compose(said));
};

/** Counting, following and drawing, against walking as many moves in one combination. */
export function benchComposing(): void {
  const { seam } = graph();
  // Seams are judged when they are first asked for.
  for (let one = 0; one < alphabet.length; one += 1)
    for (let two = 0; two < alphabet.length; two += 1) for (const apart of [false, true]) seam(one, two, apart);
  const walked = combinationOf(Array.from({ length: 12 }, (_, at) => at));
  const walk = medianMs(() => study(walked));
  const told = (ms: number): string => `${ms.toFixed(1)} ms, ${(ms / walk).toFixed(0)} × walking`;
  const five = '12 moves, flows, begins 1 2, ends 3, contains ro, without kicks';
  report('counting 12 moves under five wishes', told(counting(five)), 'under 30 ms');
  report('counting 30 moves that flow', told(counting('30 moves, flows')), 'under 300 ms');
  const [ten, twenty] = [counting('10 moves, flows'), counting('20 moves, flows')];
  report('counting 20 moves / 10 moves', `${(twenty / ten).toFixed(2)} ×`, 'linear: about 2 ×');
  report('counting 4 moves of at most 2 s', told(counting('4 moves, at most 2 s')), 'told');
  const found = compose(wishes('8 moves, flows, loops'));
  if (found.ok) report('drawing a dozen', told(medianMs(() => sampleOf(found.value.counted, 12, 1))), 'told');
  const million = compose(wishes('7 moves, flows, loops, begins 1 2'));
  if (million.ok)
    report(
      `a varied dozen out of ${million.value.counted.count}`,
      told(medianMs(() => variedOf(million.value, 12, 1))),
      'under 200 ms',
    );
  const bestWishes = wishes(five);
  report(
    'the best three of 12 moves under five wishes',
    told(medianMs(() => bestOf(bestWishes, anyLiking, 3))),
    'told',
  );
  report('neighbours of twelve moves', told(medianMs(() => neighboursOf(walked))), 'told');
  report('what can follow', told(medianMs(() => whatFollows(walked, null))), 'under 5 ms');
}
