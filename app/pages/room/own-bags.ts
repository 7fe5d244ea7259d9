import * as z from 'zod/mini';
import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatSelectModule } from '@angular/material/select';
import { MatInputModule } from '@angular/material/input';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatCheckbox } from '@angular/material/checkbox';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { bySchema, type Mend } from '../../parts/fields/by-schema';
import { levels, ownBagSchema, strikeFamilies, takenName, targets, type OwnBag } from '../../../core/index';
import { fieldLook } from '../../parts/fields/field-look';

const flags = [
  { key: 'powerCapped', name: 'No full power' },
  { key: 'wildAfterHooks', name: 'Hooks send it sideways' },
  { key: 'oneAtATime', name: 'Needs to settle between strikes' },
] as const;

const schemas = ownBagSchema.shape;
const most = (): FormControl<number | null> =>
  new FormControl<number | null>(
    null,
    bySchema(z.optional(schemas.longest.def.innerType.shape.beginner), (typed) => typed ?? undefined),
  );

/** Kinds of bag of the coach's own, made of the same capabilities as the kinds that are built in. */
@Component({
  selector: 'kt-own-bags',
  imports: [
    ReactiveFormsModule,
    MatSelectModule,
    MatInputModule,
    MatFormFieldModule,
    MatExpansionModule,
    MatCheckbox,
    MatButtonModule,
  ],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-expansion-panel>
      <mat-expansion-panel-header>
        <mat-panel-title>Your own kinds of bag</mat-panel-title>
        <mat-panel-description>{{ bags().length || '' }}</mat-panel-description>
      </mat-expansion-panel-header>
      <p class="soft">
        For anything that is not a built-in kind: say what can be hit on it, and drills are adapted to suit.
      </p>
      <ul>
        @for (bag of bags(); track bag.name) {
          <li class="line">
            <b>{{ bag.name }}</b> {{ bag.targets.join(', ') }} · {{ bag.families.join(', ') }}
            <button
              type="button"
              matButton
              class="push"
              (click)="remove(bag.name)"
              [attr.aria-label]="'Remove ' + bag.name"
            >
              Remove
            </button>
          </li>
        }
      </ul>
      <form class="stack" [formGroup]="form" (ngSubmit)="add()">
        <mat-form-field>
          <mat-label>Name</mat-label>
          <input matInput type="text" autocomplete="off" maxlength="40" formControlName="name" />
          <mat-error>{{ form.controls.name.getError('mend') }}</mat-error>
        </mat-form-field>
        <div class="fields">
          <mat-form-field>
            <mat-label>Targets</mat-label>
            <mat-select multiple formControlName="targets">
              @for (each of targets; track each) {
                <mat-option [value]="each">{{ each }}</mat-option>
              }
            </mat-select>
            <mat-error>Choose at least one</mat-error>
          </mat-form-field>
          <mat-form-field>
            <mat-label>Strikes</mat-label>
            <mat-select multiple formControlName="families">
              @for (each of families; track each) {
                <mat-option [value]="each">{{ each }}</mat-option>
              }
            </mat-select>
            <mat-error>Choose at least one</mat-error>
          </mat-form-field>
        </div>
        <div>
          @for (flag of flags; track flag.key) {
            <mat-checkbox [formControlName]="flag.key">{{ flag.name }}</mat-checkbox>
          }
        </div>
        <h3>Longest useful combination, in strikes</h3>
        <div class="fields" formGroupName="longest">
          @for (level of levels; track level) {
            <mat-form-field>
              <mat-label>{{ level }}</mat-label>
              <input matInput class="figures" type="number" min="2" max="99" [formControlName]="level" />
              <mat-error>{{ form.controls.longest.controls[level].getError('mend') }}</mat-error>
            </mat-form-field>
          }
        </div>
        <mat-form-field>
          <mat-label>Rhythm instead of numbered combinations</mat-label>
          <input matInput type="text" autocomplete="off" maxlength="400" formControlName="rhythm" />
        </mat-form-field>
        <button type="submit" matButton="outlined">Add</button>
      </form>
    </mat-expansion-panel>
  `,
  styleUrl: './room-page.scss',
})
export class OwnBags {
  readonly bags = input.required<readonly OwnBag[]>();
  readonly changed = output<OwnBag[]>();

  protected readonly targets = targets;
  protected readonly families = strikeFamilies;
  protected readonly levels = levels;
  protected readonly flags = flags;
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: ({ value }) => this.nameFault(String(value)) }),
    targets: new FormControl<OwnBag['targets']>(['head'], { nonNullable: true, validators: bySchema(schemas.targets) }),
    families: new FormControl<OwnBag['families']>(['punch'], {
      nonNullable: true,
      validators: bySchema(schemas.families),
    }),
    powerCapped: new FormControl(false, { nonNullable: true }),
    wildAfterHooks: new FormControl(false, { nonNullable: true }),
    oneAtATime: new FormControl(false, { nonNullable: true }),
    longest: new FormGroup({ beginner: most(), intermediate: most(), advanced: most() }),
    rhythm: new FormControl('', { nonNullable: true }),
  });

  private nameFault(text: string): Mend | null {
    const name = text.trim();
    if (name === '') return { mend: 'Enter a name' };
    const read = schemas.name.safeParse(name);
    if (!read.success) return { mend: read.error.issues[0]?.message ?? 'Enter a different name' };
    const known = this.bags().some((bag) => bag.name.toLowerCase() === name.toLowerCase());
    const taken = known ? 'that name is taken; choose another' : takenName(name);
    return taken ? { mend: taken } : null;
  }

  protected add(): void {
    this.form.controls.name.updateValueAndValidity();
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const { name, rhythm, longest, powerCapped, wildAfterHooks, oneAtATime, targets, families } =
      this.form.getRawValue();
    const { beginner, intermediate, advanced } = longest;
    this.changed.emit([
      ...this.bags(),
      {
        name: name.trim(),
        targets,
        families,
        ...(powerCapped ? { powerCapped } : {}),
        ...(wildAfterHooks ? { wildAfterHooks } : {}),
        ...(oneAtATime ? { oneAtATime } : {}),
        // Whoever says one of the three means the others to be as usual.
        ...((beginner ?? intermediate ?? advanced)
          ? { longest: { beginner: beginner ?? 4, intermediate: intermediate ?? 6, advanced: advanced ?? 10 } }
          : {}),
        ...(rhythm.trim() ? { rhythm: rhythm.trim() } : {}),
      },
    ]);
    this.form.reset();
  }

  protected remove(name: string): void {
    this.changed.emit(this.bags().filter((bag) => bag.name !== name));
  }
}
