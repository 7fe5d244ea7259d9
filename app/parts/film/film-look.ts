import type { ViewName } from '../../../core/index';

/** How a film looks. */
export interface FilmLook {
  readonly width: number;
  readonly height: number;
  readonly dark: boolean;
  readonly figure: boolean;
  readonly view: ViewName;
  /** A family that is loaded where it is painted. */
  readonly family: string;
  /** On the title card, under the title. */
  readonly by: string;
}
