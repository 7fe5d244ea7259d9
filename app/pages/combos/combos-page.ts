import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { mdiFileExportOutline, mdiFileImportOutline, mdiPlus } from '@mdi/js';
import {
  bagKinds,
  bookRow,
  levels,
  moveKinds,
  previewMerge,
  readBookJson,
  suits,
  toSeconds,
  writeBookJson,
  type BookEntry,
  type BookFilter,
  type BookRow,
  type MergeRow,
  type Problem,
  type Wordings,
} from '../../../core/index';
import { Icon } from '../../parts/icon';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { BookService } from '../../services/book.service';
import { FilesService } from '../../services/files.service';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import { CombinationCard } from './combination-card';
import { CompareView } from './compare-view';
import { MergePreview } from './merge-preview';

/** What `BookFilter` holds, as the form has it. */
interface Wish {
  readonly words: string;
  readonly strike: string;
  readonly length: '' | '1-3' | '4-6' | '7-99';
  readonly bag: string;
  readonly level: string;
  readonly stance: '' | 'stays' | 'turns';
  readonly flows: boolean;
}

const noWish: Wish = { words: '', strike: '', length: '', bag: '', level: '', stance: '', flows: false };

/** The coach's book of combinations. */
@Component({
  selector: 'kt-combos-page',
  imports: [Icon, StrikeStaff, CombinationCard, CompareView, MergePreview],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './combos-page.html',
  styleUrl: './combos-page.scss',
})
export class CombosPage {
  private readonly book = inject(BookService);
  private readonly files = inject(FilesService);
  private readonly snack = inject(MatSnackBar);
  protected readonly settings = inject(SettingsService);

  protected readonly icons = { add: mdiPlus, take: mdiFileImportOutline, give: mdiFileExportOutline };
  protected readonly bags = bagKinds;
  protected readonly levels = levels;
  protected readonly lengths = [
    { value: '1-3', name: 'up to 3 moves' },
    { value: '4-6', name: '4 to 6 moves' },
    { value: '7-99', name: '7 moves or more' },
  ] as const;
  protected readonly strikes = [
    ...new Set(
      moveKinds
        .filter((kind) => kind.targets.length > 0)
        .flatMap((kind) => (kind.sideInName ? kind.sides.map((side) => `${side} ${kind.name}`) : [kind.name])),
    ),
  ];

  protected readonly wish = signal<Wish>(noWish);
  private readonly filter = computed((): BookFilter => {
    const { words, strike, length, bag, level, stance, flows } = this.wish();
    const [leastMoves, mostMoves] = length ? length.split('-').map(Number) : [];
    return {
      ...(words.trim() ? { words: words.trim() } : {}),
      ...(strike ? { strike } : {}),
      ...(leastMoves !== undefined && mostMoves !== undefined ? { leastMoves, mostMoves } : {}),
      ...(stance ? { stance } : {}),
      ...(flows ? { flows } : {}),
      bag: bagKinds.find((each) => each === bag),
      level: levels.find((each) => each === level),
    };
  });
  private readonly all = computed(() =>
    this.book.all()?.flatMap((entry): readonly BookRow[] => {
      const row = bookRow(entry);
      return row ? [row] : [];
    }),
  );
  protected readonly rows = computed(() => this.all()?.filter((row) => suits(row, this.filter())));
  protected readonly total = computed(() => this.all()?.length ?? 0);

  /** Entry that is open for editing; a new one is here before it is in the book. */
  protected readonly open = signal<BookEntry | null>(null);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly comparing = signal(false);
  protected readonly compared = computed(() => this.all()?.filter((row) => this.chosen().has(row.entry.id)) ?? []);
  protected readonly merging = signal<readonly MergeRow[] | null>(null);
  /** Words for calls in the file that is looked at. */
  protected readonly phrasebook = signal<Wordings | null>(null);
  protected readonly refusal = signal<{ name: string; problems: readonly Problem[] } | null>(null);

  protected seconds(row: BookRow): number {
    return toSeconds(Math.round(row.ms / 10) * 10);
  }

  /** The first place where it sticks, in words. */
  protected sticks({ stuck }: BookRow): string {
    const [first] = stuck;
    return first ? (first.loop ? 'loop: ' : '') + first.reason : '';
  }

  protected look(change: Partial<Wish>): void {
    this.wish.update((wish) => ({ ...wish, ...change }));
  }

  protected value(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected create(): void {
    this.comparing.set(false);
    this.open.set({ id: freshId(), name: '', text: '', tags: [], note: '' });
  }

  protected edit(entry: BookEntry): void {
    this.comparing.set(false);
    this.open.set(this.open()?.id === entry.id ? null : entry);
  }

  protected async save(entry: BookEntry): Promise<void> {
    // Shown first: the next change builds on this one even while it is being written.
    this.open.set(entry);
    await this.book.put(entry);
  }

  protected async remove(entry: BookEntry): Promise<void> {
    const putBack = await this.book.remove(entry.id);
    this.open.set(null);
    this.choose(entry.id, false);
    this.snack
      .open(`“${entry.name || entry.text}” deleted`, 'Undo', { duration: 8000 })
      .onAction()
      .subscribe(() => void putBack());
  }

  protected choose(id: string, on: boolean): void {
    const chosen = new Set(this.chosen());
    if (on) chosen.add(id);
    else chosen.delete(id);
    this.chosen.set(chosen);
  }

  protected checked(event: Event): boolean {
    return (event.target as HTMLInputElement).checked;
  }

  /** The chosen entries, or the whole book where none is chosen. */
  protected export(): void {
    const chosen = this.chosen();
    const entries = (this.book.all() ?? []).filter((entry) => chosen.size === 0 || chosen.has(entry.id));
    this.files.save(
      this.files.fileName(chosen.size === 0 ? 'combinations' : 'some combinations', 'json'),
      writeBookJson('', entries, chosen.size === 0 ? this.settings.settings().wordings : {}),
      'application/json',
    );
  }

  protected async import(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    if (!file) return;
    const read = readBookJson(await file.text());
    field.value = '';
    this.refusal.set(read.ok ? null : { name: file.name, problems: read.problems.slice(0, 8) });
    this.merging.set(read.ok ? previewMerge(this.book.all() ?? [], read.value.entries) : null);
    this.phrasebook.set(read.ok ? (read.value.wordings ?? null) : null);
  }

  /** Takes a phrasebook in place of the coach's own, which can be put back. */
  protected takePhrases(wordings: Wordings): void {
    const before = this.settings.settings().wordings;
    this.settings.change({ wordings });
    this.phrasebook.set(null);
    this.snack
      .open('The phrasebook is taken in', 'Undo', { duration: 8000 })
      .onAction()
      .subscribe(() => {
        this.settings.change({ wordings: before });
      });
  }

  protected async merge(entries: readonly BookEntry[]): Promise<void> {
    await this.book.put(...entries);
    this.merging.set(null);
    this.snack.open(`${entries.length} ${entries.length === 1 ? 'combination' : 'combinations'} taken in`, undefined, {
      duration: 5000,
    });
  }
}
