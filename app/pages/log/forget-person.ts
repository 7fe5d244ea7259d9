import { ChangeDetectionStrategy, Component, inject, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { ChoiceField, named } from '../../parts/fields/choice-field';
import { LogService } from '../../services/log.service';
import { NoticeService } from '../../services/notice.service';
import { ProgressService } from '../../services/progress.service';

/** Takes everything of one person out of the log. */
@Component({
  selector: 'kt-forget-person',
  imports: [ChoiceField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Remove a person</h2>
    @if (people.value(); as people) {
      @if (people.length === 0) {
        <p>Nobody is named in the log.</p>
      } @else {
        <p class="soft">
          This removes the name from every entry and note, along with that person’s counts; attendance numbers stay.
          Earlier backups and files still contain the name: make a new backup.
        </p>
        <div class="line">
          <kt-choice-field label="Person" [value]="who()" [choices]="choices(people)" (put)="who.set($event)" />
          <button type="button" matButton="filled" [disabled]="who() === ''" (click)="forget()">
            Remove {{ who() || 'them' }}
          </button>
        </div>
      }
    }
  `,
  host: { class: 'card stack', role: 'region', 'aria-label': 'Remove a person' },
})
export class ForgetPerson {
  private readonly log = inject(LogService);
  private readonly notices = inject(NoticeService);
  private readonly progress = inject(ProgressService);
  protected readonly people = resource({ loader: () => this.progress.ask('people') });
  protected readonly who = signal('');

  protected choices(people: readonly string[]) {
    return named(['', ...people]).map(({ value, name }) => ({ value, name: name || 'choose' }));
  }

  protected async forget(): Promise<void> {
    const who = this.who();
    const { entries, putBack } = await this.log.forget(who);
    this.who.set('');
    this.people.reload();
    this.notices.undoable(`${who} removed from ${entries} ${entries === 1 ? 'entry' : 'entries'}`, async () => {
      await putBack();
      this.people.reload();
    });
  }
}
