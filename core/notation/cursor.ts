import type { Fault } from '../fault';
import type { Move } from '../moves/move';
import type { Combination } from './combination';
import type { Forms } from './forms';
import type { Token } from './lex';

/** The reader's place in the tokens. */
export interface Cursor {
  readonly source: string;
  readonly tokens: readonly Token[];
  readonly forms: Forms;
  readonly parts: ReadonlyMap<string, Combination>;
  /** Moves written so far in this clause, parts counted in full. */
  written: number;
  /** Index of the next token. */
  next: number;
  /** The move directly before, for the sides that defences take by default. */
  before: Move | null;
}

/** Carries a fault out of the reader's functions; `readCombination` catches it. */
export class Stop extends Error {
  constructor(readonly fault: Fault) {
    super(fault.what);
  }
}

/** Ends the reading at a token, or at the end of the text. */
export function stop(cursor: Cursor, token: Token | undefined, what: string, mend: string): never {
  const at = token?.at ?? cursor.source.length;
  const end = token?.end ?? cursor.source.length;
  throw new Stop({ at, end, read: cursor.source.slice(at, end), what, mend });
}

/** Whether the next token is this sign. */
export function isSign(token: Token | undefined, sign: string): boolean {
  return token?.kind === 'sign' && token.text === sign;
}
