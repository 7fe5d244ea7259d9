import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { VoiceService } from '../../services/voice.service';
import { Speaker } from './speaker';

/** From the bell to the call. */
const betweenMs = 1500;

/** What sound can do here, said before the start, and one bell and one call to hear it. */
@Component({
  selector: 'kt-sound-check',
  imports: [MatButtonModule, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p role="status">
      {{ voice() }} {{ volume() }}
      @if (heard() === false) {
        <b>Sound is blocked or there is no speaker: the session will run silently, with the calls on screen.</b>
      } @else if (heard()) {
        You should hear a bell and “halfway”. If not, turn up the volume.
      }
    </p>
    <button type="button" matButton="outlined" (click)="check()"><mat-icon svgIcon="sound" />Sound check</button>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: var(--space-3);
    }
    p {
      flex: 1 1 18rem;
    }
  `,
})
export class SoundCheck {
  private readonly sound = inject(SoundService);
  private readonly voices = inject(VoiceService);
  private readonly settings = inject(SettingsService);
  private readonly speaker = inject(Speaker);

  /** Whether anything could sound; null before it was tried. */
  protected readonly heard = signal<boolean | null>(null);
  protected readonly volume = computed(() => {
    const { volume } = this.settings.settings();
    return volume === 0 ? 'Volume is off: see Settings.' : `Volume ${Math.round(volume * 100)}%.`;
  });
  protected readonly voice = computed(() => {
    const { voice } = this.settings.settings();
    if (voice === 'none') return 'Bells only, no voice.';
    const recorded = this.voices.voice();
    if (recorded)
      return this.voices.recording() ? `Voice: ${recorded.name}, ready.` : `Voice: ${recorded.name}, loading.`;
    return this.sound.canSay()
      ? 'Using this device’s own voice.'
      : 'This device has no voice: choose a recorded one in Settings.';
  });

  protected async check(): Promise<void> {
    await this.sound.unlock();
    const now = this.sound.now();
    this.heard.set(now !== null);
    if (now === null) return;
    this.sound.playAt('start bell', now);
    setTimeout(() => this.speaker.check(), betweenMs);
  }
}
