import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import * as z from 'zod/mini';
import { logEntrySchema, type LogEntry, type Said } from '../../core/index';
import { ChoiceField, type Choice } from './fields/choice-field';
import { NumberField } from './fields/number-field';
import { TextField } from './fields/text-field';

type Who = NonNullable<LogEntry['who']>;
type Of = NonNullable<LogEntry['count']>['of'] | undefined;
type RoundSaid = NonNullable<LogEntry['rounds']>[number];

const whose: readonly Choice<Of>[] = [
  { value: undefined, name: 'not given' },
  { value: 'several', name: 'average of several people' },
  { value: 'one', name: 'one person' },
];
const pulseSchema = z.nullable(z.int().check(z.gte(20), z.lte(260)));
const groupSchema = z.string().check(z.maxLength(80));
const nameSchema = z.string().check(z.maxLength(60));
const namesSchema = z
  .string()
  .check(z.refine((text) => namesIn(text).every((name) => name.length <= 60), { error: 'separate names with commas' }));
/** Rounds that are offered one by one, at the most. */
const mostRounds = 60;

/** Names out of a line, parted by commas, each once. */
const namesIn = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  ),
];

/** The rest of what can be said of a run: who was there, whose the count is, round by round, the pulse. */
@Component({
  selector: 'kt-entry-more',
  imports: [ChoiceField, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="line">
      <kt-text-field
        class="wide"
        label="Class"
        [value]="who().group ?? ''"
        [schema]="groupSchema"
        (put)="put({ group: $event })"
      />
      <kt-number-field label="People" [value]="who().people" [schema]="people" (put)="put({ people: $event })" />
      <kt-text-field
        class="wide"
        label="Names, separated by commas"
        hint="Names are optional"
        [value]="who().names.join(', ')"
        [schema]="namesSchema"
        (put)="put({ names: namesIn($event) })"
      />
    </div>
    <div class="line">
      <kt-choice-field
        label="Whose count is it?"
        [value]="entry().count?.of"
        [choices]="whose"
        (put)="putCount($event)"
      />
      @if (entry().count?.of === 'one') {
        <kt-text-field
          class="wide"
          label="Name (optional)"
          [value]="entry().count?.name ?? ''"
          [schema]="nameSchema"
          (put)="putCount('one', $event)"
        />
      }
      <kt-number-field
        label="Average heart rate"
        [value]="entry().pulse?.mean"
        [schema]="pulseSchema"
        (put)="putPulse({ mean: $event })"
      />
      <kt-number-field
        label="Highest heart rate"
        [value]="entry().pulse?.most"
        [schema]="pulseSchema"
        (put)="putPulse({ most: $event })"
      />
    </div>
    @if (rounds().length > 0) {
      <h3>Round by round</h3>
      <ol>
        @for (each of rounds(); track each.round) {
          <li class="line">
            <span>Round {{ each.round }}</span>
            <kt-number-field
              [label]="'Effort for round ' + each.round"
              [value]="each.effort"
              [schema]="effort"
              (put)="putRound(each, { effort: $event })"
            />
            <kt-number-field
              [label]="'Count for round ' + each.round"
              [value]="each.counted"
              [schema]="counted"
              (put)="putRound(each, { counted: $event })"
            />
          </li>
        }
      </ol>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: var(--space-3);
      padding-block: var(--space-2);
    }
    .wide {
      width: 14rem;
    }
    ol {
      display: grid;
      gap: var(--space-2);
      padding: 0;
      list-style: none;
    }
    li kt-number-field {
      width: 11rem;
    }
    li span {
      min-width: 5rem;
    }
  `,
})
export class EntryMore {
  readonly entry = input.required<LogEntry>();
  readonly changed = output<Said>();

  protected readonly whose = whose;
  protected readonly namesIn = namesIn;
  protected readonly effort = logEntrySchema.shape.effort;
  protected readonly counted = logEntrySchema.shape.counted;
  protected readonly people = z.nullable(z.int().check(z.gte(0), z.lte(500)));
  protected readonly pulseSchema = pulseSchema;
  protected readonly groupSchema = groupSchema;
  protected readonly nameSchema = nameSchema;
  protected readonly namesSchema = namesSchema;
  protected readonly who = computed((): Who => this.entry().who ?? { names: [], people: null });
  protected readonly rounds = computed((): readonly RoundSaid[] =>
    Array.from({ length: Math.min(mostRounds, this.entry().planned.rounds) }, (_, at) => {
      const said = this.entry().rounds?.find(({ round }) => round === at + 1);
      return said ?? { round: at + 1, effort: null, counted: null };
    }),
  );

  protected put(change: Partial<Who>): void {
    const { group, ...who } = { ...this.who(), ...change };
    this.changed.emit({ who: { ...who, ...(group ? { group } : {}) } });
  }

  protected putCount(of: Of, name?: string): void {
    const by = this.entry().count?.by ?? 'typed';
    this.changed.emit({ count: of === undefined ? undefined : { of, by, ...(name ? { name } : {}) } });
  }

  protected putPulse(change: Partial<NonNullable<LogEntry['pulse']>>): void {
    this.changed.emit({ pulse: { mean: null, most: null, ...this.entry().pulse, ...change } });
  }

  protected putRound(round: RoundSaid, change: Partial<RoundSaid>): void {
    const others = (this.entry().rounds ?? []).filter((each) => each.round !== round.round);
    const next = { ...round, ...change };
    const said = next.effort === null && next.counted === null ? [] : [next];
    this.changed.emit({ rounds: [...others, ...said].sort((a, b) => a.round - b.round) });
  }
}
