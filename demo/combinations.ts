import type { BookEntry } from '../core/index';

/** A combination of the station's own book. */
export interface DemoCombination {
  readonly name: string;
  /** Canonical text in the six-number scheme. */
  readonly text: string;
  readonly level: 'beginner' | 'intermediate' | 'advanced';
  readonly tags: readonly string[];
}

/** Combinations made up for the invented Tarrowby fire station's off-shift class. */
export const demoCombinations = [
  { name: 'Turnout', text: '1 2', level: 'beginner', tags: ['hands'] },
  { name: 'Ladder truck', text: '1 2 3b 2 5 4', level: 'beginner', tags: ['hands', 'build'] },
  { name: 'Hose reel', text: '1 2 3b ro 4 5', level: 'intermediate', tags: ['hands', 'roll'] },
  { name: 'Pump check', text: '1 1 2 sl 6 3', level: 'intermediate', tags: ['slip'] },
  { name: 'Two bells', text: '2 3 2', level: 'beginner', tags: ['hands'] },
  { name: 'Stairwell', text: '1 2b 3 2', level: 'beginner', tags: ['body'] },
  { name: 'Door and through', text: 'in+1 2 3b', level: 'intermediate', tags: ['step in'] },
  { name: 'Under the beam', text: '2 ro-l 3 2', level: 'intermediate', tags: ['roll'] },
  { name: 'Cover the nozzle', text: '1 bl 2 3', level: 'beginner', tags: ['block'] },
  { name: 'Long hose', text: '5 2 swk 1 lk', level: 'advanced', tags: ['legs'] },
  { name: 'Push the gate', text: 'tp 2 3 2', level: 'intermediate', tags: ['legs'] },
  { name: 'Change the watch', text: '1 2 switch 1 2', level: 'advanced', tags: ['stance'] },
] as const satisfies readonly DemoCombination[];

/** The text of a combination by its name. */
export function demoText(name: (typeof demoCombinations)[number]['name']): string {
  const found = demoCombinations.find((each) => each.name === name);
  if (!found) throw new Error(`no combination ${name}`);
  return found.text;
}

/** The station's book of combinations. */
export const demoBook: readonly BookEntry[] = demoCombinations.map(({ name, text, level, tags }, index) => ({
  id: `demo-combination-${index + 1}`,
  name,
  text,
  level,
  tags: [...tags],
  note: '',
}));
