/** Something that could not be read: where it stands, what stood there, and what would be right. */
export interface Fault {
  /** Index of the first character concerned, from 0. */
  readonly at: number;
  /** One past the last character concerned. */
  readonly end: number;
  /** The words as they were read. */
  readonly read: string;
  /** What is wrong, without a full stop. */
  readonly what: string;
  /** What would be right, as an instruction. */
  readonly mend: string;
}

/** A value, or the fault that stood in its way. Nothing in the core throws on bad input. */
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly fault: Fault };

/** Wraps a value that was read well. */
export function good<T>(value: T): Read<T> {
  return { ok: true, value };
}

/** Wraps a fault. */
export function bad<T>(fault: Fault): Read<T> {
  return { ok: false, fault };
}

/** One line for a person. `character 3: "112" is not a move; write 1 1 2` */
export function sayFault(fault: Fault): string {
  return `character ${fault.at + 1}: ${fault.what}; ${fault.mend}`;
}
