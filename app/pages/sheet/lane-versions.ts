import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  chooseForLane,
  readStored,
  sayFault,
  spell,
  takeIn,
  textsOf,
  type LaneVersion,
  type Piece,
  type Scheme,
  type Typed,
  shownBag,
} from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';

const words: Readonly<Record<LaneVersion['how'], string>> = {
  fits: 'as written',
  adapted: 'adapted',
  drill: 'replaced by a bag drill',
  chosen: 'your choice',
  overruled: 'your choice, although it does not suit the bag',
};

/** What each lane does in a piece's place: before and after on the staff, to be accepted, edited or overruled. */
@Component({
  selector: 'kt-lane-versions',
  imports: [TextField, MatButtonModule, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" matButton class="sum plain" [attr.aria-expanded]="open()" (click)="open.set(!open())">
      <b>Stations</b>
      @for (version of versions(); track version.bag) {
        <span [class.strong]="version.how !== 'fits'"
          ><span class="soft">{{ shownBag(version.bag) }}</span
          >&ngsp;{{ short(version) }}</span
        >
      }
    </button>
    @if (open()) {
      <ul>
        @for (version of versions(); track version.bag) {
          <li class="remark">
            <p>
              <b>{{ shownBag(version.bag) }}</b>&ngsp;<span class="soft">{{ words[version.how] }}</span>
            </p>
            @if (version.how !== 'fits') {
              <div class="line">
                @if (before(); as before) {
                  <span class="soft">before</span
                  ><kt-strike-staff [combination]="before" [scheme]="scheme()" dense [scale]="0.7" />
                }
                <span class="soft">after</span>
                @if (version.combination; as after) {
                  <kt-strike-staff [combination]="after" [scheme]="scheme()" dense [scale]="0.7" />
                } @else {
                  <span>{{ version.text }}</span>
                }
              </div>
            }
            @for (reason of version.reasons; track reason) {
              <p class="soft">{{ reason }}</p>
            }
            <p class="line">
              @if (version.how === 'adapted') {
                <button type="button" matButton (click)="choose(version.bag, version.text)">Accept</button>
              }
              @if (version.how === 'adapted' || version.how === 'drill') {
                <button type="button" matButton (click)="overrule(version.bag)">Keep as written</button>
              }
              @if (version.how === 'chosen' || version.how === 'overruled') {
                <button type="button" matButton (click)="choose(version.bag, null)">Adapt automatically</button>
              }
              <button type="button" matButton (click)="editing.set(version.bag)">Edit</button>
            </p>
            @if (editing() === version.bag) {
              <kt-text-field
                class="figures"
                focused
                [label]="'Combination for the ' + shownBag(version.bag) + ' station'"
                [value]="version.combination ? shown(version.text) : ''"
                [fault]="fault"
                (put)="choose(version.bag, take($event).text)"
                (left)="editing.set(null)"
              />
            }
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-inline-start: var(--space-5);
      padding-inline: var(--space-1) var(--space-3);
    }
    .sum span {
      margin-inline-start: var(--space-3);
    }
    li {
      margin-top: var(--space-1);
      padding-block: var(--space-1);
    }
    kt-text-field {
      max-width: 28rem;
    }
  `,
})
export class LaneVersions {
  protected readonly shownBag = shownBag;
  readonly piece = input.required<Piece>();
  readonly versions = input.required<readonly LaneVersion[]>();
  readonly scheme = input.required<Scheme>();
  readonly changed = output<Piece>();

  protected readonly open = signal(false);
  /** Name of the lane whose text is being typed. */
  protected readonly editing = signal<string | null>(null);
  protected readonly words = words;
  private readonly written = computed(() => textsOf(this.piece())[0] ?? '');
  protected readonly before = computed(() => {
    const read = readStored(this.written());
    return read.ok ? read.value : null;
  });

  protected shown(text: string): string {
    return spell(text, this.scheme());
  }

  protected short(version: LaneVersion): string {
    if (version.how === 'fits') return 'as written';
    return version.combination ? this.shown(version.text) : (version.text.split(/[:,]/)[0] ?? '');
  }

  protected choose(bag: string, text: string | null): void {
    this.changed.emit(chooseForLane(this.piece(), bag, text));
  }

  protected overrule(bag: string): void {
    this.choose(bag, this.written());
  }

  protected take(typed: string): Typed {
    return takeIn(typed, this.scheme());
  }

  protected readonly fault = (typed: string): string => {
    const { fault } = this.take(typed);
    return fault ? sayFault(fault) : '';
  };
}
