import type { Letter } from './alphabet';

/** Where a beginning stands: its last move, whether bag and hitter stand apart after it, how many moves it has. */
export interface Here {
  readonly last: Letter;
  readonly apart: boolean;
  readonly length: number;
}

/** One thing that a search keeps an eye on, as a number. */
export interface Part {
  readonly start: number;
  /** The number after one more move; -1 where it may not come. `here` is null at the beginning. */
  readonly next: (state: number, letter: Letter, here: Here | null) => number;
  /** Whether a combination may end so. */
  readonly ends: (state: number, here: Here) => boolean;
  /** What it asks of a letter: those of which it asks the same may stand for each other. */
  readonly tells: (letter: Letter) => string | number;
}
