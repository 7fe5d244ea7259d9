import { rotationBoard } from '../lanes/board';
import { isOnLanes, lanesOf } from '../lanes/lanes';
import type { CountFrom } from '../run/cues';
import { compile, type Timeline } from '../session/compile';
import type { Sheet } from '../session/schema';
import type { Call } from './call';
import { candidatesOf, type CallPlan } from './candidates';
import type { Talk } from './kinds';
import { usualOptions, type CallOptions } from './options';
import type { Wordings } from './phrasebook';
import { schedule, type Schedule } from './schedule';
import { speechOf, type Speech } from './speech';

/** A session's script: what is called when, what at open breaks, and what there is no room for. */
export interface CallTrack extends Schedule {
  readonly breaks: CallPlan['breaks'];
}

/** Whose words, how much, and how long words take. */
export interface TrackWishes {
  readonly wordings?: Wordings;
  readonly talk?: Talk;
  /** 3 unless told. */
  readonly countFrom?: CountFrom;
  readonly lengthOf?: Speech['lengthOf'];
}

/** The kinds of bag each block of a sheet is done on: its own, those of the lanes, or the sheet's. */
function bagsOf(sheet: Sheet): CallOptions['bagsOf'] {
  const lanes = lanesOf(sheet).map(({ bag }) => bag);
  const blocks = new Map(
    sheet.blocks.map((block) => [block.id, lanes.length > 0 && isOnLanes(block) ? lanes : [block.bag ?? sheet.bag]]),
  );
  return (blockId) => blocks.get(blockId) ?? [];
}

/** What a sheet's script is made by. */
export function callOptionsOf(sheet: Sheet, timeline: Timeline, wishes: TrackWishes = {}): CallOptions {
  const lanes = (sheet.lanes ?? []).length > 1 ? rotationBoard(sheet, timeline) : null;
  return {
    ...usualOptions,
    speech: speechOf(sheet, wishes.wordings, wishes.lengthOf),
    talk: wishes.talk ?? 'all',
    countFrom: wishes.countFrom ?? usualOptions.countFrom,
    bagsOf: bagsOf(sheet),
    quiet: sheet.calls?.quiet ?? [],
    edits: sheet.calls?.edits ?? [],
    laneChanges: new Set(lanes?.turns.slice(1).map(({ round }) => round)),
    onPads: sheet.lanes?.some(({ bag, places }) => bag === 'pads' && places > 0) ?? false,
  };
}

/** Everything that is said, what is said at open breaks before what follows them. `allCalls(track)[0].say` → `"bell"` */
export function allCalls({ calls, breaks }: CallTrack): Call[] {
  return [...breaks.flatMap((each) => each.calls), ...calls];
}

/** The call track of a sheet. `callTrack(sheet).calls[0].say` → `"bell"` */
export function callTrack(sheet: Sheet, wishes: TrackWishes = {}, timeline: Timeline = compile(sheet)): CallTrack {
  const { candidates, muted, breaks } = candidatesOf(timeline, callOptionsOf(sheet, timeline, wishes));
  const made = schedule(candidates);
  return { ...made, dropped: [...made.dropped, ...muted], breaks };
}
