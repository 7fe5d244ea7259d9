import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { debounceTime, switchMap } from 'rxjs';
import { dayOf, plannedParts, type Sheet, type Timeline } from '../../core/index';
import { ProgressService } from '../services/progress.service';

/** While a sheet is being changed, what is expected of it waits this long. */
const calmMs = 400;

/** How a sheet has gone of late, and how many punches are to be expected of it by what was counted before. */
@Component({
  selector: 'kt-sheet-story',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span>
      @if (expected(); as expected) {
        @if (expected.counts > 0) {
          Expect <b>{{ expected.least }}–{{ expected.most }}</b> punches, going by your counts.
        }
      }
      {{ story()?.sentence }}
    </span>
    @if (story()?.sentence) {
      <a routerLink="/log" [queryParams]="{ sheet: sheet().id }">See past sessions</a>
    }
  `,
  styles: `
    :host {
      display: flex;
      gap: var(--space-1);
    }
    // Where it has one line, as much of it is said as fits; the way to all of it stays.
    span {
      overflow: hidden;
      min-width: 0;
      text-overflow: ellipsis;
    }
    a {
      flex: none;
    }
  `,
})
export class SheetStory {
  readonly sheet = input.required<Sheet>();
  /** Where it is still planned: what is to be expected is said, too. */
  readonly timeline = input<Timeline>();
  private readonly progress = inject(ProgressService);

  private readonly asked = computed(() => ({ sheet: this.sheet(), timeline: this.timeline() }));
  private readonly id = computed(() => this.sheet().id);
  protected readonly expected = toSignal(
    toObservable(this.asked).pipe(
      debounceTime(calmMs),
      switchMap(({ sheet, timeline }) => {
        const { id, class: people } = sheet;
        const parts = timeline ? plannedParts(timeline) : [];
        return this.progress.watch((progress) =>
          progress.ask('expected', id, people.level ?? 'any', parts, dayOf(Date.now())),
        );
      }),
    ),
  );
  protected readonly story = toSignal(
    toObservable(this.id).pipe(switchMap((id) => this.progress.watch((progress) => progress.ask('story', id)))),
  );
}
