import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, model, output, signal } from '@angular/core';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { MatMenuModule } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import {
  blockSchema,
  plainName,
  sayClock,
  type Block,
  type Pick,
  type Piece,
  type Scheme,
  type Sheet,
  type TechniqueFocus,
} from '../../../core/index';
import { ClockField } from '../../parts/fields/clock-field';
import { FocusField } from '../../parts/focus-field';
import type { BlockRow } from '../../services/block-rows';
import { OwnCalls } from './own-calls';
import { PieceView } from './piece-view';

/** A piece, or something picked, dropped somewhere: into which block and at which place. */
export interface PieceDrop {
  readonly dropped: string | Pick;
  readonly blockId: string;
  readonly to: number;
}

/** One block of the run sheet with its pieces. */
@Component({
  selector: 'kt-block-view',
  imports: [
    NumberField,
    TextField,
    MatIcon,
    MatButtonModule,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    MatMenuModule,
    MatTooltip,
    ClockField,
    FocusField,
    OwnCalls,
    PieceView,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'line-below on-canvas', '[style.--rows]': 'row().pieces.length' },
  templateUrl: './block-view.html',
  styleUrl: './block-view.scss',
})
export class BlockView {
  readonly row = input.required<BlockRow>();
  readonly scheme = input.required<Scheme>();
  readonly selected = input<string | null>(null);
  readonly marked = input<ReadonlySet<string>>(new Set());
  /** Kinds of bag of the coach's own, which a reminder may name. */
  readonly ownBags = input<readonly string[]>([]);
  readonly pieceLists = input<readonly string[]>([]);
  /** The piece whose options stand open, and the builds that stand unfolded. */
  readonly options = model<string | null>(null);
  readonly unfolded = input<ReadonlySet<string>>(new Set());
  readonly unfoldToggled = output<string>();

  readonly mended = output<(sheet: Sheet) => Sheet>();
  readonly picked = output<string>();
  readonly clicked = output<{ readonly id: string; readonly event: MouseEvent }>();
  readonly changed = output<Partial<Omit<Block, 'id'>>>();
  readonly pieceChanged = output<Piece>();
  readonly edited = output<string>();
  readonly duplicated = output<string>();
  readonly deleted = output<string>();
  readonly dropped = output<PieceDrop>();

  protected readonly sayClock = sayClock;
  protected readonly schemas = blockSchema.shape;
  /** Whether the field of what the block is for stands open. */
  protected readonly purposing = signal(false);
  /** Whether the cues of the block are being written. */
  protected readonly reminding = signal(false);
  /** Whether the coach's own calls of the block are being written. */
  protected readonly calling = signal(false);
  protected readonly name = computed(() => {
    const { block, round } = this.row();
    const times = block.times ?? 1;
    if (round !== null && times > 1) return `Rounds ${round}–${round + times - 1}`;
    return plainName({ block: block.kind, round, title: null });
  });

  protected changeFocuses(focuses: readonly TechniqueFocus[]): void {
    this.changed.emit({ focuses: focuses.length > 0 ? [...focuses] : undefined });
  }

  protected changeTimes(times: number): void {
    const restMs = this.row().block.restMs ?? 60_000;
    this.changed.emit(times === 1 ? { times: undefined, restMs: undefined } : { times, restMs });
  }

  protected drop(event: CdkDragDrop<string, string, string | Pick>): void {
    this.dropped.emit({ dropped: event.item.data, blockId: event.container.data, to: event.currentIndex });
  }
}
