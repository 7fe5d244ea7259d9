import { unfold } from '../mechanics/steps';
import type { Combination } from '../notation/combination';
import type { Leaf } from '../session/compile';
import { sayEffort } from '../session/effort';
import type { Milliseconds } from '../units';
import { numberWord } from './number-words';
import { sayCombination } from './say-combination';
import type { Wording } from './phrasebook';
import { usualSpeech, worded, type Speech } from './speech';

const capital = (words: string): string => words.replace(/^./, (letter) => letter.toUpperCase());

function effortWords(leaf: Leaf, speech: Speech): string {
  if (leaf.effort === 'steady' || leaf.kind === 'rest') return '';
  const effort =
    typeof leaf.effort === 'number' ? `at ${leaf.effort} per cent` : sayEffort(leaf.effort).replace('-', ' ');
  return ` ${capital(worded(speech, 'effort', { effort }).full)}.`;
}

/** The new moves of a stage alone, for when there is no time for the whole; the whole without its words where all of it is new. */
function newMoves(leaf: Leaf, combination: Combination, speech: Speech): string {
  if (!leaf.stage || leaf.stage.number === 1 || leaf.added.length === 0) return sayCombination(combination, speech);
  const listed = unfold(combination).flatMap((step) => step.content);
  const moves = sayCombination({ items: leaf.added.flatMap((place) => listed[place] ?? []) }, speech);
  return worded(speech, 'add', { moves }).full;
}

/** What is called when a leaf begins, in a breath where it can be, and a shorter way where there is one. */
export function callFor(leaf: Leaf, speech: Speech = usualSpeech): Wording {
  if (leaf.open) return worded(speech, 'open break');
  if (leaf.kind === 'rest') return leaf.words ? { full: `Rest. ${leaf.words}.` } : worded(speech, 'water');
  if (leaf.doing === 'own-time') return worded(speech, 'own time');
  if (leaf.doing === 'change-over') return { full: `${worded(speech, 'switch stance').full}.` };
  if (leaf.drill) return worded(speech, `${leaf.drill} drill`);
  const effort = effortWords(leaf, speech);
  if (leaf.doing === 'combination' && leaf.combination) {
    const combination = sayCombination(leaf.combination, speech);
    const words = leaf.words ? `${leaf.words}: ` : '';
    const whole = leaf.stage && leaf.stage.number > 1 ? worded(speech, 'add on', { combination }).full : combination;
    return { full: capital(`${words}${whole}.${effort}`), short: newMoves(leaf, leaf.combination, speech) };
  }
  return { full: leaf.words ? `${leaf.words}.${effort}` : `${leaf.label}.` };
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
