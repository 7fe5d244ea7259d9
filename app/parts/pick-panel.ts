import { CdkDrag, CdkDropList } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatChipsModule } from '@angular/material/chips';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatActionList, MatListItem } from '@angular/material/list';
import { pickKinds, pickLength, pickPicture, picksFor, sayClock, type Pick, type PickKind } from '../../core/index';
import { PicksService } from '../services/picks.service';
import { StrikeStaff } from './strike-staff/strike-staff';
import { fieldLook } from './fields/field-look';

const names: Readonly<Record<PickKind, string>> = {
  format: 'Formats',
  exercise: 'Exercises',
  template: 'Templates',
  book: 'Combinations',
  sheet: 'Sheets',
};
/** More than this are found by searching. */
const mostShown = 60;

/**
 * One panel to pick from, whatever it is: search, kinds, and what the chosen one looks like and adds. It is put in by
 * Enter, by a press, or by dragging.
 */
@Component({
  selector: 'kt-pick-panel',
  imports: [
    CdkDrag,
    CdkDropList,
    MatButtonModule,
    MatChipsModule,
    MatFormFieldModule,
    MatInputModule,
    MatActionList,
    MatListItem,
    ReactiveFormsModule,
    StrikeStaff,
  ],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pick-panel.html',
  styleUrl: './pick-panel.scss',
})
export class PickPanel {
  private readonly picks = inject(PicksService);
  /** The kinds that are of use here. */
  readonly kinds = input<readonly PickKind[]>(pickKinds);
  /** The sheet that is being written, which is not offered to itself. */
  readonly besides = input('');
  /** Ids of the lists that it can be dragged into. */
  readonly into = input<readonly string[]>([]);
  /** What pressing does, in a word. */
  readonly action = input('Add');
  readonly picked = output<Pick>();

  protected readonly names = names;
  protected readonly search = new FormControl('', { nonNullable: true });
  private readonly words = toSignal(this.search.valueChanges, { initialValue: '' });
  protected readonly kind = signal<PickKind | null>(null);
  protected readonly found = computed(() => {
    const kinds = this.kinds();
    const kind = this.kind();
    const offered = this.picks
      .all()
      .filter((pick) => (kind ? pick.kind === kind : kinds.includes(pick.kind)) && pick.sheet?.id !== this.besides());
    return picksFor(offered, this.words());
  });
  protected readonly shown = computed(() =>
    this.found()
      .slice(0, mostShown)
      .map((pick) => ({ pick, length: this.lengthOf(pick) })),
  );
  protected readonly more = computed(() => Math.max(0, this.found().length - mostShown));
  /** The one that is looked at: the first, until another is. */
  protected readonly looked = linkedSignal<readonly Pick[], Pick | null>({
    source: this.found,
    computation: (found, before) => found.find(({ key }) => key === before?.value?.key) ?? found[0] ?? null,
  });
  protected readonly picture = computed(() => {
    const pick = this.looked();
    return pick && pickPicture(pick);
  });
  /** What it adds, a line for each block. */
  protected readonly adds = computed((): readonly string[] => {
    const adds = this.looked()?.adds;
    if (adds?.what !== 'blocks') return [];
    return adds.blocks.map(({ kind, title, ms, times }) => {
      const length = ms === null ? 'open' : sayClock(ms);
      return `${kind} ${length}${times ? ` × ${times}` : ''}${title ? `: ${title}` : ''}`;
    });
  });

  protected lengthOf(pick: Pick): string {
    const ms = pickLength(pick);
    return ms === null ? '' : sayClock(ms);
  }
}
