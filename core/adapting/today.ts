import { shownBag } from '../bags/kinds';
import { adaptSheet } from './adapt-sheet';
import { sayClock } from '../clock-text';
import { compile } from '../timeline/compile';
import { listChanges } from './changes';
import { fitToMinutes } from './fit-minutes';
import { freeFloor } from '../bags/kind-names';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';
import { rotationBoard, type Board } from '../lanes/board';

/** How today is different from the plan. */
export interface Today {
  /** How many came. */
  readonly people?: number;
  /** Places left where a bag is down, by kind; 0 takes the kind out. */
  readonly places?: Readonly<Record<string, number>>;
  /** The room is needed this much earlier. */
  readonly earlierMs?: Milliseconds;
}

/** The sheet as it can be run today, with what is different; lanes and rotation follow from it. */
export type ForToday =
  | { readonly ok: true; readonly sheet: Sheet; readonly changes: readonly string[] }
  | { readonly ok: false; readonly what: string; readonly mend: string };

function withPlaces(sheet: Sheet, places: Readonly<Record<string, number>>): { sheet: Sheet; said: string[] } {
  const said: string[] = [];
  const lanes = sheet.lanes?.map((lane) => {
    const left = places[lane.bag];
    if (left === undefined || left === lane.places) return lane;
    said.push(
      left > 0
        ? `${shownBag(lane.bag)}: ${lane.places} → ${left} places`
        : `${shownBag(lane.bag)} is out of use: its station is removed`,
    );
    return { ...lane, places: left };
  });
  if (lanes) return { sheet: { ...sheet, lanes }, said };
  if (places[sheet.bag] !== 0 || sheet.bag === freeFloor) return { sheet, said };
  const adapted = adaptSheet(sheet, freeFloor);
  return {
    sheet: adapted.sheet,
    said: [`the ${shownBag(sheet.bag)} is out of use: everything becomes shadow boxing`, ...adapted.changes],
  };
}

function sayBoard(before: Board | null, after: Board | null): string[] {
  if (!after) return before ? ['no rotation: everyone works on one kind of bag'] : [];
  const sizes = (board: Board): string => board.groups.join(', ');
  const said: string[] = [];
  if (!before || before.kinds.join() !== after.kinds.join())
    said.push(`rotation: ${after.groups.length} groups over ${after.kinds.join(', ')}`);
  if (before && sizes(before) !== sizes(after)) said.push(`groups of ${sizes(before)} → ${sizes(after)}`);
  for (const { bag, people, places } of after.crowded)
    said.push(`${shownBag(bag)}: ${people} people for ${places} places; the rest shadow box`);
  return said;
}

/**
 * A sheet for today: how many came, which bags are down, how much earlier it has to end. Everything else follows and is
 * listed. Where the time cannot be met it says so, with the nearest lengths.
 * @example forToday(sheet, { people: 9, places: { heavy: 1 }, earlierMs: 600_000 })
 */
export function forToday(sheet: Sheet, today: Today): ForToday {
  const said: string[] = [];
  let now = sheet;
  if (today.people !== undefined && today.people !== sheet.class.people) {
    now = { ...now, class: { ...now.class, people: today.people } };
    said.push(`people: ${sheet.class.people ?? '?'} → ${today.people}`);
  }
  if (today.places) {
    const placed = withPlaces(now, today.places);
    now = placed.sheet;
    said.push(...placed.said);
  }
  if (today.earlierMs) {
    const target = compile(now).ms - today.earlierMs;
    const fitted = fitToMinutes(now, target);
    if (!fitted.ok)
      return {
        ok: false,
        what: `it cannot be shortened to ${sayClock(Math.max(0, target))}`,
        mend: `the closest possible is ${fitted.nearest.map(sayClock).join(' or ')}; remove a round first`,
      };
    said.push(`length: ${sayClock(compile(now).ms)} → ${sayClock(target)}`, ...listChanges(now, fitted.sheet));
    now = fitted.sheet;
  }
  return { ok: true, sheet: now, changes: [...said, ...sayBoard(rotationBoard(sheet), rotationBoard(now))] };
}
