import { ApplicationRef, ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { six, writeCombination, type BookRow, type Combination } from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { NoticeService } from '../../services/notice.service';
import { SettingsService } from '../../services/settings.service';

/** More figures than this on paper help nobody, and fill a memory (house value). */
const mostPrinted = 120;

interface Printed {
  readonly id: string;
  readonly name: string;
  readonly text: string;
  readonly note: string;
  readonly combination: Combination;
  readonly strip: string | null;
}

/** Combinations of the book on paper, each with its staff and the figure's telling moments; drawn only while it is printed. */
@Component({
  selector: 'kt-print-book',
  imports: [StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (printed(); as all) {
      <div class="inside">
        <h1>Combinations</h1>
        @for (each of all; track each.id) {
          <section>
            <h2>{{ each.name }}</h2>
            <p>{{ each.text }}{{ each.note ? ' · ' + each.note : '' }}</p>
            <kt-strike-staff [combination]="each.combination" [seams]="false" [scale]="0.8" />
            @if (each.strip; as url) {
              <img alt="" [src]="url" />
            }
          </section>
        }
        <p>
          The figure is not an instructor. Learn technique, contact and heavy work with a licensed coach. Warm up first.
        </p>
      </div>
    }
  `,
  styles: `
    :host {
      display: block;
      color: #000;
      background: #fff;
    }

    .inside {
      width: 718px;
    }

    section {
      break-inside: avoid;
      border-top: 2px solid #000;
    }

    img {
      display: block;
      max-width: 100%;
      max-height: 110px;
    }
  `,
  host: { '(window:afterprint)': 'printed.set(null)' },
})
export class PrintBook {
  readonly rows = input.required<readonly BookRow[]>();
  private readonly application = inject(ApplicationRef);
  private readonly notices = inject(NoticeService);
  private readonly settings = inject(SettingsService);
  protected readonly printed = signal<readonly Printed[] | null>(null);

  /** Prints the rows, without the figure where it cannot be loaded. */
  async print(): Promise<void> {
    const all = this.rows()
      .slice(0, mostPrinted)
      .map(({ entry, combination }) => ({ entry, combination, text: writeCombination(combination) }));
    const strips = await import('../../parts/figure/strips')
      .then(({ stripsOf }) =>
        stripsOf(
          all.map(({ combination, text }) => ({ words: text, combination })),
          six,
          this.settings.settings().soloStance,
        ),
      )
      .catch(() => []);
    if (this.rows().length > mostPrinted)
      void this.notices.say(
        `Only the first ${mostPrinted} are printed: select the ones you want, or narrow the search`,
      );
    this.printed.set(
      all.map(({ entry: { id, name, note }, combination, text }, at) => ({
        ...{ id, note, combination, text },
        name: name || text,
        strip: strips[at]?.url ?? null,
      })),
    );
    this.application.tick();
    window.print();
  }
}
