import type { KickSchool } from '../mechanics/seams';
import { buildUp, goalsOf } from '../progressions/build';
import { callDrill, drillLeadMs, usualDrill, type CallDrill, type DrillCall } from '../progressions/call-drill';
import type { Stage } from '../progressions/ladder';
import type { Milliseconds } from '../units';
import type { Block, PieceOf, Sheet } from '../sheet/schema';
import { readStored } from '../notation/stored';

const remembered: Readonly<Record<KickSchool, WeakMap<PieceOf<'build'>, readonly Stage[]>>> = {
  opposite: new WeakMap(),
  same: new WeakMap(),
};

/**
 * The rungs of a build, none where its goal cannot be read; its own word about kicks goes before the sheet's school.
 * Remembered by the piece, which is never changed in place.
 */
export function stagesOf(build: PieceOf<'build'>, school: KickSchool = 'opposite'): readonly Stage[] {
  const kick = build.kick ?? school;
  let stages = remembered[kick].get(build);
  if (!stages) {
    const goals = goalTexts(build).flatMap((text) => {
      const read = readStored(text);
      return read.ok ? [read.value] : [];
    });
    stages = buildUp(build.build, goals, { ...build, kick });
    remembered[kick].set(build, stages);
  }
  return stages;
}

/** The kept texts of what a build works towards. */
export function goalTexts(build: PieceOf<'build'>): string[] {
  return [build.goal, build.second ?? ''].slice(0, goalsOf(build.build));
}

/** Every combination kept in a piece, read or not. */
export function textsOf(piece: Block['pieces'][number]): string[] {
  return piece.kind === 'combination' ? [piece.text] : piece.kind === 'build' ? goalTexts(piece) : [];
}

/** How long each stage lasts; where lengths were given for fewer stages the last one goes on. */
export function stageLengths(build: PieceOf<'build'>): Milliseconds[] {
  const { every } = build;
  if (every === 'round') return [];
  return stagesOf(build).map((_, index) => every[Math.min(index, every.length - 1)] ?? 0);
}

const total = (lengths: readonly Milliseconds[]): Milliseconds => lengths.reduce((sum, each) => sum + each, 0);

/** Time a piece asks for. A build of one stage a round takes what the round's other pieces leave. */
export function pieceLength(piece: Block['pieces'][number]): Milliseconds {
  return piece.kind === 'build' ? total(stageLengths(piece)) : piece.ms;
}

/** Whether a build puts one stage into each repeat of its block. */
export function perRound(piece: Block['pieces'][number]): piece is PieceOf<'build'> {
  return piece.kind === 'build' && piece.every === 'round';
}

/** Time the pieces of one pass through a block ask for, stages a round left out. */
export function piecesLength(block: Block): Milliseconds {
  return total(block.pieces.map(pieceLength));
}

/** Whether a block is learnt and then mirrored: by the sheet's stance plan, else by its own word. */
export function isMirrored({ stances }: Sheet, block: Block): boolean {
  return stances ? block.kind === 'round' && stances.plan === 'learn then mirror' : block.learnThenMirror === true;
}

/** Whether the pieces of a block that is learnt and then mirrored fill its half, so that they are done twice. */
export function fillsHalf(block: Block): boolean {
  return block.ms !== null && 2 * piecesLength(block) === block.ms;
}

/** What the calls of a piece are drawn by; they begin when it has explained itself. */
export function drillOf({ drill, ms, least, most, seed, gapLeastMs, gapMostMs }: PieceOf<'calls'>): CallDrill {
  return {
    kind: drill,
    ms: Math.max(0, ms - drillLeadMs),
    least,
    most: Math.max(least, most),
    seed: seed ?? usualDrill.seed,
    gapLeastMs: gapLeastMs ?? usualDrill.gapLeastMs,
    gapMostMs: gapMostMs ?? usualDrill.gapMostMs,
  };
}

const drillCalls = new WeakMap<PieceOf<'calls'>, readonly DrillCall[]>();

/**
 * The calls of a drill from its piece's beginning: it explains itself first, then they come, and the last answer ends
 * within the piece. Remembered by the piece, which is never changed in place.
 */
export function drillCallsOf(piece: PieceOf<'calls'>): readonly DrillCall[] {
  let calls = drillCalls.get(piece);
  if (!calls) {
    calls = callDrill(drillOf(piece)).map((call) => ({ ...call, at: call.at + drillLeadMs }));
    drillCalls.set(piece, calls);
  }
  return calls;
}
