/** A row of the list of sheets, as it is drawn before the application is there. */
export interface FirstRow {
  readonly id: string;
  readonly title: string;
  /** Figures with their words: length, rounds, punches. */
  readonly figures: readonly (readonly [figure: string, word: string])[];
}

/** The list of sheets as it stood when it was last seen. */
export interface FirstList {
  readonly rows: readonly FirstRow[];
  /** Whether the hint stands above it. */
  readonly hint: boolean;
}
