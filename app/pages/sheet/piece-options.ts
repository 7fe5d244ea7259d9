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
import {
  drillKinds,
  focusNames,
  usualDrill,
  type Block,
  type Piece,
  type PieceOf,
  type Scheme,
  type Sheet,
} from '../../../core/index';
import { BuildOptions } from './build-options';

/** Everything about a piece that does not stand on its row: breath, what is done in it, focus, a build's and a drill's options. */
@Component({
  selector: 'kt-piece-options',
  imports: [BuildOptions],
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

  protected readonly focuses = focusNames;
  protected readonly drills = drillKinds;
  protected readonly usual = usualDrill;
  protected readonly build = computed(() => this.of('build'));
  protected readonly calls = computed(() => this.of('calls'));
  protected readonly combination = computed(() => this.of('combination'));
  /** A piece with repetitions, which have a breath between them. */
  protected readonly repeats = computed(() => this.combination() ?? this.build());
  protected readonly gap = computed(() => (this.repeats()?.gapMs ?? 3000) / 1000);

  private of<Kind extends Piece['kind']>(kind: Kind): PieceOf<Kind> | null {
    const piece = this.piece();
    return piece.kind === kind ? (piece as PieceOf<Kind>) : null;
  }

  protected value(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected changeFocus(text: string): void {
    this.changed.emit({ ...this.piece(), focus: focusNames.find((focus) => focus === text) });
  }

  protected changeGap(event: Event): void {
    const field = event.target as HTMLInputElement;
    const seconds = Number(field.value);
    const piece = this.repeats();
    if (!piece) return;
    if (field.value !== '' && seconds >= 0 && seconds <= 60)
      this.changed.emit({ ...piece, gapMs: seconds === 3 ? undefined : Math.round(seconds * 1000) });
    else field.value = String(this.gap());
  }

  protected changeVoice(text: string): void {
    const piece = this.repeats();
    const voice = (['strikes', 'click'] as const).find((each) => each === text);
    if (piece) this.changed.emit({ ...piece, voice });
  }

  protected changeBpm(text: string): void {
    const piece = this.repeats();
    const bpm = Math.round(Number(text));
    if (piece && bpm >= 30 && bpm <= 240) this.changed.emit({ ...piece, bpm });
  }

  protected changeBetween(text: string): void {
    const between = text.trim() === '' ? undefined : text.slice(0, 400);
    const piece = this.repeats() ?? this.calls();
    if (piece) this.changed.emit({ ...piece, between });
  }

  protected changeNonStop(): void {
    const piece = this.repeats();
    if (piece) this.changed.emit({ ...piece, nonStop: piece.nonStop ? undefined : true });
  }

  protected changeWords(text: string): void {
    const piece = this.combination();
    if (piece) this.changed.emit({ ...piece, words: text.trim() === '' ? undefined : text.slice(0, 400) });
  }

  protected changeDrill(text: string): void {
    const piece = this.calls();
    const drill = drillKinds.find((kind) => kind === text);
    if (piece && drill) this.changed.emit({ ...piece, drill });
  }

  protected changePunches(key: 'least' | 'most', text: string): void {
    const piece = this.calls();
    const number = Math.round(Number(text));
    if (!piece || !(number >= 1 && number <= 20)) return;
    const other = key === 'least' ? { most: Math.max(number, piece.most) } : { least: Math.min(number, piece.least) };
    this.changed.emit({ ...piece, ...other, [key]: number });
  }

  protected changeCallGap(key: 'gapLeastMs' | 'gapMostMs', text: string): void {
    const piece = this.calls();
    const ms = Math.round(Number(text) * 1000);
    if (!piece || text === '' || !(ms >= 0 && ms <= 60_000)) return;
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
