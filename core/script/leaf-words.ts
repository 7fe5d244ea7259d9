import { unfold } from '../mechanics/steps';
import type { Combination } from '../notation/combination';
import { numberWord } from '../number-words';
import type { StageStep } from '../progressions/ladder';
import type { PhraseKey } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import { blockWords } from '../timeline/names';
import { capital, joined, plain, type Saying } from './saying';
import { sayCombination } from './say-combination';
import type { CallOptions } from './options';
import { forNew, worded, type Speech, type Words } from './speech';

/** How a stage is announced by how it comes out of the one before; those that are not named here are said as they are. */
const stagePhrases: Readonly<Record<StageStep, PhraseKey | null>> = {
  first: null,
  add: 'add on',
  front: 'add in front',
  down: 'way down',
  again: 'once more',
  alone: 'only',
  together: 'together',
  more: null,
  turn: null,
  effort: null,
};

/** Parts of a combination by their places, remembered, so that their words are: the same stages are scripted at every edit. */
const taken = new WeakMap<readonly number[], { readonly of: Combination; readonly part: Combination }>();

function partOf(combination: Combination, places: readonly number[]): Combination {
  const known = taken.get(places);
  if (known?.of === combination) return known.part;
  const listed = unfold(combination).flatMap((step) => step.content);
  const part = { items: places.flatMap((place) => listed[place] ?? []) };
  taken.set(places, { of: combination, part });
  return part;
}

/** The new moves of a stage that adds some to what was done before; null where all of it is new, or nothing is. */
function newMoves({ stage, added }: Leaf, combination: Combination, speech: Speech): Saying | null {
  const adds = stage?.step === 'add' || stage?.step === 'front';
  return adds && added.length > 0 ? sayCombination(partOf(combination, added), forNew(speech)) : null;
}

/** The new moves of a stage as a combination of their own; all of it where a build begins. Null where nothing is new. */
export function addedMoves({ stage, added, combination }: Leaf): Combination | null {
  if (!stage || !combination || combination.items.length === 0) return null;
  if (stage.step === 'first') return combination;
  return added.length > 0 ? partOf(combination, added) : null;
}

/** With the stop that ends it. */
const sentence = (saying: Saying): Saying => ({ say: `${saying.say}.`, of: [saying, plain('.')] });

function combinationWords(leaf: Leaf, combination: Combination, speech: Speech): Words {
  // What begins is said as for people who meet it; what is added is the new part of a build.
  const begins = leaf.stage === null || leaf.stage.step === 'first';
  const saying = sayCombination(combination, speech);
  const first = begins ? sayCombination(combination, forNew(speech)) : saying;
  const moves = newMoves(leaf, combination, speech);
  const key = leaf.stage ? stagePhrases[leaf.stage.step] : null;
  const whole = key ? worded(speech, key, { combination: saying, moves: moves ?? saying }).full : first;
  const named = leaf.words ? { say: `${leaf.words}: ${whole.say}`, of: [plain(`${leaf.words}: `), whole] } : whole;
  // Where there is no time for the whole, what is new is said alone.
  const short = moves && leaf.stage?.step === 'add' ? worded(speech, 'add', { moves }).full : saying;
  return { full: capital(sentence(named)), short: capital(sentence(short)) };
}

const hands = { lead: 'lead hand', rear: 'rear hand', both: 'alternating hands' } as const;

function rhythmWords({ row, touches, words }: Leaf, speech: Speech): Words {
  const sides = new Set(touches.map(({ side }) => side));
  const hand = sides.size > 1 ? hands.both : hands[touches[0]?.side ?? 'lead'];
  const said = worded(speech, 'rhythm', {
    row: joined(
      row.map((count) => plain(count === 0 ? 'soft' : numberWord(count))),
      ', ',
    ),
    hand: plain(hand),
  });
  return words ? { full: joined([plain(words), said.full], '. '), short: plain(words) } : said;
}

/** A calls drill with the coach's own words before it; where there is no time for both, those alone. */
function drillWords({ words }: Leaf, said: Words): Words {
  if (!words) return said;
  const own = capital(plain(words));
  const before = (saying: Saying): Saying => joined([own, saying], '. ');
  return { long: before(said.full), full: before(said.short ?? said.full), short: own };
}

/** Where nothing but the block's own name can be said: its title, or what it is. */
function nameWords({ title, block, round }: Leaf): Saying {
  if (title) return plain(title);
  return plain(round === null ? blockWords[block] : 'Free round');
}

/** What a leaf is about, as it is said when it begins, in a breath where it can be, and a shorter way where there is one. */
export function leafWords(leaf: Leaf, speech: Speech): Words {
  switch (leaf.doing) {
    case 'own-time':
      return worded(speech, 'own time');
    case 'change-over':
      return worded(speech, 'switch stance');
    case 'calls':
      return leaf.drill ? drillWords(leaf, worded(speech, `${leaf.drill.kind} drill`)) : { full: nameWords(leaf) };
    case 'rhythm':
      return rhythmWords(leaf, speech);
    case 'pause':
      return worded(speech, 'next exercise', { exercise: plain(leaf.words ?? '') });
    case 'combination':
      if (leaf.combination) return combinationWords(leaf, leaf.combination, speech);
      return { full: sentence(leaf.words ? plain(leaf.words) : nameWords(leaf)) };
    case 'words':
    case 'free':
    case 'unplanned':
      return { full: capital(sentence(leaf.words ? plain(leaf.words) : nameWords(leaf))) };
  }
}

/** The early part that a stage should be reminded of, as a combination; null where there is none. */
export function earlyMoves(leaf: Leaf): Combination | null {
  if (leaf.remind.length === 0 || !leaf.combination) return null;
  const part = partOf(leaf.combination, leaf.remind);
  return part.items.length > 0 ? part : null;
}

/** Whether a title already says the number of its round. `Round 2: hands`, `Round two` */
function saysItsRound(title: string, round: number): boolean {
  const found = /^\s*round\s+([\p{L}\p{N}-]+)/iu.exec(title)?.[1]?.toLowerCase();
  return found === String(round) || found === numberWord(round);
}

/** A round by its number among all of them, the last one as the last: `round two of four`, `the last round`. */
function roundWords(round: number, rounds: number): string {
  if (round === rounds && rounds > 1) return 'the last round';
  return rounds > 1 ? `round ${numberWord(round)} of ${numberWord(rounds)}` : `round ${numberWord(round)}`;
}

/** What comes next, by its name: `round two of four, Hands`, `Core`. A title that says the number is not doubled. */
export function passName({ block, round, title }: Leaf, { rounds }: Pick<CallOptions, 'rounds'>): Saying {
  const name = round === null ? blockWords[block] : roundWords(round, rounds);
  if (!title) return plain(name);
  if (round !== null && saysItsRound(title, round)) return plain(title);
  return joined([plain(name), plain(title)], ', ');
}
