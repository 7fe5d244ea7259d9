import { CdkDrag, CdkDragHandle, CdkDropList, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { mdiContentDuplicate, mdiDeleteOutline, mdiDotsVertical, mdiDragVertical } from '@mdi/js';
import {
  blockName,
  sayClock,
  type Block,
  type Milliseconds,
  type Piece,
  type Scheme,
  type Sheet,
} from '../../../core/index';
import { ClockField } from '../../parts/clock-field';
import { Icon } from '../../parts/icon';
import type { BlockRow } from '../../services/editor';
import { PieceView } from './piece-view';

/** A piece dropped somewhere: into which block and at which place. */
export interface PieceDrop {
  readonly pieceId: string;
  readonly blockId: string;
  readonly to: number;
}

/** One block of the run sheet with its pieces. */
@Component({
  selector: 'kt-block-view',
  imports: [CdkDrag, CdkDragHandle, CdkDropList, MatMenuModule, ClockField, Icon, PieceView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './block-view.html',
  styleUrl: './block-view.scss',
})
export class BlockView {
  readonly row = input.required<BlockRow>();
  readonly scheme = input.required<Scheme>();
  readonly selected = input<string | null>(null);
  readonly marked = input<ReadonlySet<string>>(new Set());
  readonly pieceLists = input<readonly string[]>([]);

  readonly mended = output<(sheet: Sheet) => Sheet>();
  readonly picked = output<string>();
  readonly clicked = output<{ readonly id: string; readonly event: MouseEvent }>();
  readonly changed = output<Partial<Omit<Block, 'id'>>>();
  readonly pieceChanged = output<Piece>();
  readonly edited = output<string>();
  readonly duplicated = output<string>();
  readonly deleted = output<string>();
  readonly dropped = output<PieceDrop>();

  protected readonly icons = {
    grip: mdiDragVertical,
    more: mdiDotsVertical,
    copy: mdiContentDuplicate,
    bin: mdiDeleteOutline,
  };
  protected readonly sayClock = sayClock;
  protected readonly name = computed(() => {
    const { block, round } = this.row();
    const times = block.times ?? 1;
    if (round !== null && times > 1) return `Rounds ${round} to ${round + times - 1}`;
    return blockName({ ...block, title: undefined }, round);
  });

  protected changeLength(ms: Milliseconds): void {
    this.changed.emit({ ms });
  }

  protected changeTitle(event: Event): void {
    const title = (event.target as HTMLInputElement).value.slice(0, 400);
    this.changed.emit({ title: title.trim() ? title : undefined });
  }

  protected changeTimes(event: Event): void {
    const field = event.target as HTMLInputElement;
    const times = Math.round(Number(field.value));
    if (times >= 1 && times <= 99)
      this.changed.emit(
        times === 1 ? { times: undefined, restMs: undefined } : { times, restMs: this.row().block.restMs ?? 60_000 },
      );
    else field.value = String(this.row().block.times ?? 1);
  }

  protected changeGoal(event: Event): void {
    const field = event.target as HTMLInputElement;
    const goal = field.value === '' ? undefined : Math.round(Number(field.value));
    if (goal === undefined || (goal >= 1 && goal <= 100_000)) this.changed.emit({ goal });
    else field.value = String(this.row().block.goal ?? '');
  }

  protected drop(event: CdkDragDrop<string, string, string>): void {
    this.dropped.emit({ pieceId: event.item.data, blockId: event.container.data, to: event.currentIndex });
  }
}
