import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatSliderModule } from '@angular/material/slider';
import type { Settings, TechniqueFocus } from '../../../core/index';
import { ChoiceField, named, type Choice } from '../../parts/fields/choice-field';
import { WordingsForm } from '../../parts/wordings-form';
import { UnreadList } from '../../parts/unread-list';
import { SettingsService } from '../../services/settings.service';
import { lookedAt } from '../../store/sound';
import { BackupPanel } from './backup-panel';
import { InstalledPanel } from './installed-panel';
import { OwnWordsPanel } from './own-words-panel';
import { SensorsPanel } from './sensors-panel';
import { OwnNumbers } from './own-numbers';

/** One setting, as a field shows it. */
interface Field {
  readonly label: string;
  readonly choices: readonly Choice<unknown>[];
  readonly value: () => unknown;
  readonly put: (value: unknown) => void;
}

const seconds = (values: readonly Settings['countIn'][]): readonly Choice<Settings['countIn']>[] =>
  values.map((value) => ({ value, name: value === 0 ? 'nothing' : `${value} s` }));

/** How the product looks and sounds; every choice is kept at once. */
@Component({
  selector: 'kt-settings-page',
  imports: [
    BackupPanel,
    InstalledPanel,
    OwnWordsPanel,
    SensorsPanel,
    ChoiceField,
    MatCheckbox,
    MatExpansionModule,
    MatSliderModule,
    OwnNumbers,
    UnreadList,
    WordingsForm,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings-page.html',
  styleUrl: './settings-page.scss',
})
export class SettingsPage {
  protected readonly settings = inject(SettingsService);
  protected readonly unreadStores = lookedAt;

  protected readonly look = [
    this.field('look', 'Look', [
      { value: 'system', name: 'As the device' },
      { value: 'light', name: 'Light' },
      { value: 'dark', name: 'Dark' },
    ]),
    this.field('density', 'Room for fingers', [
      { value: 'close', name: 'Close together, for a mouse' },
      { value: 'roomy', name: 'Roomy, for tablets and gloves' },
    ]),
    this.field('strikeNames', 'Names under the numbers in a run', [
      { value: 'by level', name: 'For beginners and intermediates' },
      { value: 'always', name: 'Always' },
      { value: 'never', name: 'Never' },
    ]),
    this.field('units', 'Measures', [
      { value: 'metric', name: 'Metric' },
      { value: 'imperial', name: 'Imperial' },
    ]),
  ];
  protected readonly calls = [
    this.field('voice', 'Who calls', [
      { value: 'rms', name: 'Recorded, low voice' },
      { value: 'slt', name: 'Recorded, high voice' },
      { value: 'device', name: 'This device’s own voice, where it has one' },
      { value: 'none', name: 'Nobody: the words are on the screen' },
    ]),
    this.field('talk', 'How much is called', [
      { value: 'all', name: 'Everything' },
      { value: 'main', name: 'The main things: combinations, stance, drills, counts' },
      { value: 'bells', name: 'Bells and counts only' },
    ]),
    this.field('countIn', 'Get ready before second zero', seconds([0, 5, 10, 20])),
    this.field('countFrom', 'Count the last seconds from', named([3, 5])),
    this.field('leadOut', 'Leading long pieces out', [
      { value: 'nothing', name: 'Nothing' },
      { value: 'three', name: 'Three, two, one' },
      { value: 'ten and five', name: 'Ten seconds, and from five' },
    ]),
    this.field('blockClock', 'The clock outside rounds', [
      { value: 'all', name: 'Half, next exercise, last ten seconds, count, end' },
      { value: 'names', name: 'The names alone' },
    ]),
    this.field('breathHeld', 'Breathing in a rest', [
      { value: false, name: 'In for two, out for four' },
      { value: true, name: 'Hold for three in between: never with heart or blood-pressure trouble' },
    ]),
  ];
  protected readonly schools = [
    this.field('kickSchool', 'Kick after a hand', [
      { value: 'opposite', name: 'With the opposite leg; a same-side kick is worth a note' },
      { value: 'same', name: 'With the same side too; no note' },
    ]),
    this.field('afterHook', 'After a hook on the double-end', [
      { value: 'rear straight', name: 'A rear straight brings the ball back' },
      { value: 'same hand', name: 'Another hook or a back fist of the same hand' },
    ]),
    this.field('bodyOnDoubleEnd', 'Body shots on the double-end', [
      { value: 'none', name: 'None' },
      { value: 'lower cord', name: 'At the lower cord' },
    ]),
    this.field('ballTricks', 'Kicks, knees, elbows and holds on balls', [
      { value: false, name: 'No' },
      { value: true, name: 'Yes, as tricks' },
    ]),
  ];

  private field<Key extends keyof Settings>(key: Key, label: string, choices: readonly Choice<Settings[Key]>[]): Field {
    return {
      label,
      choices,
      value: () => this.settings.settings()[key],
      put: (value) => {
        const chosen = choices.find((choice) => choice.value === value);
        if (chosen) this.settings.change({ [key]: chosen.value });
      },
    };
  }

  protected putFocuses(focuses: readonly TechniqueFocus[]): void {
    const { focuses: _, ...others } = this.settings.settings().wordings;
    this.settings.change({ wordings: focuses.length > 0 ? { ...others, focuses: [...focuses] } : others });
  }
}
