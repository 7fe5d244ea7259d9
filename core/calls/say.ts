import { unfold } from '../mechanics/steps';
import type { Combination } from '../notation/combination';
import type { Leaf } from '../session/compile';
import { sayEffort } from '../session/effort';
import type { Milliseconds } from '../units';
import { numberWord } from './number-words';
import { sayCombination, usualSpeech, worded, type Speech } from './speech';

const capital = (words: string): string => words.replace(/^./, (letter) => letter.toUpperCase());

function effortWords(leaf: Leaf, speech: Speech): string {
  if (leaf.effort === 'steady' || leaf.kind === 'rest') return '';
  const effort =
    typeof leaf.effort === 'number' ? `at ${leaf.effort} per cent` : sayEffort(leaf.effort).replace('-', ' ');
  return ` ${capital(worded(speech, 'effort', { effort }).full)}.`;
}

/** What is called when a leaf begins, short enough to be said in a breath. */
export function callFor(leaf: Leaf, speech: Speech = usualSpeech): string {
  if (leaf.open) return worded(speech, 'open break').full;
  if (leaf.kind === 'rest') return leaf.words ? `Rest. ${leaf.words}.` : worded(speech, 'water').full;
  if (leaf.doing === 'own-time') return worded(speech, 'own time').full;
  if (leaf.doing === 'change-over') return `${worded(speech, 'switch stance').full}.`;
  if (leaf.drill) return worded(speech, `${leaf.drill} drill`).full;
  const effort = effortWords(leaf, speech);
  if (leaf.doing === 'combination' && leaf.combination) {
    const said = sayCombination(leaf.combination, speech);
    const words = leaf.words ? `${leaf.words}: ` : '';
    const whole = leaf.stage && leaf.stage.number > 1 ? worded(speech, 'add on', { combination: said }).full : said;
    return capital(`${words}${whole}.${effort}`);
  }
  if (leaf.words) return `${leaf.words}.${effort}`;
  return `${leaf.label}.`;
}

/** A call inside a leaf: of its drill, or of the coach's own. */
export interface InnerCall {
  readonly at: Milliseconds;
  readonly words: string;
  readonly own: boolean;
}

/** What is called while a leaf runs, from its beginning, in order. A direction is said with its punches where they are more than one. */
export function innerCalls(leaf: Leaf): InnerCall[] {
  const drill = leaf.script.map(({ at, say, punches }) => ({
    at,
    words: say === 'go' || say === numberWord(punches) ? say : `${say}, ${numberWord(punches)}`,
    own: false,
  }));
  return [...drill, ...leaf.says.map((say) => ({ ...say, own: true }))].sort((a, b) => a.at - b.at);
}

/** The early part that a stage should be reminded of, as a combination; null where there is none. */
export function earlyMoves(leaf: Leaf): Combination | null {
  if (leaf.remind.length === 0 || !leaf.combination) return null;
  const listed = unfold(leaf.combination).flatMap((step) => step.content);
  const items = leaf.remind.flatMap((place) => listed[place] ?? []);
  return items.length > 0 ? { items } : null;
}
