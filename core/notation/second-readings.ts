import { moveKind } from '../moves/catalogue';
import { six, type Scheme } from '../moves/scheme';
import { formsOf } from './forms';
import { lex, type Token } from './lex';
import { matchName } from './match';
import { slotKinds, slotNature, type SlotKind } from './slot-kinds';

/** A second reading of a text that reads: what was taken, and how the other would be written. */
export interface SecondReading {
  /** Index of the first character concerned, from 0, and one past the last. */
  readonly at: number;
  readonly end: number;
  readonly what: string;
  readonly mend: string;
}

const bodySides = { left: '-l', right: '-r' } as const;

/** "slip right" reads as a slip and a step to the right. */
function sidedDefence(tokens: readonly Token[], index: number, scheme: Scheme): SecondReading | null {
  const named = matchName(tokens, index, formsOf(scheme));
  const step = named ? tokens[index + named.length] : undefined;
  if (!named || step?.kind !== 'word' || step.joint !== 'space' || named.marks.written) return null;
  if (step.text !== 'left' && step.text !== 'right') return null;
  const kind = moveKind(named.meaning.id);
  const first = tokens[index];
  if (!kind.marked || !first || named.meaning.side !== null) return null;
  return {
    at: first.at,
    end: step.end,
    what: `"${kind.name} ${step.text}" is read as a ${kind.name} followed by a step ${step.text}`,
    mend: `write ${kind.short.both ?? kind.name}${bodySides[step.text]} for a ${kind.name} to that side`,
  };
}

const singular = (of: SlotKind): string => slotNature(of).said.one;

/** "any 1 kick" reads as a slot of punches, and then a kick. */
function oneOfAKind(tokens: readonly Token[], index: number): SecondReading | null {
  const [any, number, ...rest] = tokens.slice(index, index + 4);
  if (any?.text !== 'any' || number?.kind !== 'word') return null;
  // A kind may stand between: "any 1 body kick" is one to the body, then a kick.
  const noun = rest.find((token) => token.joint === 'space' && slotKinds.some((of) => singular(of) === token.text));
  const of = slotKinds.find((each) => singular(each) === noun?.text);
  if (!noun || !of || (rest[0] !== noun && !slotKinds.some((each) => each === rest[0]?.text))) return null;
  if (!/^\d/.test(number.text) || of === 'defences') return null;
  return {
    at: any.at,
    end: noun.end,
    what: `"${[any, number, ...rest.slice(0, rest.indexOf(noun) + 1)].map(({ text }) => text).join(' ')}" is read as free punches followed by a ${noun.text}`,
    mend: `write any ${number.text} ${of} for a free choice of ${of}`,
  };
}

/**
 * Places of a text that read in one way and were probably meant in another; the text keeps its reading (trade page,
 * section 3). Empty for almost everything.
 * @example secondReadings('1 slip right')[0].mend // "write sl-r for a slip to that side"
 */
export function secondReadings(source: string, scheme: Scheme = six): SecondReading[] {
  if (!/left|right|any/i.test(source)) return [];
  const tokens = lex(source);
  return tokens.flatMap((_, index) => sidedDefence(tokens, index, scheme) ?? oneOfAKind(tokens, index) ?? []);
}
