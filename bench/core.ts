import { compile, emptySheet, readCombination, study, type Block, type Piece, type Sheet } from '../core/index';
import { medianMs, report } from './measure';

let count = 0;
const freshId = (): string => `bench${(count += 1)}`;

/** An hour in 20 rounds of 2:00 with 1:00 rests, each a ladder of six and two pieces; every text its own. */
function hour(): Sheet {
  const blocks = Array.from({ length: 20 }, (_, round): Block[] => {
    const pieces: Piece[] = [
      {
        kind: 'build',
        id: freshId(),
        effort: 'steady',
        build: 'ladder',
        goal: `1 2 3b 2 5 4@r${round}`,
        defence: 'rides',
        every: [10_000],
      },
      { kind: 'combination', id: freshId(), ms: 30_000, effort: 'strong', text: `1 2 sl 6 3@r${round}` },
      { kind: 'combination', id: freshId(), ms: 30_000, effort: 'all-out', text: `1 2@r${round}`, nonStop: true },
    ];
    return [
      { id: freshId(), kind: 'round', ms: 120_000, pieces },
      { id: freshId(), kind: 'rest', ms: 60_000, pieces: [] },
    ];
  });
  return { ...emptySheet(freshId), blocks: blocks.flat() };
}

/** A combination of the whole vocabulary's everyday part, as long as asked. */
function longText(moves: number): string {
  const words = ['1', '2', '3b', 'ro', '4', 'sl-l', '5', 'bk', 'in', '6', 'ck', 'lk'];
  return Array.from({ length: moves }, (_, at) => words[at % words.length]).join(' ');
}

export function benchCore(): void {
  const sheet = hour();
  const compiled = compile(sheet);
  const compileMs = medianMs(() => compile(sheet));
  const cloneMs = medianMs(() => structuredClone(compiled));
  report(
    `compile of ${compiled.ms / 60_000} min, ${compiled.rounds} rounds, ${compiled.leaves.length} leaves / structuredClone of it`,
    `${(compileMs / cloneMs).toFixed(2)} ×`,
    'at most 2 ×',
  );
  const fresh = (): Sheet => ({
    ...sheet,
    blocks: sheet.blocks.map((block) => ({ ...block, pieces: block.pieces.map((piece) => ({ ...piece })) })),
  });
  report(
    '  the same with every piece new, so that no build is remembered',
    `${(medianMs(() => compile(fresh())) / cloneMs).toFixed(2)} ×`,
    'shown beside it',
  );

  const text = longText(1000);
  const parseMs = medianMs(() => readCombination(text));
  const splitMs = medianMs(() => text.split(/[\s,-]+/));
  report('reading 1000 moves / splitting the same text', `${(parseMs / splitMs).toFixed(1)} ×`, 'at most 20 ×');
  const long = longText(10_000);
  report(
    'reading 10 000 moves / reading 1000',
    `${(medianMs(() => readCombination(long)) / parseMs).toFixed(1)} ×`,
    'at most 15 ×',
  );
  const read = [text, long].map((each) => readCombination(each));
  const [short, whole] = read.map((each) => (each.ok ? medianMs(() => study(each.value)) : NaN));
  report(
    'walking and judging 10 000 moves / 1000',
    `${((whole ?? NaN) / (short ?? NaN)).toFixed(1)} ×`,
    'at most 15 ×',
  );
}
