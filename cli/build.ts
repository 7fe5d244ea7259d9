import { ladder, writeCombination, type Stage } from '../core/index';
import { combinationFrom, schemeNamed } from './combo';
import { BadInput } from './io';

export interface BuildOptions {
  readonly kind?: string;
  readonly defence?: string;
  readonly scheme?: string;
}

function defenceNamed(name: string | undefined): 'rides' | 'own' {
  if (name === undefined || name === 'rides') return 'rides';
  if (name === 'own') return 'own';
  throw new BadInput(`--defence ${name}: write own or rides`);
}

/** `tempo build "GOAL" --kind …`: the stages that lead to a combination. */
export function build(goals: readonly string[], options: BuildOptions): unknown {
  if (options.kind !== undefined && options.kind !== 'ladder')
    throw new BadInput(`--kind ${options.kind}: this kind is not built yet; write ladder`);
  const scheme = schemeNamed(options.scheme);
  const stages: readonly Stage[] = ladder(combinationFrom(goals[0], scheme), defenceNamed(options.defence));
  return { stages: stages.map((stage) => ({ text: writeCombination(stage.combination, scheme), added: stage.added })) };
}
