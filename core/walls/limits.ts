/** How much the live channel takes in, and for how long (house values). The server and both ends go by these. */
export const wallLimits = {
  /** Letters and digits of a code. */
  code: 5,
  /** A message of the coach's tablet: a session of a day with all its words. */
  hostBytes: 2_000_000,
  /** Any other message. */
  guestBytes: 2000,
  /** Messages a second of one line, and how many may come at once before that. */
  perSecond: 20,
  burst: 60,
  /** Presses a second of one remote that reach the tablet, and how many at once before that. Stop always does. */
  pressesPerSecond: 4,
  pressBurst: 8,
  /** Milliseconds between two lists of the screens in a room; changes in between go into the next list. */
  membersEveryMs: 200,
  /** Combinations of the book that a remote is given to choose from. */
  instead: 60,
  /** Who may look on in one room. */
  guests: 300,
  rooms: 100,
  /** Lines of one address, and rooms that were opened from there; the server's own machine has no such limit. */
  linesOfAddress: 40,
  roomsOfAddress: 10,
  /** New rooms of one address in a minute. */
  opensPerMinute: 20,
  /** Bytes a second that are taken from one address, and how many at once before that. */
  bytesPerSecond: 1_000_000,
  bytesBurst: 10_000_000,
  /** Wrong codes or secrets of one address in a minute. */
  wrongPerMinute: 20,
  /** A room whose tablet has been away for so long is closed. */
  awayMs: 15 * 60_000,
  /** No room is older. */
  roomMs: 12 * 3_600_000,
  /** Who has not said by then what it wants is let go. */
  helloMs: 5000,
  /** A line that has not answered for two of these is taken for lost. */
  beatMs: 10_000,
} as const;

/** What codes are made of: consonants and digits that are not taken for one another, so that no words come about. */
export const codeSigns = 'BCDFGHJKLMNPQRSTVWXZ23456789';
