import { ChangeDetectionStrategy, Component, inject, Injector, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatDivider } from '@angular/material/divider';
import { MatIcon } from '@angular/material/icon';
import { MatMenuModule } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { keptNothing, takenSheet, type Kept, type Sheet } from '../../../core/index';
import { openFilm } from '../../parts/film/open-film';
import { NoticeService } from '../../services/notice.service';

/** The session leaves the browser as something that plays anywhere. What of the coach's own goes along is ticked here. */
@Component({
  selector: 'kt-take-home-menu',
  imports: [MatButtonModule, MatCheckbox, MatDivider, MatIcon, MatMenuModule, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button
      type="button"
      matIconButton
      [matMenuTriggerFor]="menu"
      aria-label="Take home"
      matTooltip="Take home"
      [disabled]="making()"
    >
      <mat-icon svgIcon="home" />
    </button>
    <mat-menu #menu="matMenu">
      <button mat-menu-item type="button" (click)="save('file')">Stand-alone file (plays anywhere)</button>
      <button mat-menu-item type="button" (click)="film()">Video</button>
      <button mat-menu-item type="button" (click)="save('card')">Wall card (to print)</button>
      <mat-divider />
      @for (tick of ticks; track tick.key) {
        <button
          mat-menu-item
          type="button"
          role="menuitemcheckbox"
          [attr.aria-checked]="kept()[tick.key]"
          (click)="$event.stopPropagation(); toggle(tick.key)"
        >
          <mat-checkbox [checked]="kept()[tick.key]" tabindex="-1" inert>{{ tick.name }}</mat-checkbox>
        </button>
      }
    </mat-menu>
  `,
  styles: `
    :host {
      display: flex;
    }
  `,
})
export class TakeHomeMenu {
  readonly sheet = input.required<Sheet>();
  private readonly injector = inject(Injector);
  private readonly notices = inject(NoticeService);
  protected readonly ticks = [
    { key: 'notes', name: 'include my notes' },
    { key: 'people', name: 'include class, groups and stations' },
    { key: 'head', name: 'with other programs’ lines' },
  ] as const satisfies readonly { key: keyof Kept; name: string }[];
  protected readonly kept = signal<Kept>(keptNothing);
  protected readonly making = signal(false);

  protected toggle(key: keyof Kept): void {
    this.kept.update((kept) => ({ ...kept, [key]: !kept[key] }));
  }

  protected async film(): Promise<void> {
    await openFilm(takenSheet(this.sheet(), this.kept()), this.injector);
  }

  protected async save(what: 'file' | 'card'): Promise<void> {
    this.making.set(true);
    void this.notices.say('Making the file…');
    try {
      const { TakeHomeService } = await import('../../services/take-home.service');
      const service = this.injector.get(TakeHomeService);
      if (what === 'file') await service.saveFile(this.sheet(), this.kept());
      else await service.saveCard(this.sheet(), this.kept());
      const saved = what === 'file' ? 'one file with voice; open it anywhere' : 'open it and print it on A4 or Letter';
      void this.notices.say(`Saved: ${saved}.`);
    } catch (reason) {
      const why = reason instanceof Error ? reason.message : 'something went wrong';
      void this.notices.say(`The file could not be made: ${why}. Check that the server is running and try again.`);
    } finally {
      this.making.set(false);
    }
  }
}
