import { mostEfforts, type BuildKind } from '../progressions/kinds';
import { unfoldedLength } from '../notation/combination';
import { readStored } from '../notation/stored';
import type { Block, Piece, Sheet } from '../sheet/schema';
import { usualRebounds } from '../bags/rhythm';

/** How much there is to lay out, counted without laying it out. */
export interface Work {
  /** Stretches on the clock. */
  readonly leaves: number;
  /** Moves in all of them. */
  readonly moves: number;
  /** Calls of drills, touches, clicks and strike calls. */
  readonly events: number;
}

/** The most that is laid out: more than a day of training (house values, docs/formats/sheet.md). */
export const mostWork: Work = { leaves: 20_000, moves: 300_000, events: 500_000 };

const nothing: Work = { leaves: 0, moves: 0, events: 0 };
const add = (a: Work, b: Work, times = 1): Work => ({
  leaves: a.leaves + b.leaves * times,
  moves: a.moves + b.moves * times,
  events: a.events + b.events * times,
});

function movesOf(text: string | undefined): number {
  const read = text ? readStored(text) : null;
  return read?.ok ? unfoldedLength(read.value.items) : 0;
}

/** No build has more stages than this, by the moves of its goals; those that count by numbers have no more than a hundred. */
const stagesOfBuild: Readonly<Record<BuildKind, (moves: number) => number>> = {
  ladder: (moves) => moves,
  backward: (moves) => moves,
  chunks: (moves) => 2 * moves,
  // Up, down, and up once more.
  pyramid: (moves) => 3 * moves,
  'kick-close': (moves) => 3 * moves + 1,
  alternator: () => 100,
  levels: (moves) => moves + 24,
  singles: (moves) => moves + 1,
  amount: () => 100,
  effort: () => mostEfforts,
  join: (moves) => 2 * moves + 1,
};

/** Strike calls come no closer than four a second. */
const strikeMs = 250;
/** Calls of a drill come no closer than one a second. */
const callMs = 1000;

function workOfPiece(piece: Piece): Work {
  switch (piece.kind) {
    case 'combination': {
      const beats = piece.voice === 'click' ? (piece.ms / 60_000) * (piece.bpm ?? 120) : 0;
      const called = piece.voice === 'strikes' ? piece.ms / strikeMs : 0;
      return { leaves: 1, moves: movesOf(piece.text), events: Math.ceil(beats + called) };
    }
    case 'build': {
      const moves = movesOf(piece.goal) + movesOf(piece.second);
      const stages = stagesOfBuild[piece.build](moves);
      return { leaves: stages, moves: stages * Math.max(1, moves), events: 0 };
    }
    case 'calls':
      return { leaves: 1, moves: 0, events: Math.ceil(piece.ms / callMs) };
    case 'rhythm':
      return { leaves: 1, moves: 0, events: Math.ceil((piece.ms / 60_000) * (piece.rebounds ?? usualRebounds)) };
    case 'own-time':
    case 'words':
    case 'pause':
    case 'change-over':
      return { leaves: 1, moves: 0, events: 0 };
  }
}

/** A block that is learnt and mirrored, or changes over inside a piece and settles, lays a piece out in so many parts at most. */
const aPiece = 4;
/** What a pass has beside its pieces, at most. */
const aPass = 8;

const known = new WeakMap<Piece, Work>();

function workOfBlock({ pieces, times = 1, says }: Block): Work {
  // A rest between repeats, changes of stance with their settling and a free rest of the block are leaves of their own.
  let pass: Work = { leaves: aPass, moves: 0, events: says?.length ?? 0 };
  for (const piece of pieces) {
    let work = known.get(piece);
    if (!work) known.set(piece, (work = workOfPiece(piece)));
    pass = add(pass, work, aPiece);
  }
  return add(nothing, pass, times);
}

/** How much a sheet comes to at most, without laying it out. `workOf(sheet).leaves` */
export function workOf(sheet: Sheet): Work {
  return sheet.blocks.map(workOfBlock).reduce((sum, work) => add(sum, work), nothing);
}

/**
 * Why a sheet is more than can be laid out, with the mend; null where it is not.
 * @example workFault(sheet) // null for any session of a day
 */
export function workFault(sheet: Sheet): string | null {
  const work = workOf(sheet);
  const over = (what: keyof Work): boolean => work[what] > mostWork[what];
  if (!over('leaves') && !over('moves') && !over('events')) return null;
  const worst = sheet.blocks.reduce<{ readonly block: Block; readonly leaves: number } | null>((most, block) => {
    const own = workOfBlock(block);
    const size = own.leaves / mostWork.leaves + own.moves / mostWork.moves + own.events / mostWork.events;
    return most && most.leaves >= size ? most : { block, leaves: size };
  }, null);
  const where = worst ? ` (mostly in ${worst.block.title ? `“${worst.block.title}”` : `a ${worst.block.kind}`})` : '';
  const what = over('leaves') ? 'stretches' : over('moves') ? 'moves' : 'calls, touches and clicks';
  const most = over('leaves') ? mostWork.leaves : over('moves') ? mostWork.moves : mostWork.events;
  return `this makes more than ${most.toLocaleString('en')} ${what}${where}: use fewer repeats or shorter builds`;
}
