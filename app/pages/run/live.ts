import { computed, Injectable, signal } from '@angular/core';
import {
  canChange,
  compile,
  fittedIn,
  liveTimeline,
  mostLiveChanges,
  sayChange,
  standing,
  type LiveChange,
  type Milliseconds,
  type PressedChange,
  type SessionTime,
  type Sheet,
  type StandingChange,
} from '../../../core/index';

/** A change that stands until it is taken back, as it is pressed. */
export type Pressed = Exclude<PressedChange, { kind: 'undo' }>;

/** What is changed while a session runs, and the session as that makes it. */
@Injectable()
export class Live {
  readonly sheet = signal<Sheet | null>(null);
  readonly changes = signal<readonly LiveChange[]>([]);
  /** The session as the sheet has it. */
  readonly asPlanned = computed(() => {
    const sheet = this.sheet();
    return sheet ? compile(sheet) : null;
  });
  readonly timeline = computed(() => {
    const planned = this.asPlanned();
    return planned ? liveTimeline(planned, this.changes()) : null;
  });
  private readonly stands = computed(() => standing(this.changes()));
  /** The last change that can be taken back, in words. */
  readonly last = computed(() => {
    const last = this.stands().at(-1);
    return last ? sayChange(last) : null;
  });
  /** The pace that the class was last given, as a factor of what was planned. */
  readonly pace = computed(() => this.stands().findLast((change) => change.kind === 'pace')?.factor ?? 1);

  /** Whether count drills call more as they go on. */
  readonly grows = computed(() => this.stands().findLast((change) => change.kind === 'drill')?.grows ?? false);

  /** Takes a sheet up as it is planned, or with what was changed before a reload. */
  begin(sheet: Sheet, changes: readonly LiveChange[] = []): void {
    if (this.sheet() !== sheet) this.sheet.set(sheet);
    // Nothing is planned anew where nothing has changed.
    if (changes.length > 0 || this.changes().length > 0) this.changes.set(changes);
  }

  /** Whether a change would do anything at a moment. */
  can(pressed: Pressed, at: SessionTime): boolean {
    const planned = this.asPlanned();
    return planned !== null && canChange(planned, this.changes(), { ...pressed, at } as StandingChange);
  }

  /** Changes what is to come; false where that changes nothing. */
  change(pressed: Pressed, at: SessionTime): boolean {
    if (this.changes().length >= mostLiveChanges || !this.can(pressed, at)) return false;
    this.changes.update((before) => [...before, { ...pressed, at } as StandingChange]);
    return true;
  }

  /** Goes on with the pace that was given last: one change in the place of two. */
  goOnPacing(factor: number, at: SessionTime): void {
    if (this.changes().at(-1)?.kind !== 'pace') return;
    this.changes.update((before) => [...before.slice(0, -1), { kind: 'pace', factor, at }]);
  }

  /** Plans anew, from a moment on, without the last change. */
  undo(at: SessionTime): void {
    if (this.last() !== null && this.changes().length < mostLiveChanges)
      this.changes.update((before) => [...before, { kind: 'undo', at }]);
  }

  /** What ending in so many milliseconds takes, in words. */
  sayEnd(at: SessionTime, ms: Milliseconds): string {
    const planned = this.asPlanned();
    if (!planned) return '';
    const { dropped, over } = fittedIn(planned, this.changes(), at, ms);
    const rounds = dropped.flatMap(({ leaves }) => leaves[0]?.round ?? []);
    const others = dropped.length - rounds.length;
    const gone = [
      ...(rounds.length > 0 ? [`${rounds.length === 1 ? 'round' : 'rounds'} ${rounds.join(', ')}`] : []),
      ...(others > 0 ? [`${others} more ${others === 1 ? 'block' : 'blocks'}`] : []),
    ];
    const left = gone.length > 0 ? `Dropped: ${gone.join(' and ')}.` : 'Every round stays in.';
    return over > 0 ? `${left} It will still run over by ${Math.ceil(over / 1000)} s.` : left;
  }
}
