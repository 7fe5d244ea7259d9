import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { ChoiceField } from '../../parts/fields/choice-field';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import {
  buildKinds,
  buildNames,
  fitBuild,
  goalsOf,
  pieceSchemas,
  readClock,
  sayClock,
  spell,
  takeIn,
  targets,
  usualRamp,
  type Block,
  type PieceOf,
  type Scheme,
  type Sheet,
} from '../../../core/index';
import type { Choice } from '../../parts/fields/choice-field';

type Build = PieceOf<'build'>;

const wordsOf = (text: string): string[] => text.split(/[\s,]+/).filter(Boolean);

/** What a build can be told, and how it would fit its time. It stays one piece, whatever is changed. */
@Component({
  selector: 'kt-build-options',
  imports: [MatCheckbox, ChoiceField, NumberField, TextField, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './build-options.html',
  styleUrl: './options.scss',
})
export class BuildOptions {
  readonly build = input.required<Build>();
  readonly block = input.required<Block>();
  readonly scheme = input.required<Scheme>();
  readonly changed = output<Build>();
  /** An edit that makes build and time agree. */
  readonly edited = output<(sheet: Sheet) => Sheet>();

  protected readonly kinds = buildKinds.map((value) => ({ value, name: buildNames[value] }));
  protected readonly defences: readonly Choice<NonNullable<Build['defence']>>[] = [
    { value: 'rides', name: 'added together with the counter' },
    { value: 'own', name: 'as separate stages' },
  ];
  protected readonly kicks: readonly Choice<Build['kick']>[] = [
    { value: undefined, name: 'as in Where coaches differ' },
    { value: 'opposite', name: 'opposite leg to the last punch' },
    { value: 'same', name: 'same side as the last punch' },
  ];
  protected readonly usualEfforts = usualRamp.join(', ');
  protected readonly schemas = pieceSchemas.build.shape;
  protected readonly sayClock = sayClock;
  protected readonly goals = computed(() => goalsOf(this.build().build));
  protected readonly fit = computed(() => fitBuild(this.block(), this.build()));
  protected readonly has = computed(() => {
    const kind = this.build().build;
    return {
      defence: ['ladder', 'backward', 'pyramid', 'kick-close', 'join'].includes(kind),
      kick: kind === 'kick-close',
      again: kind === 'pyramid' || kind === 'kick-close',
      cuts: kind === 'chunks',
      alone: kind === 'singles',
      range: kind === 'alternator',
      to: kind === 'amount',
      pattern: kind === 'levels',
      efforts: kind === 'effort',
    };
  });
  protected readonly every = computed(() => {
    const { every } = this.build();
    return every === 'round' ? 'round' : every.map(sayClock).join(', ');
  });
  protected readonly spelt = computed(() => ({
    goal: spell(this.build().goal, this.scheme()),
    second: spell(this.build().second ?? '', this.scheme()),
  }));

  protected change(change: Partial<Build>): void {
    this.changed.emit({ ...this.build(), ...change });
  }

  protected changeKind(build: Build['build']): void {
    const goal = this.build().goal || (goalsOf(build) > 0 ? '1 2' : '');
    this.change({ build, goal, ...(goalsOf(build) === 2 ? { second: this.build().second ?? '1 2' } : {}) });
  }

  /** A goal is kept as it is typed; one that cannot be read is shown as a finding and can be typed again. */
  protected changeGoal(key: 'goal' | 'second', text: string): void {
    this.change({ [key]: takeIn(text, this.scheme()).text });
  }

  /** `0:30`, `0:30, 0:45` or `round`. */
  protected readonly everyFault = (text: string): string =>
    this.everyOf(text) === null ? 'Enter 0:30, one length per stage (0:30, 0:45), or round' : '';

  private everyOf(text: string): Build['every'] | null {
    if (/^\s*rounds?\s*$/i.test(text)) return 'round';
    const lengths = wordsOf(text).map(readClock);
    return lengths.length > 0 && lengths.every((ms) => ms !== null) ? lengths : null;
  }

  protected changeEvery(text: string): void {
    const every = this.everyOf(text);
    if (every !== null) this.change({ every });
  }

  protected numbersOf(text: string): number[] | undefined {
    const numbers = wordsOf(text).map(Number);
    return numbers.length > 0 ? numbers : undefined;
  }

  protected readonly cutsFault = (text: string): string =>
    this.schemas.cuts.safeParse(this.numbersOf(text)).success ? '' : 'Enter the moves to split after: 3, 6';

  protected readonly effortsFault = (text: string): string =>
    this.schemas.efforts.safeParse(this.numbersOf(text)).success
      ? ''
      : 'Enter two or more, from 10 to 100: 50, 70, 100';

  private patternOf(text: string): Build['pattern'] | null {
    const words = wordsOf(text.toLowerCase());
    const pattern = words.flatMap((word) => targets.find((target) => target === word) ?? []);
    if (pattern.length < words.length) return null;
    return pattern.length > 0 ? pattern : undefined;
  }

  protected readonly patternFault = (text: string): string =>
    this.patternOf(text) === null ? `Enter ${targets.join(', ')}, separated by commas` : '';

  protected changePattern(text: string): void {
    const pattern = this.patternOf(text);
    if (pattern !== null) this.change({ pattern });
  }
}
