import { CdkDragHandle } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, input, model, output } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import { TextField } from '../../parts/fields/text-field';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { MatMenuModule } from '@angular/material/menu';
import {
  buildNames,
  countCombination,
  effortNames,
  entrances,
  goalsName,
  pieceName,
  pieceSchemas,
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
  type SessionTime,
  type Sheet,
} from '../../../core/index';
import { named, type Choice, ChoiceField } from '../../parts/fields/choice-field';
import { ClockField } from '../../parts/fields/clock-field';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import type { PieceRow } from '../../services/block-rows';
import { LaneVersions } from './lane-versions';
import { PieceOptions } from './piece-options';

/** Pixels for one unit of a staff in a row: two staves of two levels come to 52. */
const staffScale = 0.8;

/**
 * One piece of a block in one line: text until it is touched; a build unfolds in place, a line for each stage. Where it
 * begins is put in by the block.
 */
@Component({
  selector: 'kt-piece-view',
  imports: [
    MatTooltip,
    ChoiceField,
    TextField,
    MatIcon,
    MatButtonModule,
    CdkDragHandle,
    MatMenuModule,
    ClockField,
    LaneVersions,
    PieceOptions,
    StrikeStaff,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './piece-view.html',
  styleUrl: './piece-view.scss',
})
export class PieceView {
  readonly row = input.required<PieceRow>();
  /** Where the stages of a build begin in the block. */
  readonly stagesFrom = input<Milliseconds>(0);
  readonly scheme = input.required<Scheme>();
  readonly selected = input(false);
  /** Whether it is one of the rows that are changed together. */
  readonly marked = input(false);
  /** The block that it stands in, where its options stand open under the row. */
  readonly optionsIn = input<Block | null>(null);
  /** Whether a build stands with a line for each stage. */
  readonly unfolded = model(false);

  /** An edit of more than the piece, from its options. */
  readonly mended = output<(sheet: Sheet) => Sheet>();
  readonly optionsToggled = output();
  readonly picked = output();
  readonly changed = output<Piece>();
  readonly edited = output();
  readonly duplicated = output();
  readonly deleted = output();

  protected readonly sayClock = sayClock;
  protected readonly sayEffort = sayEffort;
  protected readonly efforts: readonly Choice<Effort>[] = [
    ...named(effortNames),
    ...[50, 60, 70, 80, 90, 100].map((value) => ({ value, name: `${value}%` })),
  ];
  protected readonly words = pieceSchemas.words.shape.words;
  protected readonly staffScale = staffScale;
  protected readonly build = computed((): PieceOf<'build'> | null => {
    const { piece } = this.row();
    return piece.kind === 'build' ? piece : null;
  });
  /** The build on one staff, with the moment over each move at which it comes in. */
  protected readonly whole = computed(() => {
    if (!this.build()) return null;
    const shown = entrances(this.row().leaves);
    return shown && { ...shown, moments: shown.at.map((at) => this.sayMoment(at)) };
  });
  /** How long the stages of a build are, in moves; how many, where one staff says the rest. */
  protected readonly stageMarks = computed(() => {
    const build = this.build();
    if (!build) return '';
    const stages = stagesOf(build);
    const count = `${stages.length} ${stages.length === 1 ? 'stage' : 'stages'}`;
    const apart = build.defence === 'own' ? ', defences as separate stages' : '';
    if (this.whole()) return count + apart;
    const moves = stages.map(({ combination }) => countCombination(combination).moves).join(' ');
    return `${count}${apart} of ${moves} moves`;
  });
  /** What else there is to know about a piece that is repeated. */
  protected readonly asides = computed(() => {
    const [piece, leaf] = [this.row().piece, this.leaf()];
    return [
      piece.stance,
      leaf?.nonStop && piece.kind !== 'rhythm' ? 'non-stop' : undefined,
      leaf?.between ? `in between: ${leaf.between}` : undefined,
    ]
      .filter((each) => each !== undefined)
      .join(' · ');
  });
  protected readonly goal = computed(() => {
    const build = this.build();
    return build ? goalsName(build, this.scheme()) : '';
  });
  protected readonly buildName = computed(() => {
    const build = this.build();
    return build ? buildNames[build.build].replace(/^./, (letter) => letter.toUpperCase()) : '';
  });
  /** Whether it has a text that can be changed in the entry line. */
  protected readonly typed = computed(() => {
    const { piece } = this.row();
    return piece.kind === 'combination' || (piece.kind === 'build' && piece.goal !== '');
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

  /** When a stage comes in, in its block. `0:30` */
  protected sayMoment(at: SessionTime): string {
    return sayClock(this.stagesFrom() + at - (this.leaf()?.at ?? at));
  }

  /** Planned strikes of some leaves as shown at the row's end. `24`, `18–30` */
  protected planned(leaves: readonly Leaf[]): string {
    const plans = leaves.map(planLeaf);
    const sum = (each: (plan: (typeof plans)[number]) => number): number =>
      Math.round(plans.reduce((total, plan) => total + each(plan), 0));
    const [least, most] = [sum((plan) => plan.least), sum((plan) => plan.most)];
    if (most === 0) return '';
    return least === most ? String(most) : `${least}–${most}`;
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
}
