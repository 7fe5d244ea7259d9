import { CdkDragHandle } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { mdiDotsVertical, mdiDragVertical, mdiPencilOutline } from '@mdi/js';
import {
  effortNames,
  pieceName,
  planLeaf,
  readStored,
  sayClock,
  sayEffort,
  sayFault,
  spell,
  stagesOf,
  studyOf,
  textsOf,
  type Effort,
  type Leaf,
  type Milliseconds,
  type Piece,
  type PieceOf,
  type Scheme,
} from '../../../core/index';
import { ClockField } from '../../parts/clock-field';
import { Icon } from '../../parts/icon';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import type { PieceRow } from './editor';

/** One piece of a block; a build unfolds in place, a line for each stage. */
@Component({
  selector: 'kt-piece-view',
  imports: [CdkDragHandle, MatMenuModule, ClockField, Icon, StrikeStaff],
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

  readonly picked = output();
  readonly changed = output<Piece>();
  readonly edited = output();
  readonly duplicated = output();
  readonly deleted = output();

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
  protected readonly goal = computed(() => spell(this.build()?.goal ?? '', this.scheme()));
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

  protected togglePerRound(): void {
    const build = this.build();
    if (build) this.changed.emit({ ...build, every: build.every === 'round' ? [30_000] : 'round' });
  }

  protected toggleDefence(): void {
    const build = this.build();
    if (build) this.changed.emit({ ...build, defence: build.defence === 'own' ? 'rides' : 'own' });
  }

  protected toggleNonStop(): void {
    const { piece } = this.row();
    if (piece.kind === 'combination') this.changed.emit({ ...piece, nonStop: piece.nonStop ? undefined : true });
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
