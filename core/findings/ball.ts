import { ballRhythm, landings } from '../bags/bench/ball-rhythm';
import { doubleEndSwing, type DoubleEnd } from '../bags/bench/double-end';
import { natureOf } from '../bags/kinds';
import { moveKind } from '../moves/catalogue';
import { isStrike, type Move } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { changePiece } from '../sheet/edit';
import type { Piece, Sheet } from '../sheet/schema';
import type { Leaf } from '../timeline/leaf';
import { leafName } from '../timeline/names';
import type { PaceFactor, PerMinute } from '../units';
import type { Checked, Finding, Mend } from './finding';

/** A tempo this near to one of the ball's meets it (house value: half a fist's width of the swing). */
const nearEnough = 0.05;
const bounds = { bpm: [30, 240], percent: [10, 100] } as const;

/** The moves of a combination, wherever they stand; null where something is left to the athlete. */
function movesOf(items: readonly Item[]): Move[] | null {
  const out: Move[] = [];
  for (const item of items) {
    if (item.kind === 'move') out.push(item);
    else if (item.kind === 'pair') out.push(...item.moves);
    else if (item.kind === 'group') out.push(...(movesOf(item.items) ?? []));
    else return null;
  }
  return out;
}

function straightsOnly(combination: Combination): boolean {
  const strikes = movesOf(combination.items)?.filter(isStrike) ?? [];
  return strikes.length > 1 && strikes.every(({ id }) => moveKind(id).shape === 'straight');
}

/** The ball's tempo that is nearest to one, as a ratio. */
function nearest(tempo: PerMinute, tempos: readonly PerMinute[]): PerMinute {
  return tempos.reduce((best, each) =>
    Math.abs(Math.log(each / tempo)) < Math.abs(Math.log(best / tempo)) ? each : best,
  );
}

const misses = (tempo: PerMinute, met: PerMinute): boolean => Math.abs(tempo / met - 1) > nearEnough;

/** The effort, as a per cent, at which a piece is worked at a pace; null where there is none. */
function percentFor(pace: PaceFactor): number | null {
  const percent = Math.round(50 + ((pace - 0.8) / 0.65) * 50);
  return percent >= bounds.percent[0] && percent <= bounds.percent[1] ? percent : null;
}

function withPiece(sheet: Sheet, id: string | null, change: (piece: Piece) => Piece): Sheet {
  const piece = sheet.blocks.flatMap(({ pieces }) => pieces).find((each) => each.id === id);
  return piece ? changePiece(sheet, change(piece)) : sheet;
}

function clickMend(leaf: Leaf, tempo: PerMinute): Mend[] {
  const bpm = Math.round(tempo);
  if (bpm < bounds.bpm[0] || bpm > bounds.bpm[1]) return [];
  return [
    {
      label: `Set the click to ${bpm} per minute`,
      edit: (sheet) =>
        withPiece(sheet, leaf.pieceId, (piece) =>
          piece.kind === 'combination' || piece.kind === 'build' ? { ...piece, bpm } : piece,
        ),
    },
  ];
}

function paceMend(leaf: Leaf, pace: PaceFactor, classPace: PaceFactor): Mend[] {
  const percent = percentFor(pace / classPace);
  if (percent === null) return [];
  return [
    {
      label: `Set the effort to ${percent}%`,
      edit: (sheet) =>
        withPiece(sheet, leaf.pieceId, (piece) => {
          const { focus: _, ...plain } = piece;
          return { ...plain, effort: percent } as Piece;
        }),
    },
  ];
}

/** Blows a minute while the hands work: of the strikes of a repetition, from one landing to the next. */
function tempoOf(combination: Combination, pace: PaceFactor): PerMinute | null {
  const landed = landings(combination, pace);
  const [first, last] = [landed[0], landed.at(-1)];
  if (first === undefined || last === undefined || landed.length < 2 || last <= first) return null;
  return (60_000 * (landed.length - 1)) / (last - first);
}

function leafFinding(
  leaf: Leaf,
  ball: DoubleEnd,
  classPace: PaceFactor,
): Pick<Finding, 'what' | 'mend' | 'mends'> | null {
  const { tempos, returnInterval } = doubleEndSwing(ball);
  if (!leaf.combination) return null;
  const said = (tempo: PerMinute, met: PerMinute): string =>
    `${Math.round(tempo)} per minute misses the ball: it comes back at ${tempos.map(Math.round).join(', ')}; the nearest is ${Math.round(met)}`;
  if (leaf.voice === 'click') {
    const met = nearest(leaf.bpm, tempos);
    if (!misses(leaf.bpm, met)) return null;
    return {
      what: `clicks at ${said(leaf.bpm, met)}`,
      mend: `click at ${Math.round(met)} per minute`,
      mends: clickMend(leaf, met),
    };
  }
  if (straightsOnly(leaf.combination)) {
    const tempo = tempoOf(leaf.combination, leaf.pace);
    const met = tempo === null ? null : nearest(tempo, tempos);
    if (tempo === null || met === null || !misses(tempo, met)) return null;
    const mends = paceMend(leaf, (leaf.pace * met) / tempo, classPace);
    return {
      what: `straights at ${said(tempo, met)}`,
      mend: mends[0]?.label.toLowerCase() ?? 'choose another tempo',
      mends,
    };
  }
  if (leaf.voice !== 'strikes') return null;
  const { pace } = ballRhythm(leaf.combination, returnInterval);
  if (!misses(leaf.pace, pace) || leaf.pace <= pace) return null;
  const mends = paceMend(leaf, pace, classPace);
  return {
    what: `called strike by strike, this is too fast for the ball: ${pace.toFixed(2)} of steady pace at most, not ${leaf.pace.toFixed(2)}`,
    mend: mends[0]?.label.toLowerCase() ?? 'choose an easier effort',
    mends,
  };
}

/** Work on a ball between cords that does not meet its beat, where the sheet has the ball's figures; nothing is judged without. */
export function ballFindings({ sheet, timeline }: Checked): Finding[] {
  const { ball } = sheet;
  if (!ball) return [];
  const seen = new Set<string>();
  return timeline.leaves.flatMap((leaf): Finding[] => {
    const onBall = leaf.bags.some((bag) => natureOf(bag, sheet.ownBags)?.measured === 'cords');
    const place = `${leaf.pieceId ?? ''} ${leaf.stage?.number ?? ''}`;
    if (!onBall || leaf.kind === 'show' || seen.has(place)) return [];
    seen.add(place);
    const found = leafFinding(leaf, ball, sheet.class.pace ?? 1);
    if (!found) return [];
    return [
      {
        level: 'note',
        kind: 'ball beat',
        where: leafName(leaf),
        blockId: leaf.blockId,
        ...(leaf.pieceId ? { pieceId: leaf.pieceId } : {}),
        ...found,
      },
    ];
  });
}
