import { paceOf, sayEffort, type Effort, type Focus } from '../mechanics/effort';
import type { CallKind, PhraseKey } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Percent } from '../units';
import { paceWords } from './phrasebook';
import { capital, joined, plain, small, type Saying } from './saying';
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
export type Manner = Pick<Leaf, 'effort' | 'focus' | 'power' | 'nonStop' | 'between'>;

/** How a piece is done where nothing is said of it. */
export const plainManner: Manner = {
  effort: 'steady',
  focus: null,
  power: null,
  nonStop: false,
  between: null,
};

/** What changes at once, in one call: `All-out, non-stop`. */
function together([first, ...more]: readonly Words[]): Words {
  if (!first) throw new Error('nothing to say');
  if (more.length === 0) return first;
  const all = (each: (words: Words) => Saying): Saying =>
    joined([each(first), ...more.map((words) => small(each(words)))], ', ');
  return { full: all(({ full }) => full), short: all(({ full, short }) => short ?? full) };
}

/** Whether there is something between: a breath between repetitions, stillness between calls. */
const hasBetween = ({ doing }: Leaf): boolean => doing === 'combination' || doing === 'calls';

/**
 * Every way in which a piece is done otherwise than the one before: technique, speed or power, effort and non-stop in one
 * call; what is done in between (trade page, section 9).
 * @example differences(leaf, before, speech).map(({ words }) => words.full.say) // ["Speed"]
 */
export function differences(leaf: Leaf, before: Manner, speech: Speech): Difference[] {
  const out: Difference[] = [];
  const say = (kind: CallKind, words: Words): void => {
    out.push({ kind, words });
  };
  const manner: Words[] = [];
  if (leaf.focus && leaf.focus !== before.focus) manner.push(worded(speech, focusPhrases[leaf.focus]));
  // Speed or power says how hard: "steady" behind it would take it back.
  const saidByFocus = leaf.focus !== null && leaf.focus !== 'technique' && leaf.effort === plainManner.effort;
  if (leaf.effort !== before.effort && !saidByFocus) manner.push(effortWords(leaf.effort, speech));
  if (leaf.power !== null && leaf.power !== before.power)
    manner.push(worded(speech, 'power per cent', { percent: plain(String(leaf.power)) }));
  if (leaf.doing === 'combination' && leaf.nonStop !== before.nonStop)
    manner.push(worded(speech, leaf.nonStop ? 'non-stop' : 'with breath'));
  // That it is as usual again is said only where nothing else tells it.
  const usualAgain = (leaf.focus === null && before.focus !== null) || (leaf.power === null && before.power !== null);
  if (usualAgain && manner.length === 0) manner.push(worded(speech, 'no focus'));
  if (manner.length > 0) say('effort', together(manner));
  if (hasBetween(leaf) && leaf.between !== before.between)
    say(
      'between',
      leaf.between === null
        ? worded(speech, 'nothing between')
        : worded(speech, 'between', { words: plain(leaf.between) }),
    );
  return out;
}
