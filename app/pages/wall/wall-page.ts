import { Location } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { Router } from '@angular/router';
import { codeOf, codeSchema, wallLimits, type Refusal, type Showing } from '../../../core/index';
import { BoardView } from '../../parts/board/board-view';
import { ChoiceField } from '../../parts/fields/choice-field';
import { TextField } from '../../parts/fields/text-field';
import { viewChoices } from '../../parts/figure/view-choices';
import { Stage } from '../../parts/stage/stage';
import { choiceOf, looks, shownByChoices, wallChoices } from '../../parts/stage/wall-choices';
import { SettingsService } from '../../services/settings.service';
import { Follower } from '../../services/follower';
import { HelpLink } from '../../parts/help-link';

const whys: Readonly<Record<Refusal, string>> = {
  'no such code': 'That code is not in use: check it on the coach’s device.',
  'wrong secret': 'That code is not in use: check it on the coach’s device.',
  'too many': 'Too many screens have joined: close another one first.',
  'too many from here': 'Too many screens at one address: close another one first.',
  'too often': 'Too many attempts: wait a minute, then join again.',
  'not understood': 'The server has been updated: reload this page.',
  'shut out': 'The coach has removed this screen.',
};

/** A wall: a screen of the room that follows a run on the coach's tablet. It can change what it shows, and nothing else. */
@Component({
  selector: 'kt-wall-page',
  imports: [HelpLink, BoardView, ChoiceField, MatButtonModule, MatIcon, MatSlideToggle, Stage, TextField],
  providers: [Follower],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './wall-page.html',
  styleUrl: './wall-page.scss',
})
export class WallPage {
  protected readonly follower = inject(Follower);
  /** This screen's own: a dark room, or daylight. */
  protected readonly settings = inject(SettingsService);
  private readonly router = inject(Router);
  readonly code = input<string>();

  protected readonly looks = looks;
  protected readonly shownBys = shownByChoices;
  protected readonly seenFrom = viewChoices;
  protected readonly typed = signal('');
  protected readonly ready = computed(() => codeOf(this.typed()).length === wallLimits.code);
  protected readonly why = computed(() => {
    const refusal = this.follower.refusal();
    return refusal === null ? '' : whys[refusal];
  });
  private readonly wanted = signal<Showing>({ view: 'everything', lane: null, sound: false });
  protected readonly showing = this.wanted.asReadonly();
  private readonly all = computed(() => wallChoices(this.follower.sheet()));
  protected readonly choices = computed(() => this.all().map(({ name }, value) => ({ value, name })));
  protected readonly shown = computed(() => choiceOf(this.all(), this.showing()));

  constructor() {
    effect(() => {
      const code = codeOf(this.code() ?? '');
      if (codeSchema.safeParse(code).success) untracked(() => this.follower.follow({ kind: 'join', code }));
      else if (code !== '') this.follower.refusal.set('no such code');
    });
    effect(() => {
      const told = this.follower.told();
      if (told) this.wanted.set(told);
    });
    // A reload comes back with the code that is right now.
    const location = inject(Location);
    effect(() => {
      const moved = this.follower.moved();
      if (moved) location.replaceState(`/wall/${moved.code}`);
    });
    effect(() => this.follower.show(this.showing()));
    inject(DestroyRef).onDestroy(() => this.follower.end());
  }

  protected join(): void {
    if (this.ready()) void this.router.navigate(['/wall', codeOf(this.typed())]);
  }

  protected again(): void {
    this.follower.end();
    void this.router.navigate(['/wall']);
  }

  protected put(value: number): void {
    const choice = this.all()[value];
    if (choice) this.wanted.update(({ sound }) => ({ view: choice.view, lane: choice.lane, sound }));
  }

  protected async sound(on: boolean): Promise<void> {
    this.wanted.update((showing) => ({ ...showing, sound: on }));
    await this.follower.sound(on);
  }

  protected fullScreen(): void {
    if (document.fullscreenElement) void document.exitFullscreen();
    else document.documentElement.requestFullscreen().catch(() => undefined);
  }
}
