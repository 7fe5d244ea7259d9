import {
  familyOf,
  isStrike,
  isWorthSaying,
  unfold,
  type Combination,
  type Item,
  type KickSchool,
  type Move,
  type Scheme,
  type Seam,
  type Study,
  type Target,
} from '../../../core/index';
import { edge, gap, Pen, type PenRoom } from './pen';
import type { Glyph, SeamMark, Stave, StaffLayout } from './staff';

export interface LayoutOptions {
  readonly scheme: Scheme;
  readonly added: readonly number[];
  /** `used` leaves out levels that nothing stands on, for list rows. */
  readonly levels: 'used' | 'all';
  readonly study: Study | null;
  /** Numbers the strikes as the steps of a kickboxing combination; only shown, nothing is counted by it. */
  readonly steps?: boolean;
  /** Levels close together, for rows of a list. */
  readonly dense?: boolean;
  /** Width to height of the place that the drawing has to itself: it is drawn for a wall, and fills it. */
  readonly aspect?: number;
  /** Names under the codes. */
  readonly names?: boolean;
  /** What stands over a move, by its place among the listed ones: the moment at which it comes in. */
  readonly moments?: readonly string[];
  /** Same-side kicks are not marked where they are the school's own. */
  readonly school?: KickSchool;
}

export const glyphHeight = 22;
const halfGlyph = glyphHeight / 2;
/** How far levels and staves stand apart, on the page and in a row. */
const spacious = { level: 17, stave: 25.5, top: 18, bottom: 8 } as const;
const dense = { level: 6, stave: 9, top: 13, bottom: 2 } as const;
/** On a wall the moves are what is read, so the staves make room for them. */
const wall = { level: 9, stave: 14, top: 15, bottom: 3 } as const;
/** How much wider a move is drawn where there is room, and how far apart moves go at most. */
const mostWiden = 1.7;
const mostGap = 80;
const nameRow = 11;
const momentRow = 11;
const stepRow = 13;
const targets: readonly Target[] = ['head', 'body', 'leg'];

function usedTargets(items: readonly Item[], out: Set<Target>): Set<Target> {
  for (const item of items) {
    if (item.kind === 'move' && item.target) out.add(item.target);
    else if (item.kind === 'pair') usedTargets(item.moves, out);
    else if (item.kind === 'group') usedTargets(item.items, out);
    else if (item.kind === 'turns') for (const option of item.options) usedTargets(option, out);
  }
  return out;
}

/** Keys of the new moves: indexes into the unfolded first turn become places in the written text. */
function freshKeys(combination: Combination, added: readonly number[]): Set<string> {
  if (added.length === 0) return new Set();
  const listed = unfold(combination).flatMap((step) => step.content.map((_, at) => `${step.path.join('.')}/${at}`));
  return new Set(added.flatMap((index) => listed[index] ?? []));
}

function seamMarks(
  study: Study | null,
  ends: ReadonlyMap<string, number>,
  gap: number,
  school?: KickSchool,
): SeamMark[] {
  const byPlace = new Map<string, { seam: Seam; x: number }>();
  for (const turn of study?.turns ?? []) {
    for (const seam of turn.seams) {
      if (seam.verdict === 'smooth' || !isWorthSaying(seam, school)) continue;
      const path = turn.walk.steps[seam.after]?.step.path.join('.') ?? '';
      const key = `${path} ${seam.loop}`;
      const x = ends.get(path);
      if (x === undefined || byPlace.get(key)?.seam.level === 'warning') continue;
      byPlace.set(key, { seam, x: seam.loop ? x + gap : x + gap / 2 });
    }
  }
  return [...byPlace.values()].flatMap(({ seam, x }) =>
    seam.verdict === 'smooth'
      ? []
      : [{ x, verdict: seam.verdict, warning: seam.level === 'warning', reason: seam.reason }],
  );
}

const hasBracket = (items: readonly Item[]): boolean =>
  items.some((item) => item.kind === 'group' && (item.times > 1 || hasBracket(item.items)));

/** Moments over the moves that they belong to; one that is the same as the one before it is not said again. */
function momentsOver(
  combination: Combination,
  moments: readonly string[],
  glyphs: readonly Glyph[],
): { readonly x: number; readonly text: string }[] {
  if (moments.length === 0) return [];
  const byKey = new Map(glyphs.map((glyph) => [glyph.key, glyph]));
  const steps = unfold(combination);
  let index = 0;
  let before = '';
  return steps.flatMap((step) => {
    const glyph = byKey.get(`${step.path.join('.')}/0`);
    const text = moments[index] ?? '';
    index += step.content.length;
    if (!glyph || text === before || text === '') return [];
    before = text;
    return [{ x: glyph.x + glyph.width / 2, text }];
  });
}

/** How moves are widened and parted so that a drawing is as wide as its place, within reason. */
function filling({ columns, drawn, room }: Pen, wanted: number): PenRoom {
  const widen = Math.min(mostWiden, Math.max(1, (wanted - 2 * edge - columns * gap) / Math.max(1, drawn)));
  const left = wanted - 2 * edge - drawn * widen;
  return { ...room, widen, gap: Math.min(mostGap, Math.max(gap, left / Math.max(1, columns - 1))) };
}

/** Lays a combination out on the strike staff. Pure: the same combination gives the same drawing. */
export function layoutStaff(combination: Combination, options: LayoutOptions): StaffLayout {
  const used = usedTargets(combination.items, new Set<Target>());
  const levels = targets.filter((target) =>
    options.levels === 'all' ? target !== 'leg' || used.has('leg') : used.has(target),
  );
  if (levels.length === 0) levels.push('head');
  const room = options.dense ? dense : options.aspect === undefined ? spacious : wall;
  const moments = options.moments ?? [];
  const names = options.names ?? false;
  // Rings and brackets stand above the glyphs.
  const tight = room !== spacious;
  const above = tight && (options.added.length > 0 || hasBracket(combination.items)) ? 5 : 0;
  const top = room.top + above + (moments.length > 0 ? momentRow : 0);
  const leadY = (target: Target): number => top + Math.max(0, levels.indexOf(target)) * room.level;
  // A name stands between its move and the middle line, never on it.
  const toMiddle = names ? Math.max(room.stave, halfGlyph + nameRow + 1) : room.stave;
  const middle = leadY(levels.at(-1) ?? 'head') + toMiddle;
  const rearY = (target: Target): number => middle + room.stave + Math.max(0, levels.indexOf(target)) * room.level;
  const yOf = (move: Move): number => {
    if (move.target && (isStrike(move) || move.feint || familyOf(move) === 'push'))
      return move.side === 'lead' ? leadY(move.target) : rearY(move.target);
    return middle + (move.side === 'lead' ? -7 : move.side === 'rear' ? 7 : 0);
  };
  const draw = (space: PenRoom): Pen => {
    const pen = new Pen(yOf, middle, options.scheme, freshKeys(combination, options.added), space);
    pen.draw(combination.items, []);
    pen.finish();
    return pen;
  };
  const bottom = rearY(levels.at(-1) ?? 'head');
  const height =
    bottom +
    halfGlyph +
    room.bottom +
    (tight && options.added.length > 0 ? 4 : 0) +
    (names ? nameRow : 0) +
    (options.steps ? stepRow : 0);
  const natural = draw({ beside: tight, widen: 1, gap, names });
  const wanted = (options.aspect ?? 0) * height;
  const pen = wanted > natural.x ? draw(filling(natural, wanted)) : natural;
  const staves = levels.flatMap((target): Stave[] => [
    { side: 'lead', target, y: leadY(target) },
    { side: 'rear', target, y: rearY(target) },
  ]);
  const width = pen.x - pen.room.gap + edge + (options.study ? gap : 0);
  return {
    width: Math.max(width, Math.min(wanted, width * 2)),
    height,
    moments: momentsOver(combination, moments, pen.glyphs),
    steps: options.steps ? pen.strikes.map((x, index) => ({ x, text: String(index + 1) })) : [],
    middle,
    staves,
    glyphs: pen.glyphs,
    marks: seamMarks(options.study, pen.ends, pen.room.gap, options.school),
    signs: pen.signs,
    brackets: pen.brackets,
    bands: pen.bands,
    stems: pen.stems,
  };
}
