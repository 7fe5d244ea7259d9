import { CdkDrag, CdkDropList, CdkDropListGroup, type CdkDragDrop } from '@angular/cdk/drag-drop';
import { DatePipe } from '@angular/common';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import {
  dayFromIso,
  firstDayOf,
  isoDay,
  momentOf,
  sayInLine,
  saySession,
  weekOf,
  type Day,
  type Plan,
  type Programme,
  type ProgrammeSession,
  type SaidSession,
  shownBag,
} from '../../../core/index';

/** A session that is to be on another day. */
export interface Moved {
  readonly id: string;
  readonly day: Day;
}

interface Cell {
  readonly day: Day;
  readonly session: ProgrammeSession | null;
  readonly said: SaidSession | null;
  readonly off: boolean;
}

const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** A programme week by week: sessions are dragged to another day, or moved there with Alt and the arrow keys. */
@Component({
  selector: 'kt-week-calendar',
  imports: [CdkDrag, CdkDropList, CdkDropListGroup, DatePipe, MatButtonModule, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="wide">
      <table cdkDropListGroup aria-label="The programme by week">
        <thead>
          <tr>
            <th scope="col">Week</th>
            @for (name of weekdays; track name) {
              <th scope="col">{{ name }}</th>
            }
            <th scope="col">Load</th>
          </tr>
        </thead>
        <tbody>
          @for (week of weeks(); track week.monday) {
            <tr>
              <th scope="row">
                {{ week.number }}
                @if (week.easier) {
                  <span class="small">easier</span>
                }
              </th>
              @for (cell of week.cells; track cell.day) {
                <td
                  cdkDropList
                  [cdkDropListData]="cell.day"
                  [class.today]="cell.day === today()"
                  [class.off]="cell.off"
                  (cdkDropListDropped)="drop($event)"
                >
                  <span class="date small figures">{{ momentOf(cell.day) | date: 'd MMM' }}</span>
                  @if (cell.session; as session) {
                    <button
                      type="button"
                      matButton="outlined"
                      class="session"
                      cdkDrag
                      matTooltip="Opens its sheet. Drag it or press Alt + an arrow key to move it"
                      [attr.id]="'session-' + session.id"
                      [class]="session.state"
                      [cdkDragData]="session.id"
                      [cdkDragDisabled]="session.state !== 'open'"
                      [attr.aria-label]="labelOf(session, cell.said)"
                      [attr.aria-keyshortcuts]="session.state === 'open' ? 'Alt+ArrowLeft Alt+ArrowRight' : null"
                      (click)="opened.emit(session)"
                      (keydown)="nudge($event, session)"
                    >
                      <b>{{ cell.said?.head }}</b>
                      @if (cell.said?.text; as text) {
                        <span class="figures">{{ text }}</span>
                      }
                      @if (cell.said?.reviews?.join(', '); as reviews) {
                        <span class="small">review {{ reviews }}</span>
                      }
                      <span class="small">
                        {{ session.state === 'open' ? 'effort ' + session.effort : session.state
                        }}{{ session.bag ? ' · ' + shownBag(session.bag) : '' }}
                      </span>
                    </button>
                  } @else if (cell.off) {
                    <span class="small soft">off</span>
                  }
                </td>
              }
              <td class="figures load">{{ week.load }}</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styleUrl: './week-calendar.scss',
})
export class WeekCalendar {
  protected readonly shownBag = shownBag;
  readonly programme = input.required<Programme>();
  readonly today = input.required<Day>();
  /** Loads of days that are over, as they were. */
  readonly held = input.required<Plan['held']>();
  readonly moved = output<Moved>();
  readonly opened = output<ProgrammeSession>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  protected readonly weekdays = weekdays;
  protected readonly momentOf = momentOf;

  protected readonly weeks = computed(() => {
    const { sessions, wishes } = this.programme();
    const byDay = new Map(sessions.map((session) => [dayFromIso(session.day) ?? 0, session]));
    const loads = new Map(this.held().map(({ day, load }) => [day, load]));
    const first = weekOf(dayFromIso(wishes.starts) ?? 0);
    const last = Math.max(first + wishes.weeks - 1, ...[...byDay.keys()].map(weekOf));
    return Array.from({ length: last - first + 1 }, (_, at) => {
      const monday = firstDayOf(first + at);
      const cells = Array.from({ length: 7 }, (_each, weekday): Cell => {
        const day = monday + weekday;
        const session = byDay.get(day) ?? null;
        const said = session && saySession(this.programme(), session);
        return { day, session, said, off: wishes.daysOff.includes(isoDay(day)) };
      });
      const held = cells.flatMap(({ session }) => (session && session.state !== 'missed' ? [session] : []));
      return {
        ...{ monday, cells, number: at + 1, easier: held.some(({ easier }) => easier) },
        load: Math.round(
          cells.reduce((sum, { day, session }) => {
            const planned = session?.state === 'open' ? session.effort * session.minutes : 0;
            return sum + (loads.get(day) ?? planned);
          }, 0),
        ),
      };
    });
  });

  /** The session that is being moved by keys: it is drawn in another place, and whoever moves it goes with it. */
  private following: Moved | null = null;

  constructor() {
    afterRenderEffect(() => {
      const { sessions } = this.programme();
      const { following } = this;
      // Not before it is there: the programme may be drawn anew for another reason first.
      if (!following || !sessions.some(({ id, day }) => id === following.id && day === isoDay(following.day))) return;
      this.host.querySelector<HTMLElement>(`#session-${CSS.escape(following.id)}`)?.focus();
      this.following = null;
    });
  }

  protected labelOf(session: ProgrammeSession, said: SaidSession | null): string {
    const { day, effort, state, bag } = session;
    return [
      day,
      state,
      ...(said ? [sayInLine(said)] : []),
      `effort ${effort}`,
      ...(bag ? [`on the ${shownBag(bag)}`] : []),
    ].join(', ');
  }

  protected drop({ item, container, previousContainer }: CdkDragDrop<Day, Day, string>): void {
    if (container !== previousContainer) this.moved.emit({ id: item.data, day: container.data });
  }

  /** One day on or back, over days that are taken. */
  protected nudge(event: KeyboardEvent, session: ProgrammeSession): void {
    if (!event.altKey || session.state !== 'open') return;
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const taken = new Set(this.programme().sessions.map(({ day }) => day));
    let day = (dayFromIso(session.day) ?? 0) + by;
    while (taken.has(isoDay(day))) day += Math.sign(by);
    this.following = { id: session.id, day };
    this.moved.emit({ id: session.id, day });
  }
}
