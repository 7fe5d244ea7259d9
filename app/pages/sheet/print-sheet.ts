import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import {
  pieceName,
  unfoldedLength,
  sayClock,
  sayEffort,
  writeCombination,
  type Combination,
  type Leaf,
  type Scheme,
  type Sheet,
  type Tally,
  type Timeline,
  blockWords,
  shownBag,
} from '../../../core/index';
import type { Strip, Stripped } from '../../parts/figure/strips';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import type { BlockRow, PieceRow } from '../../services/block-rows';

/** Height and width of a printed page's inside at 96 dots an inch: A4 less margins, the smaller side of A4 and Letter each. */
const page = { width: 718, height: 950 };
const smallest = 0.35;

/**
 * The sheet for the wall: one page with times, staffs and notes, drawn only while it is printed. Pages with the figure's
 * telling moments follow where the print was asked for here: the figure is loaded only when it is wanted.
 */
@Component({
  selector: 'kt-print-sheet',
  imports: [StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './print-sheet.html',
  styleUrl: './print-sheet.scss',
  host: { '(window:beforeprint)': 'draw()', '(window:afterprint)': 'putAway()' },
})
export class PrintSheet {
  protected readonly blockWords = blockWords;
  protected readonly shownBag = shownBag;
  readonly sheet = input.required<Sheet>();
  readonly rows = input.required<readonly BlockRow[]>();
  readonly timeline = input.required<Timeline>();
  readonly tally = input.required<Tally | null>();
  readonly scheme = input.required<Scheme>();

  private readonly application = inject(ApplicationRef);
  protected readonly printing = signal(false);
  protected readonly strips = signal<readonly Strip[]>([]);
  private readonly inside = viewChild<ElementRef<HTMLElement>>('inside');
  protected readonly sayClock = sayClock;
  protected readonly summary = computed(() => {
    const { people, level, leftHanded } = this.sheet().class;
    return [
      `${sayClock(this.timeline().ms)}${this.timeline().openBreaks > 0 ? ' plus open rests' : ''}`,
      `${this.timeline().rounds} ${this.timeline().rounds === 1 ? 'round' : 'rounds'}`,
      `${Math.round(this.tally()?.counts.punches ?? 0)} punches`,
      this.sheet().bag,
      ...(people === undefined ? [] : [`${people} people`]),
      ...(leftHanded === undefined ? [] : [`${leftHanded} left-handed`]),
      ...(level === undefined ? [] : [level]),
    ].join(' · ');
  });

  /** Prints it with the figure's telling moments, each combination once; without them where they cannot be loaded. */
  async print(): Promise<void> {
    try {
      const { stripsOf } = await import('../../parts/figure/strips');
      this.strips.set(await stripsOf(this.combinations(), this.scheme(), this.sheet().stance));
    } finally {
      window.print();
    }
  }

  protected putAway(): void {
    this.printing.set(false);
    this.strips.set([]);
  }

  /** The combinations of the sheet in their order, each once, with the pieces that have them. */
  private combinations(): Stripped[] {
    const places = new Map<string, Set<string>>();
    const known = new Map<string, Combination>();
    for (const { round, block, pieces } of this.rows())
      for (const { row } of pieces) {
        const combination = this.drawn(row)?.combination;
        // Free choice shows nothing that a picture could.
        if (!combination || combination.items.every(({ kind }) => kind === 'slot')) continue;
        const text = writeCombination(combination, this.scheme());
        const where = places.get(text) ?? new Set();
        places.set(text, where.add(round === null ? block.kind : `round ${round}`));
        known.set(text, combination);
      }
    return [...known].map(([text, combination]) => ({
      words: `${text} · ${[...(places.get(text) ?? [])].join(', ')}`,
      combination,
    }));
  }

  /** Drawn only for the printer, however it was called, and shrunk until it fits on one page. */
  protected draw(): void {
    this.printing.set(true);
    this.application.tick();
    const inside = this.inside()?.nativeElement;
    if (!inside) return;
    inside.style.setProperty('zoom', '1');
    let zoom = 1;
    // Columns fill anew at each size, so it is tried and not worked out.
    while (zoom > smallest && inside.getBoundingClientRect().height > page.height) {
      zoom = Math.round((zoom - 0.05) * 100) / 100;
      inside.style.setProperty('zoom', String(zoom));
      inside.style.width = `${page.width / zoom}px`;
    }
  }

  /** The leaf whose staff stands for the piece: of a build the longest stage. */
  protected drawn({ leaves }: PieceRow): Leaf | null {
    const size = (leaf: Leaf | null): number => (leaf?.combination ? unfoldedLength(leaf.combination.items) : 0);
    return leaves.reduce<Leaf | null>((best, leaf) => (size(leaf) > size(best) ? leaf : best), null);
  }

  protected words(row: PieceRow): string {
    const { piece } = row;
    const effort = piece.effort === 'steady' ? [] : [sayEffort(piece.effort)];
    const stages = piece.kind === 'build' ? [`${row.leaves.length} × ${sayClock(row.leaves[0]?.ms ?? 0)}`] : [];
    const between = 'between' in piece && piece.between ? [`in between: ${piece.between}`] : [];
    const named = piece.kind === 'combination' ? (piece.words ?? '') : pieceName(piece, this.scheme());
    return [
      named,
      ...stages,
      ...effort,
      ...(piece.focus ? [piece.focus] : []),
      ...('nonStop' in piece && piece.nonStop ? ['non-stop'] : []),
      ...between,
    ]
      .filter((part) => part !== '')
      .join(', ');
  }
}
