import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { levels, headSchema, type Level } from '../../core/index';
import { ChoiceField, orNothing } from './fields/choice-field';
import { NumberField } from './fields/number-field';

/** Who comes: how many, how many of them left-handed, and how far they are. */
export interface People {
  readonly people?: number | undefined;
  readonly leftHanded?: number | undefined;
  readonly level?: Level | undefined;
}

/** Fields for who comes; what is emptied is not said. */
@Component({
  selector: 'kt-people-fields',
  imports: [ChoiceField, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <kt-number-field
      label="People"
      [value]="people().people"
      [schema]="schemas.people"
      (put)="changed.emit({ people: $event ?? undefined })"
    />
    <kt-number-field
      label="Left-handers"
      [value]="people().leftHanded"
      [schema]="schemas.leftHanded"
      (put)="changed.emit({ leftHanded: $event ?? undefined })"
    />
    <kt-choice-field
      label="Level"
      [value]="people().level"
      [choices]="levels"
      (put)="changed.emit({ level: $event })"
    />
  `,
  styles: `
    :host {
      display: contents;
    }
    kt-number-field,
    kt-choice-field {
      width: 100%;
    }
  `,
})
export class PeopleFields {
  readonly people = input.required<People>();
  readonly changed = output<People>();
  protected readonly schemas = headSchema.shape.class.def.innerType.shape;
  protected readonly levels = orNothing('not set', levels);
}
