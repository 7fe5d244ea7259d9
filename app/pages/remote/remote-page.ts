import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import {
  addedMs,
  codeOf,
  faultsOn,
  helloSchema,
  leafName,
  livePaces,
  sayClock,
  type LiveChange,
  type PressedChange,
  type Refusal,
} from '../../../core/index';
import { ChoiceField } from '../../parts/fields/choice-field';
import { standings } from '../../parts/stage/standings';
import { Follower } from '../../services/follower';

const whys: Readonly<Record<Refusal, string>> = {
  'no such code': 'This remote’s link has ended: scan the code again.',
  'wrong secret': 'This remote’s link is no longer valid: scan the code again.',
  'too many': 'Too many devices have joined.',
  'too many from here': 'Too many screens at one address: close another one first.',
  'too often': 'Too many attempts: wait a minute, then reload the page.',
  'not understood': 'The server has been updated: reload this page.',
  'shut out': 'The coach has removed this remote.',
};

/** Minutes in which a remote can end a session. */
const endings = [1, 2, 3, 5, 10, 15];

/** A phone that presses for the coach: the live changes as big buttons, and a lock against stray touches. */
@Component({
  selector: 'kt-remote-page',
  imports: [ChoiceField, MatButtonModule, MatIcon],
  providers: [Follower],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './remote-page.html',
  styleUrl: './remote-page.scss',
})
export class RemotePage {
  protected readonly follower = inject(Follower);
  protected readonly locked = signal(false);
  protected readonly paces = livePaces;
  protected readonly why = computed(() => {
    const refusal = this.follower.refusal();
    return refusal === null ? '' : whys[refusal];
  });
  protected readonly panel = this.follower.panel.asReadonly();
  protected readonly percent = computed(() => Math.round((this.panel()?.pace ?? 1) * 100));
  protected readonly clock = computed(() => {
    const [where, phase] = [this.follower.where(), this.follower.phase()];
    if (!where) return '';
    return sayClock((phase === 'break' ? Math.floor(where.clock / 1000) : Math.ceil(where.clock / 1000)) * 1000);
  });
  protected readonly on = computed(() => {
    const leaf = this.follower.where()?.leaf;
    return leaf ? leafName(leaf) : '';
  });
  protected readonly standing = computed(() => {
    const phase = this.follower.phase();
    return phase === null ? null : standings[phase];
  });
  protected readonly endings = [
    { value: 0, name: 'choose' },
    ...endings.map((minutes) => ({ value: minutes, name: `${minutes} min` })),
  ];
  protected readonly faults = computed(() => [
    { value: '', name: 'choose' },
    ...faultsOn(this.follower.where()?.leaf?.bags[0] ?? null).map(({ id, name }) => ({ value: id, name })),
  ]);
  protected readonly combinations = computed(() => [
    { value: '', name: 'choose' },
    ...(this.panel()?.instead ?? []).map(({ name, text }) => ({ value: text, name })),
  ]);
  /** Whether a count drill is on, which can grow. */
  protected readonly counting = computed(() => this.follower.where()?.leaf?.drill?.kind === 'count');
  /** The address has no code and secret that could be used. */
  protected readonly lacks: boolean;

  constructor() {
    // Behind the hash, which no server sees.
    const [code = '', secret = ''] = location.hash.slice(1).split('.');
    const hello = helloSchema.safeParse({ kind: 'control', code: codeOf(code), secret });
    this.lacks = !hello.success || hello.data.kind === 'open';
    if (hello.success && hello.data.kind !== 'open') this.follower.follow(hello.data);
    // A reload comes back with the secret that is right now.
    effect(() => {
      const moved = this.follower.moved();
      if (moved?.control) history.replaceState(history.state, '', `#${moved.code}.${moved.control}`);
    });
    inject(DestroyRef).onDestroy(() => this.follower.end());
  }

  protected change(change: PressedChange): void {
    // The moment is the tablet's own.
    this.follower.press({ kind: 'change', change: { ...change, at: 0 } as LiveChange });
  }

  protected longer(): void {
    this.change({ kind: 'longer', ms: addedMs });
  }

  protected endIn(minutes: number): void {
    if (minutes > 0) this.change({ kind: 'end in', ms: minutes * 60_000 });
  }

  protected swap(text: string): void {
    if (text) this.change({ kind: 'swap', text });
  }

  protected mark(fault: string): void {
    if (fault) this.change({ kind: 'fault', fault });
  }
}
