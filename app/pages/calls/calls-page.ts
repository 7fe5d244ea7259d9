import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  Injector,
  input,
  signal,
  viewChild,
  type ElementRef,
} from '@angular/core';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatSliderModule } from '@angular/material/slider';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatTooltip } from '@angular/material/tooltip';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButtonModule } from '@angular/material/button';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatMenuModule } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import {
  allCalls,
  callKinds,
  callNature,
  isMovable,
  sayClock,
  sayTenths,
  talkNames,
  talks,
  writeSrt,
  writeVtt,
  type Call,
  type CallEdit,
  type CallKind,
  type Finding,
  type SessionTime,
  type Settings,
  type Milliseconds,
  type SheetCalls,
  type Talk,
  type TechniqueFocus,
  type Wordings,
} from '../../../core/index';
import { ChoiceField, type Choice } from '../../parts/fields/choice-field';
import { Saved } from '../../parts/saved';
import { Editor } from '../../services/editor';
import { FilesService } from '../../services/files.service';
import { KeysService } from '../../services/keys.service';
import { ScriptService } from '../../services/script.service';
import { SettingsService } from '../../services/settings.service';
import { Told } from '../../services/told';
import { VoiceService } from '../../services/voice.service';
import type { AudioRequest } from '../../workers/protocol';
import { CallForm } from './call-form';
import { callShortcuts } from './call-keys';
import { CallRuler } from './call-ruler';
import { CallSheet } from './call-sheet';
import { Listener } from './listener';
import { SoundFile } from './sound-file';
import { StancePlan } from './stance-plan';
import { FindingsPanel } from '../../parts/findings-panel';
import { WordingsForm } from '../../parts/wordings-form';
import { HelpLink } from '../../parts/help-link';

const speakers: Readonly<Record<Settings['voice'], string>> = {
  rms: 'Low voice',
  slt: 'High voice',
  device: 'This device’s voice, if it has one',
  none: 'No voice',
};
/** The choice of a sheet that leaves how much is called to the coach's settings. */
const asInSettings = 'settings' as const;

/** The script of a sheet: what is said when, what is not, in whose words; to be changed, heard and taken out as a file. */
@Component({
  selector: 'kt-calls-page',
  imports: [
    ChoiceField,
    HelpLink,
    MatProgressBar,
    MatSliderModule,
    MatExpansionModule,
    MatTooltip,
    MatCheckbox,
    MatButtonModule,
    CallForm,
    CallRuler,
    CallSheet,
    FindingsPanel,
    MatMenuModule,
    RouterLink,
    Saved,
    StancePlan,
    WordingsForm,
  ],
  providers: [Editor, Listener, SoundFile, Told],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './calls-page.html',
  styleUrl: './calls-page.scss',
})
export class CallsPage {
  readonly id = input.required<string>();
  protected readonly editor = inject(Editor);
  protected readonly listener = inject(Listener);
  protected readonly voices = inject(VoiceService);
  protected readonly soundFile = inject(SoundFile);
  private readonly files = inject(FilesService);
  private readonly settings = inject(SettingsService);

  protected readonly script = viewChild<ElementRef<HTMLElement>>('script');
  private readonly ruler = viewChild(CallRuler);
  protected readonly selected = signal<string | null>(null);
  protected readonly scale = signal(6);
  private readonly told = inject(Told);
  private readonly live = inject(LiveAnnouncer);
  private readonly injector = inject(Injector);
  /** The call that a key has last changed. */
  private key: string | null = null;
  protected readonly name = (kind: CallKind): string => callNature(kind).name;
  protected readonly kinds = callKinds.filter((kind) => kind !== 'bell');

  /** Made in a worker, again with every change. */
  protected readonly made = toSignal(inject(ScriptService).of(toObservable(this.editor.sheet)));

  constructor() {
    this.listenToKeys();
    effect(() => {
      void this.editor.open(this.id());
    });
    // A row that changes its place falls out of focus; the keys go on where they were.
    effect(() => {
      this.made();
      const { key } = this;
      if (key === null) return;
      afterNextRender(
        () => {
          if (document.activeElement === document.body) this.ruler()?.focus(key);
        },
        { injector: this.injector },
      );
    });
  }

  private readonly calls = computed((): readonly Call[] => {
    const made = this.made();
    return made ? allCalls(made) : [];
  });
  protected readonly call = computed(() => this.calls().find(({ key }) => key === this.selected()) ?? null);
  private readonly edits = computed(() => this.editor.sheet()?.calls?.edits ?? []);
  protected readonly edit = computed(() => this.edits().find(({ key }) => key === this.selected()) ?? null);
  protected readonly changed = computed(() => new Set(this.edits().map(({ key }) => key)));
  /** The chosen one where it is not said. */
  protected readonly unsaid = computed(() => this.made()?.dropped.find(({ key }) => key === this.selected()) ?? null);
  /** The full form of the chosen one where it is said in short, and why. */
  protected readonly short = computed(() => this.made()?.shortened.find(({ key }) => key === this.selected()) ?? null);
  /** Words without a clip in the chosen voice, each once. */
  protected readonly missing = computed(() => [
    ...new Set(
      this.calls()
        .filter(({ kind }) => kind !== 'bell')
        .flatMap((call) => this.voices.missing(call)),
    ),
  ]);
  /** Who speaks, from the settings. */
  protected readonly how = computed(() => {
    const { voice, countFrom } = this.settings.settings();
    return `${speakers[voice]}; countdown from ${countFrom}.`;
  });
  /** How much is called in this session; as the settings say where the sheet says nothing. */
  protected readonly talkChoices = computed((): readonly Choice<Talk | typeof asInSettings>[] => [
    { value: asInSettings, name: `as in Settings: ${talkNames[this.settings.settings().talk]}` },
    ...talks.map((value) => ({ value, name: talkNames[value] })),
  ]);
  protected readonly quiet = computed(() => this.editor.sheet()?.calls?.quiet ?? []);
  /** What is found about stances and about the time to say things. */
  protected readonly saidFindings = computed(() =>
    this.editor.findings().filter(({ kind }) => kind.startsWith('stance') || kind.startsWith('crowded')),
  );

  protected mend({ mends }: Finding, at: number): void {
    const mend = mends[at];
    if (mend) this.editor.apply(mend.edit);
  }

  /** Brings what a finding is about into view. */
  protected show({ blockId, pieceId }: Finding, script: HTMLElement): void {
    const leaf = this.editor
      .timeline()
      ?.leaves.find((each) => each.blockId === blockId && (pieceId === undefined || each.pieceId === pieceId));
    if (leaf) script.scrollTop = (leaf.at / 1000) * this.scale();
  }

  protected readonly talk = computed(() => this.editor.sheet()?.calls?.talk ?? asInSettings);

  protected putTalk(talk: Talk | typeof asInSettings): void {
    this.putCalls({ talk: talk === asInSettings ? undefined : talk });
  }

  private putCalls(change: Partial<SheetCalls>): void {
    this.editor.apply((sheet) => ({ ...sheet, calls: { ...sheet.calls, ...change } }));
  }

  protected putEdit(key: string, edit: CallEdit | null): void {
    const others = this.edits().filter((each) => each.key !== key);
    const kept = edit && (edit.say !== undefined || edit.muted || edit.atMs !== undefined) ? [...others, edit] : others;
    this.putCalls({ edits: kept.length > 0 ? kept : undefined });
  }

  protected moveTo({ call, at }: { readonly call: Call; readonly at: SessionTime }): void {
    const before = this.edits().find(({ key }) => key === call.key);
    this.putEdit(call.key, { ...before, key: call.key, atMs: at - call.opens });
  }

  protected putFocuses(focuses: readonly TechniqueFocus[]): void {
    this.editor.apply(({ focuses: _, ...sheet }) => (focuses.length > 0 ? { ...sheet, focuses: [...focuses] } : sheet));
  }

  protected readonly ownBags = computed(() => (this.editor.sheet()?.ownBags ?? []).map(({ name }) => name));

  protected putWordings(wordings: Wordings): void {
    this.putCalls({ wordings });
  }

  protected toggleQuiet(kind: CallKind): void {
    const quiet = this.quiet();
    const now = quiet.includes(kind) ? quiet.filter((each) => each !== kind) : [...quiet, kind];
    this.putCalls({ quiet: now.length > 0 ? now : undefined });
  }

  /** Plays from the chosen call, else from what is in view. */
  protected listen(script: HTMLElement): void {
    const [made, timeline, call] = [this.made(), this.editor.timeline(), this.call()];
    const seen = Math.floor(script.scrollTop / this.scale()) * 1000;
    if (made && timeline) void this.listener.play(made, call?.at ?? Math.min(seen, timeline.ms));
  }

  protected save(as: 'vtt' | 'srt'): void {
    const [sheet, made] = [this.editor.sheet(), this.made()];
    if (!sheet || !made) return;
    const text = as === 'vtt' ? writeVtt(sheet, made) : writeSrt(sheet, made);
    void this.files.save(
      this.files.fileName(sheet.title, as),
      text,
      as === 'vtt' ? 'text/vtt' : 'application/x-subrip',
    );
  }

  protected saveSound(as: AudioRequest['as']): void {
    const sheet = this.editor.sheet();
    if (sheet) this.soundFile.make(sheet, as);
  }

  protected readonly clock = sayClock;

  protected print(): void {
    window.print();
  }

  private listenToKeys(): void {
    const keys = inject(KeysService);
    keys.use(
      'A call',
      callShortcuts({
        go: (call, by) => this.ruler()?.go(call, by),
        shift: (call, by) => this.shift(call, by),
        mute: (call) => this.mute(call),
        lock: (call) => this.lock(call),
        listen: (call) => {
          this.selected.set(call);
          const script = this.script()?.nativeElement;
          if (script) this.listen(script);
        },
      }),
    );
    keys.use('This sheet’s calls', [
      { keys: ['$mod+z'], does: 'Undo', repeats: true, press: () => this.told.step(-1) },
      { keys: ['$mod+Shift+z', '$mod+y'], does: 'Redo', repeats: true, press: () => this.told.step(1) },
    ]);
  }

  /** The call, where it can stand at more than one moment; else that is told. */
  private movable(key: string): Call | null {
    const call = this.calls().find((each) => each.key === key);
    if (call && isMovable(call)) return call;
    void this.live.announce('This call cannot be moved');
    return null;
  }

  /** Moves a call inside its window. */
  private shift(key: string, by: Milliseconds): void {
    const call = this.movable(key);
    if (!call) return;
    this.selected.set(key);
    this.key = key;
    const at = Math.min(call.closes - call.ms, Math.max(call.opens, call.at + by));
    this.moveTo({ call, at });
    void this.live.announce(`Moved to ${sayTenths(at)}`);
  }

  private mute(key: string): void {
    this.key = key;
    const before = this.edits().find((each) => each.key === key);
    this.putEdit(key, { ...before, key, muted: before?.muted ? undefined : true });
    void this.live.announce(before?.muted ? 'Unmuted' : 'Muted');
  }

  private lock(key: string): void {
    this.key = key;
    const before = this.edits().find((each) => each.key === key);
    const call = this.movable(key);
    if (!call) return;
    const locks = before?.atMs === undefined;
    this.putEdit(key, { ...before, key, atMs: locks ? call.at - call.opens : undefined });
    void this.live.announce(locks ? `Locked at ${sayTenths(call.at)}` : 'Unlocked');
  }
}
