import {
  changesStance,
  familyOf,
  fullMoveName,
  isStrike,
  moveKind,
  writeMove,
  writeSlot,
  type Item,
  type Move,
  type Scheme,
  type Slot,
} from '../../../core/index';
import type { Glyph, Outline, Sign } from './staff';

/** Units left free before the first move and behind the last, and between two of them. */
export const edge = 10;
export const gap = 12;

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
    case 'hold':
    case 'conditioning':
    case 'wait':
      return kind.family;
  }
}

/** Width that a label needs, and the least that an outline needs. */
function glyphWidth(label: string): number {
  return Math.max(34, label.length * 8.6 + 16);
}

/** How a drawing uses its place. */
export interface PenRoom {
  /** Where levels stand close together, what lands together stands side by side. */
  readonly beside: boolean;
  /** How much wider than need be moves are drawn, and what is between them. */
  readonly widen: number;
  readonly gap: number;
  readonly names: boolean;
}

/** Draws moves from left to right; where each went is read off it afterwards. */
export class Pen {
  x = edge;
  /** Columns drawn so far, and the width of their moves alone. */
  columns = 0;
  drawn = 0;
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
    readonly room: PenRoom,
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
        const from = this.x - this.room.gap / 2;
        this.draw(item.items, path);
        if (item.times > 1) this.brackets.push({ from, to: this.x - this.room.gap / 2, text: `×${item.times}` });
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
    const width = glyphWidth(label) * this.room.widen;
    const key = `${path.join('.')}/0`;
    const base = {
      key,
      path,
      y: this.middle,
      width,
      outline: 'slot',
      side: null,
      label,
      name: '',
      aim: null,
      hollow: true,
      force: null,
    } as const;
    this.glyphs.push({
      ...base,
      x: this.x,
      title: slot ? `athlete’s choice: ${label}` : 'freestyle: athlete’s choice',
      isNew: this.fresh.has(key),
    });
    this.advance(width, path);
  }

  private moves(moves: readonly Move[], path: readonly number[]): void {
    const widths = moves.map((move) => this.widthOf(move));
    const width = this.room.beside ? widths.reduce((sum, each) => sum + each, 0) : Math.max(...widths);
    const ys = moves.map((move) => this.yOf(move));
    moves.forEach((move, at) => {
      const key = `${path.join('.')}/${at}`;
      const own = widths[at] ?? width;
      this.glyphs.push({
        key,
        path,
        x: this.x + (this.room.beside ? widths.slice(0, at).reduce((sum, each) => sum + each, 0) : (width - own) / 2),
        y: ys[at] ?? this.middle,
        width: own,
        outline: outlineOf(move),
        side: move.side,
        label: this.label(move),
        name: this.room.names ? moveKind(move.id).name : '',
        title: fullMoveName(move),
        aim: move.aim ?? null,
        isNew: this.fresh.has(key),
        hollow: move.feint === true,
        force: move.force ?? null,
      });
    });
    // What lands together is one step.
    if (moves.some(isStrike)) this.strikes.push(this.x + width / 2);
    if (moves.length === 2 && !this.room.beside)
      this.stems.push({ x: this.x + width / 2, from: Math.min(...ys), to: Math.max(...ys) });
    this.advance(width, path);
    if (moves.some(changesStance)) this.turn();
  }

  /** Wide enough for its code, and for its name where that stands under it. */
  private widthOf(move: Move): number {
    const name = this.room.names ? moveKind(move.id).name.length * 5.4 + 6 : 0;
    return Math.max(glyphWidth(this.label(move)), name) * this.room.widen;
  }

  /** Labels leave out what the drawing shows: the side of a defence by its lean, the force by its outline. */
  private label(move: Move): string {
    const leans = familyOf(move) === 'defence' && move.side !== null;
    const text = writeMove(
      { kind: 'move', id: move.id, side: leans ? null : move.side, target: move.target },
      this.scheme,
    );
    return move.feint ? `ft ${text}` : text;
  }

  private turn(): void {
    if (this.bandFrom === null) this.bandFrom = this.x - this.room.gap / 2;
    else {
      this.bands.push({ from: this.bandFrom, to: this.x - this.room.gap / 2 });
      this.bandFrom = null;
    }
  }

  private advance(width: number, path: readonly number[]): void {
    this.ends.set(path.join('.'), this.x + width);
    this.x += width + this.room.gap;
    this.columns += 1;
    this.drawn += width;
  }
}
