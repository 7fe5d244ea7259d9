import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import {
  clockIn,
  dayFromIso,
  draftKinds,
  firstDayOf,
  isoDay,
  levels,
  programmeWishesSchema,
  readCombination,
  sayClock,
  sayFault,
  weekOf,
  writeCombination,
  type Day,
  type ProgrammeGoal,
  type ProgrammeWishes,
} from '../../../core/index';
import { bySchema } from '../../parts/fields/by-schema';
import { DayField } from '../../parts/fields/day-field';
import { fieldLook } from '../../parts/fields/field-look';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { bagChoices } from '../../parts/fields/bag-choices';

const weekdayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((name, value) => ({ name, value }));
const goals = [
  { value: 'combination', name: 'A combination' },
  { value: 'rounds', name: 'A number of rounds' },
  { value: 'stances', name: 'Both stances equally' },
] as const;
const easierWeeks = [
  { value: 0, name: 'none' },
  { value: 3, name: 'every third week' },
  { value: 4, name: 'every fourth week' },
  { value: 5, name: 'every fifth' },
  { value: 6, name: 'every sixth' },
] as const;
const { shape } = programmeWishesSchema;
/** A first goal for whoever says none: a combination of the trade's usual length. */
const firstGoal = '1 2 3b 2 5 2';

/** What a programme is to be like. */
@Component({
  selector: 'kt-programme-form',
  imports: [
    ...[DayField, MatButtonModule, MatButtonToggleModule, MatFormFieldModule, MatInputModule, MatSelectModule],
    ReactiveFormsModule,
  ],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './programme-form.html',
  styles: `
    mat-form-field {
      width: 10rem;
    }
    .goal-text {
      width: min(100%, 22rem);
    }
  `,
  host: { class: 'card stack', role: 'region', 'aria-label': 'Programme settings' },
})
export class ProgrammeForm {
  /** Wishes to begin from; null for new ones. */
  readonly wishes = input.required<ProgrammeWishes | null>();
  /** How a goal is to be built up, where somebody has chosen that before; its last step is the goal. */
  readonly steps = input<readonly string[]>([]);
  readonly today = input.required<Day>();
  readonly made = output<ProgrammeWishes>();
  readonly cancelled = output();
  private readonly room = inject(RoomService);
  private readonly settings = inject(SettingsService);
  /** The steps to the combination that stands in the form; its own beginnings where there are none. */
  private readonly known = signal<readonly string[]>([]);

  protected readonly choices = { weekdayNames, goals, easierWeeks, levels, kinds: draftKinds, bags: bagChoices };
  protected readonly starts = signal<Day | null>(null);
  /** The next Monday where nothing else was chosen. */
  protected readonly begins = computed(() => this.starts() ?? firstDayOf(weekOf(this.today()) + 1));
  protected readonly daysOff = signal<readonly string[]>([]);
  protected readonly numberFields = [
    { name: 'weeks', label: 'Weeks', least: 1 },
    { name: 'minutes', label: 'Minutes per session', least: 10 },
    { name: 'people', label: 'People', least: 0 },
  ] as const;

  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: bySchema(shape.name) }),
    goal: new FormControl<ProgrammeGoal['kind']>('combination', { nonNullable: true }),
    text: new FormControl(firstGoal, {
      nonNullable: true,
      validators: ({ value }) => {
        const read = readCombination(String(value));
        return read.ok ? null : { mend: sayFault(read.fault) };
      },
    }),
    rounds: new FormControl(6, { nonNullable: true, validators: ({ value }) => this.within(value, 1, 30) }),
    roundMinutes: new FormControl(3, { nonNullable: true, validators: ({ value }) => this.within(value, 0.5, 10) }),
    weeks: new FormControl(6, { nonNullable: true, validators: bySchema(shape.weeks) }),
    weekdays: new FormControl<number[]>([0, 2, 4], {
      nonNullable: true,
      validators: ({ value }) => ((value as number[]).length > 0 ? null : { mend: 'Choose at least one day' }),
    }),
    at: new FormControl('18:00', {
      nonNullable: true,
      validators: ({ value }) => (clockIn(String(value)) === null ? { mend: 'Enter a time such as 18:30' } : null),
    }),
    minutes: new FormControl(40, { nonNullable: true, validators: bySchema(shape.minutes) }),
    level: new FormControl<ProgrammeWishes['level']>('beginner', { nonNullable: true }),
    kind: new FormControl<ProgrammeWishes['kind']>('mixed', { nonNullable: true }),
    bags: new FormControl<ProgrammeWishes['bag'][]>(['heavy'], {
      nonNullable: true,
      validators: ({ value }) => ((value as unknown[]).length > 0 ? null : { mend: 'Choose at least one' }),
    }),
    people: new FormControl<number | null>(null, { validators: bySchema(shape.people) }),
    easierEvery: new FormControl<ProgrammeWishes['easierEvery']>(4, { nonNullable: true }),
    rise: new FormControl(10, { nonNullable: true, validators: ({ value }) => this.within(value, 0, 100) }),
    monotony: new FormControl(2, { nonNullable: true, validators: ({ value }) => this.within(value, 0.5, 5) }),
  });

  constructor() {
    effect(() => {
      const [wishes, room, steps] = [this.wishes(), this.room.room(), this.steps()];
      if (!this.form.pristine) return;
      if (wishes) this.fill(wishes);
      else {
        const goal = steps.at(-1);
        if (goal !== undefined) this.form.patchValue({ goal: 'combination', text: goal });
        this.known.set(steps);
        const { level, kind, bag, minutes } = this.settings.settings().draft;
        this.form.patchValue({ level: room?.level ?? level, kind, bags: [bag], minutes, people: room?.people ?? null });
      }
    });
  }

  private within(value: unknown, least: number, most: number): { mend: string } | null {
    return typeof value === 'number' && value >= least && value <= most ? null : { mend: `Enter ${least} to ${most}` };
  }

  private fill({ goal, at, bag, bags, bounds, starts, daysOff, weekdays, ...plain }: ProgrammeWishes): void {
    this.starts.set(dayFromIso(starts));
    this.daysOff.set(daysOff);
    this.known.set(goal.kind === 'combination' ? (goal.steps ?? []) : []);
    this.form.patchValue({
      ...plain,
      bags: [...(bags ?? [bag])],
      ...{ goal: goal.kind, at: sayClock(at * 1000), weekdays: [...weekdays] },
      ...{ rise: Math.round(bounds.rise * 100), monotony: bounds.monotony },
      ...(goal.kind === 'combination' ? { text: goal.text } : {}),
      ...(goal.kind === 'rounds' ? { rounds: goal.rounds, roundMinutes: goal.roundMs / 60_000 } : {}),
    });
  }

  protected dayOff(day: Day | null): void {
    if (day !== null) this.daysOff.update((days) => [...new Set([...days, isoDay(day)])].sort());
  }

  protected dayOn(day: string): void {
    this.daysOff.update((days) => days.filter((each) => each !== day));
  }

  /** Steps belong to the goal that they lead to: another text has none. */
  protected stepsOf(text: string): readonly string[] {
    return this.known().at(-1) === text ? this.known() : [];
  }

  private goal(): ProgrammeGoal | null {
    const { goal, text, rounds, roundMinutes } = this.form.getRawValue();
    if (goal === 'stances') return { kind: 'stances' };
    if (goal === 'rounds')
      return { kind: 'rounds', rounds: Math.round(rounds), roundMs: Math.round(roundMinutes * 60_000) };
    const read = readCombination(text);
    if (!read.ok) return null;
    const written = writeCombination(read.value);
    const steps = this.stepsOf(written);
    return { kind: 'combination', text: written, ...(steps.length > 0 ? { steps: [...steps] } : {}) };
  }

  protected make(): void {
    this.form.markAllAsTouched();
    const goal = this.goal();
    if (this.form.invalid || !goal) return;
    const { name, weeks, weekdays, at, minutes, level, kind, bags, people, easierEvery, rise, monotony } =
      this.form.getRawValue();
    const [bag = 'heavy'] = bags;
    this.made.emit({
      ...{ name, weeks, minutes, level, kind, bag, people, easierEvery, goal },
      ...(bags.length > 1 ? { bags: [...bags] } : {}),
      ...{ starts: isoDay(this.begins()), weekdays: [...weekdays].sort(), at: clockIn(at) ?? 0 },
      ...{ daysOff: [...this.daysOff()], bounds: { rise: rise / 100, monotony } },
    });
  }
}
