import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { OwnNumbers } from './own-numbers';
import { SettingsService, type Settings } from '../../services/settings.service';

/** How the product looks and sounds; every choice is kept at once. */
@Component({
  selector: 'kt-settings-page',
  imports: [OwnNumbers],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './settings-page.html',
  styleUrl: './settings-page.scss',
})
export class SettingsPage {
  protected readonly settings = inject(SettingsService);

  protected readonly looks: readonly { value: Settings['look']; name: string }[] = [
    { value: 'system', name: 'As the device' },
    { value: 'light', name: 'Light' },
    { value: 'dark', name: 'Dark' },
  ];
  protected readonly schools: readonly { value: Settings['kickSchool']; name: string }[] = [
    { value: 'opposite', name: 'With the opposite leg; a same-side kick is worth a note' },
    { value: 'same', name: 'With the same side too; no note' },
  ];
  protected readonly countIns: readonly Settings['countIn'][] = [0, 5, 10, 20];
  protected readonly countFroms: readonly Settings['countFrom'][] = [3, 5];

  protected setVolume(event: Event): void {
    const volume = Number((event.target as HTMLInputElement).value);
    if (volume >= 0 && volume <= 1) this.settings.change({ volume });
  }
}
