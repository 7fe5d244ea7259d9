import { earlyPart } from '../progressions/build';
import { rhythmTouches, usualRebounds, type RhythmTouch } from '../bags/rhythm';
import type { KickSchool } from '../mechanics/seams';
import type { Milliseconds } from '../units';
import { paceOf } from '../mechanics/effort';
import { partOf } from '../stances/plan';
import { contentWith, nothing, usualGapMs, type Content } from './content';
import type { Leaf } from './leaf';
import type { Block, Piece, PieceOf } from '../sheet/schema';
import { fillsHalf, perRound, piecesLength, drillCallsOf, drillOf, stageLengths, stagesOf } from './stages';
import { readStored } from '../notation/stored';

function leafKind(block: Block): 'piece' | 'show' | 'rest' {
  return block.kind === 'show' || block.kind === 'rest' ? block.kind : 'piece';
}

/** What every piece says. */
function everyPiece(piece: Piece): Pick<Content, 'pieceId' | 'effort' | 'focus' | 'power' | 'wanted' | 'pace'> {
  return {
    pieceId: piece.id,
    effort: piece.effort,
    focus: piece.focus ?? null,
    power: piece.power ?? null,
    wanted: piece.stance ?? null,
    pace: paceOf(piece.effort, piece.focus),
  };
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

/** The touches of a rhythm piece. */
function touchesOf({ row, hand, growFrom, growTo, rebounds, ms }: PieceOf<'rhythm'>): readonly RhythmTouch[] {
  const grow = growTo === undefined ? null : { from: growFrom ?? 1, to: growTo };
  return rhythmTouches({ row, hand: hand ?? 'lead', grow, rebounds: rebounds ?? usualRebounds, ms });
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
  const base = { ...everyPiece(piece), kind, ms: piece.ms };
  switch (piece.kind) {
    case 'own-time':
      return contentWith({ ...base, doing: 'own-time' });
    case 'words':
      return contentWith({ ...base, doing: 'words', words: piece.words });
    case 'change-over':
      return contentWith({ ...base, kind: 'change-over', doing: 'change-over' });
    case 'pause':
      return contentWith({ ...base, kind: 'rest', doing: 'pause' });
    case 'rhythm': {
      const touches = touchesOf(piece);
      return contentWith({
        ...base,
        doing: 'rhythm',
        nonStop: true,
        gapMs: 0,
        row: piece.row,
        touches,
        words: piece.words ?? null,
      });
    }
    case 'calls':
      return contentWith({
        ...base,
        doing: 'calls',
        between: piece.between ?? null,
        words: piece.words ?? null,
        drill: drillOf(piece),
        drillCalls: drillCallsOf(piece),
      });
    case 'combination': {
      const read = readStored(piece.text);
      return contentWith({
        ...base,
        ...breathOf(piece),
        doing: read.ok ? 'combination' : 'words',
        combination: read.ok ? read.value : null,
        words: piece.words ?? (read.ok ? null : piece.text),
        otherStance: piece.otherStance ?? nothing.otherStance,
      });
    }
  }
}

/** What each stage of a build comes to; as pieces, builds never change. */
const built = new WeakMap<
  PieceOf<'build'>,
  { readonly kind: Leaf['kind']; readonly school: KickSchool; readonly stages: readonly Content[] }
>();

/** All stages of a build, each as long as it is meant to be; a length of 0 where the block says it. */
function builtStages(kind: Leaf['kind'], piece: PieceOf<'build'>, school: KickSchool): readonly Content[] {
  const known = built.get(piece);
  if (known?.kind === kind && known.school === school) return known.stages;
  const stages = stageContents(kind, piece, school);
  built.set(piece, { kind, school, stages });
  return stages;
}

function stageContents(kind: Leaf['kind'], piece: PieceOf<'build'>, school: KickSchool): Content[] {
  const stages = stagesOf(piece, school);
  const lengths = perRound(piece) ? [] : stageLengths(piece);
  const base = { ...everyPiece(piece), ...breathOf(piece), kind };
  return stages.map((stage, index) =>
    contentWith({
      ...base,
      ...(stage.effort === undefined ? {} : { effort: stage.effort, pace: paceOf(stage.effort, piece.focus) }),
      ms: lengths[index] ?? 0,
      doing: 'combination',
      combination: stage.combination,
      added: stage.added,
      remind: earlyPart(stages, index),
      stage: { number: index + 1, of: stages.length, build: piece.build, step: stage.step },
    }),
  );
}

/** The stages of a build: all of them, or the one that belongs to a repeat of the block. */
function buildContents(block: Block, piece: PieceOf<'build'>, repeat: number, school: KickSchool): readonly Content[] {
  const stages = builtStages(leafKind(block) === 'piece' ? 'stage' : leafKind(block), piece, school);
  if (!perRound(piece)) return stages;
  const stage = stages[Math.min(repeat, stages.length - 1)];
  const left = (block.ms ?? 0) - piecesLength(block);
  return stage && left > 0 ? [{ ...stage, ms: left }] : [];
}

/** A content with less time; what it would call or touch later falls away. */
function shortened(content: Content, ms: Milliseconds): Content {
  return ms === content.ms ? content : partOf(content, 0, ms);
}

/** Names what comes after each pause; the last one has nothing to name. */
function withNext(contents: readonly Content[]): Content[] {
  return contents.map((content, at) => {
    const next = contents[at + 1];
    return content.doing === 'pause' && next?.words ? { ...content, words: next.words } : content;
  });
}

/** What fills one pass through a block, cut at its end; time that nothing fills is said to be unplanned. */
export function passContents(block: Block, repeat: number, whole: Milliseconds, school: KickSchool): Content[] {
  const own = contentWith({
    kind: leafKind(block),
    pieceId: null,
    ms: whole,
    doing: block.kind === 'rest' ? 'words' : 'free',
    open: block.ms === null,
  });
  if (block.pieces.length === 0 || block.ms === null) return [own];
  const contents: Content[] = [];
  let left = whole;
  for (const piece of block.pieces) {
    for (const content of piece.kind === 'build'
      ? buildContents(block, piece, repeat, school)
      : [plainContent(block, piece)]) {
      const ms = Math.min(content.ms, left);
      if (ms > 0) contents.push(shortened(content, ms));
      left -= ms;
    }
  }
  const filled = block.pieces.some(({ kind }) => kind === 'pause') ? withNext(contents) : contents;
  return left > 0 ? [...filled, { ...own, ms: left, doing: 'unplanned' }] : filled;
}

/**
 * One pass, first natural and then mirrored in the same time: pieces that fill the half are done twice, pieces that fill
 * the whole are done in half their time each.
 */
export function learnThenMirror(
  block: Block,
  repeat: number,
  school: KickSchool,
): { readonly contents: Content[]; readonly second: Milliseconds } {
  const whole = block.ms ?? 0;
  const half = Math.floor(whole / 2);
  const once = fillsHalf(block)
    ? passContents(block, repeat, half, school)
    : passContents(block, repeat, whole, school).map((content) => shortened(content, Math.floor(content.ms / 2)));
  const second = once.reduce((sum, { ms }) => sum + ms, 0);
  // Halving may leave some thousandths over; the last part takes them.
  const mirrored = once.map((content, at) => ({
    ...content,
    ms: content.ms + (at === once.length - 1 ? whole - 2 * second : 0),
  }));
  return { contents: [...once, ...mirrored].filter(({ ms }) => ms > 0), second };
}
