import { lanesOf, wallViews, type Settings, type Sheet, type Showing, type WallView } from '../../../core/index';
import type { Choice } from '../fields/choice-field';

const names: Readonly<Record<WallView, string>> = {
  everything: 'everything',
  lane: 'one station',
  clock: 'the clock',
  board: 'rotation',
};

/** Something that a wall may show of a session. */
export interface WallChoice extends Omit<Showing, 'sound'> {
  readonly name: string;
}

/** All that a wall may show of a session: each lane of it is one. `wallChoices(sheet)[0].name` → `"everything"` */
export function wallChoices(sheet: Sheet | null): WallChoice[] {
  const lanes = sheet ? lanesOf(sheet).map(({ bag }) => bag) : [];
  return wallViews.flatMap((view): WallChoice[] =>
    view === 'lane'
      ? lanes.map((lane) => ({ view, lane, name: `${names[view]}: ${lane}` }))
      : [{ view, lane: null, name: names[view] }],
  );
}

/** Which of them is shown. */
export function choiceOf(choices: readonly WallChoice[], { view, lane }: Omit<Showing, 'sound'>): number {
  return Math.max(
    0,
    choices.findIndex((each) => each.view === view && each.lane === lane),
  );
}

/** How light a room is: dark, or in daylight. */
export const looks: readonly Choice<Settings['look']>[] = [
  { value: 'system', name: 'same as device' },
  { value: 'dark', name: 'dark' },
  { value: 'light', name: 'daylight' },
];

/** What shows a combination while it is done. */
export const shownByChoices: readonly Choice<Settings['shownBy']>[] = [
  { value: 'staff', name: 'as a diagram' },
  { value: 'figure', name: 'as a figure' },
  { value: 'both', name: 'both' },
];
