import {
  changesStance,
  familyOf,
  fullMoveName,
  isStrike,
  isWorthSaying,
  moveKind,
  unfold,
  writeMove,
  writeSlot,
  type Combination,
  type Item,
  type KickSchool,
  type Move,
  type Scheme,
  type Seam,
  type Slot,
  type Study,
  type Target,
} from '../../../core/index';
import type { Outline, Glyph, SeamMark, Sign, Stave, StaffLayout } from './staff';

export interface LayoutOptions {
  readonly scheme: Scheme;
  readonly added: readonly number[];
  /** `used` leaves out levels that nothing stands on, for list rows. */
  readonly levels: 'used' | 'all';
  readonly study: Study | null;
  /** Numbers the strikes as the steps of a kickboxing combination; only shown, nothing is counted by it. */
  readonly steps?: boolean;
  /** Same-side kicks are not marked where they are the school's own. */
  readonly school?: KickSchool;
}

export const glyphHeight = 22;
const levelStep = 17;
const halfGlyph = glyphHeight / 2;
const top = 18;
const edge = 10;
const gap = 12;
const stepRow = 13;
const targets: readonly Target[] = ['head', 'body', 'leg'];

function outlineOf(move: Move): Outline {
  const kind = moveKind(move.id);
  switch (kind.family) {
    case 'punch':
      return kind.shape ?? 'straight';
    case 'slot':
      return 'slot';
    case 'elbow':
    case 'knee':
    case 'kick':
    case 'teep':
    case 'push':
    case 'defence':
    case 'feet':
    case 'conditioning':
    case 'wait':
      return kind.family;
  }
}

function usedTargets(items: readonly Item[], out: Set<Target>): Set<Target> {
  for (const item of items) {
    if (item.kind === 'move' && item.target) out.add(item.target);
    else if (item.kind === 'pair') usedTargets(item.moves, out);
    else if (item.kind === 'group') usedTargets(item.items, out);
    else if (item.kind === 'turns') for (const option of item.options) usedTargets(option, out);
  }
  return out;
}

/** Width that a label needs, and the least that an outline needs. */
function glyphWidth(label: string): number {
  return Math.max(34, label.length * 8.6 + 16);
}

class Pen {
  x = edge;
  readonly glyphs: Glyph[] = [];
  readonly signs: Sign[] = [];
  readonly brackets: { from: number; to: number; text: string }[] = [];
  readonly bands: { from: number; to: number }[] = [];
  readonly stems: { x: number; from: number; to: number }[] = [];
  readonly strikes: number[] = [];
  readonly ends = new Map<string, number>();
  private bandFrom: number | null = null;

  constructor(
    private readonly yOf: (move: Move) => number,
    private readonly middle: number,
    private readonly scheme: Scheme,
    private readonly fresh: ReadonlySet<string>,
  ) {}

  draw(items: readonly Item[], path: readonly number[]): void {
    items.forEach((item, index) => this.item(item, [...path, index]));
  }

  finish(): void {
    if (this.bandFrom !== null) this.bands.push({ from: this.bandFrom, to: this.x });
  }

  private item(item: Item, path: readonly number[]): void {
    switch (item.kind) {
      case 'move':
        this.moves([item], path);
        break;
      case 'pair':
        this.moves(item.moves, path);
        break;
      case 'slot':
        this.open(writeSlot(item, this.scheme), item, path);
        break;
      case 'freestyle':
        this.open('freestyle', null, path);
        break;
      case 'group': {
        const from = this.x - gap / 2;
        this.draw(item.items, path);
        if (item.times > 1) this.brackets.push({ from, to: this.x - gap / 2, text: `×${item.times}` });
        break;
      }
      case 'turns':
        item.options.forEach((option, at) => {
          this.sign(at === 0 ? '[' : '/');
          this.draw(option, [...path, at]);
        });
        this.sign(']');
    }
  }

  private sign(text: string): void {
    this.signs.push({ x: this.x, text });
    this.x += 14;
  }

  private open(label: string, slot: Slot | null, path: readonly number[]): void {
    const width = glyphWidth(label);
    const key = `${path.join('.')}/0`;
    const base = {
      key,
      path,
      y: this.middle,
      width,
      outline: 'slot',
      side: null,
      label,
      aim: null,
      hollow: true,
      force: null,
    } as const;
    this.glyphs.push({
      ...base,
      x: this.x,
      title: slot ? `left to the athlete: ${label}` : 'all left to the athlete',
      isNew: this.fresh.has(key),
    });
    this.advance(width, path);
  }

  private moves(moves: readonly Move[], path: readonly number[]): void {
    const widths = moves.map((move) => glyphWidth(this.label(move)));
    const width = Math.max(...widths);
    const ys = moves.map((move) => this.yOf(move));
    moves.forEach((move, at) => {
      const key = `${path.join('.')}/${at}`;
      const own = widths[at] ?? width;
      this.glyphs.push({
        key,
        path,
        x: this.x + (width - own) / 2,
        y: ys[at] ?? this.middle,
        width: own,
        outline: outlineOf(move),
        side: move.side,
        label: this.label(move),
        title: fullMoveName(move),
        aim: move.aim ?? null,
        isNew: this.fresh.has(key),
        hollow: move.feint === true,
        force: move.force ?? null,
      });
    });
    // What lands together is one step.
    if (moves.some(isStrike)) this.strikes.push(this.x + width / 2);
    if (moves.length === 2) this.stems.push({ x: this.x + width / 2, from: Math.min(...ys), to: Math.max(...ys) });
    this.advance(width, path);
    if (moves.some(changesStance)) this.turn();
  }

  /** Labels leave out what the drawing shows: the side of a defence by its lean, the force by its outline. */
  private label(move: Move): string {
    const plain: Move = { kind: 'move', id: move.id, side: move.side, target: move.target };
    const text = writeMove(plain, this.scheme).replace(/-[lr]$/, '');
    return move.feint ? `ft ${text}` : text;
  }

  private turn(): void {
    if (this.bandFrom === null) this.bandFrom = this.x - gap / 2;
    else {
      this.bands.push({ from: this.bandFrom, to: this.x - gap / 2 });
      this.bandFrom = null;
    }
  }

  private advance(width: number, path: readonly number[]): void {
    this.ends.set(path.join('.'), this.x + width);
    this.x += width + gap;
  }
}

/** Keys of the new moves: indexes into the unfolded first turn become places in the written text. */
function freshKeys(combination: Combination, added: readonly number[]): Set<string> {
  if (added.length === 0) return new Set();
  const listed = unfold(combination).flatMap((step) => step.content.map((_, at) => `${step.path.join('.')}/${at}`));
  return new Set(added.flatMap((index) => listed[index] ?? []));
}

function seamMarks(study: Study | null, ends: ReadonlyMap<string, number>, school?: KickSchool): SeamMark[] {
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

/** Lays a combination out on the strike staff. Pure: the same combination gives the same drawing. */
export function layoutStaff(combination: Combination, options: LayoutOptions): StaffLayout {
  const used = usedTargets(combination.items, new Set<Target>());
  const levels = targets.filter((target) =>
    options.levels === 'all' ? target !== 'leg' || used.has('leg') : used.has(target),
  );
  if (levels.length === 0) levels.push('head');
  const leadY = (target: Target): number => top + Math.max(0, levels.indexOf(target)) * levelStep;
  const middle = leadY(levels.at(-1) ?? 'head') + levelStep * 1.5;
  const rearY = (target: Target): number => middle + levelStep * 1.5 + Math.max(0, levels.indexOf(target)) * levelStep;
  const yOf = (move: Move): number => {
    if (move.target && (isStrike(move) || move.feint || familyOf(move) === 'push'))
      return move.side === 'lead' ? leadY(move.target) : rearY(move.target);
    return middle + (move.side === 'lead' ? -7 : move.side === 'rear' ? 7 : 0);
  };
  const pen = new Pen(yOf, middle, options.scheme, freshKeys(combination, options.added));
  pen.draw(combination.items, []);
  pen.finish();
  const staves = levels.flatMap((target): Stave[] => [
    { side: 'lead', target, y: leadY(target) },
    { side: 'rear', target, y: rearY(target) },
  ]);
  const bottom = Math.max(...staves.map((stave) => stave.y));
  return {
    width: pen.x - gap + edge + (options.study ? gap : 0),
    height: bottom + halfGlyph + 8 + (options.steps ? stepRow : 0),
    steps: options.steps ? pen.strikes.map((x, index) => ({ x, text: String(index + 1) })) : [],
    middle,
    staves,
    glyphs: pen.glyphs,
    marks: seamMarks(options.study, pen.ends, options.school),
    signs: pen.signs,
    brackets: pen.brackets,
    bands: pen.bands,
    stems: pen.stems,
  };
}
