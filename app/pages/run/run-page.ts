import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { ChoiceField } from '../../parts/fields/choice-field';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatToolbar } from '@angular/material/toolbar';
import { toObservable } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { filter, firstValueFrom } from 'rxjs';
import {
  compile,
  faultsSeen,
  nameOfFault,
  sayClock,
  withRemindersOf,
  type Sheet,
  type UnfinishedRun,
} from '../../../core/index';
import { Hint } from '../../parts/hint';
import { EntryForm } from '../../parts/entry-form';
import { SheetStory } from '../../parts/sheet-story';
import { Stage } from '../../parts/stage/stage';
import { KeysService } from '../../services/keys.service';
import { runShortcuts } from './run-keys';
import { SettingsService } from '../../services/settings.service';
import { SheetToRun } from '../../services/sheet-to-run';
import { SheetsService } from '../../services/sheets.service';
import { UnfinishedRunService, type BrokenOff } from '../../services/unfinished-run.service';
import { freePress } from './free-press';
import { Live } from './live';
import { LivePanel } from './live-panel';
import { RunEntry } from './run-entry';
import { RunKeeper } from './run-keeper';
import { MediaKeys } from './media-keys';
import { SoundCheck } from './sound-check';
import { RunSensors } from './run-sensors';
import { RunSounds } from './run-sounds';
import { RunSource } from './run-source';
import { Runner } from './runner';
import { Solo } from './solo';
import { SoloBar } from './solo-bar';
import { SoloBroke } from './solo-broke';
import { StopPanel } from './stop-panel';
import { Speaker } from './speaker';
import { Walls } from './walls';
import { WallsPanel } from './walls-panel';
import { AwakeService } from '../../services/awake.service';
import { LastRunsService } from '../../services/last-runs.service';
import { NoticeService } from '../../services/notice.service';
import { HelpLink } from '../../parts/help-link';

const sheetToRun = (info: unknown): SheetToRun | null => (info instanceof SheetToRun ? info : null);

/** Performing a sheet: clock, staff and calls, large enough for a room. */
@Component({
  selector: 'kt-run-page',
  imports: [
    HelpLink,
    Hint,
    ChoiceField,
    MatIcon,
    MatButtonModule,
    MatButtonToggleModule,
    MatToolbar,
    RouterLink,
    EntryForm,
    SheetStory,
    LivePanel,
    SoundCheck,
    Stage,
    SoloBar,
    SoloBroke,
    StopPanel,
    WallsPanel,
  ],
  providers: [Runner, RunEntry, RunKeeper, RunSensors, RunSounds, RunSource, Live, Speaker, Walls, MediaKeys, Solo],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-page.html',
  styleUrl: './run-page.scss',
})
export class RunPage {
  readonly id = input.required<string>();
  /** Which broken-off run is meant, where there are several. */
  readonly take = input<string>();
  /** A combination that is practised alone, and what it is called; a sheet is run where there is none. */
  readonly text = input<string>();
  readonly name = input<string>();
  protected readonly runner = inject(Runner);
  protected readonly source = inject(RunSource);
  protected readonly settings = inject(SettingsService);
  private readonly sheets = inject(SheetsService);
  private readonly unfinishedRuns = inject(UnfinishedRunService);
  private readonly notices = inject(NoticeService);
  private readonly lastRuns = inject(LastRunsService);
  private readonly router = inject(Router);
  private readonly awake = inject(AwakeService);
  private readonly handed = sheetToRun(this.router.currentNavigation()?.extras.info);
  /** Whether it is known what was broken off and what was seen the last time: before that nothing is started. */
  private readonly known = signal(false);
  private readonly whenKnown = firstValueFrom(toObservable(this.known).pipe(filter(Boolean)), { defaultValue: false });
  protected readonly ready = computed(() => this.known() && this.runner.script() !== null);
  /** Every control but Stop is kept from stray touches. */
  protected readonly locked = signal(false);

  /** undefined while storage is asked, null where there is no such sheet. */
  protected readonly entries = inject(RunEntry);
  protected readonly walls = inject(Walls);
  protected readonly solo = inject(Solo);
  protected readonly stance = computed(() => this.settings.settings().soloStance);
  protected readonly sensors = inject(RunSensors);
  /** What stands open beside the clock. */
  protected readonly side = signal<'changes' | 'walls' | null>(null);
  protected readonly stored = signal<Sheet | null | undefined>(undefined);
  /** Faults that were seen the last time: their reminders come in this session, unless they are left out. */
  protected readonly seen = signal<readonly string[]>([]);
  protected readonly nameOfFault = nameOfFault;
  /** The sheet with what is carried over from the last time. */
  private readonly toRun = computed(() => {
    const sheet = this.stored();
    return sheet ? withRemindersOf(sheet, this.seen()) : null;
  });
  protected readonly unfinished = signal<BrokenOff | null>(null);
  protected readonly rate = signal(1);
  protected readonly rates = [1, 4, 20, 60].map((value) => ({
    value,
    name: value === 1 ? 'normal' : `rehearsal × ${value}`,
  }));
  protected readonly sayClock = sayClock;

  protected readonly summary = computed(() => {
    const sheet = this.stored();
    if (!sheet) return null;
    const timeline = compile(sheet);
    return {
      length: sayClock(timeline.ms),
      rounds: timeline.rounds,
      breaks: timeline.openBreaks,
      leaves: timeline.leaves.length,
    };
  });
  /** The entry of a run that is over; one that stands stopped is shown beside the clock. */
  protected readonly over = computed(() => (this.phase() === 'over' ? this.runner.entry() : null));
  protected readonly phase = computed(() => this.runner.state()?.phase ?? null);
  protected wholeSecond(at: number): string {
    return sayClock(Math.max(0, Math.floor(at / 1000)) * 1000);
  }

  constructor() {
    inject(MediaKeys);
    inject(DestroyRef).onDestroy(() => this.awake.letGo());
    this.listenToKeys();
    effect(() => {
      const [id, text, stance] = [this.id(), this.text(), this.stance()];
      untracked(() => void (text === undefined ? this.load(id) : this.loadSolo(text, stance)));
    });
    effect(() => {
      const notFound = this.sheets.came() > 0 && untracked(this.stored) === null;
      if (notFound) untracked(() => void this.load(this.id()));
    });
    effect(() => {
      const sheet = this.toRun();
      if (sheet && untracked(this.phase) === null) untracked(() => this.runner.prepare(sheet));
    });
  }

  /** The run that was broken off: the one that the address names, else the last seen of its kind. */
  private async findBroken(isOwn: (run: UnfinishedRun) => boolean): Promise<void> {
    const own = (await firstValueFrom(this.unfinishedRuns.all$)).filter(({ run }) => isOwn(run));
    this.unfinished.set(own.find(({ key }) => key === this.take()) ?? own[0] ?? null);
  }

  private async load(id: string): Promise<void> {
    const handed = this.handed?.sheet.id === id ? this.handed.sheet : null;
    if (handed) this.stored.set(handed);
    const [sheet, last] = await Promise.all([
      handed ?? this.sheets.get(id),
      this.lastRuns.last(),
      this.findBroken((run) => run.sheet.id === id),
    ]);
    const stored = sheet ?? this.unfinished()?.run.sheet ?? null;
    this.seen.set(faultsSeen(last?.changes ?? []));
    this.stored.set(stored);
    this.known.set(true);
  }

  private async loadSolo(text: string, stance: 'orthodox' | 'southpaw'): Promise<void> {
    if (this.phase() !== null) return;
    this.stored.set(this.solo.begin(text, this.name() ?? text, stance));
    await this.findBroken(({ solo }) => solo?.text === text);
    this.known.set(true);
  }

  /** Which foot leads, remembered for the next time. */
  protected stand(stance: 'orthodox' | 'southpaw'): void {
    this.settings.change({ soloStance: stance });
  }

  protected async start(): Promise<void> {
    const sheet = this.toRun();
    if (!sheet) return;
    const before = this.unfinished();
    if (!(await this.runner.start(sheet, this.rate()))) return;
    if (this.text()) this.solo.slowly();
    this.unfinished.set(null);
    if (before) await this.putInLog(before);
    void this.awake.keep();
  }

  /** The run that was broken off before is not lost when another one begins. */
  private async putInLog(before: BrokenOff): Promise<void> {
    const putBack = await this.unfinishedRuns.letGo(before);
    this.notices.undoable('The interrupted session is in the log', putBack);
  }

  /** By a key, which may be pressed before it is known what was broken off: it waits for that. */
  private async begin(): Promise<void> {
    if (!(await this.whenKnown)) return;
    const broken = this.unfinished();
    await (broken ? this.takeUp(broken) : this.start());
  }

  protected async takeUp({ key, run }: BrokenOff): Promise<void> {
    if (run.solo) this.solo.begin(run.solo.text, run.solo.name, run.sheet.stance);
    if (!(await this.runner.takeUp(key, run))) return;
    this.unfinished.set(null);
    void this.awake.keep();
  }

  protected fullScreen(): void {
    if (document.fullscreenElement) void document.exitFullscreen();
    else document.documentElement.requestFullscreen().catch(() => undefined);
  }

  protected toggle(side: 'changes' | 'walls'): void {
    if (side === 'walls' && this.side() !== side) this.walls.open();
    this.side.update((open) => (open === side ? null : side));
  }

  protected toggleLock(): void {
    this.locked.update((on) => !on);
  }

  /** The focus is free after it, so that the space bar means pause. */
  protected closeSide(): void {
    this.side.set(null);
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  }

  protected readonly press = freePress;

  private listenToKeys(): void {
    const running = (): boolean => this.phase() !== null && this.phase() !== 'over';
    inject(KeysService).use(
      'A run',
      runShortcuts(this.runner, {
        waiting: () => this.phase() === null && (this.stored()?.blocks.length ?? 0) > 0,
        running,
        stopped: () => this.phase() === 'stopped',
        over: () => this.phase() === 'over',
        alone: () => this.text() !== undefined && running() && this.phase() !== 'stopped',
        sideOpen: () => this.side() !== null,
        begin: () => void this.begin(),
        sits: () => this.solo.go(1),
        broke: () => this.solo.broke(),
        toggle: (side) => this.toggle(side),
        closeSide: () => this.closeSide(),
        lock: () => this.toggleLock(),
        fullScreen: () => this.fullScreen(),
        leave: () => void this.router.navigate(this.text() ? ['/combos'] : ['/sheets', this.id()]),
      }),
    );
  }
}
