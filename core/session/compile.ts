import type { Combination } from '../notation/combination';
import type { Milliseconds, PaceFactor, SessionTime } from '../units';
import { paceOf, type Effort } from './effort';
import type { Block, BlockKind, Piece, Sheet } from './schema';
import { earlyPart } from '../progressions/build';
import type { DrillCall, DrillKind } from '../progressions/call-drill';
import { fillsHalf, perRound, piecesLength, scriptOf, stageLengths, stagesOf } from './stages';
import { readStored } from './stored';

/** What somebody does in a leaf. `unplanned` is time of a block that no piece fills. */
export type Doing = 'combination' | 'own-time' | 'words' | 'calls' | 'change-over' | 'free' | 'unplanned';

/** A stretch of the timeline that is not parted any further. */
export interface Leaf {
  readonly at: SessionTime;
  readonly ms: Milliseconds;
  readonly kind: 'piece' | 'stage' | 'show' | 'rest' | 'change-over';
  readonly block: BlockKind;
  readonly blockId: string;
  /** null where the block itself, or the rest between its repeats, is meant. */
  readonly pieceId: string | null;
  /** Number of the work round, from 1; null outside rounds. */
  readonly round: number | null;
  readonly label: string;
  readonly doing: Doing;
  readonly effort: Effort;
  readonly pace: PaceFactor;
  readonly nonStop: boolean;
  /** Breath between repetitions. */
  readonly gapMs: Milliseconds;
  readonly combination: Combination | null;
  /** What is done between repetitions, in the coach's words. */
  readonly between: string | null;
  readonly otherStance: 'carry on mirrored' | 'reset';
  /** Whether the class stands the other way round than the sheet says. */
  readonly mirrored: boolean;
  /** Places of the new moves in a stage. */
  readonly added: readonly number[];
  /** Places of the early moves that a stage should be reminded of. */
  readonly remind: readonly number[];
  readonly stage: { readonly number: number; readonly of: number } | null;
  readonly drill: DrillKind | null;
  /** The script of a calls drill, from the leaf's beginning. */
  readonly script: readonly DrillCall[];
  /** Calls of the coach's own, from the leaf's beginning. */
  readonly says: readonly { readonly at: Milliseconds; readonly words: string }[];
  readonly words: string | null;
  readonly open: boolean;
}

/** A whole session in order, without gap or overlap. */
export interface Timeline {
  readonly ms: Milliseconds;
  /** Breaks that last until a key is pressed; they take no time here. */
  readonly openBreaks: number;
  readonly rounds: number;
  readonly leaves: readonly Leaf[];
}

/** Breath and a few steps between repetitions (house value, trade page, section 4). */
export const usualGapMs: Milliseconds = 3000;

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

type Content = Omit<Leaf, 'at' | 'block' | 'blockId' | 'round' | 'label' | 'mirrored'> & { readonly detail?: string };

const nothing = {
  effort: 'steady',
  pace: 1,
  nonStop: false,
  gapMs: usualGapMs,
  combination: null,
  between: null,
  otherStance: 'carry on mirrored',
  added: [],
  remind: [],
  drill: null,
  script: [],
  says: [],
  stage: null,
  words: null,
  open: false,
} as const;

function leafKind(block: Block): 'piece' | 'show' | 'rest' {
  return block.kind === 'show' || block.kind === 'rest' ? block.kind : 'piece';
}

function plainContent(block: Block, piece: Exclude<Piece, { kind: 'build' }>): Content {
  const kind = leafKind(block);
  const base = {
    ...nothing,
    kind,
    pieceId: piece.id,
    ms: piece.ms,
    effort: piece.effort,
    pace: paceOf(piece.effort, piece.focus),
  };
  switch (piece.kind) {
    case 'own-time':
      return { ...base, doing: 'own-time', detail: 'own time' };
    case 'words':
      return { ...base, doing: 'words', words: piece.words, ...(piece.words ? { detail: piece.words } : {}) };
    case 'change-over':
      return { ...base, kind: 'change-over', doing: 'change-over', detail: 'switch stance' };
    case 'calls':
      return {
        ...base,
        doing: 'calls',
        between: piece.between ?? null,
        drill: piece.drill,
        script: scriptOf(piece),
        detail: `${piece.drill} calls`,
      };
    case 'combination': {
      const read = readStored(piece.text);
      return {
        ...base,
        doing: read.ok ? 'combination' : 'words',
        combination: read.ok ? read.value : null,
        words: piece.words ?? (read.ok ? null : piece.text),
        nonStop: piece.nonStop ?? false,
        gapMs: piece.nonStop ? 0 : (piece.gapMs ?? usualGapMs),
        between: piece.between ?? null,
        otherStance: piece.otherStance ?? 'carry on mirrored',
        ...(piece.words ? { detail: piece.words } : {}),
      };
    }
  }
}

/** The stages of a build: all of them, or the one that belongs to a repeat of the block. */
function buildContents(block: Block, piece: Extract<Piece, { kind: 'build' }>, repeat: number): Content[] {
  const stages = stagesOf(piece);
  const lengths = stageLengths(piece);
  const kind: Leaf['kind'] = leafKind(block) === 'piece' ? 'stage' : leafKind(block);
  const base = {
    ...nothing,
    kind,
    pieceId: piece.id,
    effort: piece.effort,
    pace: paceOf(piece.effort, piece.focus),
    nonStop: piece.nonStop ?? false,
    gapMs: piece.nonStop ? 0 : (piece.gapMs ?? usualGapMs),
    between: piece.between ?? null,
  };
  const content = (index: number, ms: Milliseconds): Content[] => {
    const stage = stages[index];
    if (!stage || ms <= 0) return [];
    return [
      {
        ...base,
        ms,
        doing: 'combination',
        combination: stage.combination,
        added: stage.added,
        remind: earlyPart(stages, index),
        stage: { number: index + 1, of: stages.length },
        detail: `stage ${index + 1} of ${stages.length}`,
      },
    ];
  };
  if (perRound(piece)) return content(Math.min(repeat, stages.length - 1), (block.ms ?? 0) - piecesLength(block));
  return stages.flatMap((_, index) => content(index, lengths[index] ?? 0));
}

/** What fills one pass through a block, cut at its end; time that nothing fills is said to be unplanned. */
function passContents(block: Block, repeat: number, whole: Milliseconds): Content[] {
  const own: Content = {
    ...nothing,
    kind: leafKind(block),
    pieceId: null,
    ms: whole,
    doing: block.kind === 'rest' ? 'words' : 'free',
    open: block.ms === null,
  };
  if (block.pieces.length === 0 || block.ms === null) return [own];
  const contents: Content[] = [];
  let left = whole;
  for (const piece of block.pieces) {
    for (const content of piece.kind === 'build' ? buildContents(block, piece, repeat) : [plainContent(block, piece)]) {
      const ms = Math.min(content.ms, left);
      if (ms > 0) contents.push({ ...content, ms });
      left -= ms;
    }
  }
  return left > 0 ? [...contents, { ...own, ms: left, doing: 'unplanned', detail: 'unplanned' }] : contents;
}

/**
 * One pass, first natural and then mirrored in the same time: pieces that fill the half are done twice, pieces that fill
 * the whole are done in half their time each.
 */
function learnThenMirror(block: Block, repeat: number): (Content & { readonly second: boolean })[] {
  const whole = block.ms ?? 0;
  const half = Math.floor(whole / 2);
  const once = fillsHalf(block)
    ? passContents(block, repeat, half)
    : passContents(block, repeat, whole).map((content) => ({ ...content, ms: Math.floor(content.ms / 2) }));
  const natural = once.map((content) => ({ ...content, second: false }));
  const left = whole - 2 * once.reduce((sum, { ms }) => sum + ms, 0);
  // Halving may leave some thousandths over; the last part takes them.
  const mirrored = once.map((content, at) => ({
    ...content,
    ms: content.ms + (at === once.length - 1 ? left : 0),
    second: true,
  }));
  return [...natural, ...mirrored].filter(({ ms }) => ms > 0);
}

/** The coach's own calls that fall into a stretch of a block, counted from the stretch's beginning. */
function saysWithin(block: Block, from: Milliseconds, ms: Milliseconds): Leaf['says'] {
  if (!block.says) return nothing.says;
  return block.says
    .filter(({ atMs }) => atMs >= from && atMs < from + ms)
    .map(({ atMs, words }) => ({ at: atMs - from, words }))
    .sort((a, b) => a.at - b.at);
}

/** Whether the class changes over before a repeat: before every second one, or before a block that is not repeated. */
function changesOver(block: Block, repeat: number): boolean {
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
  const classPace = sheet.class.pace ?? 1;
  const put = (content: Omit<Leaf, 'at'>): void => {
    leaves.push({ ...content, at });
    at += content.ms;
    if (content.open) openBreaks += 1;
  };
  for (const block of sheet.blocks) {
    const times = block.times ?? 1;
    for (let repeat = 0; repeat < times; repeat += 1) {
      const round = block.kind === 'round' ? (rounds += 1) : null;
      const name = blockName(block, round);
      if (changesOver(block, repeat)) turned = !turned;
      const begin = at;
      const contents = block.learnThenMirror
        ? learnThenMirror(block, repeat)
        : passContents(block, repeat, block.ms ?? 0).map((content) => ({ ...content, second: false }));
      for (const { detail, second, ...content } of contents) {
        if (content.doing === 'change-over') turned = !turned;
        put({
          ...content,
          pace: content.pace * classPace,
          block: block.kind,
          blockId: block.id,
          round,
          mirrored: turned !== second,
          says: saysWithin(block, at - begin, content.ms),
          label: detail ? `${name} · ${detail}` : name,
        });
      }
      if (repeat + 1 < times && block.restMs)
        put({
          ...nothing,
          kind: 'rest',
          pieceId: null,
          ms: block.restMs,
          doing: 'words',
          block: 'rest',
          blockId: block.id,
          round: null,
          mirrored: turned,
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
