import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { mdiClose, mdiFullscreen, mdiPause, mdiPlay, mdiReplay, mdiSkipNext, mdiSkipPrevious, mdiStop } from '@mdi/js';
import {
  writeCombination,
  earlyMoves,
  blockName,
  compile,
  planLeaf,
  sayClock,
  sayEffort,
  schemeOrSix,
  type Leaf,
  type LogEntry,
  type Sheet,
  type UnfinishedRun,
} from '../../../core/index';
import { EntryForm } from '../../parts/entry-form';
import { Icon } from '../../parts/icon';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { LogService } from '../../services/log.service';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';
import { UnfinishedRunService } from '../../services/unfinished-run.service';
import { RunLanes } from './run-lanes';
import { Runner } from './runner';
import { Speaker } from './speaker';

/** Performing a sheet: clock, staff and calls, large enough for a room. */
@Component({
  selector: 'kt-run-page',
  imports: [RouterLink, EntryForm, Icon, RunLanes, StrikeStaff],
  providers: [Runner, Speaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-page.html',
  styleUrl: './run-page.scss',
  host: { '(document:keydown)': 'onKey($event)' },
})
export class RunPage {
  readonly id = input.required<string>();
  protected readonly runner = inject(Runner);
  protected readonly settings = inject(SettingsService);
  private readonly sheets = inject(SheetsService);
  private readonly unfinishedRuns = inject(UnfinishedRunService);
  private readonly log = inject(LogService);
  private readonly router = inject(Router);

  /** undefined while storage is asked, null where there is no such sheet. */
  protected readonly stored = signal<Sheet | null | undefined>(undefined);
  protected readonly unfinished = signal<UnfinishedRun | null>(null);
  protected readonly rate = signal(1);
  protected readonly rates = [1, 4, 20, 60];
  protected readonly icons = {
    back: mdiSkipPrevious,
    next: mdiSkipNext,
    pause: mdiPause,
    play: mdiPlay,
    repeat: mdiReplay,
    stop: mdiStop,
    full: mdiFullscreen,
    close: mdiClose,
  };
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
  protected readonly scheme = computed(() => schemeOrSix(this.runner.sheet()?.numbers ?? 'six'));
  protected readonly phase = computed(() => this.runner.state()?.phase ?? null);
  /** Seconds left before second zero, or null once past it. */
  protected readonly countIn = computed(() =>
    this.phase() !== null && this.runner.position() < 0 ? Math.ceil(-this.runner.position() / 1000) : null,
  );
  protected readonly left = computed(() => {
    const leaf = this.runner.leaf();
    return leaf ? Math.max(0, leaf.at + leaf.ms - this.runner.position()) : 0;
  });
  protected readonly clock = computed(() => sayClock(Math.ceil(this.left() / 1000) * 1000));
  /** Share of the leaf that is behind, 0 to 100, in whole steps so that little is drawn anew. */
  protected readonly behind = computed(() => {
    const leaf = this.runner.leaf();
    return leaf && leaf.ms > 0 ? Math.round(1000 * (1 - this.left() / leaf.ms)) / 10 : 0;
  });
  /** What is left of the whole block, where the piece is only a part of it. */
  protected readonly blockLeft = computed(() => {
    const [leaf, timeline] = [this.runner.leaf(), this.runner.timeline()];
    if (!leaf || !timeline) return null;
    const last = timeline.leaves.findLast(
      (each) => each.blockId === leaf.blockId && each.round === leaf.round && each.kind === leaf.kind,
    );
    const end = (last?.at ?? leaf.at) + (last?.ms ?? 0);
    return end > leaf.at + leaf.ms ? sayClock(Math.ceil((end - this.runner.position()) / 1000) * 1000) : null;
  });
  protected readonly heading = computed(() => {
    const [leaf, sheet, timeline] = [
      this.runner.leaf() ?? this.runner.next(),
      this.runner.sheet(),
      this.runner.timeline(),
    ];
    const block = sheet?.blocks.find((each) => each.id === leaf?.blockId);
    if (!leaf || !block || !timeline) return '';
    if (leaf.kind === 'rest') return 'Rest';
    return leaf.round === null
      ? blockName(block, null)
      : blockName(block, leaf.round).replace(/^Round \d+/, (name) => `${name} of ${timeline.rounds}`);
  });
  protected readonly detail = computed(() => {
    const leaf = this.runner.leaf();
    if (!leaf) return '';
    const stage = leaf.stage ? [`stage ${leaf.stage.number} of ${leaf.stage.of}`] : [];
    const effort = leaf.kind === 'rest' || leaf.kind === 'show' ? [] : [sayEffort(leaf.effort)];
    const plan = planLeaf(leaf);
    const strikes =
      plan.most > 0
        ? [
            plan.least === plan.most
              ? `${Math.round(plan.most)} strikes planned`
              : `${Math.round(plan.least)} to ${Math.round(plan.most)} strikes`,
          ]
        : [];
    return [...stage, ...effort, ...(leaf.nonStop ? ['non-stop'] : []), ...strikes].join(' · ');
  });

  protected wholeSecond(at: number): string {
    return sayClock(Math.max(0, Math.floor(at / 1000)) * 1000);
  }

  /** What comes next; within a block its name need not be said again. */
  protected nextName(next: Leaf): string {
    return next.blockId === this.runner.leaf()?.blockId && next.label.includes(' · ')
      ? (next.label.split(' · ').at(-1) ?? next.label)
      : next.label;
  }

  /** The early moves of a stage that attention drifts away from. */
  protected remindOf(leaf: Leaf): string | null {
    const early = earlyMoves(leaf);
    return early ? writeCombination(early, this.scheme()) : null;
  }

  constructor() {
    effect(() => void this.load(this.id()));
  }

  private async load(id: string): Promise<void> {
    const [sheet, unfinished] = [await this.sheets.get(id), await this.unfinishedRuns.get()];
    this.unfinished.set(unfinished?.sheet.id === id ? unfinished : null);
    this.stored.set(sheet ?? this.unfinished()?.sheet ?? null);
  }

  protected async start(): Promise<void> {
    const sheet = this.stored();
    if (!sheet) return;
    await this.runner.start(sheet, this.rate());
    this.unfinished.set(null);
    this.stayAwake();
  }

  protected async takeUp(run: UnfinishedRun): Promise<void> {
    await this.runner.takeUp(run);
    this.unfinished.set(null);
    this.stayAwake();
  }

  /** Keeps a tablet's screen on, where the browser can; the lock ends with the page. */
  private stayAwake(): void {
    if ('wakeLock' in navigator) navigator.wakeLock.request('screen').catch(() => undefined);
  }

  protected setRate(event: Event): void {
    const rate = Number((event.target as HTMLSelectElement).value);
    if (this.rates.includes(rate)) this.rate.set(rate);
  }

  protected fullScreen(): void {
    if (document.fullscreenElement) void document.exitFullscreen();
    else document.documentElement.requestFullscreen().catch(() => undefined);
  }

  protected async changeEntry(entry: LogEntry): Promise<void> {
    await this.log.put(entry);
    this.runner.entry.set(entry);
  }

  /** A press by mouse or finger leaves the focus free, so that the space bar goes on meaning pause. */
  protected press(event: MouseEvent, action: () => void): void {
    if (event.detail > 0) (event.currentTarget as HTMLElement).blur();
    action();
  }

  protected onKey(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.altKey || event.metaKey || target.matches('input, textarea, select')) return;
    const onButton = target.matches('button, a');
    const phase = this.phase();
    if (phase === 'over') return;
    const act = this.actionFor(event.key, phase === null, onButton);
    if (!act) return;
    event.preventDefault();
    act();
  }

  private actionFor(key: string, waiting: boolean, onButton: boolean): (() => void) | null {
    if (key === 'f' || key === 'F') return () => this.fullScreen();
    if (waiting) {
      if (key === 'Escape') return () => void this.router.navigate(['/sheets', this.id()]);
      const run = this.unfinished();
      if ((key === ' ' || key === 'Enter') && !onButton) return () => void (run ? this.takeUp(run) : this.start());
      return null;
    }
    if (key === ' ' && !onButton) return () => this.runner.toggle();
    if (key === 'ArrowLeft') return () => this.runner.go('back');
    if (key === 'ArrowRight') return () => this.runner.go('forward');
    if (key === 'r' || key === 'R') return () => this.runner.go('repeat');
    if (key === 's' || key === 'S') return () => this.runner.stopNow();
    return null;
  }
}
