import type { ScriptWishes } from '../script/script';
import type { Tally } from '../tally/tally';
import type { Timeline } from '../timeline/leaf';
import type { Block, Sheet } from '../sheet/schema';

/** A way out that the screen offers: what it does, and the sheet after it. */
export interface Mend {
  readonly label: string;
  readonly edit: (sheet: Sheet) => Sheet;
}

/** Something a coach should know about a sheet: what, where, and how to mend it. */
export interface Finding {
  /** error: cannot be run as written; warning: wants a look; note: worth knowing. */
  readonly level: 'error' | 'warning' | 'note';
  /** Which rule found it, for those who must tell findings apart. */
  readonly kind: string;
  readonly where: string;
  readonly what: string;
  readonly mend: string;
  readonly blockId?: string;
  readonly pieceId?: string;
  readonly mends: readonly Mend[];
}

/** A sheet with what is derived from it once for all rules. */
export interface Checked {
  readonly sheet: Sheet;
  readonly timeline: Timeline;
  readonly tally: Tally;
  /** Whose words, how much is said, and how long words take. */
  readonly wishes: ScriptWishes;
}

/** A block with its name as it is shown. */
export interface Place {
  readonly sheet: Sheet;
  readonly block: Block;
  readonly name: string;
}

/** The mends in a sentence. `make each stage 0:25, or make the round 3:00` */
export function sayMends(mends: readonly Mend[]): string {
  return mends.map(({ label }) => label.charAt(0).toLowerCase() + label.slice(1)).join(', or ');
}
