import type { Combination } from '../notation/combination';
import type { LoopSettings } from './seams';
import { study, type Study } from './study';
import type { Stance } from './walk';

const studies = new WeakMap<Combination, Map<string, Study>>();

/** A study of a combination, remembered: the same combination in the same stance is worked out once. */
export function studyOf(
  combination: Combination,
  stance: Stance,
  nonStop = false,
  otherStance: LoopSettings['otherStance'] = 'carry on mirrored',
): Study {
  const key = `${stance} ${nonStop} ${otherStance}`;
  const known = studies.get(combination) ?? new Map<string, Study>();
  studies.set(combination, known);
  let found = known.get(key);
  if (!found) {
    found = study(combination, { stance, loop: { nonStop, otherStance } });
    known.set(key, found);
  }
  return found;
}
