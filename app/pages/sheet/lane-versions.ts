import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
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
} from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';

const words: Readonly<Record<LaneVersion['how'], string>> = {
  fits: 'as written',
  adapted: 'adapted',
  drill: 'its own drill',
  chosen: 'by your word',
  overruled: 'by your word, although it does not fit',
};

/** What each lane does in a piece's place: before and after on the staff, to be accepted, edited or overruled. */
@Component({
  selector: 'kt-lane-versions',
  imports: [StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="sum" [attr.aria-expanded]="open()" (click)="open.set(!open())">
      <b>Lanes</b>
      @for (version of versions(); track version.bag) {
        <span [class.other]="version.how !== 'fits'"
          ><span class="soft">{{ version.bag }}</span
          >&ngsp;{{ short(version) }}</span
        >
      }
    </button>
    @if (open()) {
      <ul>
        @for (version of versions(); track version.bag) {
          <li>
            <p>
              <b>{{ version.bag }}</b>&ngsp;<span class="soft">{{ words[version.how] }}</span>
            </p>
            @if (version.how !== 'fits') {
              <div class="change">
                @if (before(); as before) {
                  <span class="soft">before</span
                  ><kt-strike-staff [combination]="before" [scheme]="scheme()" [scale]="0.7" />
                }
                <span class="soft">after</span>
                @if (version.combination; as after) {
                  <kt-strike-staff [combination]="after" [scheme]="scheme()" [scale]="0.7" />
                } @else {
                  <span>{{ version.text }}</span>
                }
              </div>
            }
            @for (reason of version.reasons; track reason) {
              <p class="soft">{{ reason }}</p>
            }
            <p class="ways">
              @if (version.how === 'adapted') {
                <button type="button" class="link-button" (click)="choose(version.bag, version.text)">Accept</button>
              }
              @if (version.how === 'adapted' || version.how === 'drill') {
                <button type="button" class="link-button" (click)="overrule(version.bag)">Overrule: as written</button>
              }
              @if (version.how === 'chosen' || version.how === 'overruled') {
                <button type="button" class="link-button" (click)="choose(version.bag, null)">Let it follow</button>
              }
              <button type="button" class="link-button" (click)="editing.set(version.bag)">Edit</button>
            </p>
            @if (editing() === version.bag) {
              <form (submit)="$event.preventDefault(); edit(version.bag, text.value)">
                <input
                  #text
                  class="field figures"
                  type="text"
                  autocomplete="off"
                  [attr.aria-label]="'Combination of the ' + version.bag + ' lane'"
                  [value]="version.combination ? shown(version.text) : ''"
                  (keydown.escape)="editing.set(null)"
                />
                <button type="submit" class="button">Take</button>
                @if (fault()) {
                  <span class="fault" role="alert">{{ fault() }}</span>
                }
              </form>
            }
          </li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: block;
      margin-inline-start: 1.9rem;
      padding: 0 0.75rem 0.2rem 0.25rem;
    }
    .sum {
      display: flex;
      flex-wrap: wrap;
      gap: 0.1rem 0.9rem;
      width: 100%;
      min-height: 30px;
      padding: 0.1rem 0.25rem;
      border: 0;
      background: none;
      font-size: 0.82rem;
      text-align: start;
      cursor: pointer;
    }
    .other {
      font-weight: 650;
    }
    .soft {
      font-weight: 400;
    }
    li {
      padding: 0.35rem 0.5rem;
      border-inline-start: 3px solid var(--rear);
      font-size: 0.88rem;
    }
    li + li {
      margin-top: 0.3rem;
    }
    .change,
    .ways,
    form {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.3rem 0.8rem;
    }
    .fault {
      color: var(--danger);
    }
  `,
})
export class LaneVersions {
  readonly piece = input.required<Piece>();
  readonly versions = input.required<readonly LaneVersion[]>();
  readonly scheme = input.required<Scheme>();
  readonly changed = output<Piece>();

  protected readonly open = signal(false);
  /** Name of the lane whose text is being typed. */
  protected readonly editing = signal<string | null>(null);
  protected readonly fault = signal('');
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

  protected edit(bag: string, typed: string): void {
    const taken = takeIn(typed, this.scheme());
    this.fault.set(taken.fault ? sayFault(taken.fault) : '');
    if (taken.fault) return;
    this.editing.set(null);
    this.choose(bag, taken.text);
  }
}
