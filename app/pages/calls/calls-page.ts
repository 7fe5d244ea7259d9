import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatMenuModule } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import type { Subscription } from 'rxjs';
import {
  balanceOf,
  callKinds,
  callOptionsOf,
  candidatesOf,
  sayClock,
  stancePlans,
  stanceTimes,
  writeSrt,
  writeVtt,
  type CallEdit,
  type CallKind,
  type SheetCalls,
  type Wordings,
} from '../../../core/index';
import { AudioFileService } from '../../services/audio-file.service';
import { Editor } from '../../services/editor';
import { FilesService } from '../../services/files.service';
import { TrackService } from '../../services/track.service';
import { VoiceService } from '../../services/voice.service';
import type { AudioRequest } from '../../workers/protocol';
import { CallForm } from './call-form';
import { CallRuler } from './call-ruler';
import { CallSheet } from './call-sheet';
import { Listener } from './listener';
import { WordingsForm } from '../../parts/wordings-form';

/** The script of a sheet: what is said when, what is not, in whose words; to be changed, heard and taken out as a file. */
@Component({
  selector: 'kt-calls-page',
  imports: [CallForm, CallRuler, CallSheet, MatMenuModule, RouterLink, WordingsForm],
  providers: [Editor, Listener],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './calls-page.html',
  styleUrl: './calls-page.scss',
  host: { '(document:keydown)': 'onKey($event)' },
})
export class CallsPage {
  readonly id = input.required<string>();
  protected readonly editor = inject(Editor);
  protected readonly listener = inject(Listener);
  protected readonly voices = inject(VoiceService);
  private readonly audio = inject(AudioFileService);
  private readonly files = inject(FilesService);

  protected readonly selected = signal<string | null>(null);
  protected readonly scale = signal(6);
  /** Share of a sound file that is done, and what went wrong. */
  protected readonly rendering = signal<number | null>(null);
  protected readonly failed = signal('');
  private job: Subscription | null = null;
  protected readonly kinds = callKinds.filter((kind) => kind !== 'bell');
  protected readonly plans = stancePlans;

  /** Made in a worker, again with every change. */
  protected readonly track = toSignal(inject(TrackService).of(toObservable(this.editor.sheet)));

  constructor() {
    effect(() => {
      void this.editor.open(this.id());
    });
    inject(DestroyRef).onDestroy(() => {
      this.listener.stop();
      this.cancel();
    });
  }

  protected readonly call = computed(() => this.track()?.calls.find(({ key }) => key === this.selected()) ?? null);
  private readonly edits = computed(() => this.editor.sheet()?.calls?.edits ?? []);
  protected readonly edit = computed(() => this.edits().find(({ key }) => key === this.selected()) ?? null);
  protected readonly changed = computed(() => new Set(this.edits().map(({ key }) => key)));
  /** When the window of the chosen call opens, without the coach's change of it. */
  protected readonly opens = computed(() => {
    const [sheet, timeline, call] = [this.editor.sheet(), this.editor.timeline(), this.call()];
    if (!sheet || !timeline || !call) return 0;
    const plain = { ...callOptionsOf(sheet, timeline, this.voices.wishes()), edits: [] };
    return candidatesOf(timeline, plain).candidates.find(({ key }) => key === call.key)?.from ?? call.at;
  });
  /** Words without a clip in the chosen voice, each once. */
  protected readonly missing = computed(() => [
    ...new Set(
      (this.track()?.calls ?? []).filter(({ kind }) => kind !== 'bell').flatMap(({ say }) => this.voices.missing(say)),
    ),
  ]);
  protected readonly balance = computed(() => {
    const [sums, timeline] = [this.editor.tally(), this.editor.timeline()];
    if (!sums || !timeline) return null;
    const { strikes, ms, left, balanced } = balanceOf(sums);
    const { natural, other, changes } = stanceTimes(timeline);
    return {
      balanced,
      strikes: `left ${Math.round(strikes.left)}, right ${Math.round(strikes.right)} strikes (${Math.round(left * 100)} %)`,
      times: `left ${Math.round(ms.left / 1000)} s, right ${Math.round(ms.right / 1000)} s of striking`,
      stances: `natural stance ${sayClock(natural)}, other stance ${sayClock(other)}, ${changes} ${changes === 1 ? 'change' : 'changes'}`,
    };
  });
  protected readonly plan = computed(() => this.editor.sheet()?.stances?.plan ?? '');
  protected readonly quiet = computed(() => this.editor.sheet()?.calls?.quiet ?? []);
  protected readonly stanceFindings = computed(() =>
    this.editor.findings().filter(({ kind }) => kind.startsWith('stance') || kind === 'crowded rest'),
  );

  private putCalls(change: Partial<SheetCalls>): void {
    this.editor.apply((sheet) => ({ ...sheet, calls: { ...sheet.calls, ...change } }));
  }

  protected putEdit(key: string, edit: CallEdit | null): void {
    const others = this.edits().filter((each) => each.key !== key);
    const kept = edit && (edit.say !== undefined || edit.muted || edit.atMs !== undefined) ? [...others, edit] : others;
    this.putCalls({ edits: kept.length > 0 ? kept : undefined });
  }

  protected putWordings(wordings: Wordings): void {
    this.putCalls({ wordings });
  }

  protected toggleQuiet(kind: CallKind): void {
    const quiet = this.quiet();
    const now = quiet.includes(kind) ? quiet.filter((each) => each !== kind) : [...quiet, kind];
    this.putCalls({ quiet: now.length > 0 ? now : undefined });
  }

  protected putPlan(event: Event): void {
    const plan = stancePlans.find((each) => each === (event.target as HTMLSelectElement).value);
    this.editor.apply((sheet) => {
      const { stances, ...plain } = sheet;
      return plan ? { ...plain, stances: { settleMs: 3000, firstPace: 0.8, ...stances, plan } } : plain;
    });
  }

  protected putStances(key: 'settleMs' | 'firstPace' | 'pieces', event: Event, factor: number): void {
    const value = Number((event.target as HTMLInputElement).value) * factor;
    const bounds = { settleMs: [0, 60_000], firstPace: [0.3, 1], pieces: [1, 50] } as const;
    const [least, most] = bounds[key];
    if (value >= least && value <= most)
      this.editor.apply((sheet) => (sheet.stances ? { ...sheet, stances: { ...sheet.stances, [key]: value } } : sheet));
  }

  protected listen(): void {
    const [track, timeline, call] = [this.track(), this.editor.timeline(), this.call()];
    if (track && timeline) void this.listener.play(track, timeline, call?.at ?? 0);
  }

  protected save(as: 'vtt' | 'srt'): void {
    const [sheet, track] = [this.editor.sheet(), this.track()];
    if (!sheet || !track) return;
    const text = as === 'vtt' ? writeVtt(sheet, track) : writeSrt(sheet, track);
    this.files.save(this.files.fileName(sheet.title, as), text, as === 'vtt' ? 'text/vtt' : 'application/x-subrip');
  }

  protected saveSound(as: AudioRequest['as']): void {
    const sheet = this.editor.sheet();
    if (!sheet) return;
    this.cancel();
    this.failed.set('');
    this.rendering.set(0);
    this.job = this.audio.render(sheet, as).subscribe((answer) => {
      if (answer.kind === 'progress') {
        this.rendering.set(answer.share);
        return;
      }
      this.rendering.set(null);
      if (answer.kind === 'done') this.files.save(this.files.fileName(sheet.title, as), answer.file, answer.file.type);
      else this.failed.set(`The sound file was not made: ${answer.what}. Try the other form.`);
    });
  }

  protected cancel(): void {
    this.job?.unsubscribe();
    this.job = null;
    this.rendering.set(null);
  }

  protected readonly clock = sayClock;

  protected print(): void {
    window.print();
  }

  protected onKey(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (target.matches('input, textarea, select')) return;
    const control = event.ctrlKey || event.metaKey;
    if (control && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) this.editor.redo();
      else this.editor.undo();
      return;
    }
    const key = target.dataset['call'];
    if (!key || control) return;
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      const all = [...document.querySelectorAll<HTMLElement>('[data-call]')];
      all[all.indexOf(target) + step]?.focus();
    } else if (event.key.toLowerCase() === 'm') {
      const before = this.edits().find((each) => each.key === key);
      this.putEdit(key, { ...before, key, muted: true });
    }
  }
}
