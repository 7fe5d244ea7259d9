import { sayFault } from '../fault';
import { isStrike } from '../moves/move';
import { studyOf } from '../mechanics/study-of';
import { fitBuild } from '../adapting/build-fit';
import { sayClock } from '../clock-text';
import type { Leaf } from '../timeline/leaf';
import { stretchBlock, stretchLastPiece } from '../timeline/stretch';
import type { Piece } from '../sheet/schema';
import { fillsHalf, isMirrored, perRound, pieceLength, piecesLength, stagesOf, textsOf } from '../timeline/stages';
import { readStored } from '../notation/stored';
import { sayMends, type Finding, type Mend, type Place } from './finding';

/** Text that cannot be read as a combination. */
export function unreadFindings(place: Place, piece: Piece): Finding[] {
  const read = textsOf(piece)
    .map(readStored)
    .find((each) => !each.ok);
  if (!read || read.ok) return [];
  const shown = read.fault.read ? `"${read.fault.read.slice(0, 40)}" cannot be read` : 'nothing is written here';
  return [
    {
      level: 'error',
      kind: 'unread',
      where: place.name,
      what: `${shown}: ${sayFault(read.fault)}`,
      mend: 'retype the combination',
      blockId: place.block.id,
      pieceId: piece.id,
      mends: [],
    },
  ];
}

function newStrikes(combination: Leaf['combination'], added: readonly number[]): number {
  if (!combination) return 0;
  const listed = studyOf(combination, 'orthodox').turns[0]?.walk.steps.flatMap(({ step }) => step.content) ?? [];
  return added.filter((index) => {
    const content = listed[index];
    return content?.kind === 'move' ? isStrike(content) : content !== undefined;
  }).length;
}

/** Builds of kinds that grow by a strike at a time; the others add more by their nature. */
const addsOne: ReadonlySet<string> = new Set(['ladder', 'backward', 'pyramid', 'join']);

/** A build against its rounds and its time, and stages that add more than one strike. */
export function buildFindings(place: Place, piece: Piece): Finding[] {
  if (piece.kind !== 'build') return [];
  const { block } = place;
  const stages = stagesOf(piece);
  const here = { where: place.name, blockId: block.id, pieceId: piece.id, mends: [] };
  const times = block.times ?? 1;
  const rounds = `${times} ${times === 1 ? 'round' : 'rounds'}`;
  const found: Finding[] = [];
  if (stages.length === 0 && textsOf(piece).every((text) => readStored(text).ok))
    found.push({
      ...here,
      level: 'error',
      kind: 'no stages',
      what: 'this build has no stages: it needs a range that can grow',
      mend: 'for example any 2-5',
    });
  if (perRound(piece) && stages.length > times) {
    const { ways } = fitBuild(block, piece);
    found.push({
      ...here,
      level: 'error',
      kind: 'stages and rounds',
      what: `${stages.length} stages, but ${rounds}`,
      mend: sayMends(ways),
      mends: ways,
    });
  }
  if (perRound(piece) && stages.length < times && stages.length > 0)
    found.push({
      ...here,
      level: 'note',
      kind: 'rounds left',
      what: `${rounds}, but ${stages.length} ${stages.length === 1 ? 'stage' : 'stages'}`,
      mend: 'the last stage repeats for the remaining rounds',
    });
  if (perRound(piece) && piecesLength(block) >= (block.ms ?? 0))
    found.push({
      ...here,
      level: 'error',
      kind: 'no time for the build',
      what: `no time left for the build: the other drills take ${sayClock(piecesLength(block))} of the ${sayClock(block.ms ?? 0)} round`,
      mend: 'shorten the other drills',
    });
  if (!addsOne.has(piece.build)) return found;
  stages.forEach((stage, index) => {
    const fresh = index > 0 ? newStrikes(stage.combination, stage.added) : 0;
    if (fresh > 1)
      found.push({
        ...here,
        level: 'note',
        kind: 'strikes at once',
        what: `stage ${index + 1} adds ${fresh} strikes at once`,
        mend: 'move the stage mark, or keep it if the class is ready',
      });
  });
  return found;
}

/** Pieces that do not add up to their block. */
export function lengthFindings(place: Place): Finding[] {
  const { block, name } = place;
  if (block.ms === null || block.pieces.length === 0 || block.pieces.some(perRound)) return [];
  if (isMirrored(place.sheet, block) && fillsHalf(block)) return [];
  const pieces = piecesLength(block);
  const apart = pieces - block.ms;
  if (apart === 0) return [];
  const last = block.pieces.at(-1);
  const build = block.pieces.find((piece) => piece.kind === 'build');
  const mends: Mend[] = build?.kind === 'build' ? [...fitBuild(block, build).ways] : [];
  if (mends.length === 0)
    mends.push({
      label: `Make the ${block.kind} ${sayClock(pieces)}`,
      edit: (sheet) => stretchBlock(sheet, block.id, pieces),
    });
  if (last && last.kind !== 'build' && pieceLength(last) - apart >= 1000)
    mends.unshift({
      label: `Make the last drill ${sayClock(pieceLength(last) - apart)}`,
      edit: (sheet) => stretchLastPiece(sheet, block.id),
    });
  const count = build?.kind === 'build' ? stagesOf(build).length : 0;
  const stages = `${count} ${count === 1 ? 'stage' : 'stages'}`;
  const what =
    count === 0
      ? 'the drills take'
      : block.pieces.length > 1
        ? `${stages} and the other drills take`
        : `${stages} take`;
  return [
    {
      level: 'error',
      kind: 'length',
      where: name,
      what: `${what} ${sayClock(pieces)}, but the ${block.kind} is ${sayClock(block.ms)}: ${sayClock(Math.abs(apart))} too ${apart > 0 ? 'long' : 'short'}`,
      mend: sayMends(mends),
      blockId: block.id,
      mends,
    },
  ];
}

/** Two calls of the coach's at one second: nobody can say both then. */
function sameSecondFindings({ block, name }: Place): Finding[] {
  const says = (block.says ?? []).toSorted((a, b) => a.atMs - b.atMs);
  const second = (atMs: number): number => Math.floor(atMs / 1000);
  return says.slice(1).flatMap((say, index): Finding[] => {
    const before = says[index];
    if (block.ms === null || !before || second(before.atMs) !== second(say.atMs)) return [];
    return [
      {
        level: 'warning',
        kind: 'calls at one second',
        where: name,
        what: `“${before.words}” and “${say.words}” are both called at ${sayClock(say.atMs)}`,
        mend: 'move one of them by some seconds, or make them one call',
        blockId: block.id,
        mends: [],
      },
    ];
  });
}

/** Calls of the coach's that would fall behind their block, or on each other. */
export function sayFindings(place: Place): Finding[] {
  return [...outsideFindings(place), ...sameSecondFindings(place)];
}

function outsideFindings({ block, name }: Place): Finding[] {
  return (block.says ?? [])
    .filter(({ atMs }) => block.ms !== null && atMs >= block.ms)
    .map(({ words, atMs }) => ({
      level: 'error',
      kind: 'call outside',
      where: name,
      what: `"${words}" is called at ${sayClock(atMs)}, but the ${block.kind} is ${sayClock(block.ms ?? 0)}`,
      mend: 'move it earlier',
      blockId: block.id,
      mends: [],
    }));
}

/** A combination or goal that sticks at a seam. */
export function seamFindings(place: Place, piece: Piece): Finding[] {
  const [text] = textsOf(piece);
  const read = text === undefined ? null : readStored(text);
  if (!read?.ok || (piece.kind !== 'combination' && piece.kind !== 'build')) return [];
  // Single strikes that are never joined have no transitions.
  if (piece.kind === 'build' && piece.alone) return [];
  const studied = studyOf(read.value, place.sheet.stance, piece.nonStop ?? false);
  const seam = studied.turns.flatMap((turn) => turn.seams).find((each) => each.level === 'warning');
  if (!seam) return [];
  return [
    {
      level: 'warning',
      kind: 'seam',
      where: place.name,
      what: seam.reason,
      mend: 'open the drill and choose one of the fixes',
      blockId: place.block.id,
      pieceId: piece.id,
      mends: [],
    },
  ];
}
