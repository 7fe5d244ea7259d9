import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import { assemble, pronunciationSchema, type Pronunciation } from '../../../core/index';
import { TextField } from '../../parts/fields/text-field';
import { OwnWordsService, synthesiserBytes } from '../../services/own-words.service';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';

/** A coach's own words in the same voice: fetched once when it is wanted, and how a word is to be said. */
@Component({
  selector: 'kt-own-words-panel',
  imports: [MatButtonModule, MatIcon, MatProgressBar, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="card stack" aria-labelledby="own-words-title">
      <h2 id="own-words-title">Your own words, in the same voice</h2>
      @if (own.on()) {
        <p role="status">
          Your drill, exercise and bag names and your own calls are spoken in the recorded voice.
          @if (own.left() > 0) {
            Recording: {{ own.left() }} left.
          }
        </p>
        @for (way of ways(); track $index) {
          <div class="line">
            <kt-text-field
              label="Word"
              [value]="way.word"
              [schema]="fields.word"
              (put)="change($index, { word: $event })"
            />
            <kt-text-field
              label="Pronounced"
              [value]="way.as"
              [schema]="fields.as"
              (put)="change($index, { as: $event })"
            />
            <button matIconButton type="button" [attr.aria-label]="'Listen to ' + way.word" (click)="hear(way.word)">
              <mat-icon svgIcon="sound" />
            </button>
            <button matIconButton type="button" [attr.aria-label]="'Remove ' + way.word" (click)="takeOut($index)">
              <mat-icon svgIcon="bin" />
            </button>
          </div>
        }
        <p class="line">
          <button matButton="outlined" type="button" (click)="add()">
            <mat-icon svgIcon="add" />Add a pronunciation
          </button>
          <button matButton type="button" (click)="own.turnOff()">Turn this off</button>
        </p>
        @if (deaf()) {
          <p role="status">Sound is blocked, or no recorded voice is selected above, so there is nothing to hear.</p>
        }
      } @else if (own.fetching() !== null) {
        <p role="status">Downloading: {{ percent() }}%.</p>
        <mat-progress-bar aria-label="Fetched" [value]="percent()" />
        <p><button matButton="outlined" type="button" (click)="own.stop()">Cancel</button></p>
      } @else {
        <p>
          The recorded voices only know our words. To speak yours too, download their voice engine once (about
          {{ megabytes }} MB, stored on this device). Without it, your own words use this device’s voice, or appear on
          screen only.
        </p>
        <p><button matButton="outlined" type="button" (click)="own.turnOn()">Download and turn on</button></p>
      }
      @if (own.fault()) {
        <p role="alert" class="notice">{{ own.fault() }}</p>
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
    }
    kt-text-field {
      flex: 1 1 8rem;
    }
  `,
})
export class OwnWordsPanel {
  protected readonly own = inject(OwnWordsService);
  private readonly settings = inject(SettingsService);
  private readonly sound = inject(SoundService);
  private readonly voices = inject(VoiceService);

  protected readonly fields = pronunciationSchema.shape;
  protected readonly megabytes = Math.round(synthesiserBytes.line / 1e6);
  protected readonly percent = computed(() => Math.round((this.own.fetching() ?? 0) * 100));
  protected readonly ways = computed(() => this.settings.settings().pronunciations);
  protected readonly deaf = signal(false);

  protected change(at: number, change: Partial<Pronunciation>): void {
    const pronunciations = this.ways().map((way, index) => (index === at ? { ...way, ...change } : way));
    this.settings.change({ pronunciations });
  }

  protected add(): void {
    this.settings.change({ pronunciations: [...this.ways(), { word: 'Tarrowby', as: 'tarrow bee' }] });
  }

  protected takeOut(at: number): void {
    this.settings.change({ pronunciations: this.ways().filter((_, index) => index !== at) });
  }

  /** The word as it will be heard. */
  protected async hear(word: string): Promise<void> {
    await this.sound.unlock();
    const before = this.voices.voice();
    if (before) this.own.say(before.id, word);
    const [spoken, now] = [await this.voices.ready(), this.sound.now()];
    this.deaf.set(!spoken || now === null);
    if (spoken && now !== null) this.sound.speakAt(spoken.recording, assemble({ say: word }, spoken.voice).clips, now);
  }
}
