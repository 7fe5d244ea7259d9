import { compile } from '../timeline/compile';
import type { Effort } from '../mechanics/effort';
import type { LogEntry } from '../log/log-entry';
import { readStored } from '../notation/stored';
import { writeCombination } from '../notation/write';
import type { BagKind } from '../bags/kind-names';

/** One step of learning a bag. */
export interface LearningStep {
  readonly name: string;
  /** Canonical text in the six-number scheme; null where it is no combination. */
  readonly text: string | null;
  /** Rebounds of a rhythm; null where it is none. */
  readonly row: readonly number[] | null;
  readonly effort: Effort;
  readonly how: string;
}

/** A way to learn a bag; coaches have more than one. */
export interface LearningOrder {
  readonly bag: BagKind;
  readonly name: string;
  readonly steps: readonly LearningStep[];
}

const step = (name: string, text: string, effort: Effort, how: string): LearningStep => ({
  name,
  text,
  row: null,
  effort,
  how,
});
const rhythm = (name: string, row: readonly number[], effort: Effort, how: string): LearningStep => ({
  name,
  text: null,
  row,
  effort,
  how,
});

/** Orders of learning (trade page, section 7; common practice, no source). A new step is a line here. */
export const learningOrders: readonly LearningOrder[] = [
  {
    bag: 'double-end',
    name: 'Soft, then hard, then moving',
    steps: [
      step('Soft jabs', '1', 'easy', 'feet planted; watch the ball back'),
      step('Soft crosses', '2', 'easy', 'feet planted'),
      step('Soft one-two', '1 2', 'easy', 'feet planted'),
      step('Double jab, cross', '1 1 2', 'easy', 'feet planted'),
      step('Hook, then bring it back', '1 2 3 2', 'easy', 'feet planted'),
      step('The same, hard', '1 2 3 2', 'strong', 'feet planted'),
      step('On the move', '1 1 2 ci', 'steady', 'one step after each repetition'),
      step('Slip after straights', '1 2 sl', 'steady', 'stay close, let the ball go past'),
      step('Longer, with a slip', '1 2 sl 2 3 2', 'steady', 'close'),
    ],
  },
  {
    bag: 'double-end',
    name: 'Close, then backing off',
    steps: [
      step('Close and light', '(1 2)x4', 'easy', 'very close, non-stop'),
      step('Backing off', '1 2 1 2 out', 'easy', 'a little further each round, until you’re at full reach'),
      step('Full reach', '1 2', 'steady', 'arms at full length'),
      step('With hooks', '1 2 3 2', 'steady', 'full reach'),
    ],
  },
  {
    bag: 'reflex',
    name: 'Straight on, then around it',
    steps: [
      step('Single jabs', '1', 50, 'let it settle between punches'),
      step('Single crosses', '2', 50, 'let it settle between punches'),
      step('Jab, cross', '1 wait 2', 50, 'each as it comes through the middle'),
      step('Single hooks', '3', 50, 'soft: hooks are tricky'),
      step('Single uppercuts', '5', 50, 'soft: uppercuts are tricky'),
      step('Around it', '1 ci 2', 'steady', 'one step between punches'),
    ],
  },
  {
    bag: 'speed',
    name: 'By rhythm',
    steps: [
      rhythm('Soft touches', [0], 'easy', 'never reaching the board'),
      rhythm('Sevens', [7], 'easy', 'seven rebounds per touch'),
      rhythm('Fives', [5], 'easy', 'five rebounds per touch'),
      rhythm('Triplets', [3], 'steady', 'three rebounds per touch'),
      rhythm('Triplets and a single', [3, 3, 1], 'steady', 'two triplets and a single; let the singles grow'),
      rhythm('Two triplets, four singles', [3, 3, 1, 1, 1, 1], 'steady', 'listen for the change'),
      rhythm('Singles', [1], 'steady', 'one rebound per touch, short runs'),
    ],
  },
  {
    bag: 'standing',
    name: 'Outside, inside, both',
    steps: [
      step('Long jabs', 'in+1 out', 'steady', 'a step in and out'),
      step('Long straights', 'in 1 2 out', 'steady', 'snap and touch'),
      step('Inside', '3 3b ang', 'steady', 'head sets up body, then an angle'),
      step('Body sets up head', '3b 3 2 ang', 'steady', 'then an angle'),
      step('Both', 'in+1 2 3 3b 3 ang', 'steady', 'use straights to get in, head-body-head, then out'),
      step('Shift in', '1+shift 1 2', 'steady', 'from outside; keep going or shift back'),
    ],
  },
  {
    bag: 'heavy',
    name: 'Around it, then through it',
    steps: [
      step('Touch and step', '1 out', 'easy', 'left and right around the bag, not into it'),
      step('One-two and round', '1 2 ci', 'easy', 'straight wrist, tight fist'),
      step('Step in for straights', 'in 1 2 out', 'steady', 'from one step out of range'),
      step('Hooks at mid-range', '1 2 3', 'steady', 'palm facing you'),
      step('Body', '1 2b 3b', 'steady', 'bend the knees'),
      step('With power', '1 2 3 2', 'strong', 'punch through it, don’t lean on it'),
    ],
  },
];

/** What a class has done on a bag: canonical texts with the effort, and the words of drills. */
export interface Practised {
  readonly texts: ReadonlyMap<string, readonly Effort[]>;
  readonly words: ReadonlySet<string>;
  /** Rows of rebounds, with commas. */
  readonly rows: ReadonlySet<string>;
}

/** What the log says was done on a kind of bag, rehearsals left out: whole runs count, and so do lanes. */
export function practisedOn(bag: string, log: readonly LogEntry[]): Practised {
  const texts = new Map<string, Effort[]>();
  const words = new Set<string>();
  const rows = new Set<string>();
  for (const { sheet, rehearsal, done } of log) {
    if (rehearsal || !done.finished) continue;
    const bags = new Map(sheet.blocks.map((block) => [block.id, block.bag]));
    const lanes = (sheet.lanes ?? []).map((lane) => lane.bag);
    for (const leaf of compile(sheet).leaves) {
      const own = bags.get(leaf.blockId);
      if (own ? own !== bag : sheet.bag !== bag && !lanes.includes(bag)) continue;
      if (leaf.words) words.add(leaf.words);
      if (leaf.row.length > 0) rows.add(leaf.row.join());
      if (!leaf.combination) continue;
      const text = writeCombination(leaf.combination);
      texts.set(text, [...(texts.get(text) ?? []), leaf.effort]);
    }
  }
  return { texts, words, rows };
}

const isStrong = (effort: Effort): boolean =>
  effort === 'strong' || effort === 'all-out' || (typeof effort === 'number' && effort >= 75);

/** Whether a step was done: by its name, or as its combination, hard where it is meant hard. */
export function hasDone(step: LearningStep, practised: Practised): boolean {
  if (practised.words.has(step.name)) return true;
  if (step.row) return practised.rows.has(step.row.join());
  const read = step.text === null ? null : readStored(step.text);
  const efforts = read?.ok ? practised.texts.get(writeCombination(read.value)) : undefined;
  return efforts?.some((effort) => !isStrong(step.effort) || isStrong(effort)) ?? false;
}

/** The first step of an order that was not done yet; null when the class is through. `nextStep(order, practisedOn('double-end', log))` */
export function nextStep(order: LearningOrder, practised: Practised): LearningStep | null {
  return order.steps.find((each) => !hasDone(each, practised)) ?? null;
}
