import { ChangeDetectionStrategy, Component, computed, effect, inject, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import type { Member, Refusal } from '../../../core/index';
import { ChoiceField } from '../../parts/fields/choice-field';
import { choiceOf, wallChoices } from '../../parts/stage/wall-choices';
import { Live } from './live';
import { Walls } from './walls';

const whys: Partial<Record<Refusal, string>> = {
  'too many': 'The server has no room left: other tablets share with their screens. Try again when one has stopped.',
  'too many from here':
    'This network address already has as many rooms as it may. Stop sharing on another tablet first.',
  'not understood': 'The server has another version: reload this page.',
};
const otherWhy = 'The server could not start sharing. Try again in a minute.';

/** Letters of a phone's camera are small: four pixels to a square of the picture. */
const qrScale = 4;

/** Brings the run to other screens: the code, who is there, and what each shows. It stands beside the clock. */
@Component({
  selector: 'kt-walls-panel',
  imports: [ChoiceField, MatButtonModule, MatIcon, MatSlideToggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './walls-panel.html',
  styleUrl: './walls-panel.scss',
  host: { class: 'beside', role: 'dialog', 'aria-label': 'Screens and remotes' },
})
export class WallsPanel {
  protected readonly walls = inject(Walls);
  private readonly live = inject(Live);
  readonly closed = output();

  protected readonly why = computed(() => {
    const refusal = this.walls.refusal();
    return refusal === null ? null : (whys[refusal] ?? otherWhy);
  });
  protected readonly remoteShown = signal(false);
  private readonly pictures = signal<{ readonly wall: string; readonly remote: string } | null>(null);
  protected readonly wallPicture = computed(() => this.pictures()?.wall ?? null);
  protected readonly remotePicture = computed(() => (this.remoteShown() ? (this.pictures()?.remote ?? null) : null));
  private readonly all = computed(() => wallChoices(this.live.sheet()));
  protected readonly choices = computed(() => this.all().map(({ name }, value) => ({ value, name })));

  constructor() {
    effect(() => {
      const opened = this.walls.opened();
      if (opened) void this.draw(opened.wall, opened.remote);
      else this.pictures.set(null);
    });
  }

  private async draw(wall: string, remote: string): Promise<void> {
    const { toDataURL } = (await import('qrcode')).default;
    const [ofWall, ofRemote] = await Promise.all([wall, remote].map((text) => toDataURL(text, { scale: qrScale })));
    this.pictures.set({ wall: ofWall ?? '', remote: ofRemote ?? '' });
  }

  protected shown({ showing }: Member): number {
    return showing ? choiceOf(this.all(), showing) : 0;
  }

  protected put({ id, showing }: Member, value: number): void {
    const choice = this.all()[value];
    if (choice) this.walls.show(id, { view: choice.view, lane: choice.lane, sound: showing?.sound ?? false });
  }
}
