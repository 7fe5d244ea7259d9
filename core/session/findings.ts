import { sayFault } from '../fault';
import { isStrike } from '../moves/move';
import { studyOf } from '../tally/planned';
import { blockName, compile, type Leaf } from './compile';
import { sayClock } from './clock-text';
import { stretchBlock, stretchLastPiece } from './edit';
import type { Block, Piece, Sheet } from './schema';
import { perRound, pieceLength, piecesLength, stagesOf } from './stages';
import { readStored, schemeOf } from './stored';

/** A way out that the screen offers: what it does, and the sheet after it. */
export interface Mend {
  readonly label: string;
  readonly edit: (sheet: Sheet) => Sheet;
}

/** Something a coach should know about a sheet: what, where, and how to mend it. */
export interface Finding {
  /** error: cannot be run as written; warning: wants a look; note: worth knowing. */
  readonly level: 'error' | 'warning' | 'note';
  readonly where: string;
  readonly what: string;
  readonly mend: string;
  readonly blockId?: string;
  readonly pieceId?: string;
  readonly mends: readonly Mend[];
}

interface Place {
  readonly sheet: Sheet;
  readonly block: Block;
  readonly name: string;
}

function unread(place: Place, piece: Piece): Finding[] {
  const text = piece.kind === 'combination' ? piece.text : piece.kind === 'build' ? piece.goal : null;
  const read = text === null ? null : readStored(text);
  if (!read || read.ok) return [];
  const shown = read.fault.read ? `"${read.fault.read.slice(0, 40)}" cannot be read` : 'there is nothing to read';
  return [
    {
      level: 'error',
      where: place.name,
      what: `${shown}: ${sayFault(read.fault)}`,
      mend: 'type the combination again',
      blockId: place.block.id,
      pieceId: piece.id,
      mends: [],
    },
  ];
}

function buildFindings(place: Place, piece: Piece): Finding[] {
  if (piece.kind !== 'build') return [];
  const stages = stagesOf(piece);
  const here = { where: place.name, blockId: place.block.id, pieceId: piece.id, mends: [] };
  const found: Finding[] = [];
  const times = place.block.times ?? 1;
  if (perRound(piece) && stages.length > times)
    found.push({
      ...here,
      level: 'error',
      what: `${stages.length} stages, but ${times} ${times === 1 ? 'round' : 'rounds'}`,
      mend: `repeat the round ${stages.length} times, or make the goal shorter`,
    });
  if (perRound(piece) && stages.length < times && stages.length > 0)
    found.push({
      ...here,
      level: 'note',
      what: `${times} rounds, but ${stages.length} stages`,
      mend: 'the last stage stays for the rounds that are left',
    });
  if (perRound(piece) && piecesLength(place.block) >= (place.block.ms ?? 0))
    found.push({
      ...here,
      level: 'error',
      what: `no time is left for the build: the other pieces take ${sayClock(piecesLength(place.block))}, the round is ${sayClock(place.block.ms ?? 0)}`,
      mend: 'make the other pieces shorter',
    });
  stages.forEach((stage, index) => {
    const fresh = stage.combination.items.length === 0 ? 0 : newStrikes(stage.combination, stage.added);
    if (fresh > 1 && index > 0)
      found.push({
        ...here,
        level: 'note',
        what: `stage ${index + 1} adds ${fresh} strikes at once`,
        mend: 'move the stage end, or leave it if the class is ready',
      });
  });
  return found;
}

function newStrikes(combination: Leaf['combination'], added: readonly number[]): number {
  if (!combination) return 0;
  const listed = studyOf(combination, 'orthodox').turns[0]?.walk.steps.flatMap(({ step }) => step.content) ?? [];
  return added.filter((index) => {
    const content = listed[index];
    return content?.kind === 'move' ? isStrike(content) : content !== undefined;
  }).length;
}

function lengthFinding(place: Place): Finding[] {
  const { block, name } = place;
  if (block.ms === null || block.pieces.length === 0 || block.pieces.some(perRound)) return [];
  const pieces = piecesLength(block);
  const apart = pieces - block.ms;
  if (apart === 0) return [];
  const last = block.pieces.at(-1);
  const mends: Mend[] = [
    { label: `Make the ${block.kind} ${sayClock(pieces)}`, edit: (sheet) => stretchBlock(sheet, block.id, pieces) },
  ];
  if (last && last.kind !== 'build' && pieceLength(last) - apart >= 1000)
    mends.unshift({
      label: `Make the last piece ${sayClock(pieceLength(last) - apart)}`,
      edit: (sheet) => stretchLastPiece(sheet, block.id),
    });
  const build = block.pieces.find((piece) => piece.kind === 'build');
  const stages = build && build.kind === 'build' ? `${stagesOf(build).length} stages and all pieces` : 'the pieces';
  return [
    {
      level: 'error',
      where: name,
      what: `${stages} take ${sayClock(pieces)}, but the ${block.kind} is ${sayClock(block.ms)}: ${sayClock(Math.abs(apart))} too ${apart > 0 ? 'long' : 'short'}`,
      mend: mends.map((mend) => mend.label.toLowerCase()).join(', or '),
      blockId: block.id,
      mends,
    },
  ];
}

function seamFindings(place: Place, piece: Piece): Finding[] {
  const text = piece.kind === 'combination' ? piece.text : piece.kind === 'build' ? piece.goal : null;
  const read = text === null ? null : readStored(text);
  if (!read?.ok || (piece.kind !== 'combination' && piece.kind !== 'build')) return [];
  const studied = studyOf(read.value, place.sheet.stance, piece.nonStop ?? false);
  const seam = studied.turns.flatMap((turn) => turn.seams).find((each) => each.level === 'warning');
  if (!seam) return [];
  return [
    {
      level: 'warning',
      where: place.name,
      what: seam.reason,
      mend: 'open the piece and take one of the repairs at the mark on the staff',
      blockId: place.block.id,
      pieceId: piece.id,
      mends: [],
    },
  ];
}

function warmUpFindings(sheet: Sheet): Finding[] {
  if (!sheet.blocks.some((block) => block.kind === 'round')) return [];
  const warm = sheet.blocks
    .filter((block) => block.kind === 'warm-up')
    .reduce((sum, block) => sum + (block.ms ?? 0), 0);
  // General exercise guidance asks for 5 to 10 minutes (trade page, section 6, published, from memory).
  if (warm >= 300_000) return [];
  if (warm > 0)
    return [
      {
        level: 'note',
        where: 'Warm-up',
        what: `the warm-up is ${sayClock(warm)}; general guidance asks for five minutes or more`,
        mend: 'make it longer, or warm up before the class',
        mends: [],
      },
    ];
  return [
    {
      level: 'warning',
      where: 'Sheet',
      what: 'there is no warm-up',
      mend: 'add a warm-up block before the first round',
      mends: [],
    },
  ];
}

/**
 * Everything worth saying about a sheet, errors first. Derived; the sheet is not changed.
 * @example findings(sheet).filter((finding) => finding.level === 'error')
 */
export function findings(sheet: Sheet): Finding[] {
  const found: Finding[] = [];
  const scheme = schemeOf(sheet.numbers);
  if (!scheme.ok)
    found.push({ level: 'error', where: 'Numbers', what: scheme.fault.what, mend: scheme.fault.mend, mends: [] });
  if (sheet.blocks.length === 0)
    found.push({
      level: 'note',
      where: 'Sheet',
      what: 'the sheet is empty',
      mend: 'type a combination and press Enter, or add a round',
      mends: [],
    });
  const rounds = new Map(
    compile(sheet)
      .leaves.filter((leaf) => leaf.kind !== 'rest')
      .map((leaf) => [leaf.blockId, leaf.round]),
  );
  for (const block of sheet.blocks) {
    const place: Place = { sheet, block, name: blockName(block, rounds.get(block.id) ?? null) };
    found.push(...lengthFinding(place));
    for (const piece of block.pieces)
      found.push(...unread(place, piece), ...buildFindings(place, piece), ...seamFindings(place, piece));
  }
  found.push(...warmUpFindings(sheet));
  const rank = { error: 0, warning: 1, note: 2 } as const;
  return found.sort((a, b) => rank[a.level] - rank[b.level]);
}
