import { inject, Injectable, type OnDestroy } from '@angular/core';
import { proxy, transfer } from 'comlink';
import type { Milliseconds, Recording, Sheet } from '../../core/index';
import { startHelper, type Helper } from '../workers/in-worker';
import type { FilmKind, FilmRequest } from '../workers/protocol';
import type { Studio } from '../workers/film.worker';
import { FilesService } from './files.service';
import { SettingsService } from './settings.service';
import { VoiceService } from './voice.service';

/** A place on the disk that can be written to piece by piece, where the browser has one. */
type Picker = (options: {
  suggestedName: string;
  types: { description: string; accept: Record<string, string[]> }[];
}) => Promise<{ createWritable(): Promise<WritableStream> }>;

/** What of a film is chosen; the rest is the session's and the coach's. */
export type FilmChoice = Pick<FilmRequest, 'stretch' | 'look' | 'kind' | 'picture'>;

/** Where the file of the product's font lies, as the styles have it; a worker has no styles of its own. */
function fontUrl(): string | null {
  for (const sheet of document.styleSheets)
    for (const rule of sheet.cssRules)
      if (rule instanceof CSSFontFaceRule && /latin-standard-normal|latin.*normal/.test(rule.cssText)) {
        const url = /url\("?([^")]+)"?\)/.exec(rule.style.getPropertyValue('src'))?.[1];
        if (url) return new URL(url, sheet.href ?? document.baseURI).href;
      }
  return null;
}

/** Makes films in a worker that is there as long as somebody makes one. */
@Injectable()
export class FilmService implements OnDestroy {
  private readonly files = inject(FilesService);
  private readonly settings = inject(SettingsService);
  private readonly voices = inject(VoiceService);
  private readonly helper: Helper<Studio> = startHelper(
    new Worker(new URL('../workers/film.worker', import.meta.url), { type: 'module' }),
  );

  /** What this browser can write at a size; nothing where it makes no films. */
  kinds(width: number, height: number): Promise<FilmKind[]> {
    return this.helper.ask((studio) => studio.kinds(width, height));
  }

  private request(sheet: Sheet, choice: FilmChoice, recording: Recording | null): FilmRequest {
    return { ...choice, sheet, wishes: this.settings.wishes(), recording, fontUrl: fontUrl() };
  }

  /** What the worker has laid out to be looked at. */
  private looked: { readonly sheet: Sheet; readonly choice: FilmChoice; readonly laid: Promise<void> } | null = null;

  /** Lays a choice out to be looked at: with the lengths of the words as they are spoken, without their sound. */
  private look(sheet: Sheet, choice: FilmChoice): Promise<void> {
    const voice = this.voices.voice();
    const request = this.request(sheet, choice, voice && { voice, samples: new Float32Array() });
    return this.helper.ask((studio) => studio.look(request));
  }

  /** A picture of a moment; before second zero the title card. The session is worked out once for each choice. */
  async preview(sheet: Sheet, choice: FilmChoice, at: Milliseconds): Promise<ImageBitmap> {
    if (this.looked?.sheet !== sheet || this.looked.choice !== choice)
      this.looked = { sheet, choice, laid: this.look(sheet, choice) };
    await this.looked.laid;
    return this.helper.ask((studio) => studio.preview(at));
  }

  /**
   * Makes the film and hands it over: written piece by piece where the browser can, so that memory holds none of it; `told`
   * hears the share that is done. False where it was stopped, or no place was chosen.
   */
  async make(sheet: Sheet, choice: FilmChoice, told: (share: number) => void): Promise<boolean> {
    const ending = choice.kind === 'mp4-h264' ? 'mp4' : 'webm';
    const type = ending === 'mp4' ? 'video/mp4' : 'video/webm';
    const name = this.files.fileName(sheet.title, ending);
    const pick = (window as { showSaveFilePicker?: Picker }).showSaveFilePicker;
    let stream: WritableStream | null = null;
    if (pick)
      try {
        const file = await pick.call(window, {
          suggestedName: name,
          types: [{ description: 'Video', accept: { [type]: [`.${ending}`] } }],
        });
        stream = await file.createWritable();
      } catch {
        return false;
      }
    const request = this.request(sheet, choice, await this.voices.spoken());
    const made = await this.helper.ask((studio) =>
      studio.film(request, stream ? transfer(stream, [stream]) : null, proxy(told)),
    );
    if (made) await this.files.save(name, made, type);
    return made !== null || stream !== null;
  }

  stop(): void {
    void this.helper.ask((studio) => studio.stop());
  }

  ngOnDestroy(): void {
    this.helper.end();
  }
}
