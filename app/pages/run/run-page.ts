import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { ChoiceField } from '../../parts/fields/choice-field';
import { MatIcon } from '@angular/material/icon';
import { MatButtonModule } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { BreakpointObserver } from '@angular/cdk/layout';
import { toSignal } from '@angular/core/rxjs-interop';
import { firstValueFrom, map } from 'rxjs';
import {
  addedMs,
  writeCombination,
  earlyMoves,
  blockName,
  leafDetail,
  leafName,
  compile,
  planLeaf,
  sayClock,
  sayEffort,
  schemeOrSix,
  strikingAt,
  type Leaf,
  type LogEntry,
  type Sheet,
  wordsOn,
} from '../../../core/index';
import { Hint } from '../../parts/hint';
import { EntryForm } from '../../parts/entry-form';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { LogService } from '../../services/log.service';
import { KeysService } from '../../services/keys.service';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';
import { UnfinishedRunService, type BrokenOff } from '../../services/unfinished-run.service';
import { RunLanes } from './run-lanes';
import { Live } from './live';
import { LivePanel } from './live-panel';
import { RunKeeper } from './run-keeper';
import { Runner } from './runner';
import { Speaker } from './speaker';
import { NoticeService } from '../../services/notice.service';

/** Performing a sheet: clock, staff and calls, large enough for a room. */
@Component({
  selector: 'kt-run-page',
  imports: [Hint, ChoiceField, MatIcon, MatButtonModule, RouterLink, EntryForm, LivePanel, RunLanes, StrikeStaff],
  providers: [Runner, RunKeeper, Live, Speaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-page.html',
  styleUrl: './run-page.scss',
})
export class RunPage {
  readonly id = input.required<string>();
  /** Which broken-off run is meant, where there are several. */
  readonly take = input<string>();
  protected readonly runner = inject(Runner);
  protected readonly settings = inject(SettingsService);
  private readonly sheets = inject(SheetsService);
  private readonly unfinishedRuns = inject(UnfinishedRunService);
  private readonly log = inject(LogService);
  private readonly notices = inject(NoticeService);
  private readonly router = inject(Router);

  /** undefined while storage is asked, null where there is no such sheet. */
  /** Whether what can be changed stands open at the side. */
  protected readonly changing = signal(false);
  protected readonly stored = signal<Sheet | null | undefined>(undefined);
  protected readonly unfinished = signal<BrokenOff | null>(null);
  protected readonly rate = signal(1);
  protected readonly rates = [1, 4, 20, 60].map((value) => ({
    value,
    name: value === 1 ? 'as it is' : `rehearsal × ${value}`,
  }));
  protected readonly sayClock = sayClock;
  protected readonly leafDetail = leafDetail;

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
    const last = this.runner.parts().at(-1);
    return last ? Math.max(0, last.at + last.ms - this.runner.position()) : 0;
  });
  protected readonly clock = computed(() => sayClock(Math.ceil(this.left() / 1000) * 1000));
  /** Share of the leaf that is behind, 0 to 100, in whole steps so that little is drawn anew. */
  protected readonly behind = computed(() => {
    const whole = this.runner.parts().reduce((sum, { ms }) => sum + ms, 0);
    return whole > 0 ? Math.round(1000 * (1 - this.left() / whole)) / 10 : 0;
  });
  /** What is left of the whole block, where the piece is only a part of it. */
  protected readonly blockLeft = computed(() => {
    const [leaf, timeline] = [this.runner.parts().at(-1), this.runner.timeline()];
    if (!leaf || !timeline) return null;
    const last = timeline.leaves.findLast(
      (each) => each.blockId === leaf.blockId && each.round === leaf.round && each.kind === leaf.kind,
    );
    const end = (last?.at ?? leaf.at) + (last?.ms ?? 0);
    return end > leaf.at + leaf.ms ? sayClock(Math.ceil((end - this.runner.position()) / 1000) * 1000) : null;
  });
  protected readonly heading = computed(() => {
    const [leaf, timeline] = [this.runner.leaf() ?? this.runner.next(), this.runner.timeline()];
    if (!leaf || !timeline) return '';
    if (leaf.round === null) return blockName(leaf);
    const round = `Round ${leaf.round} of ${timeline.rounds}`;
    return leaf.title ? `${round} · ${leaf.title}` : round;
  });
  /** What the script says in this leaf that a class reads off the wall; nothing that is muted, in the coach's own words. */
  protected readonly words = computed((): readonly string[] => {
    const [leaf, script] = [this.runner.leaf(), this.runner.script()];
    return leaf && script ? wordsOn(script, leaf, this.runner.state()?.breaksPassed ?? 0) : [];
  });
  protected readonly detail = computed(() => {
    const leaf = this.runner.leaf();
    if (!leaf) return '';
    const stage = leaf.stage ? [`stage ${leaf.stage.number} of ${leaf.stage.of}`] : [];
    const works = leaf.kind !== 'rest' && leaf.kind !== 'show';
    const effort = works ? [...(leaf.focus ? [leaf.focus] : []), sayEffort(leaf.effort)] : [];
    const stance = leaf.stance === 'square' ? ['square'] : [];
    // Of the whole piece, whatever parts changes have made of it.
    const plans = this.runner.parts().map(planLeaf);
    const plan = {
      least: plans.reduce((sum, { least }) => sum + least, 0),
      most: plans.reduce((sum, { most }) => sum + most, 0),
    };
    const strikes =
      plan.most > 0
        ? [
            plan.least === plan.most
              ? `${Math.round(plan.most)} strikes planned`
              : `${Math.round(plan.least)} to ${Math.round(plan.most)} strikes`,
          ]
        : [];
    return [...stage, ...stance, ...effort, ...(leaf.nonStop ? ['non-stop'] : []), ...strikes].join(' · ');
  });

  protected wholeSecond(at: number): string {
    return sayClock(Math.max(0, Math.floor(at / 1000)) * 1000);
  }

  /** What comes next; within a block its name need not be said again. */
  protected nextName(next: Leaf): string {
    const detail = leafDetail(next);
    return next.blockId === this.runner.leaf()?.blockId && detail ? detail : leafName(next);
  }

  /** The early moves of a stage that attention drifts away from. */
  protected remindOf(leaf: Leaf): string | null {
    const early = earlyMoves(leaf);
    return early ? writeCombination(early, this.scheme()) : null;
  }

  /** Names under the codes: for those who are still learning them, unless the coach has chosen. */
  protected readonly named = computed(() => {
    const { strikeNames } = this.settings.settings();
    return strikeNames === 'by level' ? this.runner.sheet()?.class.level !== 'advanced' : strikeNames === 'always';
  });
  private readonly calm = toSignal(
    inject(BreakpointObserver)
      .observe('(prefers-reduced-motion: reduce)')
      .pipe(map(({ matches }) => matches)),
    { initialValue: false },
  );
  /** The move that is done now, at the pace of the class; none where motion is to be little. */
  protected readonly lit = computed(() => {
    const leaf = this.runner.leaf();
    return leaf && !this.calm() && this.countIn() === null ? strikingAt(leaf, this.runner.position()) : null;
  });

  constructor() {
    this.listenToKeys();
    effect(() => void this.load(this.id()));
  }

  private async load(id: string): Promise<void> {
    const [sheet, runs] = [await this.sheets.get(id), await firstValueFrom(this.unfinishedRuns.all$)];
    const own = runs.filter(({ run }) => run.sheet.id === id);
    this.unfinished.set(own.find(({ key }) => key === this.take()) ?? own[0] ?? null);
    const stored = sheet ?? this.unfinished()?.run.sheet ?? null;
    this.stored.set(stored);
    if (stored && this.phase() === null) this.runner.prepare(stored);
  }

  protected async start(): Promise<void> {
    const sheet = this.stored();
    if (!sheet) return;
    const before = this.unfinished();
    await this.runner.start(sheet, this.rate());
    this.unfinished.set(null);
    if (before) await this.putInLog(before);
    this.stayAwake();
  }

  /** The run that was broken off before is not lost when another one begins. */
  private async putInLog(before: BrokenOff): Promise<void> {
    const putBack = await this.unfinishedRuns.letGo(before);
    this.notices.undoable('The run that was broken off is in the log', putBack);
  }

  protected async takeUp({ key, run }: BrokenOff): Promise<void> {
    await this.runner.takeUp(key, run);
    this.unfinished.set(null);
    this.stayAwake();
  }

  /** Keeps a tablet's screen on, where the browser can; the lock ends with the page. */
  private stayAwake(): void {
    if ('wakeLock' in navigator) navigator.wakeLock.request('screen').catch(() => undefined);
  }

  protected fullScreen(): void {
    if (document.fullscreenElement) void document.exitFullscreen();
    else document.documentElement.requestFullscreen().catch(() => undefined);
  }

  /** What is said of the run is kept as it is typed. */
  protected changeEntry(entry: LogEntry, change: Partial<LogEntry>): void {
    void this.log.change(entry, change);
  }

  /** What stands as large as the clock while that stands still. */
  protected readonly standing = computed(() => {
    const phase = this.phase();
    return phase === 'paused' ? 'Paused' : phase === 'held' ? 'Held' : null;
  });

  protected toggleChanging(): void {
    this.changing.update((open) => !open);
  }

  /** A press by mouse or finger leaves the focus free, so that the space bar goes on meaning pause. */
  protected press(event: MouseEvent, action: () => void): void {
    if (event.detail > 0) (event.currentTarget as HTMLElement).blur();
    action();
  }

  private listenToKeys(): void {
    const running = (): boolean => this.phase() !== null && this.phase() !== 'over';
    const waiting = (): boolean => this.phase() === null && (this.stored()?.blocks.length ?? 0) > 0;
    const free = (event: KeyboardEvent): boolean =>
      !(event.target instanceof Element && event.target.closest('button, a'));
    const begin = (): void => {
      const broken = this.unfinished();
      void (broken ? this.takeUp(broken) : this.start());
    };
    inject(KeysService).use('A run', [
      { keys: ['Space', 'Enter'], does: 'Start', when: (event) => waiting() && free(event), press: begin },
      {
        keys: ['Space'],
        does: 'Pause, go on',
        when: (event) => running() && free(event),
        press: () => this.runner.toggle(),
      },
      { keys: ['ArrowLeft', 'PageUp'], does: 'A piece back', when: running, press: () => this.runner.go('back') },
      { keys: ['ArrowRight', 'PageDown'], does: 'A piece on', when: running, press: () => this.runner.go('forward') },
      { keys: ['r'], does: 'The piece once more', when: running, press: () => this.runner.go('repeat') },
      { keys: ['s'], does: 'Stop now', when: running, press: () => this.runner.stopNow() },
      { keys: ['c'], does: 'What can be changed', when: running, press: () => this.changing.update((open) => !open) },
      { keys: ['h'], does: 'Everyone with me: hold', when: running, press: () => this.runner.hold() },
      { keys: ['+'], does: 'Faster', when: running, press: () => this.runner.pace(0.1) },
      { keys: ['-'], does: 'Slower', when: running, press: () => this.runner.pace(-0.1) },
      {
        keys: ['t'],
        does: 'Thirty seconds more',
        when: running,
        press: () => this.runner.alter({ kind: 'longer', ms: addedMs }),
      },
      { keys: ['e'], does: 'End this piece now', when: running, press: () => this.runner.alter({ kind: 'end piece' }) },
      {
        keys: ['w'],
        does: 'Switch the stance of the class',
        when: running,
        press: () => this.runner.alter({ kind: 'switch stance' }),
      },
      { keys: ['u'], does: 'Take the last change back', when: running, press: () => this.runner.undo() },
      { keys: ['f'], does: 'Fill the screen', press: () => this.fullScreen() },
      {
        keys: ['Escape'],
        does: 'Close what can be changed',
        typing: true,
        when: () => running() && this.changing(),
        press: () => this.changing.set(false),
      },
      {
        keys: ['Escape'],
        does: 'Back to the sheet, before it starts',
        when: () => this.phase() === null,
        press: () => void this.router.navigate(['/sheets', this.id()]),
      },
    ]);
  }
}
