import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  drillKinds,
  drillNames,
  focusNames,
  pieceSchemas,
  readStored,
  stanceNames,
  usualDrill,
  usualGapMs,
  wordsSchema,
  type Block,
  type Piece,
  type PieceOf,
  type Scheme,
  type Sheet,
} from '../../../core/index';
import { orNothing, type Choice, ChoiceField } from '../../parts/fields/choice-field';
import { FigureFold } from '../../parts/figure/figure-fold';
import { BuildOptions } from './build-options';
import { RhythmOptions } from './rhythm-options';

/** Everything about a piece that does not stand on its row: breath, stance, what is done in it, focus, and the options of a build, a drill or a rhythm. */
@Component({
  selector: 'kt-piece-options',
  imports: [MatCheckbox, ChoiceField, NumberField, TextField, MatButtonModule, BuildOptions, FigureFold, RhythmOptions],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './piece-options.html',
  styleUrl: './options.scss',
})
export class PieceOptions {
  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef);
    afterNextRender(() => host.nativeElement.scrollIntoView({ block: 'nearest' }));
  }

  readonly piece = input.required<Piece>();
  readonly block = input.required<Block>();
  readonly scheme = input.required<Scheme>();
  readonly changed = output<Piece>();
  readonly edited = output<(sheet: Sheet) => Sheet>();

  protected readonly focuses = orNothing('none', focusNames);
  protected readonly stances = orNothing('as on the sheet', stanceNames);
  protected readonly drills = drillKinds.map((value) => ({ value, name: drillNames[value] }));
  protected readonly voices: readonly Choice<'strikes' | 'click' | undefined>[] = [
    { value: undefined, name: 'at the start' },
    { value: 'strikes', name: 'strike by strike' },
    { value: 'click', name: 'with a click' },
  ];
  protected readonly words = wordsSchema;
  protected readonly callSchemas = pieceSchemas.calls.shape;
  protected readonly repeatSchemas = pieceSchemas.combination.shape;
  protected readonly usual = usualDrill;
  protected readonly usualGap = usualGapMs;
  protected readonly build = computed(() => this.of('build'));
  protected readonly rhythm = computed(() => this.of('rhythm'));
  protected readonly calls = computed(() => this.of('calls'));
  protected readonly combination = computed(() => this.of('combination'));
  /** A piece that may have words of the coach's own beside what is done. */
  protected readonly labelled = computed(() => this.combination() ?? this.calls() ?? this.rhythm());
  /** A piece whose strikes may be harder or lighter than its effort. */
  protected readonly hit = computed(() => this.repeats() ?? this.calls());
  /** A piece with repetitions, which have a breath between them. */
  protected readonly repeats = computed(() => this.combination() ?? this.build());

  /** What the figure shows: the combination, or what is built up to; null while it does not read. */
  protected readonly figured = computed(() => {
    const text = this.combination()?.text ?? this.build()?.goal;
    const read = text ? readStored(text) : null;
    return read?.ok ? read.value : null;
  });

  private of<Kind extends Piece['kind']>(kind: Kind): PieceOf<Kind> | null {
    const piece = this.piece();
    return piece.kind === kind ? (piece as PieceOf<Kind>) : null;
  }

  /** The least and the most push each other along. */
  protected changePunches(key: 'least' | 'most', number: number | null): void {
    const piece = this.calls();
    if (!piece || number === null) return;
    const other = key === 'least' ? { most: Math.max(number, piece.most) } : { least: Math.min(number, piece.least) };
    this.changed.emit({ ...piece, ...other, [key]: number });
  }

  protected changeCallGap(key: 'gapLeastMs' | 'gapMostMs', ms: number | null): void {
    const piece = this.calls();
    if (!piece || ms === null) return;
    const least = key === 'gapLeastMs' ? ms : (piece.gapLeastMs ?? usualDrill.gapLeastMs);
    const most = key === 'gapMostMs' ? ms : (piece.gapMostMs ?? usualDrill.gapMostMs);
    this.changed.emit({ ...piece, gapLeastMs: Math.min(least, most), gapMostMs: Math.max(least, most) });
  }

  /** Another script of the same drill. */
  protected shuffle(): void {
    const piece = this.calls();
    if (piece) this.changed.emit({ ...piece, seed: ((piece.seed ?? usualDrill.seed) % 4_294_967_295) + 1 });
  }
}
