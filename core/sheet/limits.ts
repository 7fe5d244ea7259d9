/**
 * How much a sheet may hold, wherever it comes from (docs/formats/sheet.md): the schema, every edit and the reader of tempo
 * text go by these.
 */
export const sheetLimits = {
  blocks: 500,
  /** In a block. */
  pieces: 500,
  /** Lines of a head that this program does not know. */
  headLines: 50,
  /** Named combinations. */
  parts: 99,
  /** Calls of the coach's own in a block. */
  says: 100,
  /** The longest length on the clock, in milliseconds: a day. */
  ms: 24 * 3600 * 1000,
  /** Reminders of a session, and of a block. */
  focuses: 60,
} as const;

/** Characters of the note that a sheet was made from. */
export const mostOrigin = 100_000;
