import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { WordingsForm } from '../../parts/wordings-form';
import { OwnNumbers } from './own-numbers';
import { SettingsService, type Settings } from '../../services/settings.service';

interface Choice {
  readonly name: string;
  readonly change: Partial<Settings>;
  readonly on: boolean;
}

interface Group {
  readonly name: string;
  readonly legend: string;
  readonly choices: readonly Choice[];
}

/** How the product looks and sounds; every choice is kept at once. */
@Component({
  selector: 'kt-settings-page',
  imports: [OwnNumbers, WordingsForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings-page.html',
  styleUrl: './settings-page.scss',
})
export class SettingsPage {
  protected readonly settings = inject(SettingsService);

  protected readonly groups = computed((): readonly Group[] => {
    const now = this.settings.settings();
    const choice = (name: string, change: Partial<Settings>): Choice => {
      const [[key, value] = []] = Object.entries(change);
      return { name, change, on: key !== undefined && now[key as keyof Settings] === value };
    };
    return [
      {
        name: 'look',
        legend: 'Look',
        choices: [
          choice('As the device', { look: 'system' }),
          choice('Light', { look: 'light' }),
          choice('Dark', { look: 'dark' }),
        ],
      },
      {
        name: 'count-in',
        legend: 'Get ready before second zero',
        choices: ([0, 5, 10, 20] as const).map((countIn) =>
          choice(countIn === 0 ? 'None' : `${countIn} s`, { countIn }),
        ),
      },
      {
        name: 'count-from',
        legend: 'Count the last seconds from',
        choices: ([3, 5] as const).map((countFrom) => choice(String(countFrom), { countFrom })),
      },
      {
        name: 'kicks',
        legend: 'Kick after a hand',
        choices: [
          choice('With the opposite leg; a same-side kick is worth a note', { kickSchool: 'opposite' }),
          choice('With the same side too; no note', { kickSchool: 'same' }),
        ],
      },
      {
        name: 'after-hook',
        legend: 'After a hook on the double-end',
        choices: [
          choice('A rear straight brings the ball back', { afterHook: 'rear straight' }),
          choice('Another hook or a back fist of the same hand', { afterHook: 'same hand' }),
        ],
      },
      {
        name: 'double-end-body',
        legend: 'Body shots on the double-end',
        choices: [
          choice('None', { bodyOnDoubleEnd: 'none' }),
          choice('At the lower cord', { bodyOnDoubleEnd: 'lower cord' }),
        ],
      },
      {
        name: 'voice',
        legend: 'Who calls',
        choices: [
          choice('Recorded, low voice', { voice: 'rms' }),
          choice('Recorded, high voice', { voice: 'slt' }),
          choice('This device’s own voice, where it has one', { voice: 'device' }),
          choice('Nobody: the words are on the screen', { voice: 'none' }),
        ],
      },
      {
        name: 'talk',
        legend: 'How much is called',
        choices: [
          choice('Everything', { talk: 'all' }),
          choice('The main things: combinations, stance, drills, counts', { talk: 'main' }),
          choice('Bells and counts only', { talk: 'bells' }),
        ],
      },
      {
        name: 'units',
        legend: 'Measures',
        choices: [choice('Metric', { units: 'metric' }), choice('Imperial', { units: 'imperial' })],
      },
    ];
  });

  protected setVolume(event: Event): void {
    const volume = Number((event.target as HTMLInputElement).value);
    if (volume >= 0 && volume <= 1) this.settings.change({ volume });
  }
}
