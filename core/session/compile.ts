import type { Combination } from '../notation/combination';
import { planInside, type Planned } from '../stances/plan';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';
import { learnThenMirror, nothing, passContents, type Content } from './contents';
import type { Leaf, Timeline } from './leaf';
import type { Block, BlockKind, Sheet } from './schema';
import { isMirrored } from './stages';

export { usualGapMs } from './contents';
export type { Doing, Leaf, Timeline } from './leaf';

const names: Readonly<Record<BlockKind, string>> = {
  'warm-up': 'Warm-up',
  show: 'Show',
  round: 'Round',
  rest: 'Rest',
  conditioning: 'Conditioning',
  core: 'Core',
  'cool-down': 'Cool-down',
};

/** A block's name as it is said and shown. `Round 3 · Four and then six`, `Warm-up` */
export function blockName(block: Block, round: number | null): string {
  const name = round === null ? names[block.kind] : `Round ${round}`;
  return block.title ? `${name} · ${block.title}` : name;
}

/** Settling in the other stance, taken from the stretch that follows. */
const settling = (ms: Milliseconds): Content => ({
  ...nothing,
  kind: 'change-over',
  pieceId: null,
  ms,
  doing: 'change-over',
  detail: 'switch stance',
});

/** One pass through a block with the class turned round where the block or the sheet's plan says so; `pieces` were in the rounds before. */
function turnedContents(sheet: Sheet, block: Block, repeat: number, pieces: number): Planned<Content>[] {
  const { stances } = sheet;
  const work = block.kind === 'round';
  const { contents, second } = isMirrored(sheet, block)
    ? learnThenMirror(block, repeat)
    : { contents: passContents(block, repeat, block.ms ?? 0), second: null };
  if (stances && work) return planInside(contents, stances, second, pieces);
  let at = 0;
  return contents.map((content): Planned<Content> => {
    const turned = second !== null && at >= second;
    at += content.ms;
    return { content, turned, settling: false };
  });
}

/** The coach's own calls that fall into a stretch of a block, counted from the stretch's beginning. */
function saysWithin(block: Block, from: Milliseconds, ms: Milliseconds): Leaf['says'] {
  if (!block.says) return nothing.says;
  return block.says
    .filter(({ atMs }) => atMs >= from && atMs < from + ms)
    .map(({ atMs, words }) => ({ at: atMs - from, words }))
    .sort((a, b) => a.at - b.at);
}

/** Whether the class changes over before a repeat: by the sheet's plan, else before every second one, or before a block that is not repeated. */
function changesOver({ stances }: Sheet, block: Block, repeat: number, round: number | null): boolean {
  if (stances) return stances.plan === 'each round' && round !== null && round > 1;
  return block.switchStance === true && ((block.times ?? 1) === 1 || repeat % 2 === 1);
}

/**
 * Lays a sheet out on its clock: every piece, stage, show and rest with its beginning and length. A round whose pieces
 * do not add up is never stretched: what is too long is cut at the bell and what is missing stands as `unplanned`
 * (`findings` reports both).
 * @example compile(sheet).leaves[0].label // "Warm-up"
 */
export function compile(sheet: Sheet): Timeline {
  const leaves: Leaf[] = [];
  let at: SessionTime = 0;
  let rounds = 0;
  let openBreaks = 0;
  let turned = false;
  let pieces = 0;
  const classPace = sheet.class.pace ?? 1;
  const met = new Set<Combination>();
  /** Slower where a combination is done in the other stance for the first time, if the sheet has a plan. */
  const firstPace = (mirrored: boolean, combination: Combination | null): PaceFactor => {
    if (!sheet.stances || !mirrored || !combination || met.has(combination)) return 1;
    met.add(combination);
    return sheet.stances.firstPace;
  };
  const put = (leaf: Leaf): void => {
    leaves.push(leaf);
    at += leaf.ms;
    if (leaf.open) openBreaks += 1;
  };
  for (const block of sheet.blocks) {
    const times = block.times ?? 1;
    for (let repeat = 0; repeat < times; repeat += 1) {
      const round = block.kind === 'round' ? (rounds += 1) : null;
      const name = blockName(block, round);
      if (changesOver(sheet, block, repeat, round)) turned = !turned;
      const begin = at;
      const contents = turnedContents(sheet, block, repeat, pieces);
      if (round !== null) pieces += contents.filter(({ settling }) => !settling).length;
      for (const planned of contents) {
        const content = planned.settling ? settling(planned.content.ms) : planned.content;
        if (content.doing === 'change-over' && !planned.settling) turned = !turned;
        const mirrored = turned !== planned.turned;
        put({
          ...content,
          at,
          pace: content.pace * classPace * firstPace(mirrored, content.combination),
          block: block.kind,
          blockId: block.id,
          round,
          mirrored,
          half: planned.turned ? 'second' : 'first',
          says: saysWithin(block, at - begin, content.ms),
          label: content.detail ? `${name} · ${content.detail}` : name,
        });
      }
      if (repeat + 1 < times && block.restMs)
        put({
          ...nothing,
          at,
          kind: 'rest',
          pieceId: null,
          ms: block.restMs,
          doing: 'words',
          block: 'rest',
          blockId: block.id,
          round: null,
          mirrored: turned,
          half: 'first',
          label: 'Rest',
        });
    }
  }
  return { ms: at, openBreaks, rounds, leaves };
}

/** Length of a block on the clock with its repeats and the rests between them. */
export function blockLength(block: Block): Milliseconds {
  const times = block.times ?? 1;
  return (block.ms ?? 0) * times + (block.restMs ?? 0) * (times - 1);
}
