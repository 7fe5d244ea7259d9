import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatMenuModule } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { Router } from '@angular/router';
import {
  alike,
  dayFromIso,
  isoDay,
  momentOf,
  readStored,
  sayGoal,
  sayStep,
  stepsTo,
  writeCombination,
  type Plan,
  type Programme,
  type ProgrammeSession,
  type ProgrammeWishes,
} from '../../../core/index';
import { AddingUp } from '../../parts/adding-up';
import { ChoiceField } from '../../parts/fields/choice-field';
import { FileButton } from '../../parts/fields/file-button';
import { UnreadList } from '../../parts/unread-list';
import { FilesService } from '../../services/files.service';
import { KeysService } from '../../services/keys.service';
import { NoticeService } from '../../services/notice.service';
import { ProgrammeService } from '../../services/programme.service';
import { ProgressService } from '../../services/progress.service';
import { ProgrammeForm } from './programme-form';
import { WeekCalendar, type Moved } from './week-calendar';
import { TodayService } from '../../services/today.service';
import { HelpLink } from '../../parts/help-link';

/** Repeats that come more days late than this are spoken of (house value). */
const saidLate = 3;

/** Weeks on a calendar towards a goal. */
@Component({
  selector: 'kt-programme-page',
  imports: [
    HelpLink,
    AddingUp,
    ...[ChoiceField, DatePipe, FileButton, MatButtonModule, MatIcon, MatMenuModule, MatTooltip],
    ...[ProgrammeForm, UnreadList, WeekCalendar],
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './programme-page.html',
  styleUrl: './programme-page.scss',
})
export class ProgrammePage {
  private readonly programmes = inject(ProgrammeService);
  private readonly progress = inject(ProgressService);
  private readonly files = inject(FilesService);
  private readonly notices = inject(NoticeService);
  private readonly router = inject(Router);

  /** How a goal is to be built up, from the address: combinations, each one move more than the one before. */
  readonly towards = input<string | readonly string[]>();
  /** The same as far as it can be read; nothing where a part of it cannot, or where it is longer than a programme keeps. */
  protected readonly way = computed((): readonly string[] => {
    const said = [this.towards() ?? []].flat();
    const read = said.flatMap((text) => {
      const combination = readStored(text);
      return combination.ok ? [writeCombination(combination.value)] : [];
    });
    return read.length === said.length && read.length <= 30 ? read : [];
  });

  protected readonly unreadStores = ['choices'] as const;
  protected readonly today = inject(TodayService).day;
  protected readonly all = toSignal(this.programmes.all$);
  private readonly picked = signal<string | null>(null);
  protected readonly programme = computed(() => {
    const all = this.all();
    return all?.find(({ id }) => id === this.picked()) ?? all?.[0] ?? null;
  });
  protected readonly choices = computed(() =>
    (this.all() ?? []).map(({ id, wishes }) => ({ value: id, name: wishes.name || sayGoal(wishes.goal) })),
  );
  /** Whether the form stands open: for a new programme, or for other wishes of the one that is there. */
  protected readonly form = signal<'new' | 'other' | null>(null);
  /** What planning anew has moved, until it is put away. */
  protected readonly moved = signal<readonly string[]>([]);
  protected readonly plan = signal<Plan | null>(null);
  private readonly changes = toSignal(this.progress.watch(async () => Date.now()));

  protected readonly steps = computed(() => {
    const programme = this.programme();
    if (!programme) return [];
    const done = new Set(
      programme.sessions.flatMap(({ state, adds }) => (state === 'done' && adds ? [sayStep(adds)] : [])),
    );
    const open = new Map(
      programme.sessions.flatMap(({ state, adds, day }) => (state === 'open' && adds ? [[sayStep(adds), day]] : [])),
    );
    const left = new Set((this.plan()?.left ?? []).map(sayStep));
    return stepsTo(programme.wishes.goal).map((step) => {
      const name = sayStep(step);
      const day = open.get(name) ?? null;
      // What nothing teaches and nothing leaves over was known before it began.
      return { name, day, state: done.has(name) ? 'done' : day ? 'open' : left.has(name) ? 'left' : 'known' };
    });
  });
  protected readonly reached = computed(
    () => this.steps().filter(({ state }) => state === 'done' || state === 'known').length,
  );
  protected readonly stillOpen = computed(() => this.steps().filter(({ state }) => state === 'open'));
  protected readonly next = computed(() => this.programme()?.sessions.find(({ state }) => state === 'open') ?? null);
  protected readonly warnings = computed((): readonly string[] => {
    const plan = this.plan();
    if (!plan) return [];
    return [
      ...(plan.left.length > 0
        ? [
            `${plan.left.length} ${plan.left.length === 1 ? 'step does' : 'steps do'} not fit (${plan.left.map(sayStep).join('; ')}): add weeks, or another day per week.`,
          ]
        : []),
      ...plan.broken.map(({ monday, bound }) =>
        bound === 'rise'
          ? `The week of ${isoDay(monday)} goes over your weekly limit whatever we plan, because the weeks before were so light: keep it easy.`
          : `The week of ${isoDay(monday)} is more monotonous than your limit: drop a day.`,
      ),
      ...(plan.late > saidLate
        ? [`Some reviews run up to ${plan.late} days late: there is more to review than fits.`]
        : []),
    ];
  });

  protected readonly sayGoal = sayGoal;
  protected isToday({ day }: ProgrammeSession): boolean {
    return day === isoDay(this.today());
  }

  protected momentOfDay({ day }: ProgrammeSession): number {
    return momentOf(dayFromIso(day) ?? 0);
  }

  constructor() {
    effect(() => {
      if (this.way().length > 0) untracked(() => this.form.set('new'));
    });
    // What the log has come to know plans the rest anew; what that moves is said.
    effect(() => {
      this.changes();
      const id = this.programme()?.id;
      if (id) untracked(() => void this.replan());
    });
    inject(KeysService).use('The programme', [
      {
        keys: ['t'],
        does: 'Open today’s sheet, or the next one',
        repeats: false,
        when: () => this.next() !== null,
        press: () => void this.openSheet(this.next()),
      },
      { keys: ['n'], does: 'A new programme', repeats: false, press: () => this.form.set('new') },
    ]);
  }

  private async replan(): Promise<void> {
    const programme = this.programme();
    if (!programme) return;
    const next = await this.programmes.replan(programme, this.today());
    this.plan.set(next.plan);
    if (alike(next.programme, programme)) return;
    if (next.moved.length > 0) this.moved.set(next.moved);
    await this.programmes.keep(programme, next.programme);
  }

  protected pick(id: string): void {
    this.moved.set([]);
    this.picked.set(id);
  }

  protected async make(wishes: ProgrammeWishes): Promise<void> {
    const old = this.form() === 'other' ? this.programme() : null;
    const made = await this.programmes.create(wishes, this.today());
    this.picked.set(made.programme.id);
    this.form.set(null);
    this.plan.set(made.plan);
    if (old) {
      const putBack = await this.programmes.remove(old);
      this.notices.undoable('Replanned', async () => {
        await putBack();
        await this.programmes.remove(made.programme);
      });
    }
  }

  protected async move({ id, day }: Moved): Promise<void> {
    const programme = this.programme();
    if (!programme) return;
    const moved = await this.programmes.move(programme, id, day, this.today());
    if (!moved) {
      void this.notices.say('That day is past or already has a session: choose another');
      return;
    }
    this.plan.set(moved.plan);
    const putBack = await this.programmes.put(moved.programme);
    this.notices.undoable(['Moved', ...moved.moved].join(' · ').slice(0, 200), putBack);
  }

  protected async openSheet(session: ProgrammeSession | null): Promise<void> {
    const programme = this.programme();
    if (!programme || !session) return;
    await this.router.navigate(['/sheets', await this.programmes.sheetOf(programme, session)]);
  }

  protected async remove(programme: Programme): Promise<void> {
    const putBack = await this.programmes.remove(programme);
    this.moved.set([]);
    this.notices.undoable('Programme deleted; its sheets are kept', putBack);
  }

  protected async calendarFile(): Promise<void> {
    const programme = this.programme();
    if (!programme) return;
    const { calendar } = await import('../../services/calendar');
    const text = calendar.programmeIcs(programme, Date.now());
    await this.files.save('keen-tempo-programme.ics', text, 'text/calendar;charset=utf-8');
  }

  /** Sessions that were moved in a calendar move here, too. */
  protected async calendarIn([file]: readonly File[]): Promise<void> {
    const before = this.programme();
    if (!file || !before) return;
    const { calendar } = await import('../../services/calendar');
    const moves = calendar.movesIn(await file.text());
    if (!moves) {
      void this.notices.say(`${file.name} is not a calendar: choose an .ics file`);
      return;
    }
    let [programme, count] = [before, 0];
    for (const { uid, day } of moves) {
      const session = programme.sessions.find((each) => calendar.uidOf(each) === uid && each.day !== isoDay(day));
      const moved = session && (await this.programmes.move(programme, session.id, day, this.today()));
      if (!moved) continue;
      programme = moved.programme;
      count += 1;
    }
    if (count === 0) {
      void this.notices.say('The calendar matches: nothing to move');
      return;
    }
    const putBack = await this.programmes.put(programme);
    this.notices.undoable(`${count} ${count === 1 ? 'session' : 'sessions'} moved to match the calendar`, putBack);
  }
}
