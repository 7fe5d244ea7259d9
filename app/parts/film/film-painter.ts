import {
  besideOf,
  darkPaints,
  leafFigure,
  paperPaints,
  sayClock,
  sceneAt,
  stillAt,
  stillFigure,
  strikingAt,
  takeHomeCautions,
  taughtAt,
  viewAt,
  type LeafFigure,
  type Paints,
  type SessionTime,
  type TakenLeaf,
  type TakenSession,
} from '../../../core/index';
import { paintScene } from '../figure/paint';
import { outlinePath } from '../strike-staff/outlines';
import type { StaffLayout } from '../strike-staff/staff';
import type { FilmLook } from './film-look';

interface Colours {
  readonly canvas: string;
  readonly ink: string;
  readonly soft: string;
  readonly lead: string;
  readonly rear: string;
  readonly onSide: string;
  readonly figure: Paints;
}

const light: Colours = {
  canvas: '#f3eee3',
  ink: '#1c2426',
  soft: '#565246',
  lead: '#9c450a',
  rear: '#12505d',
  onSide: '#ffffff',
  figure: paperPaints,
};
const dark: Colours = {
  canvas: '#12191b',
  ink: '#f3eee3',
  soft: '#b9b7ad',
  lead: '#f2a24d',
  rear: '#6cc8d6',
  onSide: '#12191b',
  figure: darkPaints,
};

const between: ReadonlySet<string> = new Set(['defence', 'feet', 'conditioning', 'wait', 'slot', 'hold']);

/** Paints the pictures of a film: title, clock, staff, figure, what is said and what is next. */
export class FilmPainter {
  private readonly colours: Colours;
  private figure: { readonly leaf: TakenLeaf; readonly made: LeafFigure | null } | null = null;

  constructor(
    private readonly context: OffscreenCanvasRenderingContext2D,
    private readonly session: TakenSession,
    private readonly staffs: readonly StaffLayout[],
    private readonly look: FilmLook,
  ) {
    this.colours = look.dark ? dark : light;
  }

  private text(
    words: string,
    x: number,
    y: number,
    size: number,
    options: { soft?: boolean; end?: boolean; width?: number; bold?: boolean } = {},
  ): number {
    const { context } = this;
    context.font = `${options.bold === false ? 500 : 700} ${size}px ${this.look.family}, sans-serif`;
    context.fillStyle = options.soft ? this.colours.soft : this.colours.ink;
    context.textAlign = options.end ? 'end' : 'start';
    context.textBaseline = 'top';
    let line = '';
    let at = y;
    for (const word of words.split(' ')) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (options.width !== undefined && line !== '' && context.measureText(longer).width > options.width) {
        context.fillText(line, x, at);
        at += size * 1.2;
        line = word;
      } else line = longer;
    }
    context.fillText(line, x, at);
    return at + size * 1.2;
  }

  private ground(): void {
    this.context.fillStyle = this.colours.canvas;
    this.context.fillRect(0, 0, this.look.width, this.look.height);
  }

  /** The card before everything: what it is, whose it is, and the usual cautions. */
  title(picture: CanvasImageSource | null): void {
    const { width, height, by } = this.look;
    const unit = Math.min(width, height) / 100;
    this.ground();
    let at = height * 0.16;
    if (picture) {
      const size = unit * 26;
      this.context.drawImage(picture, unit * 6, at, size, size);
      at += size + unit * 4;
    }
    at = this.text(this.session.title, unit * 6, at, unit * 9, { width: width - unit * 12 });
    if (by) at = this.text(by, unit * 6, at + unit, unit * 5, { soft: true, width: width - unit * 12 });
    at += unit * 6;
    for (const caution of takeHomeCautions)
      at = this.text(caution, unit * 6, at, unit * 3.1, { width: width - unit * 12, bold: false }) + unit * 1.4;
  }

  private leafAt(at: SessionTime): TakenLeaf | undefined {
    return this.session.leaves.findLast((leaf) => leaf.at <= at && leaf.ms > 0);
  }

  /** Whether the figure moves in a leaf. */
  readonly moves = (leaf: TakenLeaf): boolean => this.look.figure && leaf.combination !== null;

  /** A moment of the session. */
  paint(at: SessionTime): void {
    this.ground();
    const leaf = this.leafAt(at);
    if (!leaf) return;
    const { width, height } = this.look;
    const wide = width > height * 1.2;
    const unit = Math.min(width, height) / 100;
    const edge = unit * 5;
    const left = Math.max(0, leaf.at + leaf.ms - at);
    const clock = sayClock(Math.ceil(left / 1000) * 1000);
    this.text(clock, width - edge, edge * 0.8, unit * (wide ? 20 : 17), { end: true });
    this.text(leaf.heading, edge, edge, unit * 5, { width: width - edge * 2 - unit * (wide ? 52 : 44) });
    const top = unit * (wide ? 26 : 24);
    const bottom = height - unit * (wide ? 20 : 24);
    this.middle(leaf, at, { left: edge, top, width: width - 2 * edge, height: bottom - top }, wide);
    const said = this.session.calls.findLast((call) => call.at <= at && call.at >= leaf.at)?.say ?? '';
    this.text(said, edge, bottom + unit * 2, unit * 5, { width: width * (wide ? 0.6 : 1) - edge * 2 });
    const next = this.session.leaves[this.session.leaves.indexOf(leaf) + 1];
    if (next) {
      const words = `next: ${next.heading}`;
      if (wide) this.text(words, width - edge, height - unit * 7, unit * 3.4, { soft: true, end: true });
      else this.text(words, edge, height - unit * 6, unit * 3.4, { soft: true });
    }
  }

  private middle(leaf: TakenLeaf, at: SessionTime, box: Box, wide: boolean): void {
    const staff = leaf.staff === null ? undefined : this.staffs[leaf.staff];
    if (!staff || !leaf.combination) {
      const shows = this.look.figure && leaf.still !== null;
      const words = { ...box, width: shows && wide ? box.width * 0.56 : box.width };
      this.text(
        leaf.words,
        box.left,
        box.top + box.height * (shows && !wide ? 0 : 0.3),
        Math.min(box.width, box.height) * 0.12,
        { width: words.width },
      );
      if (shows)
        this.drawFigure(
          leaf,
          at,
          wide
            ? { ...box, left: box.left + words.width, width: box.width - words.width }
            : { ...box, top: box.top + box.height * 0.4, height: box.height * 0.6 },
        );
      return;
    }
    const shares = !this.look.figure ? [1, 1] : wide ? [0.56, 1] : [1, 0.34];
    const staffBox = { ...box, width: box.width * (shares[0] ?? 1), height: box.height * (shares[1] ?? 1) };
    const lit = leaf.block === 'show' ? taughtAt(this.session, leaf, at) : strikingAt(leaf, at);
    this.staff(staff, staffBox, lit);
    if (!this.look.figure) return;
    this.drawFigure(
      leaf,
      at,
      wide
        ? { ...box, left: box.left + staffBox.width, width: box.width - staffBox.width }
        : { ...box, top: box.top + staffBox.height, height: box.height - staffBox.height },
    );
  }

  private drawFigure(leaf: TakenLeaf, at: SessionTime, box: Box): void {
    if (this.figure?.leaf !== leaf) {
      const still = leaf.still && stillFigure(leaf.still, leaf.stance);
      this.figure = { leaf, made: still ? { figure: still, views: [] } : leafFigure(leaf, this.session, leaf.stance) };
    }
    const { made } = this.figure;
    if (!made) return;
    // A pose is taken up at once.
    const since = Math.max(at - leaf.at, leaf.still === null ? 0 : stillAt);
    const view = viewAt(made.views.findLast((each) => each.at <= since)?.view ?? this.look.view, made.figure, since);
    const beside = besideOf(leaf.bag, made.figure);
    paintScene(this.context, sceneAt(made.figure, since, view, beside), this.colours.figure, box);
  }

  private staff(layout: StaffLayout, box: Box, lit: string | null): void {
    const { context, colours } = this;
    const scale = Math.min(box.width / layout.width, box.height / layout.height);
    context.save();
    context.translate(box.left, box.top + (box.height - layout.height * scale) / 2);
    context.scale(scale, scale);
    context.strokeStyle = colours.soft;
    context.lineWidth = 0.7;
    for (const { y, target } of layout.staves) {
      context.setLineDash(target === 'body' ? [5, 3] : target === 'leg' ? [1.5, 4] : []);
      context.stroke(new Path2D(`M2 ${y}H${layout.width - 2}`));
    }
    context.setLineDash([]);
    context.strokeStyle = colours.ink;
    context.lineWidth = 1.6;
    context.stroke(new Path2D(`M2 ${layout.middle}H${layout.width - 2}`));
    for (const { x, from, to } of layout.stems) context.stroke(new Path2D(`M${x} ${from}V${to}`));
    context.textAlign = 'center';
    context.textBaseline = 'alphabetic';
    for (const { x, text } of layout.signs) {
      context.fillStyle = colours.ink;
      context.font = `500 18px ${this.look.family}, sans-serif`;
      context.fillText(text, x + 4, layout.middle + 5);
    }
    for (const glyph of layout.glyphs) {
      const open = between.has(glyph.outline) || glyph.hollow || glyph.side === null;
      context.save();
      context.translate(glyph.x, glyph.y);
      const path = new Path2D(outlinePath(glyph.outline, glyph.width));
      context.fillStyle = open ? colours.canvas : glyph.side === 'lead' ? colours.lead : colours.rear;
      context.fill(path);
      const on = lit === glyph.path.join('.');
      if (open || on) {
        context.lineWidth = on ? 3.5 : 1.2;
        context.strokeStyle = colours.ink;
        context.stroke(path);
      }
      context.font = `700 14px ${this.look.family}, sans-serif`;
      context.fillStyle = open ? colours.ink : colours.onSide;
      context.fillText(glyph.label, glyph.width / 2, 5);
      context.font = `600 9px ${this.look.family}, sans-serif`;
      context.fillStyle = colours.ink;
      if (glyph.name) context.fillText(glyph.name, glyph.width / 2, 20);
      context.restore();
    }
    context.restore();
  }
}

interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}
