import { readStored } from '../notation/stored';
import { ladder } from '../progressions/ladder';
import { freshBlock, freshBuild, type FreshId } from '../sheet/fresh';
import type { Block } from '../sheet/schema';

/** A round that builds a combination up and is just as long as its stages. */
export function buildRound(goal: string, freshId: FreshId): Block {
  const read = readStored(goal);
  const stages = read.ok ? ladder(read.value).length : 1;
  return { ...freshBlock('round', freshId, [freshBuild(goal, freshId)]), ms: stages * 30_000 };
}
