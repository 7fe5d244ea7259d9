import { computed, inject, Injectable, signal } from '@angular/core';
import {
  readCombination,
  saySides,
  soloLadder,
  soloSheet,
  standing,
  type Combination,
  type SoloRung,
  type Stance,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { Live } from './live';
import { RunEntry } from './run-entry';
import { RunKeeper } from './run-keeper';
import { Runner } from './runner';

/** So much of a name stands in the title of a solo. */
const longestName = 150;

/** One athlete alone: which rung is looped, one more when it sits, and where it broke. Rungs are live changes of an ordinary run. */
@Injectable()
export class Solo {
  private readonly runner = inject(Runner);
  private readonly live = inject(Live);
  private readonly entries = inject(RunEntry);
  private readonly keeper = inject(RunKeeper);

  private readonly goal = signal<Combination | null>(null);
  private readonly stance = signal<Stance>('orthodox');
  readonly rungs = computed((): readonly SoloRung[] => {
    const goal = this.goal();
    return goal ? soloLadder(goal) : [];
  });
  /** The rung that is looped: what the changes that stand make of the first one. */
  readonly at = computed(() => {
    const swap = standing(this.live.changes()).findLast((change) => change.kind === 'swap');
    const text = swap?.text ?? this.rungs()[0]?.text;
    const exact = this.rungs().findIndex((rung) => rung.text === text && rung.pace === this.live.pace());
    return exact >= 0
      ? exact
      : Math.max(
          0,
          this.rungs().findIndex((rung) => rung.text === text),
        );
  });
  readonly rung = computed(() => this.rungs()[this.at()] ?? null);
  /** What it broke on; null while it has not. */
  readonly broken = signal<SoloRung | null>(null);

  /** The session of a solo; null where its text is no combination. A name from an address may be of any length. */
  begin(text: string, given: string, stance: Stance): ReturnType<typeof soloSheet> | null {
    const read = readCombination(text);
    if (!read.ok) return null;
    const name = given.slice(0, longestName);
    this.goal.set(read.value);
    this.stance.set(stance);
    this.keeper.solo = { text, name };
    return soloSheet(read.value, name, stance, freshId);
  }

  /** The steps of a rung by the athlete's own left and right. */
  sides({ text }: SoloRung): readonly string[] {
    const read = readCombination(text);
    return read.ok ? saySides(read.value, this.stance()) : [];
  }

  /** Slowly from the very beginning. */
  slowly(): void {
    const [first] = this.rungs();
    if (first) this.runner.alter({ kind: 'pace', factor: first.pace });
  }

  /** It sits: one more. It broke, or was too much: one less. */
  go(by: 1 | -1): void {
    const [now, next] = [this.rung(), this.rungs()[this.at() + by]];
    if (!now || !next) return;
    if (next.text !== now.text) this.runner.alter({ kind: 'swap', text: next.text });
    if (next.pace !== this.live.pace()) this.runner.alter({ kind: 'pace', factor: next.pace });
  }

  /** Everything stops; where it broke can be said then. */
  broke(): void {
    this.broken.set(this.rung());
    this.runner.stopNow();
  }

  /** Says where it broke; it stands in the log with what sat before. */
  brokeAt(place: number | null): void {
    const broken = this.broken();
    if (!broken) return;
    const before = this.rungs()[this.rungs().indexOf(broken) - 1];
    const sat = before ? `Mastered: ${sayRung(before)}. ` : '';
    const where = place === null ? '' : `, at move ${place + 1} (${this.sides(broken)[place] ?? ''})`;
    this.entries.amend({ note: `${sat}Lost it: ${sayRung(broken)}${where}.` });
  }

  /** Goes on with the rung that sat. */
  goOn(): void {
    this.broken.set(null);
    this.runner.toggle();
    this.go(-1);
  }
}

/** A rung in a few words. `sayRung({ text: '1 2', pace: 0.6 })` → `1 2 at 60 %` */
export const sayRung = ({ text, pace }: SoloRung): string => `${text} at ${Math.round(pace * 100)}%`;
