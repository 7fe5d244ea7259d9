import {
  figureOf,
  stripLabels,
  stripSvg,
  views,
  type Combination,
  type Scheme,
  type Stance,
} from '../../../core/index';

/** The telling moments of a combination, as a picture that can be printed. */
export interface Strip {
  readonly words: string;
  /** An address of the picture that holds the picture itself. */
  readonly url: string;
}

/** A combination, and what stands beside its picture. */
export interface Stripped {
  readonly words: string;
  readonly combination: Combination;
}

/**
 * Strips of combinations for print, decoded, so that a page that is printed at once has them all.
 * @example await stripsOf([{ words: 'Jab, cross', combination }], six, 'orthodox')
 */
export function stripsOf(wanted: readonly Stripped[], scheme: Scheme, stance: Stance): Promise<Strip[]> {
  return Promise.all(
    wanted.map(async ({ words, combination }) => {
      const svg = stripSvg(figureOf(combination, stance), views['three-quarter'], stripLabels(combination, scheme));
      const image = new Image();
      image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
      await image.decode();
      return { words, url: image.src };
    }),
  );
}
