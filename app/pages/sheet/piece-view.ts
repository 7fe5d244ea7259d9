import { CdkDragHandle } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { mdiDotsVertical, mdiDragVertical, mdiPencilOutline } from '@mdi/js';
import {
  buildNames,
  effortNames,
  goalsName,
  pieceName,
  planLeaf,
  readStored,
  sayClock,
  sayEffort,
  sayFault,
  stagesOf,
  studyOf,
  textsOf,
  type Block,
  type Effort,
  type Leaf,
  type Milliseconds,
  type Piece,
  type PieceOf,
  type Scheme,
  type Sheet,
} from '../../../core/index';
import { ClockField } from '../../parts/clock-field';
import { Icon } from '../../parts/icon';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import type { PieceRow } from '../../services/editor';
import { LaneVersions } from './lane-versions';
import { PieceOptions } from './piece-options';

/** One piece of a block; a build unfolds in place, a line for each stage. */
@Component({
  selector: 'kt-piece-view',
  imports: [CdkDragHandle, MatMenuModule, ClockField, Icon, LaneVersions, PieceOptions, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './piece-view.html',
  styleUrl: './piece-view.scss',
})
export class PieceView {
  readonly row = input.required<PieceRow>();
  /** When the block begins, so that the gutter counts from there. */
  readonly start = input.required<Milliseconds>();
  readonly scheme = input.required<Scheme>();
  readonly selected = input(false);
  /** Whether it is one of the rows that are changed together. */
  readonly marked = input(false);
  readonly block = input.required<Block>();

  /** An edit of more than the piece, from its options. */
  readonly mended = output<(sheet: Sheet) => Sheet>();
  readonly picked = output();
  readonly changed = output<Piece>();
  readonly edited = output();
  readonly duplicated = output();
  readonly deleted = output();

  /** Whether the options stand open under the row. */
  protected readonly open = signal(false);
  protected readonly icons = { grip: mdiDragVertical, more: mdiDotsVertical, edit: mdiPencilOutline };
  protected readonly sayClock = sayClock;
  protected readonly sayEffort = sayEffort;
  protected readonly efforts: readonly Effort[] = [...effortNames, 50, 60, 70, 80, 90, 100];

  protected readonly build = computed((): PieceOf<'build'> | null => {
    const { piece } = this.row();
    return piece.kind === 'build' ? piece : null;
  });
  protected readonly stages = computed(() => {
    const build = this.build();
    return build ? stagesOf(build).length : 0;
  });
  protected readonly goal = computed(() => {
    const build = this.build();
    return build ? goalsName(build, this.scheme()) : '';
  });
  protected readonly buildName = computed(() => {
    const build = this.build();
    return build ? buildNames[build.build].replace(/^./, (letter) => letter.toUpperCase()) : '';
  });
  protected readonly name = computed(() => pieceName(this.row().piece, this.scheme()));
  /** Why kept text cannot be read, or null. */
  protected readonly unread = computed(() => {
    const { piece } = this.row();
    for (const text of textsOf(piece)) {
      const read = readStored(text);
      if (!read.ok) return { text, why: sayFault(read.fault) };
    }
    return null;
  });
  protected readonly leaf = computed(() => this.row().leaves[0] ?? null);
  /** Whether the combination ends in the other stance, so that somebody has to say how it goes on. */
  protected readonly turns = computed(() => {
    const combination = this.leaf()?.combination;
    return combination ? studyOf(combination, 'orthodox').turns.some(({ walk }) => walk.end !== walk.start) : false;
  });
  protected readonly every = computed(() => {
    const every = this.build()?.every;
    return every === undefined || every === 'round' ? null : (every[0] ?? null);
  });

  /** On the row itself only, so that o can be typed in its fields. */
  protected toggleOptions(event: Event): void {
    if (event.target !== event.currentTarget) return;
    event.preventDefault();
    this.open.set(!this.open());
  }

  /** Planned strikes of a leaf as shown at the row's end. `24`, `18–30` */
  protected planned(leaf: Leaf): string {
    const plan = planLeaf(leaf);
    const [least, most] = [Math.round(plan.least), Math.round(plan.most)];
    if (most === 0) return '';
    return least === most ? String(most) : `${least}–${most}`;
  }

  protected changeEffort(event: Event): void {
    const value = (event.target as HTMLSelectElement).value;
    const effort = this.efforts.find((each) => String(each) === value);
    if (effort !== undefined) this.changed.emit({ ...this.row().piece, effort });
  }

  protected changeLength(ms: Milliseconds): void {
    const { piece } = this.row();
    if (piece.kind !== 'build') this.changed.emit({ ...piece, ms });
  }

  protected changeEvery(ms: Milliseconds): void {
    const build = this.build();
    if (build) this.changed.emit({ ...build, every: [ms] });
  }

  protected toggleOtherStance(): void {
    const { piece } = this.row();
    if (piece.kind === 'combination')
      this.changed.emit({ ...piece, otherStance: piece.otherStance === 'reset' ? undefined : 'reset' });
  }

  protected changeWords(event: Event): void {
    const { piece } = this.row();
    const words = (event.target as HTMLInputElement).value.slice(0, 400);
    if (piece.kind === 'words') this.changed.emit({ ...piece, words });
  }
}
