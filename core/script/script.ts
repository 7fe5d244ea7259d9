import { natureOf } from '../bags/kinds';
import { rotationBoard } from '../lanes/board';
import type { BlockClock, CountFrom, LeadOut, Talk } from '../sheet/call-kinds';
import type { Wordings } from '../sheet/calls';
import type { Sheet } from '../sheet/schema';
import { compile } from '../timeline/compile';
import type { Timeline } from '../timeline/leaf';
import type { Call, Dropped } from './call';
import { candidatesOf, type CallPlan } from './candidates';
import { usualGloves, usualOptions, type CallOptions } from './options';
import { schedule, type Schedule } from './schedule';
import { soundsOf, type SoundCue } from './sounds';
import { speechOf, type Speech } from './speech';

/**
 * A session's script, all that is heard: what is called when, what at open breaks, what there is no room for, and every
 * bell, tick and click. The ruler, a run, subtitles, sound files, the call sheet and the command all read this one.
 */
export interface Script extends Schedule {
  readonly breaks: CallPlan['breaks'];
  /** What is said while a run counts in, at moments before second zero. */
  readonly lead: readonly Call[];
  readonly sounds: readonly SoundCue[];
}

/** Whose words, how much, and how long words take. */
export interface ScriptWishes {
  readonly wordings?: Wordings;
  readonly talk?: Talk;
  /** 3 unless told. */
  readonly countFrom?: CountFrom;
  readonly leadOut?: LeadOut;
  readonly blockClock?: BlockClock;
  readonly breathHeld?: boolean;
  readonly lengthOf?: Speech['lengthOf'];
}

/** Rounds before which groups change lanes. */
function laneChangesOf(sheet: Sheet, timeline: Timeline): number[] {
  if ((sheet.lanes ?? []).length < 2) return [];
  const turns = rotationBoard(sheet, timeline)?.turns ?? [];
  return turns.slice(1).map(({ round }) => round);
}

let last: { readonly by: readonly unknown[]; readonly options: CallOptions } | null = null;

/**
 * What a sheet's script is made by: the very same options as the last time where nothing has changed that they are of, so
 * that what was made by them can be used again.
 * @example callOptionsOf(sheet, compile(sheet)).countFrom // 3
 */
export function callOptionsOf(sheet: Sheet, timeline: Timeline, wishes: ScriptWishes = {}): CallOptions {
  const changes = laneChangesOf(sheet, timeline);
  const own = sheet.blocks.flatMap(({ id, focuses }) => (focuses ? [[id, focuses] as const] : []));
  const { calls, numbers, class: people, ownBags, focuses, gloves, lanes } = sheet;
  const { wordings, talk, countFrom, leadOut, blockClock, breathHeld, lengthOf } = wishes;
  const by = [
    ...[calls, numbers, people.level, ownBags, focuses, gloves, lanes],
    ...[wordings, talk, countFrom, leadOut, blockClock, breathHeld, lengthOf],
    ...[timeline.rounds, changes.length, ...changes, ...own.flat()],
  ];
  if (last !== null && last.by.length === by.length && last.by.every((each, at) => each === by[at]))
    return last.options;
  const ownFocuses = new Map(own);
  const session = focuses ?? [];
  const options: CallOptions = {
    speech: speechOf(sheet, wordings, lengthOf),
    talk: calls?.talk ?? talk ?? usualOptions.talk,
    countFrom: countFrom ?? usualOptions.countFrom,
    leadOut: leadOut ?? usualOptions.leadOut,
    blockClock: blockClock ?? usualOptions.blockClock,
    breathHeld: breathHeld ?? usualOptions.breathHeld,
    level: people.level ?? null,
    natureOf: (bag) => natureOf(bag, ownBags),
    focusesOf: (blockId) => [...(ownFocuses.get(blockId) ?? []), ...session],
    gloves: gloves ?? usualGloves,
    quiet: calls?.quiet ?? [],
    edits: calls?.edits ?? [],
    rounds: timeline.rounds,
    laneChanges: new Set(changes),
    onPads: lanes?.some(({ bag, places }) => natureOf(bag, ownBags)?.body === 'held' && places > 0) ?? false,
  };
  last = { by, options };
  return options;
}

/** The script of a sheet. `scriptOf(sheet).calls[0].say` → `"bell"` */
export function scriptOf(sheet: Sheet, wishes: ScriptWishes = {}, timeline: Timeline = compile(sheet)): Script {
  const { candidates, muted, breaks, lead } = candidatesOf(
    timeline,
    callOptionsOf(sheet, timeline, wishes),
    sheet.title,
  );
  const made = schedule(candidates);
  const dropped: readonly Dropped[] = [...made.dropped, ...muted];
  return { ...made, dropped, breaks, lead, sounds: [...soundsOf(timeline, [...lead, ...made.calls], breaks)] };
}
