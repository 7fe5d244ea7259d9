import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  resource,
  signal,
  viewChild,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatSliderModule } from '@angular/material/slider';
import * as z from 'zod/mini';
import { compile, filmStretches, sayClock, type Sheet } from '../../../core/index';
import { FilmService, type FilmChoice } from '../../services/film.service';
import { SettingsService } from '../../services/settings.service';
import type { FilmKind } from '../../workers/protocol';
import { ChoiceField, type Choice } from '../fields/choice-field';
import { fieldLook } from '../fields/field-look';
import { FileButton } from '../fields/file-button';
import { TextField } from '../fields/text-field';
import { viewChoices } from '../figure/view-choices';

type Shape = 'wide' | 'tall' | 'square';
const shapes: readonly Choice<Shape>[] = [
  { value: 'wide', name: '16:9 landscape' },
  { value: 'tall', name: '9:16 portrait' },
  { value: 'square', name: '1:1 square' },
];
const sizes: readonly Choice<720 | 1080>[] = [
  { value: 720, name: '720p' },
  { value: 1080, name: '1080p' },
];
const looks: readonly Choice<'light' | 'dark'>[] = [
  { value: 'light', name: 'light' },
  { value: 'dark', name: 'dark' },
];
const shows: readonly Choice<'both' | 'staff'>[] = [
  { value: 'both', name: 'figure and diagram' },
  { value: 'staff', name: 'diagram only' },
];
const kindNames: Readonly<Record<FilmKind, string>> = {
  'webm-vp9': 'WebM (VP9)',
  'webm-vp8': 'WebM (VP8, faster to make)',
  'mp4-h264': 'MP4 (H.264 with Opus sound, which some players cannot play)',
};

/** What stands on a title card beside the title. */
const bySchema = z.string().check(z.maxLength(80));

/** Width and height of a film of a shape, in pixels. `frameSize('tall', 720)` → `{ width: 720, height: 1280 }` */
function frameSize(shape: Shape, size: number): { width: number; height: number } {
  const long = Math.round((size * 16) / 9 / 2) * 2;
  return shape === 'wide'
    ? { width: long, height: size }
    : shape === 'tall'
      ? { width: size, height: long }
      : { width: size, height: size };
}

/** A session as a film: chosen, looked at before it begins, made, stopped. */
@Component({
  selector: 'kt-film-dialog',
  imports: [ChoiceField, FileButton, MatButtonModule, MatDialogModule, MatProgressBar, MatSliderModule, TextField],
  providers: [FilmService, fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './film-dialog.html',
  styleUrl: './film-dialog.scss',
})
export class FilmDialog {
  protected readonly sheet = inject<Sheet>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<FilmDialog>>(MatDialogRef);
  private readonly films = inject(FilmService);
  private readonly settings = inject(SettingsService);
  private readonly screen = viewChild<ElementRef<HTMLCanvasElement>>('screen');

  protected readonly sayClock = sayClock;
  protected readonly choices = { shapes, sizes, looks, shows, seen: viewChoices };
  protected readonly bySchema = bySchema;
  private readonly stretches = filmStretches(compile(this.sheet));
  protected readonly parts: readonly Choice<number>[] = this.stretches.map(({ name, from, to }, value) => ({
    value,
    name: `${name}, ${sayClock(to - from)}`,
  }));
  protected readonly part = signal(0);
  protected readonly shape = signal<Shape>('wide');
  protected readonly size = signal<720 | 1080>(720);
  protected readonly look = signal<'light' | 'dark'>('light');
  protected readonly show = signal<'both' | 'staff'>('both');
  protected readonly view = signal(this.settings.settings().figureView);
  protected readonly by = signal('');
  private readonly picture = signal<ImageBitmap | null>(null);
  protected readonly wrong = signal('');
  protected readonly kind = signal<FilmKind | null>(null);
  private readonly frame = computed(() => frameSize(this.shape(), this.size()));
  private readonly offered = resource({
    params: () => this.frame(),
    loader: ({ params: { width, height } }) => this.films.kinds(width, height),
  });
  protected readonly kinds = computed((): readonly Choice<FilmKind>[] | null =>
    this.offered.hasValue() ? this.offered.value().map((value) => ({ value, name: kindNames[value] })) : null,
  );
  protected readonly stretch = computed(() => this.stretches[this.part()] ?? { name: '', from: 0, to: 0 });
  /** Before second zero stands the title card. */
  protected readonly moment = signal(-1000);
  protected readonly chosen = computed((): FilmChoice => ({
    stretch: this.stretch(),
    kind: this.kind() ?? this.kinds()?.[0]?.value ?? 'webm-vp9',
    picture: this.picture(),
    look: {
      ...this.frame(),
      dark: this.look() === 'dark',
      figure: this.show() === 'both',
      view: this.view(),
      family: 'Archivo Variable',
      by: this.by(),
    },
  }));
  /** The share that is made; null while nothing is. */
  protected readonly share = signal<number | null>(null);
  private began = 0;
  protected readonly left = computed(() => {
    const share = this.share();
    if (share === null || share < 0.01) return '';
    return `${sayClock((((performance.now() - this.began) * (1 - share)) / share / 1000) * 1000)} left`;
  });
  protected readonly told = signal('');

  constructor() {
    effect(() => {
      const [choice, at] = [this.chosen(), this.moment()];
      void this.lookAt(choice, at);
    });
  }

  private asked = 0;

  /** Shows a moment; of several that are asked for quickly the last one. */
  private async lookAt(choice: FilmChoice, at: number): Promise<void> {
    const mine = (this.asked += 1);
    const picture = await this.films.preview(this.sheet, choice, at < 0 ? at : choice.stretch.from + at);
    const canvas = this.screen()?.nativeElement;
    if (mine !== this.asked || !canvas) return;
    canvas.width = picture.width;
    canvas.height = picture.height;
    canvas.getContext('2d')?.drawImage(picture, 0, 0);
  }

  protected async take(files: readonly File[]): Promise<void> {
    const [file] = files;
    if (!file) return;
    try {
      this.picture.set(await createImageBitmap(file));
      this.wrong.set('');
    } catch {
      this.wrong.set('This image cannot be read: choose a PNG or JPEG.');
    }
  }

  protected async make(): Promise<void> {
    this.began = performance.now();
    this.share.set(0);
    this.told.set('');
    try {
      const made = await this.films.make(this.sheet, this.chosen(), (share) => this.share.set(share));
      this.told.set(made ? 'Video saved.' : 'No video was made.');
    } catch (reason) {
      this.told.set(
        `The video could not be finished: ${reason instanceof Error ? reason.message : 'this browser could not encode it'}. Try another format or a smaller size.`,
      );
    } finally {
      this.share.set(null);
    }
  }

  protected close(): void {
    if (this.share() !== null) this.films.stop();
    else this.dialog.close();
  }
}
