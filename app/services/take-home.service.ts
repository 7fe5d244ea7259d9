import { inject, Injectable } from '@angular/core';
import type { Remote } from 'comlink';
import { firstValueFrom } from 'rxjs';
import { playerPartsSchema, type Kept, type Sheet } from '../../core/index';
import { askOnce } from '../workers/in-worker';
import type { Packer } from '../workers/take-home.worker';
import { FilesService } from './files.service';
import { SettingsService } from './settings.service';
import { VoiceService } from './voice.service';

/** Makes what leaves the browser: the file that plays anywhere. */
@Injectable({ providedIn: 'root' })
export class TakeHomeService {
  private readonly files = inject(FilesService);
  private readonly settings = inject(SettingsService);
  private readonly voices = inject(VoiceService);

  /** Hands over the file of a sheet that plays anywhere; fails with the reason where it cannot be made. */
  async saveFile(sheet: Sheet, kept: Kept): Promise<void> {
    const parts = playerPartsSchema.parse(await (await fetch('take-home/parts.json')).json());
    const request = { sheet, kept, wishes: this.settings.wishes(), recording: await this.voices.spoken(), parts };
    const html = await this.ask((packer) => packer.page(request));
    await this.files.save(this.files.fileName(sheet.title, 'html'), html, 'text/html');
  }

  /** Hands over a card for the wall, to be printed. */
  async saveCard(sheet: Sheet, kept: Kept): Promise<void> {
    const request = { sheet, kept, wishes: this.settings.wishes(), recording: null };
    const html = await this.ask((packer) => packer.card(request));
    await this.files.save(this.files.fileName(`${sheet.title} card`, 'html'), html, 'text/html');
  }

  private ask(question: (packer: Remote<Packer>) => Promise<string>): Promise<string> {
    const worker = (): Worker =>
      new Worker(new URL('../workers/take-home.worker', import.meta.url), { type: 'module' });
    return firstValueFrom(askOnce<Packer, string>(worker, question));
  }
}
