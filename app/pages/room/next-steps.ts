import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  hasDone,
  learningOrders,
  nextStep,
  practisedOn,
  readStored,
  sayEffort,
  type Room,
  shownBag,
} from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { LogService } from '../../services/log.service';

/** What comes next on each kind of bag that is here, by what the log says was done on it. */
@Component({
  selector: 'kt-next-steps',
  imports: [StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>What to learn next on each bag</h2>
    <ul>
      @for (order of orders(); track order.name) {
        <li>
          <b>{{ shownBag(order.bag) }}</b>&ngsp;<span class="soft"
            >{{ order.name }}, {{ order.done }} of {{ order.of }} done</span
          ><br />
          @if (order.next; as next) {
            {{ next.name }}: {{ next.how }} <span class="soft">({{ sayEffort(next.effort) }})</span>
            @if (order.combination; as combination) {
              <kt-strike-staff [combination]="combination" [scale]="0.6" />
            }
          } @else {
            All steps done.
          }
        </li>
      } @empty {
        <li class="soft">Add a bag to the room to see what to learn on it.</li>
      }
    </ul>
  `,
  styleUrl: './room-page.scss',
})
export class NextSteps {
  protected readonly shownBag = shownBag;
  private readonly log = inject(LogService);
  private readonly entries = toSignal(this.log.all$);
  readonly room = input.required<Room>();
  protected readonly sayEffort = sayEffort;

  protected readonly orders = computed(() => {
    const kinds = new Set(this.room().bags.map(({ kind }) => kind));
    const log = this.entries() ?? [];
    return learningOrders
      .filter(({ bag }) => kinds.has(bag))
      .map((order) => {
        const practised = practisedOn(order.bag, log);
        const next = nextStep(order, practised);
        const read = next?.text ? readStored(next.text) : null;
        return {
          bag: order.bag,
          name: order.name,
          next,
          combination: read?.ok ? read.value : null,
          done: order.steps.filter((step) => hasDone(step, practised)).length,
          of: order.steps.length,
        };
      });
  });
}
