import { ChangeDetectionStrategy, Component, effect, input, output } from '@angular/core';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { NumberField } from '../../parts/fields/number-field';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { ballSchema, headSchema, schools, usualGloves, type Sheet } from '../../../core/index';
import type * as z from 'zod/mini';
import { bySchema } from '../../parts/fields/by-schema';
import { orNothing, ChoiceField } from '../../parts/fields/choice-field';
import { fieldLook } from '../../parts/fields/field-look';

type SchoolPart = Partial<Pick<Sheet, 'schools' | 'ball' | 'gloves'>>;
type SheetSchools = NonNullable<Sheet['schools']>;
type Ball = NonNullable<Sheet['ball']>;

const figure = (schema: z.ZodMiniType): FormControl<number | null> =>
  new FormControl<number | null>(null, bySchema(schema));

const ballFields: readonly { readonly key: keyof Ball; readonly name: string }[] = [
  { key: 'mass', name: 'Weight, kg' },
  { key: 'upper', name: 'Upper cord, m' },
  { key: 'lower', name: 'Lower cord, m' },
  { key: 'tensionUpper', name: 'Upper tension, N' },
  { key: 'tensionLower', name: 'Lower tension, N' },
];

/** The schools of a sheet, the figures of its ball between cords, and how long gloves take. */
@Component({
  selector: 'kt-school-fields',
  imports: [ReactiveFormsModule, MatInputModule, MatFormFieldModule, ChoiceField, NumberField, MatButtonModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = sheet();
    <h2>Where coaches differ</h2>
    <div class="fields">
      @for (school of choices; track school.key) {
        <kt-choice-field
          [label]="school.name"
          [value]="chosen(school.key)"
          [choices]="school.answers"
          (put)="changeSchool(school.key, $event)"
        />
      }
      @for (glove of gloveFields; track glove.key) {
        <kt-number-field
          unit="s"
          [label]="glove.name"
          [per]="1000"
          [step]="5"
          [value]="(own.gloves ?? usualGloves)[glove.key]"
          [schema]="gloveSchemas[glove.key]"
          (put)="changeGloves(glove.key, $event)"
        />
      }
    </div>
    <h2>Double-end bag</h2>
    <p class="soft">
      Enter its measurements and straights are checked against its rhythm. Bag set-up helps you measure it.
    </p>
    <form class="fields" [formGroup]="ball" (ngSubmit)="keepBall()">
      @for (field of ballFields; track field.key) {
        <mat-form-field>
          <mat-label>{{ field.name }}</mat-label>
          <input matInput class="figures" type="number" step="any" [formControlName]="field.key" />
          <mat-error>{{ ball.controls[field.key].getError('mend') }}</mat-error>
        </mat-form-field>
      }
      <button type="submit" matButton="outlined">Use these</button>
      @if (own.ball) {
        <button type="button" matButton (click)="changed.emit({ ball: undefined })">Clear</button>
      }
    </form>
  `,
  styleUrl: './sheet-details.scss',
})
export class SchoolFields {
  readonly sheet = input.required<SchoolPart>();
  readonly changed = output<SchoolPart>();

  /** Each school with its answers; without one of its own the sheet follows the settings. */
  protected readonly choices = schools.map(({ key, name, answers }) => ({
    key,
    name,
    answers: orNothing(
      'as in Settings',
      answers.map((answer) => answer.name),
    ),
  }));
  protected readonly ballFields = ballFields;
  protected readonly usualGloves = usualGloves;
  protected readonly gloveFields = [
    { key: 'onMs', name: 'Time for gloves on, s' },
    { key: 'offMs', name: 'Gloves off, s' },
  ] as const;
  protected readonly gloveSchemas = headSchema.shape.gloves.def.innerType.shape;
  protected readonly ball = new FormGroup({
    mass: figure(ballSchema.shape.mass),
    upper: figure(ballSchema.shape.upper),
    lower: figure(ballSchema.shape.lower),
    tensionUpper: figure(ballSchema.shape.tensionUpper),
    tensionLower: figure(ballSchema.shape.tensionLower),
  });

  constructor() {
    effect(() => {
      const { ball } = this.sheet();
      if (this.ball.pristine) this.ball.reset(ball);
    });
  }

  protected chosen(key: keyof SheetSchools): string | undefined {
    const own = this.sheet().schools?.[key];
    const answers = schools.find((school) => school.key === key)?.answers ?? [];
    return own === undefined ? undefined : answers.find(({ means }) => means[key] === own)?.name;
  }

  protected changeSchool(key: keyof SheetSchools, name: string | undefined): void {
    const answers = schools.find((school) => school.key === key)?.answers;
    const means = answers?.find((answer) => answer.name === name)?.means ?? {};
    const now = { ...this.sheet().schools, [key]: undefined, ...means };
    const some = Object.values(now).some((each) => each !== undefined);
    this.changed.emit({ schools: some ? now : undefined });
  }

  protected changeGloves(key: 'onMs' | 'offMs', ms: number | null): void {
    if (ms !== null) this.changed.emit({ gloves: { ...(this.sheet().gloves ?? usualGloves), [key]: ms } });
  }

  /** The five figures belong together: they are kept when all of them are a ball's. */
  protected keepBall(): void {
    this.ball.markAllAsTouched();
    const read = ballSchema.safeParse(this.ball.getRawValue());
    if (!read.success) return;
    this.ball.markAsPristine();
    this.changed.emit({ ball: read.data });
  }
}
