import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatMenuModule } from '@angular/material/menu';
import { MatSnackBar } from '@angular/material/snack-bar';
import { Router, RouterLink } from '@angular/router';
import { mdiDotsVertical, mdiFileImportOutline, mdiPlay, mdiPlus } from '@mdi/js';
import {
  compile,
  emptySheet,
  readSheetJson,
  readTempoText,
  sayClock,
  sayPlace,
  sessionTemplates,
  tally,
  writeSheetJson,
  writeTempoText,
  type Problem,
  type Sheet,
  type UnfinishedRun,
} from '../../../core/index';
import { Icon } from '../../parts/icon';
import { LastRun } from '../../parts/last-run';
import { FilesService } from '../../services/files.service';
import { freshId } from '../../services/fresh-id';
import { SheetsService } from '../../services/sheets.service';
import { UnfinishedRunService } from '../../services/unfinished-run.service';
import { DraftPanel } from './draft-panel';

/** A file that was refused, or of a text the lines that were not read, and why. */
interface Refusal {
  readonly name: string;
  readonly imported: boolean;
  readonly problems: readonly Problem[];
  readonly more: number;
}

const mostShown = 8;

/** The list of saved sheets. */
@Component({
  selector: 'kt-sheets-page',
  imports: [DatePipe, MatMenuModule, RouterLink, DraftPanel, Icon, LastRun],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheets-page.html',
  styleUrl: './sheets-page.scss',
})
export class SheetsPage {
  private readonly sheets = inject(SheetsService);
  private readonly files = inject(FilesService);
  private readonly runs = inject(UnfinishedRunService);
  private readonly router = inject(Router);
  private readonly snack = inject(MatSnackBar);

  protected readonly icons = { add: mdiPlus, file: mdiFileImportOutline, more: mdiDotsVertical, run: mdiPlay };
  /** A run that a closed browser broke off, offered here until it is taken up or let go. */
  protected readonly unfinished = signal<UnfinishedRun | null>(null);
  protected readonly refusal = signal<Refusal | null>(null);
  /** Id of the sheet whose name is being changed. */
  protected readonly renaming = signal<string | null>(null);
  protected readonly rows = computed(() =>
    this.sheets.all()?.map((stored) => {
      const timeline = compile(stored.sheet);
      const planned = tally(timeline, stored.sheet.stance);
      return {
        ...stored,
        length: sayClock(timeline.ms),
        breaks: timeline.openBreaks,
        rounds: timeline.rounds,
        punches: Math.round(planned.counts.punches),
      };
    }),
  );

  constructor() {
    void this.runs.get().then((run) => this.unfinished.set(run));
  }

  protected async letGo(): Promise<void> {
    await this.runs.clear();
    this.unfinished.set(null);
  }

  protected wholeSecond(at: number): string {
    return sayClock(Math.max(0, Math.floor(at / 1000)) * 1000);
  }

  protected async create(): Promise<void> {
    const sheet = emptySheet(freshId);
    await this.sheets.put(sheet);
    await this.router.navigate(['/sheets', sheet.id]);
  }

  /** Sessions of our own to begin from, with the length of each. */
  protected readonly templates = sessionTemplates.map(({ id, what, text }) => {
    const { sheet } = readTempoText(text);
    return { id, what, sheet, length: sayClock(compile(sheet).ms) };
  });
  protected readonly drafting = signal(false);

  protected async begin(sheet: Sheet): Promise<void> {
    const fresh = { ...sheet, id: freshId() };
    await this.sheets.put(fresh);
    await this.router.navigate(['/sheets', fresh.id]);
  }

  protected async drafted({ sheet, seed }: { readonly sheet: Sheet; readonly seed: number }): Promise<void> {
    await this.begin(sheet);
    this.snack.open(`Drafted from seed ${seed}`, undefined, { duration: 5000 });
  }

  protected async copy(sheet: Sheet): Promise<void> {
    const copied = await this.sheets.copy(sheet);
    this.snack.open(`Copied as “${copied.title}”`, undefined, { duration: 4000 });
  }

  protected rename(id: string): void {
    this.renaming.set(id);
    setTimeout(() => document.getElementById('rename')?.focus());
  }

  protected async finishRename(sheet: Sheet, event: Event): Promise<void> {
    if (this.renaming() !== sheet.id) return;
    const title = (event.target as HTMLInputElement).value.trim().slice(0, 200);
    this.renaming.set(null);
    if (title && title !== sheet.title) await this.sheets.put({ ...sheet, title });
  }

  protected async remove(sheet: Sheet): Promise<void> {
    const putBack = await this.sheets.remove(sheet.id);
    this.snack
      .open(`“${sheet.title}” deleted`, 'Undo', { duration: 8000 })
      .onAction()
      .subscribe(() => void putBack());
  }

  protected exportJson(sheet: Sheet): void {
    this.files.save(this.files.fileName(sheet.title, 'json'), writeSheetJson(sheet), 'application/json');
  }

  protected exportText(sheet: Sheet): void {
    this.files.save(this.files.fileName(sheet.title, 'tempo.txt'), writeTempoText(sheet), 'text/plain');
  }

  /** Text is forgiving: the sheet comes in whatever could not be read of it, and that is said. */
  private async importText(name: string, text: string): Promise<void> {
    const { sheet, faults } = readTempoText(text);
    const wrong = faults.filter(({ level }) => level === 'error');
    const added = await this.sheets.addImported({
      ...sheet,
      id: freshId(),
      title: sheet.title || name.replace(/(\.tempo)?\.txt$/i, ''),
    });
    this.snack.open(`“${added.title}” imported`, undefined, { duration: 4000 });
    if (wrong.length > 0)
      this.refusal.set({
        name,
        imported: true,
        problems: wrong
          .slice(0, mostShown)
          .map((fault) => ({ path: sayPlace(fault), what: `${fault.what}; ${fault.mend}` })),
        more: Math.max(0, wrong.length - mostShown),
      });
  }

  protected async import(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    this.refusal.set(null);
    for (const file of Array.from(field.files ?? [])) {
      const text = await file.text();
      if (!file.name.endsWith('.json')) {
        await this.importText(file.name, text);
        continue;
      }
      const read = readSheetJson(text);
      if (read.ok) {
        const added = await this.sheets.addImported(read.value);
        this.snack.open(`“${added.title}” imported`, undefined, { duration: 4000 });
      } else
        this.refusal.set({
          name: file.name,
          imported: false,
          problems: read.problems.slice(0, mostShown),
          more: Math.max(0, read.problems.length - mostShown),
        });
    }
    field.value = '';
  }
}
