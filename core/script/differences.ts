import { paceOf, sayEffort, type Effort, type Focus } from '../mechanics/effort';
import type { CallKind, PhraseKey } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Percent } from '../units';
import { paceWords } from './phrasebook';
import { capital, plain } from './saying';
import { worded, type Speech, type Words } from './speech';

/** Something that is done in another way than in the piece before. */
export interface Difference {
  readonly kind: CallKind;
  readonly words: Words;
}

const focusPhrases: Readonly<Record<Focus, PhraseKey>> = { technique: 'technique', speed: 'speed', power: 'power' };

function percentWords(percent: Percent, speech: Speech): Words {
  const said = paceWords.find(({ under }) => paceOf(percent) < under)?.words ?? '';
  return worded(speech, 'per cent', { percent: plain(String(percent)), pace: plain(said) });
}

function effortWords(effort: Effort, speech: Speech): Words {
  if (typeof effort === 'number') return percentWords(effort, speech);
  return worded(speech, 'effort', { effort: capital(plain(sayEffort(effort))) });
}

/** The ways in which work is done, as far as one piece may differ from the next. */
export type Manner = Pick<Leaf, 'effort' | 'focus' | 'nonStop' | 'between'>;

/** How a piece is done where nothing is said of it. */
export const plainManner: Manner = {
  effort: 'steady',
  focus: null,
  nonStop: false,
  between: null,
};

/** Whether there is something between: a breath between repetitions, stillness between calls. */
const hasBetween = ({ doing }: Leaf): boolean => doing === 'combination' || doing === 'calls';

/**
 * Every way in which a piece is done otherwise than the one before, each to be said on its own: technique, speed or power;
 * effort; non-stop; what is done in between (trade page, section 9).
 * @example differences(leaf, before, speech).map(({ words }) => words.full.say) // ["Speed"]
 */
export function differences(leaf: Leaf, before: Manner, speech: Speech): Difference[] {
  const out: Difference[] = [];
  const say = (kind: CallKind, words: Words): void => {
    out.push({ kind, words });
  };
  if (leaf.focus !== before.focus) say('effort', worded(speech, leaf.focus ? focusPhrases[leaf.focus] : 'no focus'));
  if (leaf.effort !== before.effort) say('effort', effortWords(leaf.effort, speech));
  if (leaf.doing === 'combination' && leaf.nonStop !== before.nonStop)
    say('effort', worded(speech, leaf.nonStop ? 'non-stop' : 'with breath'));
  if (hasBetween(leaf) && leaf.between !== before.between)
    say(
      'between',
      leaf.between === null
        ? worded(speech, 'nothing between')
        : worded(speech, 'between', { words: plain(leaf.between) }),
    );
  return out;
}
