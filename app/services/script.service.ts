import { inject, Injectable, type OnDestroy } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { combineLatest, filter, of, type Observable, switchMap } from 'rxjs';
import {
  compile,
  lengthIn,
  liveSheet,
  liveTimeline,
  scriptOf,
  type LiveChange,
  type Script,
  type Sheet,
  type Voice,
} from '../../core/index';
import type { SpokenWishes } from '../workers/protocol';
import { OwnWordsService } from './own-words.service';
import { endScriptsWorker, scriptsWorker } from './script-worker';
import { SettingsService } from './settings.service';
import { VoiceService } from './voice.service';

/** Makes scripts in a worker that stays: only what has changed is worked out anew. */
@Injectable({ providedIn: 'root' })
export class ScriptService implements OnDestroy {
  private readonly wishes = toObservable(inject(SettingsService).wishes);
  private readonly voice = toObservable(inject(VoiceService).voice);
  private readonly ownWords = inject(OwnWordsService);
  /** Whose clips the worker goes by. */
  private told: Voice | null = null;

  /** The script of a sheet, again with every change of it, live ones too, of the voice, and of the coach's words. */
  of(sheets: Observable<Sheet | null>, live: Observable<readonly LiveChange[]> = of([])): Observable<Script> {
    return combineLatest([sheets, this.wishes, this.voice, live]).pipe(
      filter((all): all is [Sheet, (typeof all)[1], (typeof all)[2], (typeof all)[3]] => all[0] !== null),
      switchMap(async ([sheet, wishes, voice, changes]) => {
        const script = await this.ask(sheet, wishes, voice, changes);
        // What the voice lacks is spoken once, now; the script is made again with how long it then takes.
        if (voice) this.ownWords.want(script, voice);
        return script;
      }),
    );
  }

  /** A worker that cannot start, or has failed, is let go; the script is made here, once. */
  private async ask(
    sheet: Sheet,
    wishes: SpokenWishes,
    voice: Voice | null,
    changes: readonly LiveChange[],
  ): Promise<Script> {
    try {
      const changed = voice !== this.told;
      this.told = voice;
      return await scriptsWorker().ask(async (scripts) => {
        if (changed) await scripts.speakAs(voice);
        return scripts.scriptOf(sheet, wishes, changes);
      });
    } catch {
      this.letGo();
      const spoken = { ...wishes, ...(voice ? { lengthOf: lengthIn(voice) } : {}) };
      return scriptOf(liveSheet(sheet, changes), spoken, liveTimeline(compile(sheet), changes));
    }
  }

  private letGo(): void {
    endScriptsWorker();
    this.told = null;
  }

  ngOnDestroy(): void {
    this.letGo();
  }
}
