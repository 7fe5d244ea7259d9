import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { levels, ownBagSchema, strikeFamilies, targets, type OwnBag } from '../../../core/index';

const flags = [
  { key: 'powerCapped', name: 'Power is capped' },
  { key: 'wildAfterHooks', name: 'A hook sends it sideways' },
  { key: 'oneAtATime', name: 'It settles between strikes' },
] as const;

type Draft = { -readonly [Key in keyof OwnBag]: OwnBag[Key] };

/** Kinds of bag of the coach's own, made of the same capabilities as the kinds that are built in. */
@Component({
  selector: 'kt-own-bags',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>
        Kinds of your own <span class="soft">{{ bags().length || '' }}</span>
      </summary>
      <p class="soft">Something that is none of the seven kinds: say what it takes, and drills are matched to it.</p>
      <ul>
        @for (bag of bags(); track bag.name) {
          <li>
            <b>{{ bag.name }}</b> {{ bag.targets.join(', ') }} · {{ bag.families.join(', ') }}
            <button
              type="button"
              class="link-button"
              (click)="remove(bag.name)"
              [attr.aria-label]="'Take out ' + bag.name"
            >
              Take out
            </button>
          </li>
        }
      </ul>
      <form (submit)="$event.preventDefault(); add()">
        <label
          >Name
          <input
            class="field"
            type="text"
            maxlength="40"
            [value]="draft().name"
            (input)="change({ name: text($event) })"
        /></label>
        <fieldset>
          <legend>Targets</legend>
          @for (target of targets; track target) {
            <label class="tick"
              ><input
                type="checkbox"
                [checked]="draft().targets.includes(target)"
                (change)="change({ targets: toggled(draft().targets, target) })"
              />{{ target }}</label
            >
          }
        </fieldset>
        <fieldset>
          <legend>Strikes</legend>
          @for (family of families; track family) {
            <label class="tick"
              ><input
                type="checkbox"
                [checked]="draft().families.includes(family)"
                (change)="change({ families: toggled(draft().families, family) })"
              />{{ family }}</label
            >
          }
        </fieldset>
        <fieldset>
          <legend>Care</legend>
          @for (flag of flags; track flag.key) {
            <label class="tick"
              ><input type="checkbox" [checked]="draft()[flag.key] ?? false" (change)="toggleFlag(flag.key)" />{{
                flag.name
              }}</label
            >
          }
        </fieldset>
        <fieldset>
          <legend>Most strikes of a combination</legend>
          @for (level of levels; track level) {
            <label
              >{{ level }}
              <input
                class="field figures"
                type="number"
                min="2"
                max="99"
                [value]="draft().longest?.[level] ?? ''"
                (change)="changeLongest(level, text($event))"
            /></label>
          }
        </fieldset>
        <label class="wide"
          >Rhythm, where numbers make no sense on it
          <input
            class="field"
            type="text"
            maxlength="400"
            [value]="draft().rhythm ?? ''"
            (input)="change({ rhythm: text($event) || undefined })"
        /></label>
        <p class="fault" role="alert">{{ fault() }}</p>
        <button type="submit" class="button">Add the kind</button>
      </form>
    </details>
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
  private readonly fresh: Draft = { name: '', targets: ['head'], families: ['punch'] };
  protected readonly draft = signal<Draft>(this.fresh);
  protected readonly fault = signal('');

  protected text(event: Event): string {
    return (event.target as HTMLInputElement).value;
  }

  protected change(change: Partial<Draft>): void {
    this.draft.update((before) => ({ ...before, ...change }));
    this.fault.set('');
  }

  protected toggled<T>(list: readonly T[], one: T): T[] {
    return list.includes(one) ? list.filter((each) => each !== one) : [...list, one];
  }

  protected toggleFlag(key: (typeof flags)[number]['key']): void {
    this.change({ [key]: this.draft()[key] ? undefined : true });
  }

  protected changeLongest(level: (typeof levels)[number], value: string): void {
    const count = Math.round(Number(value));
    const before = this.draft().longest ?? { beginner: 4, intermediate: 6, advanced: 10 };
    this.change({ longest: value === '' ? undefined : { ...before, [level]: count } });
  }

  protected add(): void {
    const plain: unknown = JSON.parse(JSON.stringify({ ...this.draft(), name: this.draft().name.trim() }));
    const read = ownBagSchema.safeParse(plain);
    const taken = read.success && this.bags().some(({ name }) => name.toLowerCase() === read.data.name.toLowerCase());
    if (!read.success || taken) {
      const [issue] = read.success ? [] : read.error.issues;
      this.fault.set(
        taken
          ? 'There is a kind of this name; give it another.'
          : `${issue?.path[0] === 'name' ? 'Name' : String(issue?.path[0] ?? '')}: ${issue?.message ?? ''}`,
      );
      return;
    }
    this.changed.emit([...this.bags(), read.data]);
    this.draft.set(this.fresh);
  }

  protected remove(name: string): void {
    this.changed.emit(this.bags().filter((bag) => bag.name !== name));
  }
}
