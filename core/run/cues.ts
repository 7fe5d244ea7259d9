import { fullMoveName } from '../moves/move';
import type { Combination, Item } from '../notation/combination';
import { writeSlot } from '../notation/write';
import type { Leaf, Timeline } from '../session/compile';
import type { SessionTime } from '../units';

/** Something to be heard. */
export interface Cue {
  readonly at: SessionTime;
  readonly kind: 'start bell' | 'end bell' | 'change' | 'ten' | 'count';
  /** Seconds left, for a count. */
  readonly count?: number;
}

/** From which second the last ones are counted. */
export type CountFrom = 3 | 5;

interface Pass {
  readonly at: SessionTime;
  readonly end: SessionTime;
  readonly block: Leaf['block'];
  readonly changes: readonly SessionTime[];
}

/** Leaves of one pass through a block belong together: one bell begins them and one ends them. */
function passes(timeline: Timeline): Pass[] {
  const out: (Pass & { id: string; end: SessionTime; changes: SessionTime[] })[] = [];
  for (const leaf of timeline.leaves) {
    const id = `${leaf.blockId} ${leaf.round} ${leaf.block} ${leaf.open}`;
    const last = out.at(-1);
    if (last?.id === id) {
      last.changes.push(leaf.at);
      Object.assign(last, { end: leaf.at + leaf.ms });
    } else out.push({ id, at: leaf.at, end: leaf.at + leaf.ms, block: leaf.block, changes: [] });
  }
  return out;
}

/**
 * Bells, changes and last seconds of a session, in order. Rounds have bells; where one round follows another at once,
 * one bell serves both. Every other block begins with a change.
 * @example cues(compile(sheet), 5)
 */
export function cues(timeline: Timeline, countFrom: CountFrom): Cue[] {
  const all = passes(timeline);
  const out: Cue[] = [];
  all.forEach((pass, index) => {
    const isRound = pass.block === 'round';
    const afterRound = all[index - 1]?.block === 'round' && all[index - 1]?.end === pass.at;
    if (isRound) out.push({ at: pass.at, kind: 'start bell' });
    else if (!afterRound) out.push({ at: pass.at, kind: 'change' });
    for (const at of pass.changes) out.push({ at, kind: 'change' });
    const length = pass.end - pass.at;
    if (isRound && length >= 20_000) out.push({ at: pass.end - 10_000, kind: 'ten' });
    const nextIsRound = all[index + 1]?.block === 'round';
    if (length > countFrom * 1000 && (isRound || nextIsRound))
      for (let count = countFrom; count >= 1; count -= 1)
        out.push({ at: pass.end - count * 1000, kind: 'count', count });
    if (isRound && !nextIsRound) out.push({ at: pass.end, kind: 'end bell' });
  });
  for (let count = countFrom; count >= 1; count -= 1) out.push({ at: -count * 1000, kind: 'count', count });
  return out.sort((a, b) => a.at - b.at);
}

const numberWords: Readonly<Record<string, string>> = {
  jab: 'one',
  cross: 'two',
  'lead hook': 'three',
  'rear hook': 'four',
  'lead uppercut': 'five',
  'rear uppercut': 'six',
};

function sayItem(item: Item): string {
  switch (item.kind) {
    case 'move': {
      const name = fullMoveName({ ...item, target: null });
      const spoken = item.feint ? name : (numberWords[name] ?? name);
      return item.target === 'body' && numberWords[name] ? `${spoken} body` : spoken;
    }
    case 'slot':
      return writeSlot(item).replace(/^any (\d+)-(\d+)/, 'any $1 to $2');
    case 'freestyle':
      return 'freestyle';
    case 'pair':
      return item.moves.map(sayItem).join(' with ');
    case 'group':
      return item.times > 1 ? `${sayItems(item.items)}, ${item.times} times` : sayItems(item.items);
    case 'turns':
      return item.options.map((option) => sayItems(option)).join(', next time ');
  }
}

function sayItems(items: readonly Item[]): string {
  return items.map(sayItem).join(', ');
}

/** A combination as it is said, lead and rear. `sayCombination(read('1 2 3b ro 4'))` → `one, two, three body, rear roll, four` */
export function sayCombination(combination: Combination): string {
  return sayItems(combination.items);
}

/** What is called when a leaf begins, short enough to be said in a breath. */
export function callFor(leaf: Leaf): string {
  if (leaf.open) return 'Open break. Go on when you are ready.';
  const effort =
    leaf.effort === 'steady' || leaf.kind === 'rest'
      ? ''
      : typeof leaf.effort === 'number'
        ? ` At ${leaf.effort} per cent.`
        : ` ${leaf.effort.replace('-', ' ').replace(/^./, (letter) => letter.toUpperCase())}.`;
  if (leaf.kind === 'rest') return leaf.words ? `Rest. ${leaf.words}.` : 'Rest. Water, and breathe out long.';
  if (leaf.doing === 'own-time') return 'Own time: anything built so far.';
  if (leaf.doing === 'combination' && leaf.combination) {
    const said = sayCombination(leaf.combination);
    const words = leaf.words ? `${leaf.words}: ` : '';
    const lead = leaf.stage && leaf.stage.number > 1 ? 'Add on: ' : '';
    return `${words}${lead}${said}.${effort}`.replace(/^./, (letter) => letter.toUpperCase());
  }
  if (leaf.words) return `${leaf.words}.${effort}`;
  return `${leaf.label}.`;
}
