import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  balanceOf,
  headSchema,
  sayClock,
  stancePlanNames,
  stancePlans,
  stanceTimes,
  usualPieces,
  usualStances,
  type Sheet,
} from '../../../core/index';
import { ChoiceField } from '../../parts/fields/choice-field';
import { NumberField } from '../../parts/fields/number-field';
import { Editor } from '../../services/editor';

type Stances = NonNullable<Sheet['stances']>;

/** When the class switches stance, and what comes of it for both sides. */
@Component({
  selector: 'kt-stance-plan',
  imports: [ChoiceField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stance-plan.html',
})
export class StancePlan {
  private readonly editor = inject(Editor);
  readonly sheet = input.required<Sheet>();

  protected readonly plans = [
    { value: undefined, name: 'as set in the blocks' },
    ...stancePlans.map((value) => ({ value, name: stancePlanNames[value] })),
  ];
  protected readonly stanceSchemas = headSchema.shape.stances.def.innerType.shape;
  protected readonly usualPieces = usualPieces;
  protected readonly plan = computed(() => this.sheet().stances?.plan);
  protected readonly balance = computed(() => {
    const [sums, timeline] = [this.editor.tally(), this.editor.timeline()];
    if (!sums || !timeline) return null;
    const { strikes, ms, left, balanced } = balanceOf(sums);
    const { natural, other, changes } = stanceTimes(timeline);
    return {
      balanced,
      strikes: `strikes: left ${Math.round(strikes.left)}, right ${Math.round(strikes.right)} (${Math.round(left * 100)}% left)`,
      times: `left ${Math.round(ms.left / 1000)} s, right ${Math.round(ms.right / 1000)} s of work`,
      stances: `own stance ${sayClock(natural)}, opposite stance ${sayClock(other)}, ${changes} ${changes === 1 ? 'change' : 'changes'}`,
    };
  });

  protected putPlan(plan: Stances['plan'] | undefined): void {
    this.editor.apply((sheet) => {
      const { stances, ...plain } = sheet;
      return plan ? { ...plain, stances: { ...usualStances, ...stances, plan } } : plain;
    });
  }

  protected putStances(change: Partial<Stances>): void {
    this.editor.apply((sheet) => (sheet.stances ? { ...sheet, stances: { ...sheet.stances, ...change } } : sheet));
  }
}
