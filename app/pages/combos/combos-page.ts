import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { MatSortModule } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import { ScrollingModule } from '@angular/cdk/scrolling';
import { MatChipsModule } from '@angular/material/chips';
import { MatCheckbox } from '@angular/material/checkbox';
import { FileButton } from '../../parts/fields/file-button';
import { TextField } from '../../parts/fields/text-field';
import { byPlace, MeasuredScroll, rowHeights } from '../../parts/measured-scroll';
import { MatIcon } from '@angular/material/icon';
import { MatTooltip } from '@angular/material/tooltip';
import { MatButtonModule } from '@angular/material/button';
import {
  bookOrders,
  bookRow,
  levels,
  moveKinds,
  previewMerge,
  readBookJson,
  sortBook,
  suits,
  toSeconds,
  writeBookJson,
  type BagKind,
  type Book,
  type BookEntry,
  type FromFile,
  type BookFilter,
  type BookRow,
  type Level,
  type MergeRow,
  type Problem,
  type Wordings,
} from '../../../core/index';
import { named, orNothing, ChoiceField } from '../../parts/fields/choice-field';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { BookService } from '../../services/book.service';
import { FilesService } from '../../services/files.service';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import { CombinationCard } from './combination-card';
import { CompareView } from './compare-view';
import { ComposeCard } from '../../parts/compose/compose-card';
import { composeActions } from '../../parts/compose/compose-actions';
import { bookComposeActions } from './book-compose';
import { UnreadList } from '../../parts/unread-list';
import { MergePreview } from './merge-preview';
import { PractiseLink } from './practise-link';
import { PrintBook } from './print-book';
import { NoticeService } from '../../services/notice.service';
import { HelpLink } from '../../parts/help-link';
import { bagChoices } from '../../parts/fields/bag-choices';

/** What is looked for, as the chips and fields have it; undefined where it does not matter. */
interface Wish {
  readonly words: string;
  readonly strike: string | undefined;
  readonly bag: BagKind | undefined;
  readonly length: '1-3' | '4-6' | '7-99' | undefined;
  readonly level: Level | undefined;
  readonly stance: 'stays' | 'turns' | undefined;
  readonly flows: true | undefined;
}

const noWish: Wish = {
  words: '',
  strike: undefined,
  bag: undefined,
  length: undefined,
  level: undefined,
  stance: undefined,
  flows: undefined,
};

/** What a press of a chip asks for, group by group. */
const chips = [
  {
    key: 'length',
    name: 'Length',
    choices: [
      { value: '1-3', name: 'up to 3 moves' },
      { value: '4-6', name: '4 to 6 moves' },
      { value: '7-99', name: '7 or more moves' },
    ],
  },
  { key: 'level', name: 'Level', choices: named(levels) },
  {
    key: 'stance',
    name: 'Stance',
    choices: [
      { value: 'stays', name: 'ends in the same stance' },
      { value: 'turns', name: 'ends in the opposite stance' },
    ],
  },
  { key: 'flows', name: 'Flow', choices: [{ value: true, name: 'flows all the way through' }] },
] as const;

/** The coach's book of combinations. */
@Component({
  selector: 'kt-combos-page',
  imports: [
    HelpLink,
    MatSortModule,
    MatTableModule,
    ScrollingModule,
    MatChipsModule,
    MatCheckbox,
    FileButton,
    ChoiceField,
    TextField,
    MatIcon,
    MatTooltip,
    MatButtonModule,
    PractiseLink,
    PrintBook,
    StrikeStaff,
    CombinationCard,
    CompareView,
    ComposeCard,
    MeasuredScroll,
    MergePreview,
    UnreadList,
  ],
  providers: [{ provide: composeActions, useFactory: bookComposeActions }],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './combos-page.html',
  styleUrl: './combos-page.scss',
})
export class CombosPage {
  /** From the address: the combination that is open. */
  readonly entry = input<string>();
  protected readonly unreadStores = ['book'] as const;
  private readonly book = inject(BookService);
  private readonly files = inject(FilesService);
  private readonly notices = inject(NoticeService);
  protected readonly settings = inject(SettingsService);

  protected readonly chips = chips;
  protected readonly columns = ['choose', 'name', 'moves', 'punches', 'seconds', 'level'];
  protected readonly bags = [{ value: undefined, name: 'any' }, ...bagChoices];
  protected readonly strikes = orNothing('any', [
    ...new Set(
      moveKinds
        .filter((kind) => kind.targets.length > 0)
        .flatMap((kind) => (kind.sideInName ? kind.sides.map((side) => `${side} ${kind.name}`) : [kind.name])),
    ),
  ]);

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
      bag,
      level,
    };
  });
  private readonly all = computed(() =>
    this.book.all()?.flatMap((entry): readonly BookRow[] => {
      const row = bookRow(entry);
      return row ? [row] : [];
    }),
  );
  /** By which column, and whether from the most to the least; as the book has them where nothing was chosen. */
  protected readonly sort = signal<{ readonly by: string; readonly down: boolean }>({ by: '', down: false });
  private readonly found = computed(() => this.all()?.filter((row) => suits(row, this.filter())));
  protected readonly rows = computed(() => {
    const { by, down } = this.sort();
    const order = bookOrders.find((each) => each === by);
    const found = this.found();
    return order && found ? sortBook(found, order, down) : found;
  });
  protected readonly total = computed(() => this.all()?.length ?? 0);
  protected readonly rowHeight = computed(() => rowHeights[this.settings.settings().density]);

  /** The row that is looked at: the first, until another is. */
  protected readonly looked = linkedSignal<readonly BookRow[], BookRow | null>({
    source: () => this.rows() ?? [],
    computation: (rows, before) => rows.find(({ entry }) => entry.id === before?.value?.entry.id) ?? rows[0] ?? null,
  });
  protected readonly byPlace = byPlace;

  protected about({ level, bag, tags }: BookEntry): string {
    return [level ?? 'any level', ...(bag ? [bag] : []), ...tags].join(' · ');
  }

  /** Entry that is open for editing; a new one is here before it is in the book. */
  protected readonly open = signal<BookEntry | null>(null);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly comparing = signal(false);
  protected readonly composing = signal(false);
  protected readonly compared = computed(() => this.all()?.filter((row) => this.chosen().has(row.entry.id)) ?? []);
  protected readonly merging = signal<readonly MergeRow[] | null>(null);
  /** Words for calls in the file that is looked at. */
  protected readonly phrasebook = signal<Wordings | null>(null);
  /** What is printed: the chosen ones, else what is found. */
  protected readonly printed = computed(() => (this.chosen().size > 0 ? this.compared() : (this.rows() ?? [])));
  protected readonly refusal = signal<{ name: string; problems: readonly Problem[] } | null>(null);

  constructor() {
    effect(() => {
      const row = this.all()?.find(({ entry }) => entry.id === this.entry());
      if (row) untracked(() => this.open.set(row.entry));
    });
  }

  protected seconds(row: BookRow): number {
    return toSeconds(Math.round(row.ms / 10) * 10);
  }

  /** The first place where it sticks, in words. */
  protected sticks({ stuck }: BookRow): string {
    const [first] = stuck;
    return first ? (first.loop ? 'on repeat: ' : '') + first.reason : '';
  }

  protected look(change: Partial<Wish>): void {
    this.wish.update((wish) => ({ ...wish, ...change }));
  }

  /** A chip that is pressed again is let go. */
  protected lookBy<Key extends (typeof chips)[number]['key']>(key: Key, value: Wish[Key]): void {
    this.look({ [key]: value });
  }

  protected create(): void {
    this.comparing.set(false);
    this.open.set({ id: freshId(), name: '', text: '', tags: [], note: '' });
  }

  protected edit(entry: BookEntry): void {
    this.comparing.set(false);
    this.open.set(this.open()?.id === entry.id ? null : entry);
  }

  protected async save(change: Partial<BookEntry>): Promise<void> {
    const open = this.open();
    if (!open) return;
    const entry = { ...open, ...change };
    // Shown first: the next change builds on this one even while it is being written.
    this.open.set(entry);
    await this.book.put(entry);
  }

  protected async remove(entry: BookEntry): Promise<void> {
    const putBack = await this.book.remove(entry.id);
    this.open.set(null);
    this.choose(entry.id, false);
    this.notices.undoable(`“${entry.name || entry.text}” deleted`, putBack);
  }

  protected choose(id: string, on: boolean): void {
    const chosen = new Set(this.chosen());
    if (on) chosen.add(id);
    else chosen.delete(id);
    this.chosen.set(chosen);
  }

  /** The chosen entries, or the whole book where none is chosen. */
  protected async export(): Promise<void> {
    const chosen = this.chosen();
    const entries = (this.book.all() ?? []).filter((entry) => chosen.size === 0 || chosen.has(entry.id));
    await this.files.save(
      this.files.fileName(chosen.size === 0 ? 'combinations' : 'some combinations', 'json'),
      writeBookJson('', entries, chosen.size === 0 ? this.settings.settings().wordings : {}),
      'application/json',
    );
  }

  protected async import([file]: readonly File[]): Promise<void> {
    if (!file) return;
    const read = await this.readBook(file);
    this.refusal.set(read.ok ? null : { name: file.name, problems: read.problems.slice(0, 8) });
    this.merging.set(read.ok ? previewMerge(this.book.all() ?? [], read.value.entries) : null);
    this.phrasebook.set(read.ok ? (read.value.wordings ?? null) : null);
  }

  /** A book, by what is in the file; anything else is said to be what it is. */
  private async readBook(file: File): Promise<FromFile<Book>> {
    const incoming = await this.files.read(file);
    if (incoming.kind === 'book') return readBookJson(incoming.text);
    if (incoming.kind === 'refused') return { ok: false, problems: incoming.problems };
    const where = incoming.kind === 'sheet' ? 'import it under Sheets' : 'use Restore under Settings';
    return {
      ok: false,
      problems: [{ path: '', what: `this file is a ${incoming.kind}, not a list of combinations: ${where}` }],
    };
  }

  /** Takes a phrasebook in place of the coach's own, which can be put back. */
  protected takePhrases(wordings: Wordings): void {
    const before = this.settings.settings().wordings;
    this.settings.change({ wordings });
    this.phrasebook.set(null);
    this.notices.undoable('Phrasebook imported', () => {
      this.settings.change({ wordings: before });
    });
  }

  protected async merge(entries: readonly BookEntry[]): Promise<void> {
    await this.book.put(...entries);
    this.merging.set(null);
    void this.notices.say(`${entries.length} ${entries.length === 1 ? 'combination' : 'combinations'} imported`);
  }
}
