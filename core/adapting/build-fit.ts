import { flatten } from '../progressions/flat';
import { writeCombination } from '../notation/write';
import type { Milliseconds } from '../units';
import { sayClock } from '../clock-text';
import { changeBlock, changePiece } from '../sheet/edit';
import type { Block, PieceOf, Sheet } from '../sheet/schema';
import { perRound, pieceLength, piecesLength, stageLengths, stagesOf } from '../timeline/stages';
import { readStored } from '../notation/stored';

/** One way to make a build and its time agree. */
export interface Way {
  readonly label: string;
  readonly edit: (sheet: Sheet) => Sheet;
}

/** What a build takes, what it has, and how it would fit. */
export interface BuildFit {
  readonly stages: number;
  /** Time the stages ask for; of one stage a round, all rounds of the build. */
  readonly takes: Milliseconds;
  /** Time the block leaves to it. */
  readonly has: Milliseconds;
  /** Empty where it fits. */
  readonly ways: readonly Way[];
}

/** Shorter stages than this are no practice (house value). */
const shortestStage: Milliseconds = 10_000;
const grid: Milliseconds = 5000;
const usualRest: Milliseconds = 30_000;

function times(count: number, thing: string): string {
  return `${count} ${thing}${count === 1 ? '' : 's'}`;
}

/** Equal stages on a grid of five seconds that fill a time; the last takes what is over. */
export function evenStages(count: number, ms: Milliseconds): Milliseconds[] {
  const each = Math.max(1000, Math.floor(ms / count / grid) * grid || Math.floor(ms / count));
  const last = ms - each * (count - 1);
  return last === each ? [each] : [...Array.from({ length: count - 1 }, () => each), last];
}

/** A ladder's goal with its stage ends marked by hand so that it has fewer stages, the early ones taking two moves. */
function fewerStages(build: PieceOf<'build'>, count: number): PieceOf<'build'> | null {
  const goal = readStored(build.goal);
  const stages = stagesOf(build);
  if (!goal.ok || build.build !== 'ladder' || count < 2) return null;
  const items = flatten(goal.value.items);
  const ends = stages.map((stage) => flatten(stage.combination.items).length);
  const merged = Array.from({ length: count }, (_, at) => ends[ends.length - count + at] ?? items.length).slice(0, -1);
  return { ...build, goal: writeCombination({ items, stageEnds: merged }) };
}

function roundWays(block: Block, build: PieceOf<'build'>, count: number): Way[] {
  const others = piecesLength(block);
  const has = (block.ms ?? 0) - others;
  return [
    {
      label: `Repeat the ${block.kind} ${times(count, 'time')}`,
      edit: (sheet) => changeBlock(sheet, block.id, { times: count, restMs: block.restMs ?? usualRest }),
    },
    {
      label: `Fit all stages into every ${block.kind}`,
      edit: (sheet) => changePiece(sheet, { ...build, every: evenStages(count, Math.max(count * 1000, has)) }),
    },
  ];
}

function intervalWays(block: Block, build: PieceOf<'build'>, count: number, has: Milliseconds): Way[] {
  const ways: Way[] = [];
  const takes = pieceLength(build);
  const even = has > 0 ? evenStages(count, has) : [];
  const [each = 0] = even;
  if (each >= shortestStage)
    ways.push({
      label: `Make each stage ${sayClock(each)}${even.length > 1 ? `, the last ${sayClock(even.at(-1) ?? each)}` : ''}`,
      edit: (sheet) => changePiece(sheet, { ...build, every: even }),
    });
  const length = (block.ms ?? 0) + takes - has;
  ways.push({
    label: `Make the ${block.kind} ${sayClock(length)}`,
    edit: (sheet) => changeBlock(sheet, block.id, { ms: length }),
  });
  const [usual = 0] = stageLengths(build);
  const room = usual > 0 ? Math.floor(has / usual) : 0;
  const fewer = takes > has ? fewerStages(build, room) : null;
  if (fewer && room * usual === has)
    ways.push({
      label: `Build it in ${times(room, 'stage')}, up to two moves each`,
      edit: (sheet) => changePiece(sheet, fewer),
    });
  if (takes > has && block.kind === 'round' && (block.times ?? 1) === 1 && block.pieces.length === 1)
    ways.push({
      label: `One stage per round, ${times(count, 'round')} of ${sayClock(block.ms ?? 0)}`,
      edit: (sheet) =>
        changeBlock(changePiece(sheet, { ...build, every: 'round' }), block.id, { times: count, restMs: usualRest }),
    });
  return ways;
}

/**
 * What a build will take against the time there is, and how it would fit: shorter stages, a longer block, fewer stages,
 * or one stage a round.
 * @example fitBuild(block, build).ways.map((way) => way.label) // ["Make each stage 0:25", …]
 */
export function fitBuild(block: Block, build: PieceOf<'build'>): BuildFit {
  const stages = stagesOf(build).length;
  const others = piecesLength(block) - pieceLength(build);
  const has = (block.ms ?? 0) - others;
  if (perRound(build)) {
    const rounds = block.times ?? 1;
    const ways = stages > rounds ? roundWays(block, build, stages) : [];
    return { stages, takes: stages * Math.max(0, has), has: rounds * Math.max(0, has), ways };
  }
  const takes = pieceLength(build);
  return { stages, takes, has, ways: takes === has || stages === 0 ? [] : intervalWays(block, build, stages, has) };
}
