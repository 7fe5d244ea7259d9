import { callDrill, drillKinds, toMilliseconds, toSeconds, usualDrill } from '../core/index';
import { BadInput } from './io';
import { numberFlag, wholeFlag } from './numbers';

/** Flags of `tempo calldrill`. */
export interface CallDrillOptions {
  readonly kind?: string;
  readonly seconds?: string;
  readonly seed?: string;
  readonly least?: string;
  readonly most?: string;
  readonly 'gap-least'?: string;
  readonly 'gap-most'?: string;
}

/** `tempo calldrill --kind … --seconds N --seed N`: the script of a calls drill. */
export function calldrill(options: CallDrillOptions): unknown {
  const kind = drillKinds.find((each) => each === options.kind);
  if (!kind) throw new BadInput(`--kind ${options.kind ?? 'missing'}: write ${drillKinds.join(', ')}`);
  const seconds = numberFlag('seconds', options.seconds, 1, 86_400);
  const seed = wholeFlag('seed', options.seed, 0, 4_294_967_295);
  const least = wholeFlag('least', options.least, 1, 20, usualDrill.least);
  const most = wholeFlag('most', options.most, 1, 20, Math.max(usualDrill.most, least));
  const gapLeast = numberFlag('gap-least', options['gap-least'], 0, 60, usualDrill.gapLeastMs / 1000);
  const gapMost = numberFlag('gap-most', options['gap-most'], 0, 60, Math.max(usualDrill.gapMostMs / 1000, gapLeast));
  if (least > most)
    throw new BadInput(`--least ${least}: it is larger than --most ${most}; put the smaller number first`);
  if (gapLeast > gapMost)
    throw new BadInput(`--gap-least ${gapLeast}: it is more than --gap-most ${gapMost}; put the smaller number first`);
  const script = callDrill({
    kind,
    ms: toMilliseconds(seconds),
    seed,
    least,
    most,
    gapLeastMs: toMilliseconds(gapLeast),
    gapMostMs: toMilliseconds(gapMost),
  });
  return {
    calls: script.map(({ at, say, punches, answerMs }) => ({
      at: toSeconds(at),
      say,
      answer: toSeconds(answerMs),
      punches,
    })),
  };
}
