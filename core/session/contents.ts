import { earlyPart } from '../progressions/build';
import { cutScript } from '../progressions/call-drill';
import type { Milliseconds } from '../units';
import { paceOf } from './effort';
import type { Leaf } from './leaf';
import type { Block, Piece, PieceOf } from './schema';
import { fillsHalf, perRound, piecesLength, scriptOf, stageLengths, stagesOf } from './stages';
import { readStored } from './stored';

/** Breath and a few steps between repetitions (house value, trade page, section 4). */
export const usualGapMs: Milliseconds = 3000;

/** What fills a stretch of a block, wherever the block stands. */
export type Content = Omit<Leaf, 'at' | 'block' | 'blockId' | 'round' | 'label' | 'mirrored' | 'half'>;

export const nothing = {
  effort: 'steady',
  pace: 1,
  nonStop: false,
  gapMs: usualGapMs,
  combination: null,
  between: null,
  voice: null,
  bpm: 120,
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

/** What a piece with repetitions says of its breath and its voice. */
function breathOf(
  piece: PieceOf<'combination' | 'build'>,
): Pick<Content, 'nonStop' | 'gapMs' | 'between' | 'voice' | 'bpm'> {
  return {
    nonStop: piece.nonStop ?? false,
    gapMs: piece.nonStop ? 0 : (piece.gapMs ?? usualGapMs),
    between: piece.between ?? null,
    voice: piece.voice ?? null,
    bpm: piece.bpm ?? nothing.bpm,
  };
}

type PlainPiece = Exclude<Piece, { kind: 'build' }>;

/** What a piece comes to never changes, as the piece itself never does: an edit lays out anew only what it touched. */
const laid = new WeakMap<PlainPiece, { readonly kind: Leaf['kind']; readonly content: Content }>();

function plainContent(block: Block, piece: PlainPiece): Content {
  const kind = leafKind(block);
  const known = laid.get(piece);
  if (known?.kind === kind) return known.content;
  const content = contentOf(kind, piece);
  laid.set(piece, { kind, content });
  return content;
}

function contentOf(kind: Leaf['kind'], piece: PlainPiece): Content {
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
        ...breathOf(piece),
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
    ...breathOf(piece),
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

/** A content with less time; what its drill would call later falls away. */
function shortened(content: Content, ms: Milliseconds): Content {
  return ms === content.ms ? content : { ...content, ms, script: cutScript(content.script, 0, ms) };
}

/** What fills one pass through a block, cut at its end; time that nothing fills is said to be unplanned. */
export function passContents(block: Block, repeat: number, whole: Milliseconds): Content[] {
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
      if (ms > 0) contents.push(shortened(content, ms));
      left -= ms;
    }
  }
  return left > 0 ? [...contents, { ...own, ms: left, doing: 'unplanned', detail: 'unplanned' }] : contents;
}

/**
 * One pass, first natural and then mirrored in the same time: pieces that fill the half are done twice, pieces that fill
 * the whole are done in half their time each.
 */
export function learnThenMirror(
  block: Block,
  repeat: number,
): { readonly contents: Content[]; readonly second: Milliseconds } {
  const whole = block.ms ?? 0;
  const half = Math.floor(whole / 2);
  const once = fillsHalf(block)
    ? passContents(block, repeat, half)
    : passContents(block, repeat, whole).map((content) => shortened(content, Math.floor(content.ms / 2)));
  const second = once.reduce((sum, { ms }) => sum + ms, 0);
  // Halving may leave some thousandths over; the last part takes them.
  const mirrored = once.map((content, at) => ({
    ...content,
    ms: content.ms + (at === once.length - 1 ? whole - 2 * second : 0),
  }));
  return { contents: [...once, ...mirrored].filter(({ ms }) => ms > 0), second };
}
