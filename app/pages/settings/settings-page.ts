import { afterRenderEffect, ChangeDetectionStrategy, Component, ElementRef, inject, input } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatSliderModule } from '@angular/material/slider';
import { talkNames, talks, type Settings, type TechniqueFocus } from '../../../core/index';
import { ChoiceField, named, type Choice } from '../../parts/fields/choice-field';
import { WordingsForm } from '../../parts/wordings-form';
import { UnreadList } from '../../parts/unread-list';
import { settingNames, type NamedSetting } from '../../services/setting-names';
import { SettingsService } from '../../services/settings.service';
import { lookedAt } from '../../store/sound';
import { BackupPanel } from './backup-panel';
import { InstalledPanel } from './installed-panel';
import { OwnWordsPanel } from './own-words-panel';
import { SensorsPanel } from './sensors-panel';
import { OwnNumbers } from './own-numbers';
import { HelpLink } from '../../parts/help-link';

/** One setting, as a field shows it. */
interface Field {
  readonly key: NamedSetting;
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
    HelpLink,
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
  /** From the address: the setting that somebody has searched for, which gets the focus. */
  readonly setting = input<string>();
  protected readonly settings = inject(SettingsService);
  protected readonly unreadStores = lookedAt;

  protected readonly look = [
    this.field('look', [
      { value: 'system', name: 'Same as device' },
      { value: 'light', name: 'Light' },
      { value: 'dark', name: 'Dark' },
    ]),
    this.field('density', [
      { value: 'close', name: 'Compact, for a mouse' },
      { value: 'roomy', name: 'Roomy, for tablets and gloves' },
    ]),
    this.field('strikeNames', [
      { value: 'by level', name: 'For beginners and intermediate' },
      { value: 'always', name: 'Always' },
      { value: 'never', name: 'Never' },
    ]),
    this.field('units', [
      { value: 'metric', name: 'Metric' },
      { value: 'imperial', name: 'Imperial' },
    ]),
  ];
  protected readonly calls = [
    this.field('voice', [
      { value: 'rms', name: 'Recorded, low voice' },
      { value: 'slt', name: 'Recorded, high voice' },
      { value: 'device', name: 'This device’s voice, if it has one' },
      { value: 'none', name: 'No voice, text only' },
    ]),
    this.field(
      'talk',
      talks.map((value) => ({ value, name: talkNames[value] })),
    ),
    this.field('countIn', seconds([0, 5, 10, 20])),
    this.field('countFrom', named([3, 5])),
    this.field('leadOut', [
      { value: 'nothing', name: 'Nothing' },
      { value: 'three', name: 'Three, two, one' },
      { value: 'ten and five', name: 'Ten seconds, then from five' },
    ]),
    this.field('blockClock', [
      { value: 'all', name: 'Halfway, next exercise, last ten seconds, countdown, end' },
      { value: 'names', name: 'Names only' },
    ]),
    this.field('breathHeld', [
      { value: false, name: 'In for two, out for four' },
      { value: true, name: 'With a three-count hold: never with heart or blood-pressure problems' },
    ]),
  ];
  protected readonly schools = [
    this.field('kickSchool', [
      { value: 'opposite', name: 'Opposite leg; flag same-side kicks' },
      { value: 'same', name: 'Either leg; no flag' },
    ]),
    this.field('afterHook', [
      { value: 'rear straight', name: 'A rear straight brings it back' },
      { value: 'same hand', name: 'Another hook or a back fist with the same hand' },
    ]),
    this.field('bodyOnDoubleEnd', [
      { value: 'none', name: 'None' },
      { value: 'lower cord', name: 'On the lower cord' },
    ]),
    this.field('ballTricks', [
      { value: false, name: 'No' },
      { value: true, name: 'Yes, as trick shots' },
    ]),
  ];

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    afterRenderEffect(() => {
      const wanted = this.setting();
      if (wanted) host.querySelector<HTMLElement>(`[data-setting="${CSS.escape(wanted)}"] [role=combobox]`)?.focus();
    });
  }

  private field<Key extends NamedSetting>(key: Key, choices: readonly Choice<Settings[Key]>[]): Field {
    return {
      key,
      label: settingNames[key],
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
