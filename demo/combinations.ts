/** A combination of the station's own book. */
export interface DemoCombination {
  readonly name: string;
  /** Canonical text in the six-number scheme. */
  readonly text: string;
}

/** Combinations made up for the invented Tarrowby fire station's off-shift class. */
export const demoCombinations = [
  { name: 'Turnout', text: '1 2' },
  { name: 'Ladder truck', text: '1 2 3b 2 5 4' },
  { name: 'Hose reel', text: '1 2 3b ro 4 5' },
  { name: 'Pump check', text: '1 1 2 sl 6 3' },
  { name: 'Two bells', text: '2 3 2' },
  { name: 'Stairwell', text: '1 2b 3 2' },
  { name: 'Door and through', text: 'in+1 2 3b' },
  { name: 'Under the beam', text: '2 ro-l 3 2' },
  { name: 'Cover the nozzle', text: '1 bl 2 3' },
  { name: 'Long hose', text: '5 2 swk 1 lk' },
  { name: 'Push the gate', text: 'tp 2 3 2' },
  { name: 'Change the watch', text: '1 2 switch 1 2' },
] as const satisfies readonly DemoCombination[];

/** The text of a combination by its name. */
export function demoText(name: (typeof demoCombinations)[number]['name']): string {
  const found = demoCombinations.find((each) => each.name === name);
  if (!found) throw new Error(`no combination ${name}`);
  return found.text;
}
