import { inject, Injectable } from '@angular/core';
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

  /** Hands over the file of a sheet; fails with the reason where it cannot be made. */
  async saveFile(sheet: Sheet, kept: Kept): Promise<void> {
    const parts = playerPartsSchema.parse(await (await fetch('take-home/parts.json')).json());
    const recording = await this.voices.spoken();
    const wishes = this.settings.wishes();
    const html = await firstValueFrom(
      askOnce<Packer, string>(
        () => new Worker(new URL('../workers/take-home.worker', import.meta.url), { type: 'module' }),
        (packer) => packer.page({ sheet, kept, wishes, recording, parts }),
      ),
    );
    await this.files.save(this.files.fileName(sheet.title, 'html'), html, 'text/html');
  }
}
