import {
  alternator,
  backward,
  byAmount,
  chunks,
  join,
  kickClose,
  ladder,
  levelPattern,
  pyramid,
  singlesFirst,
  writeCombination,
  type Combination,
  type KickSchool,
  type Scheme,
  type Stage,
} from '../core/index';
import { combinationFrom, schemeNamed } from './combo';
import { BadInput } from './io';

export interface BuildOptions {
  readonly kind?: string;
  readonly defence?: string;
  readonly kick?: string;
  readonly cuts?: string;
  readonly again?: boolean;
  readonly from?: string;
  readonly to?: string;
  readonly scheme?: string;
}

const kinds = [
  'ladder',
  'backward',
  'chunks',
  'pyramid',
  'kick-close',
  'levels',
  'singles',
  'amount',
  'alternator',
  'join',
];

/** One of the words that a flag allows, the first where it is not given. */
function choice<T extends string>(flag: string, given: string | undefined, allowed: readonly [T, ...T[]]): T {
  const found = given === undefined ? allowed[0] : allowed.find((word) => word === given);
  if (found === undefined) throw new BadInput(`--${flag} ${given}: write ${allowed.join(' or ')}`);
  return found;
}

function wholeNumber(flag: string, given: string | undefined, usual: number): number {
  const value = given === undefined ? usual : Number(given);
  if (!Number.isInteger(value) || value < 1 || value > 99)
    throw new BadInput(`--${flag} ${given}: write a whole number from 1 to 99`);
  return value;
}

function cutsFrom(given: string | undefined): number[] {
  const cuts = (given ?? '').split(',').filter((cut) => cut.trim() !== '');
  return cuts.map((cut) => wholeNumber('cuts', cut, 1));
}

function oneGoal(goals: readonly string[], scheme: Scheme): Combination {
  if (goals.length > 1) throw new BadInput(`"${goals[1]}": one goal is enough; put it in quotes`);
  return combinationFrom(goals[0], scheme);
}

function alternate(goals: readonly string[], options: BuildOptions): Stage[] {
  const [from, to] = [wholeNumber('from', options.from, 2), wholeNumber('to', options.to, 5)];
  if (from > to) throw new BadInput(`--from ${from}: it is more than --to ${to}; write the smaller number first`);
  if (goals.length > 0) throw new BadInput(`"${goals[0]}": the alternator has no goal; leave it out`);
  return alternator(from, to);
}

function stagesFor(goals: readonly string[], options: BuildOptions, scheme: Scheme): Stage[] {
  const defence = choice('defence', options.defence, ['rides', 'own']);
  const school: KickSchool = choice('kick', options.kick, ['opposite', 'same']);
  switch (options.kind ?? 'ladder') {
    case 'ladder':
      return ladder(oneGoal(goals, scheme), defence);
    case 'backward':
      return backward(oneGoal(goals, scheme), defence);
    case 'chunks':
      return chunks(oneGoal(goals, scheme), cutsFrom(options.cuts));
    case 'pyramid':
      return pyramid(oneGoal(goals, scheme), defence, options.again);
    case 'kick-close':
      return kickClose(oneGoal(goals, scheme), school, defence, options.again);
    case 'levels':
      return levelPattern(oneGoal(goals, scheme));
    case 'singles':
      return singlesFirst(oneGoal(goals, scheme));
    case 'amount': {
      const stages = byAmount(
        oneGoal(goals, scheme),
        options.to === undefined ? undefined : wholeNumber('to', options.to, 1),
      );
      if (stages.length === 0)
        throw new BadInput('a build by amount needs one slot that grows; write for example "any 2-5"');
      return stages;
    }
    case 'alternator':
      return alternate(goals, options);
    case 'join': {
      if (goals.length !== 2)
        throw new BadInput('a join needs two goals, each in quotes; write for example "1 2" "3b 2"');
      return join(combinationFrom(goals[0], scheme), combinationFrom(goals[1], scheme), defence);
    }
    default:
      throw new BadInput(`--kind ${options.kind}: write ${kinds.join(', ')}`);
  }
}

/** `tempo build "GOAL" --kind …`: the stages that lead to a combination. */
export function build(goals: readonly string[], options: BuildOptions): unknown {
  const scheme = schemeNamed(options.scheme);
  const stages = stagesFor(goals, options, scheme);
  return { stages: stages.map((stage) => ({ text: writeCombination(stage.combination, scheme), added: stage.added })) };
}
