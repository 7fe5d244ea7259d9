import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Router, RouterLink } from '@angular/router';
import { switchMap } from 'rxjs';
import { nameOfFault, practiceSheet, type ProgressQuestion, type Suggestion } from '../../../core/index';
import { AddingUp } from '../../parts/adding-up';
import { ChartCard } from '../../parts/chart/chart-card';
import { ChoiceField, type Choice } from '../../parts/fields/choice-field';
import { freshId } from '../../services/fresh-id';
import { ProgressService } from '../../services/progress.service';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';
import { AimsTable } from './aims-table';
import { BodyFigures } from './body-figures';
import { chartsOf, sayTime } from './charts';
import { TodayService } from '../../services/today.service';
import { HelpLink } from '../../parts/help-link';

type Weeks = 4 | 12 | 52 | 0;
const spans: readonly Choice<Weeks>[] = [
  { value: 4, name: 'four weeks' },
  { value: 12, name: 'twelve weeks' },
  { value: 52, name: 'a year' },
  { value: 0, name: 'everything' },
];
const empties: readonly Choice<'rest' | 'unknown'>[] = [
  { value: 'rest', name: 'rest' },
  { value: 'unknown', name: 'unknown' },
];
const kinds: Readonly<Record<Suggestion['kind'], string>> = {
  due: 'Due for review',
  fault: 'Fixes a fault',
  lack: 'Underused',
  harder: 'Next step up',
};
/** Combinations that are listed by how often they were done. */
const mostCombinations = 8;

/** What the log tells: load, counts, what was worked on, what is next. */
@Component({
  selector: 'kt-progress-page',
  imports: [HelpLink, AddingUp, AimsTable, BodyFigures, ChartCard, ChoiceField, MatButtonModule, MatIcon, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './progress-page.html',
  styleUrl: './progress-page.scss',
})
export class ProgressPage {
  private readonly progress = inject(ProgressService);
  private readonly room = inject(RoomService);
  private readonly router = inject(Router);
  private readonly sheets = inject(SheetsService);
  protected readonly settings = inject(SettingsService);
  private readonly today = inject(TodayService).day;

  protected readonly spans = spans;
  protected readonly empties = empties;
  protected readonly kinds = kinds;
  protected readonly group = signal<string | null>(null);
  protected readonly level = computed(() => this.room.room()?.level ?? this.settings.settings().draft.level);
  private readonly question = computed((): ProgressQuestion => {
    const { lookBackWeeks, aims, emptyDays } = this.settings.settings();
    return {
      ...{ today: this.today(), days: lookBackWeeks === 0 ? null : lookBackWeeks * 7 },
      ...{ group: this.group(), level: this.level(), aims, emptyDays },
    };
  });
  protected readonly overview = toSignal(
    toObservable(this.question).pipe(
      switchMap((question) => this.progress.watch((progress) => progress.ask('overview', question))),
    ),
  );
  protected readonly charts = computed(() => {
    const overview = this.overview();
    return overview ? chartsOf(overview) : [];
  });
  protected readonly time = computed(() => {
    const overview = this.overview();
    return overview ? sayTime(overview.coverage) : null;
  });
  protected readonly combinations = computed(
    () => this.overview()?.coverage.combinations.slice(0, mostCombinations) ?? [],
  );
  protected readonly groups = computed((): readonly Choice<string | null>[] => [
    { value: null, name: 'all classes' },
    ...(this.overview()?.groups ?? []).map((name) => ({ value: name, name })),
  ]);
  protected readonly nameOfFault = nameOfFault;

  /** A new sheet with a round of it, open. */
  protected async put({ text, name }: Suggestion): Promise<void> {
    const sheet = practiceSheet(text, name, this.level(), freshId);
    await this.sheets.add(sheet);
    await this.router.navigate(['/sheets', sheet.id]);
  }
}
