import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  linkedSignal,
  output,
  resource,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatChipsModule } from '@angular/material/chips';
import { MatTooltip } from '@angular/material/tooltip';
import { spell, toSeconds, type Scheme } from '../../../core/index';
import { ComposeService } from '../../services/compose.service';

/** Moves that are offered before all of them are asked for. */
const shown = 16;

/** What can follow what was typed, as chips: arrow keys go through them, Enter takes one, Escape goes back to the line. */
@Component({
  selector: 'kt-follow-chips',
  imports: [MatButtonModule, MatChipsModule, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-chip-listbox
      aria-label="Possible next moves"
      [value]="null"
      (change)="take($event.value)"
      (keydown.escape)="left.emit()"
    >
      @for (next of offered(); track next.text) {
        <mat-chip-option
          [value]="next.text"
          [matTooltip]="next.ways + ' ways to continue from there'"
          [attr.aria-label]="next.spelled + (next.cost ? ', ' + next.cost : '')"
        >
          <b class="figures">{{ next.spelled }}</b>
          @if (next.cost) {
            <span class="soft small">&ngsp;{{ next.cost }}</span>
          }
        </mat-chip-option>
      }
    </mat-chip-listbox>
    @if (more() > 0) {
      <button type="button" matButton (click)="all.set(true)">All {{ more() }} more</button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2);
      align-items: center;
      max-height: 7rem;
      padding: var(--space-1);
      overflow-y: auto;
    }
  `,
})
export class FollowChips {
  /** The kept text that goes before; empty at the beginning. */
  readonly text = input.required<string>();
  readonly scheme = input.required<Scheme>();
  /** A kept text to put behind. */
  readonly taken = output<string>();
  readonly left = output();
  private readonly composer = inject(ComposeService);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  protected readonly all = linkedSignal({ source: this.text, computation: () => false });
  private readonly next = resource({
    params: () => this.text(),
    loader: ({ params }) => this.composer.ask('follow', params),
  });
  /** What was offered last stays until the next answer is there, so that nothing flickers. */
  private readonly known = linkedSignal<
    ReturnType<typeof this.next.value>,
    NonNullable<ReturnType<typeof this.next.value>>
  >({ source: this.next.value, computation: (value, before) => value ?? before?.value ?? [] });
  protected readonly offered = computed(() =>
    this.known()
      .slice(0, this.all() ? undefined : shown)
      .map(({ text, cost, verdict, ways }) => ({
        ...{ text, spelled: spell(text, this.scheme()) },
        ways: ways.length > 9 ? `over 10^${ways.length - 1}` : ways,
        cost: cost > 0 ? `+ ${toSeconds(cost)} s` : verdict === 'turned' ? 'turns' : '',
      })),
  );
  protected readonly more = computed(() => this.known().length - this.offered().length);

  /** Goes to the first chip. */
  focus(): void {
    this.host.nativeElement.querySelector<HTMLElement>('mat-chip-option [tabindex], mat-chip-option button')?.focus();
  }

  protected take(text: string | null): void {
    if (text) this.taken.emit(text);
  }
}
