import { buildKinds, buildUp, goalsOf, writeCombination, type Scheme, type Stage } from '../core/index';
import { combinationFrom, schemeNamed } from './combo';
import { BadInput } from './io';
import { wholeFlag } from './numbers';

export interface BuildOptions {
  readonly kind?: string;
  readonly defence?: string;
  readonly kick?: string;
  readonly cuts?: string;
  readonly again?: boolean;
  readonly alone?: boolean;
  readonly from?: string;
  readonly to?: string;
  readonly scheme?: string;
}

/** One of the words that a flag allows, the first where it is not given. */
function choice<const T extends string>(
  flag: string,
  given: string | undefined,
  allowed: readonly [T, ...(readonly T[])],
): T {
  const found = given === undefined ? allowed[0] : allowed.find((word) => word === given);
  if (found === undefined) throw new BadInput(`--${flag} ${given}: write ${allowed.join(' or ')}`);
  return found;
}

function cutsFrom(given: string | undefined): number[] {
  const cuts = (given ?? '').split(',').filter((cut) => cut.trim() !== '');
  return cuts.map((cut) => wholeFlag('cuts', cut, 1, 99));
}

function stagesFor(goals: readonly string[], options: BuildOptions, scheme: Scheme): readonly Stage[] {
  const kind = choice('kind', options.kind, buildKinds);
  const wanted = goalsOf(kind);
  if (goals.length > wanted)
    throw new BadInput(
      `"${goals[wanted]}": ${wanted === 0 ? 'the alternator takes no goal; remove it' : 'too many goals; put the goal in quotes'}`,
    );
  if (wanted === 2 && goals.length < 2)
    throw new BadInput('a join needs two goals, each in quotes; write for example "1 2" "3b 2"');
  const from = options.from === undefined ? undefined : wholeFlag('from', options.from, 1, 99);
  const to = options.to === undefined ? undefined : wholeFlag('to', options.to, 1, 99);
  if (kind === 'alternator' && (from ?? 2) > (to ?? 5))
    throw new BadInput(`--from ${from ?? 2}: it is larger than --to ${to ?? 5}; put the smaller number first`);
  const read = wanted === 0 ? [] : Array.from({ length: wanted }, (_, at) => combinationFrom(goals[at], scheme));
  const stages = buildUp(kind, read, {
    defence: choice('defence', options.defence, ['rides', 'own']),
    kick: choice('kick', options.kick, ['opposite', 'same']),
    cuts: cutsFrom(options.cuts),
    from,
    to,
    again: options.again,
    alone: options.alone,
  });
  if (stages.length === 0) throw new BadInput('this build needs a range that can grow, for example "any 2-5"');
  return stages;
}

/** `tempo build "GOAL" --kind …`: the stages that lead to a combination. */
export function build(goals: readonly string[], options: BuildOptions): unknown {
  const scheme = schemeNamed(options.scheme);
  const stages = stagesFor(goals, options, scheme);
  return { stages: stages.map((stage) => ({ text: writeCombination(stage.combination, scheme), added: stage.added })) };
}
