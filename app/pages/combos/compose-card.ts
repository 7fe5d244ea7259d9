import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatChipsModule } from '@angular/material/chips';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Router } from '@angular/router';
import { practiceSheet, readStored, type Combination } from '../../../core/index';
import { TextField } from '../../parts/fields/text-field';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { BookService } from '../../services/book.service';
import { ComposeService } from '../../services/compose.service';
import { freshId } from '../../services/fresh-id';
import { NoticeService } from '../../services/notice.service';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';

/** Combinations that are shown at once. */
const shown = 6;
/** Wishes that are one press away. */
const phrases = [
  'flows',
  'loops',
  'same stance',
  'without kicks',
  'without body',
  'one roll',
  'one slip',
  'ends on 3',
  'on heavy',
  'on double-end',
] as const;

const partsOf = (wishes: string): string[] =>
  wishes
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '');

interface Found {
  readonly text: string;
  readonly score: number;
  readonly combination: Combination;
}

/** Wishes in a line, how many combinations meet them, and a handful of those drawn on staves. */
@Component({
  selector: 'kt-compose-card',
  imports: [DecimalPipe, MatButtonModule, MatChipsModule, MatIcon, MatProgressBar, StrikeStaff, TextField],
  providers: [ComposeService],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './compose-card.html',
  styles: `
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto auto;
      gap: var(--space-2) var(--space-3);
      align-items: center;
      padding-block: var(--space-1);
      border-top: 1px solid var(--line);
    }
    .wait {
      height: 4px;
    }
    @media (max-width: 760px) {
      li {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  host: { class: 'card stack', role: 'region', 'aria-label': 'Compose' },
})
export class ComposeCard {
  private readonly composer = inject(ComposeService);
  private readonly book = inject(BookService);
  private readonly notices = inject(NoticeService);
  private readonly router = inject(Router);
  private readonly settings = inject(SettingsService);
  private readonly sheets = inject(SheetsService);

  protected readonly phrases = phrases;
  protected readonly wishes = signal('4-6 moves, begins 1 2, flows');
  private readonly seed = signal(1);
  protected readonly pressed = computed(() => {
    const said = new Set(partsOf(this.wishes()));
    return phrases.filter((phrase) => said.has(phrase));
  });
  protected readonly answer = resource({
    params: () => ({ wishes: this.wishes(), seed: this.seed() }),
    loader: ({ params: { wishes, seed } }) => this.composer.compose(wishes, shown, seed),
  });
  protected readonly found = computed((): readonly Found[] =>
    (this.answer.value()?.found ?? []).flatMap(({ text, score }): readonly Found[] => {
      const read = readStored(text);
      return read.ok ? [{ text, score, combination: read.value }] : [];
    }),
  );
  protected readonly count = computed(() => this.answer.value()?.count ?? '');
  /** Few enough to be said as a number, or a power of ten. */
  protected readonly small = computed(() => (this.count().length <= 15 ? Number(this.count()) : null));

  /** Puts a phrase among the wishes, or takes it out. */
  protected press(chosen: readonly string[]): void {
    const others = partsOf(this.wishes()).filter((part) => !phrases.some((phrase) => phrase === part));
    this.wishes.set([...others, ...chosen].join(', '));
  }

  protected others(): void {
    this.seed.update((seed) => seed + 1);
  }

  protected async keep({ text }: Found): Promise<void> {
    const id = freshId();
    await this.book.put({ id, name: '', text, tags: ['composed'], note: `Wishes: ${this.wishes()}`.slice(0, 1000) });
    this.notices.undoable(`${text} is in the book`, () => this.book.remove(id));
  }

  protected async asSheet({ text }: Found): Promise<void> {
    const sheet = practiceSheet(text, text, this.settings.settings().draft.level, freshId);
    await this.sheets.add(sheet);
    await this.router.navigate(['/sheets', sheet.id]);
  }
}
