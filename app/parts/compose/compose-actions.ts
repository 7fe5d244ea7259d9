import { InjectionToken } from '@angular/core';

/** Something that can be done with a combination that was composed. */
export interface ComposeAction {
  /** What the button says; behind the combination it is its accessible name. */
  readonly label: string;
  /** The one that is meant most often. */
  readonly main: boolean;
  readonly press: (text: string) => void;
}

/** What can be done where somebody composes: with one combination, and with one for each of several rounds. */
export interface ComposeActions {
  readonly each: readonly ComposeAction[];
  readonly rounds: { readonly label: string; readonly press: (texts: readonly string[]) => void };
}

/** Given by the page on which the composer stands: the book's, or a sheet's. */
export const composeActions = new InjectionToken<ComposeActions>('what can be done with what was composed');
