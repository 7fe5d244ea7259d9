import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { isoDay, sayInLine, saySession } from '../../core/index';
import { KeysService } from '../services/keys.service';
import { ProgrammeService } from '../services/programme.service';
import { TodayService } from '../services/today.service';

/** The session that a programme has for today, one key away. */
@Component({
  selector: 'kt-todays-session',
  imports: [MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (today(); as today) {
      <p class="notice" role="note">
        <span
          >Today in “{{ today.programme.wishes.name || 'the programme' }}”: <b class="figures">{{ today.said }}</b>,
          effort {{ today.session.effort }}.</span
        >
        <button type="button" matButton="filled" (click)="open()">Open today’s sheet <kbd>T</kbd></button>
        <a matButton="outlined" routerLink="/programme">Go to Programme</a>
      </p>
    }
  `,
})
export class TodaysSession {
  private readonly programmes = inject(ProgrammeService);
  private readonly router = inject(Router);
  private readonly day = inject(TodayService).day;
  private readonly all = toSignal(this.programmes.all$);
  protected readonly today = computed(() => {
    const day = isoDay(this.day());
    for (const programme of this.all() ?? []) {
      const session = programme.sessions.find((each) => each.day === day && each.state === 'open');
      if (session) return { programme, session, said: sayInLine(saySession(programme, session)) };
    }
    return null;
  });

  constructor() {
    inject(KeysService).use('Today', [
      {
        keys: ['t'],
        does: 'Open the sheet of today’s session',
        repeats: false,
        when: () => this.today() !== null,
        press: () => void this.open(),
      },
    ]);
  }

  protected async open(): Promise<void> {
    const today = this.today();
    if (today) await this.router.navigate(['/sheets', await this.programmes.sheetOf(today.programme, today.session)]);
  }
}
