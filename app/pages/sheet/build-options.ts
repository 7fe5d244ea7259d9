import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  buildKinds,
  buildNames,
  fitBuild,
  goalsOf,
  readClock,
  sayClock,
  spell,
  takeIn,
  targets,
  type Block,
  type PieceOf,
  type Scheme,
  type Sheet,
} from '../../../core/index';

type Build = PieceOf<'build'>;

/** What a build can be told, and how it would fit its time. It stays one piece, whatever is changed. */
@Component({
  selector: 'kt-build-options',
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

  protected readonly kinds = buildKinds;
  protected readonly names = buildNames;
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
      range: kind === 'alternator',
      to: kind === 'amount',
      pattern: kind === 'levels',
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

  protected value(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected change(change: Partial<Build>): void {
    this.changed.emit({ ...this.build(), ...change });
  }

  protected changeKind(text: string): void {
    const build = buildKinds.find((kind) => kind === text);
    if (!build) return;
    const goal = this.build().goal || (goalsOf(build) > 0 ? '1 2' : '');
    this.change({ build, goal, ...(goalsOf(build) === 2 ? { second: this.build().second ?? '1 2' } : {}) });
  }

  /** A goal is kept as it is typed; one that cannot be read is shown as a finding and can be typed again. */
  protected changeGoal(key: 'goal' | 'second', text: string): void {
    this.change({ [key]: takeIn(text, this.scheme()).text });
  }

  /** `0:30`, `0:30, 0:45` or `round`; what is no length leaves everything as it was. */
  protected changeEvery(event: Event): void {
    const field = event.target as HTMLInputElement;
    const lengths = field.value
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(readClock);
    if (/^rounds?$/i.test(field.value.trim())) this.change({ every: 'round' });
    else if (lengths.length > 0 && lengths.every((ms) => ms !== null))
      this.change({ every: lengths.filter((ms) => ms !== null) });
    else field.value = this.every();
  }

  protected changeCuts(text: string): void {
    const cuts = text
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number)
      .filter((cut) => Number.isInteger(cut) && cut >= 1 && cut <= 10_000);
    this.change({ cuts: cuts.length > 0 ? cuts : undefined });
  }

  protected changeNumber(key: 'from' | 'to', text: string): void {
    const number = text === '' ? undefined : Math.round(Number(text));
    if (number === undefined || (number >= 1 && number <= 99)) this.change({ [key]: number });
  }

  protected changePattern(text: string): void {
    const pattern = text
      .toLowerCase()
      .split(/[\s,]+/)
      .flatMap((word) => targets.find((target) => target === word) ?? []);
    this.change({ pattern: pattern.length > 0 ? pattern : undefined });
  }
}
