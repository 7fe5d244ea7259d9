import { mirrorStance, type Stance } from '../mechanics/walk';
import type { Combination } from '../notation/combination';
import type { Block, Sheet } from '../sheet/schema';
import { usualStances } from '../sheet/stances';
import { partOf, planInside, type Planned } from '../stances/plan';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';
import { bagsOf } from './bags-of';
import { contentWith, nothing, type Content } from './content';
import { learnThenMirror, passContents } from './contents';
import type { Leaf, Timeline } from './leaf';
import { leafOf, type Placing } from './leaf-of';
import { isMirrored } from './stages';

/** Settling in the other stance, taken from the stretch that follows. */
const settling = (ms: Milliseconds): Content =>
  contentWith({ kind: 'change-over', pieceId: null, ms, doing: 'change-over' });

/** One pass through a block with the class turned round where the block or the sheet's plan says so; `pieces` were in the rounds before. */
function turnedContents(sheet: Sheet, block: Block, repeat: number, pieces: number): Planned<Content>[] {
  const { stances, schools } = sheet;
  const work = block.kind === 'round';
  const kick = schools?.kick ?? 'opposite';
  const { contents, second } = isMirrored(sheet, block)
    ? learnThenMirror(block, repeat, kick)
    : { contents: passContents(block, repeat, block.ms ?? 0, kick), second: null };
  if (stances && work) return planInside(contents, stances, second, pieces);
  let at = 0;
  return contents.map((content): Planned<Content> => {
    const turned = second !== null && at >= second;
    at += content.ms;
    return { content, turned, settling: false };
  });
}

/** A stretch with how the class stands in it. */
interface Standing extends Planned<Content> {
  readonly stance: Stance;
}

/**
 * The stretches of a pass with the stance of each: the piece's own word goes first. Where a piece leads the class into the
 * other lead stance, or out of it, it settles first; at the beginning of a pass it has settled before.
 */
function standing(sheet: Sheet, planned: readonly Planned<Content>[], turned: boolean): Standing[] {
  const other = mirrorStance(sheet.stance);
  const settleMs = sheet.stances?.settleMs ?? usualStances.settleMs;
  let now = turned;
  let before: { readonly stance: Stance; readonly own: boolean } | null = null;
  return planned.flatMap((each): Standing[] => {
    const { content } = each;
    if (content.doing === 'change-over' && !each.settling) now = !now;
    const usual = now !== each.turned ? other : sheet.stance;
    const stance = content.wanted ?? usual;
    const own = content.wanted !== null && content.wanted !== usual;
    const last = before;
    before = { stance, own };
    const changes =
      last !== null && (own || last.own) && other !== 'square' && (last.stance === other) !== (stance === other);
    if (!changes || each.settling) return [{ ...each, stance }];
    const settle = Math.min(settleMs, content.ms);
    return [
      { ...each, content: partOf(content, 0, settle), settling: true, stance },
      { ...each, content: partOf(content, settle, content.ms - settle), stance },
    ].filter(({ content: { ms } }) => ms > 0);
  });
}

/** The coach's own calls that fall into a stretch of a block, counted from the stretch's beginning; all of them where it is open. */
function saysWithin(block: Block, from: Milliseconds, { ms, open }: Pick<Leaf, 'ms' | 'open'>): Leaf['says'] {
  if (!block.says) return nothing.says;
  return block.says
    .filter(({ atMs }) => open || (atMs >= from && atMs < from + ms))
    .map(({ atMs, words }) => ({ at: atMs - from, words }))
    .sort((a, b) => a.at - b.at);
}

/** Whether the class changes over before a repeat: by the sheet's plan, else before every second one, or before a block that is not repeated. */
function changesOver({ stances }: Sheet, block: Block, repeat: number, round: number | null): boolean {
  if (stances) return stances.plan === 'each round' && round !== null && round > 1;
  return block.switchStance === true && ((block.times ?? 1) === 1 || repeat % 2 === 1);
}

/** Where a block begins: what the blocks before it have come to. */
interface Begin {
  readonly at: SessionTime;
  readonly rounds: number;
  readonly turned: boolean;
  readonly pieces: number;
}

/** A block on the clock, and where the next one begins. */
interface LaidBlock {
  readonly leaves: readonly Leaf[];
  readonly end: Begin;
}

/** Combinations that the class has met in the other stance, for sheets whose plan makes the first time slower. */
type Met = Set<Combination>;

function layBlock(sheet: Sheet, block: Block, begin: Begin, met: Met): LaidBlock {
  const leaves: Leaf[] = [];
  let { at, rounds, turned, pieces } = begin;
  const classPace = sheet.class.pace ?? 1;
  const other = mirrorStance(sheet.stance);
  const times = block.times ?? 1;
  const bags = bagsOf(sheet, block);
  /** Slower where a combination is done in the other stance for the first time, if the sheet has a plan. */
  const firstPace = (mirrored: boolean, combination: Combination | null): PaceFactor => {
    if (!sheet.stances || !mirrored || !combination || met.has(combination)) return 1;
    met.add(combination);
    return sheet.stances.firstPace;
  };
  const put = (leaf: Leaf): void => {
    leaves.push(leaf);
    at += leaf.ms;
  };
  for (let repeat = 0; repeat < times; repeat += 1) {
    const round = block.kind === 'round' ? (rounds += 1) : null;
    if (changesOver(sheet, block, repeat, round)) turned = !turned;
    const from = at;
    const planned = turnedContents(sheet, block, repeat, pieces);
    if (round !== null) pieces += planned.filter(({ settling }) => !settling).length;
    for (const { content: whole, settling: settles, turned: second, stance } of standing(sheet, planned, turned)) {
      const content = settles ? settling(whole.ms) : whole;
      if (content.doing === 'change-over' && !settles) turned = !turned;
      const mirrored = other !== 'square' && stance === other;
      const placing: Placing = {
        at,
        pace: content.pace * classPace * firstPace(mirrored, content.combination),
        block: block.kind,
        blockId: block.id,
        round,
        title: block.title ?? null,
        betweenRepeats: false,
        stance,
        mirrored,
        half: second ? 'second' : 'first',
        bags,
        says: saysWithin(block, at - from, content),
      };
      put(leafOf(content, placing));
    }
    if (repeat + 1 < times && block.restMs) {
      const rest = contentWith({ kind: 'rest', pieceId: null, ms: block.restMs, doing: 'words' });
      const placing: Placing = {
        at,
        pace: rest.pace,
        block: 'rest',
        blockId: block.id,
        round: null,
        title: null,
        betweenRepeats: true,
        stance: turned ? other : sheet.stance,
        mirrored: turned && other !== 'square',
        half: 'first',
        bags: [],
        says: rest.says,
      };
      put(leafOf(rest, placing));
    }
  }
  return { leaves, end: { at, rounds, turned, pieces } };
}

/** What a block came to the last time, and by what of its sheet. */
const laid = new WeakMap<Block, { readonly by: readonly unknown[]; readonly block: LaidBlock }>();

/**
 * A block that begins where it began before, in a sheet that asks the same of it, comes to the very same leaves: whoever has
 * worked something out for them finds it again. A stance plan looks at what came before, so that nothing is kept for it.
 */
function laidBlock(sheet: Sheet, block: Block, begin: Begin, met: Met): LaidBlock {
  if (sheet.stances) return layBlock(sheet, block, begin, met);
  const { at, rounds, turned, pieces } = begin;
  const by = [at, rounds, turned, pieces, sheet.stance, sheet.schools, sheet.class.pace, sheet.lanes, sheet.bag];
  const known = laid.get(block);
  if (known?.by.every((each, index) => each === by[index])) return known.block;
  const made = layBlock(sheet, block, begin, met);
  laid.set(block, { by, block: made });
  return made;
}

/**
 * Lays a sheet out on its clock: every piece, stage, show and rest with its beginning and length. A round whose pieces
 * do not add up is never stretched: what is too long is cut at the bell and what is missing stands as `unplanned`
 * (`findings` reports both).
 * @example compile(sheet).leaves[0].block // "warm-up"
 */
export function compile(sheet: Sheet): Timeline {
  const leaves: Leaf[] = [];
  const met: Met = new Set();
  let now: Begin = { at: 0, rounds: 0, turned: false, pieces: 0 };
  for (const block of sheet.blocks) {
    const made = laidBlock(sheet, block, now, met);
    leaves.push(...made.leaves);
    now = made.end;
  }
  return { ms: now.at, openBreaks: leaves.filter(({ open }) => open).length, rounds: now.rounds, leaves };
}

/** Length of a block on the clock with its repeats and the rests between them. */
export function blockLength(block: Block): Milliseconds {
  const times = block.times ?? 1;
  return (block.ms ?? 0) * times + (block.restMs ?? 0) * (times - 1);
}
