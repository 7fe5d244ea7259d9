import { inject, Injectable, signal, type OnDestroy } from '@angular/core';
import type { Subscription } from 'rxjs';
import type { Sheet } from '../../../core/index';
import { AudioFileService } from '../../services/audio-file.service';
import { FilesService } from '../../services/files.service';
import type { AudioRequest } from '../../workers/protocol';

/** The sound file that is being made, one at a time: how far it is, and what went wrong. */
@Injectable()
export class SoundFile implements OnDestroy {
  private readonly audio = inject(AudioFileService);
  private readonly files = inject(FilesService);
  private job: Subscription | null = null;
  /** Share of it that is done; null while none is made. */
  readonly share = signal<number | null>(null);
  readonly failed = signal('');

  make(sheet: Sheet, as: AudioRequest['as']): void {
    this.cancel();
    this.failed.set('');
    this.share.set(0);
    this.job = this.audio.render(sheet, as).subscribe((answer) => {
      if (answer.kind === 'progress') {
        this.share.set(answer.share);
        return;
      }
      this.share.set(null);
      if (answer.kind === 'done')
        void this.files.save(this.files.fileName(sheet.title, as), answer.file, answer.file.type);
      else this.failed.set(`The sound file could not be made: ${answer.what}. Try the other format.`);
    });
  }

  cancel(): void {
    this.job?.unsubscribe();
    this.job = null;
    this.share.set(null);
  }

  ngOnDestroy(): void {
    this.cancel();
  }
}
