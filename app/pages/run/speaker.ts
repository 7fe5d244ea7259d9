import { inject, Injectable, signal } from '@angular/core';
import {
  clipsOfCall,
  positionOf,
  saidAt,
  sourceAt,
  speechOf,
  worded,
  type Call,
  type Leaf,
  type Milliseconds,
  type RunState,
  type Saying,
  type Script,
  type SessionTime,
  type Sheet,
  type SourceTime,
} from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';

/** A call that is later than this is no longer spoken. */
const latestMs = 700;

/** Says the script of a session: from clips on the audio clock, else in the device's own voice, and always as words for the screen. */
@Injectable()
export class Speaker {
  private readonly sound = inject(SoundService);
  private readonly voices = inject(VoiceService);
  private readonly settings = inject(SettingsService);

  readonly sheet = signal<Sheet | null>(null);
  readonly said = signal('');
  private script: Script | null = null;
  /** What is spoken, in order, the count-in before second zero with it; bells are rung by the runner. */
  private calls: readonly Call[] = [];
  private next = 0;
  private shown: Call | null = null;
  private leaf: Leaf | null = null;

  constructor() {
    this.voices.getReady();
  }

  /** Goes by another script from now on. */
  goBy(script: Script): void {
    this.script = script;
    this.calls = [...script.lead, ...script.calls].filter(({ kind }) => kind !== 'bell');
  }

  /** Begins from a moment: what lies behind is silent. */
  from(at: SessionTime): void {
    const next = this.calls.findIndex((call) => call.at >= at - 1);
    this.next = next < 0 ? this.calls.length : next;
    this.shown = null;
    this.leaf = null;
  }

  /** Puts what is said soon on the audio clock; calls from behind an open break wait for it. */
  plan(state: RunState, source: SourceTime, ahead: number): void {
    const recording = this.voices.recording();
    const voice = this.voices.voice();
    // While the recording is still being read, calls wait; what is past by then is passed over.
    if (voice && !recording && !this.sound.canSay()) return;
    const limit = Math.min(positionOf(state, source) + ahead, this.breakAhead(state));
    for (let call = this.calls[this.next]; call && call.at < limit; call = this.calls[(this.next += 1)]) {
      if (recording && voice && !this.leaveToDevice(call))
        this.sound.speakAt(recording, clipsOfCall(call, voice).clips, sourceAt(state.clock, call.at));
    }
  }

  private breakAhead(state: RunState): SessionTime {
    const open = this.script?.breaks[state.breaksPassed];
    // A bell behind the break stands at the same second; calls do not.
    return open ? open.at + 1 : Infinity;
  }

  /** The words for the screen at a moment, and what no clip says, in the device's voice. */
  show(state: RunState, leaf: Leaf | null, at: SessionTime, rate: number): void {
    if (!this.script) return;
    if (leaf !== this.leaf) this.enter(leaf, state, rate);
    const call = leaf?.open ? null : saidAt(this.script, leaf, at);
    if (!call || call === this.shown) return;
    // Words may stand on the screen a little before they are spoken.
    this.said.set(call.say);
    if (call.at > at) return;
    this.shown = call;
    const fresh = at - call.at < latestMs * rate;
    if (fresh && state.phase === 'running' && rate === 1 && this.leaveToDevice(call)) this.sound.say(call.say);
  }

  /** Says at once that everybody stops; it goes before every other call (trade page, section 9). */
  stop(): void {
    this.sayPhrase('stop');
  }

  /** Says a few words, so that a coach hears whether they are heard. */
  check(): void {
    this.sayPhrase('half way');
  }

  /** Says that everybody waits on light feet. */
  hold(): void {
    this.sayPhrase('hold');
  }

  private sayPhrase(key: 'stop' | 'hold' | 'half way'): void {
    const { full } = worded(speechOf(this.sheet(), this.settings.settings().wordings), key);
    this.said.set(full.say);
    this.sayNow({ ...full, ms: this.voices.lengthOf(full) }, 0);
  }

  private enter(leaf: Leaf | null, state: RunState, rate: number): void {
    this.leaf = leaf;
    this.shown = null;
    const open = leaf?.open ? this.script?.breaks[state.breaksPassed] : undefined;
    this.said.set(open?.calls.find(({ kind }) => kind !== 'bell')?.say ?? '');
    if (open && state.phase === 'break' && rate === 1) this.sayBreak(open);
  }

  /** What is said at an open break, from now on, one after the other. */
  private sayBreak({ at, calls: all }: Script['breaks'][number]): void {
    const calls = all.filter(({ kind }) => kind !== 'bell');
    // The device's voice is cut off by what it is given next, so it is given all of it.
    if (calls.some((call) => this.leaveToDevice(call))) this.sound.say(calls.map(({ say }) => say).join(' '));
    else for (const call of calls) this.sayNow(call, call.at - at);
  }

  /** Says a call so long from now. */
  private sayNow(call: Saying & Pick<Call, 'ms' | 'parts'>, from: Milliseconds): void {
    const now = this.sound.now();
    const [voice, recording] = [this.voices.voice(), this.voices.recording()];
    if (this.leaveToDevice(call)) this.sound.say(call.say);
    else if (recording && voice && now !== null)
      this.sound.speakAt(recording, clipsOfCall(call, voice).clips, now + from);
  }

  /** Free words are left to the device's own voice where there is one; else the clips say what they can. */
  private leaveToDevice(saying: Saying): boolean {
    if (!this.voices.voice() || !this.voices.recording()) return true;
    return this.sound.canSay() && this.voices.missing(saying).length > 0;
  }
}
