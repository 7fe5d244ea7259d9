import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { bagKinds, draftKinds, levels, sayFault, six, takeIn, type Sheet, type Wishes } from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { BookService } from '../../services/book.service';
import { DraftedService } from '../../services/drafted.service';

/** Wishes for a session that is drafted whole, warm-up to cool-down. */
@Component({
  selector: 'kt-draft-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './draft-panel.html',
  styles: `
    form {
      display: flex;
      flex-wrap: wrap;
      align-items: end;
      gap: 0.6rem 1rem;
      margin-bottom: 1rem;
      padding: 0.8rem 1rem;
      border: 2px solid var(--line-strong);
      border-radius: 8px;
      background: var(--paper);
    }

    label {
      display: grid;
      color: var(--ink-soft);
      font-size: 0.82rem;
    }

    .goals {
      flex: 1 1 20rem;
    }

    p {
      flex: 1 1 100%;
    }

    [role='alert'] {
      color: var(--danger);
    }
  `,
})
export class DraftPanel {
  private readonly drafted = inject(DraftedService);
  protected readonly book = inject(BookService);
  /** The drafted sheet, and the seed it came from. */
  readonly made = output<{ readonly sheet: Sheet; readonly seed: number }>();

  protected readonly levels = levels;
  protected readonly kinds = draftKinds;
  protected readonly bags = bagKinds;
  protected readonly fault = signal('');

  protected async draft(minutes: string, level: string, kind: string, bag: string, goals: string): Promise<void> {
    const length = Math.round(Number(minutes));
    const texts = goals.split(';').filter((text) => text.trim() !== '');
    const typed = texts.map((text) => takeIn(text, six));
    const wrong = typed.find(({ fault }) => fault !== null);
    if (!(length >= 10 && length <= 120)) this.fault.set('Write 10 to 120 minutes.');
    else if (wrong?.fault) this.fault.set(`“${wrong.text.trim()}”: ${sayFault(wrong.fault)}`);
    else {
      this.fault.set('');
      const wishes: Wishes = {
        minutes: length,
        level: levels.find((each) => each === level) ?? 'beginner',
        kind: draftKinds.find((each) => each === kind) ?? 'mixed',
        bag: bagKinds.find((each) => each === bag) ?? 'heavy',
        goals: typed.map(({ text }) => text),
      };
      const { sheet, seed } = await this.drafted.draft(wishes);
      this.made.emit({ sheet: { ...sheet, id: freshId() }, seed });
    }
  }
}
