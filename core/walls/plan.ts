import * as z from '../schemas';
import { liveChangesSchema, type LiveChange } from '../run/live-changes';
import { phases } from '../run/deeds';
import { soundKinds } from '../script/sounds';
import type { Script } from '../script/script';
import type { Call } from '../script/call';
import type { Wordings } from '../sheet/calls';
import { callKinds } from '../sheet/call-kinds';
import { sheetSchema, type Block, type Sheet } from '../sheet/schema';
import { usualSchools, type Schools } from '../bags/conditions';
import { schoolsOf } from '../timeline/schools-of';

const at = z.number().check(z.gte(-3_600_000), z.lte(48 * 3_600_000));
const call = z.strictObject({
  kind: z.enum(callKinds),
  at,
  say: z.string().check(z.maxLength(2000)),
  sound: z.optional(z.enum(soundKinds)),
  /** What a show lights, and when. */
  parts: z.optional(
    z
      .array(z.strictObject({ at: z.number(), step: z.optional(z.string().check(z.maxLength(20))) }))
      .check(z.maxLength(500)),
  ),
});
const calls = z.array(call).check(z.maxLength(40_000));

/** What is said, as a screen shows it. */
export const wallWordsSchema = z.strictObject({
  lead: calls,
  calls,
  breaks: z.array(z.strictObject({ at, calls })).check(z.maxLength(1000)),
});
export type WallWords = z.infer<typeof wallWordsSchema>;

/** A session as it goes to a wall. */
export const wallPlanSchema = z.strictObject({
  sheet: sheetSchema,
  changes: liveChangesSchema,
  /** Names under the codes. */
  named: z.boolean(),
  breathHeld: z.boolean(),
  words: z.nullable(wallWordsSchema),
});
export type WallPlan = z.infer<typeof wallPlanSchema>;

/** How a run stands, on the server's clock. */
export const wallStateSchema = z.strictObject({
  phase: z.enum(phases),
  clock: z.strictObject({
    anchorSession: z.number(),
    anchorSource: z.number(),
    running: z.boolean(),
    rate: z.number().check(z.gt(0), z.lte(100)),
  }),
  breaksPassed: z.int().check(z.gte(0), z.lte(1000)),
});
export type WallState = z.infer<typeof wallStateSchema>;

/** A block without what is for the coach alone. */
function wallBlock(block: Block): Block {
  const { id, kind, title, ms, bag, times, restMs, switchStance, learnThenMirror, pieces } = block;
  return {
    ...{ id, kind, ms, pieces },
    ...(title === undefined ? {} : { title }),
    ...(bag === undefined ? {} : { bag }),
    ...(times === undefined ? {} : { times }),
    ...(restMs === undefined ? {} : { restMs }),
    ...(switchStance === undefined ? {} : { switchStance }),
    ...(learnThenMirror === undefined ? {} : { learnThenMirror }),
  };
}

/**
 * What of a sheet a wall is given: what is named here and nothing else, so that notes, reminders, goals and calls of the
 * coach's own stay in the browser. `schools` are the coach's, which a wall does not know.
 * @example wallSheet({ ...sheet, note: 'Mia: knee' }).note // undefined
 */
export function wallSheet(sheet: Sheet, schools?: Schools): Sheet {
  const { format, version, id, title, numbers, stance, bag, blocks, ownBags, lanes, groups, changeOverMs } = sheet;
  const { people, level, leftHanded, pace } = sheet.class;
  return {
    ...{ format, version, id, title, numbers, stance, bag, blocks: blocks.map(wallBlock) },
    class: {
      ...(people === undefined ? {} : { people }),
      ...(level === undefined ? {} : { level }),
      ...(leftHanded === undefined ? {} : { leftHanded }),
      ...(pace === undefined ? {} : { pace }),
    },
    // The clock knows the sheet's own word for kicks alone (`compile`).
    schools: { ...schoolsOf(sheet, schools), kick: sheet.schools?.kick ?? usualSchools.kick },
    ...(ownBags === undefined ? {} : { ownBags }),
    ...(lanes === undefined ? {} : { lanes }),
    ...(groups === undefined ? {} : { groups }),
    ...(changeOverMs === undefined ? {} : { changeOverMs }),
    ...(sheet.stances === undefined ? {} : { stances: sheet.stances }),
  };
}

/** The live changes that a wall is given: faults seen, and the undoing of them, are the coach's alone. */
export function wallChanges(changes: readonly LiveChange[]): LiveChange[] {
  const hidden = new Set<LiveChange>();
  const stack: LiveChange[] = [];
  for (const change of changes) {
    if (change.kind !== 'undo') stack.push(change);
    const taken = change.kind === 'undo' ? stack.pop() : change;
    if (taken?.kind === 'fault') hidden.add(change);
  }
  return changes.filter((change) => !hidden.has(change));
}

/** Parts of a wording that are shorter stand in anybody's words. */
const shortestPart = 3;

/** A wording's words around its blanks, in small letters. `partsIn('Mia, {seconds} to go')` → `mia`, `to go` */
const partsIn = (wording: string): string[] =>
  wording
    .toLowerCase()
    .split(/\{[^}]*\}/)
    .map((part) => part.replace(/^[^\p{L}\p{N}]+|[^\p{L}\p{N}]+$/gu, ''))
    .filter((part) => part.length >= shortestPart);

/**
 * What a coach has worded, in parts as they stand in calls: reminders of the sheet and its blocks, calls that were changed,
 * and wordings of the sheet and of the coach. Anything of it may name people.
 * @example wordsOfCoach({ ...sheet, focuses: [{ words: 'Mia: chin', moves: [] }] }, {}) // ['mia: chin']
 */
export function wordsOfCoach(sheet: Sheet, coach: Wordings): readonly string[] {
  const { edits = [], wordings = {} } = sheet.calls ?? {};
  const focuses = [...(sheet.focuses ?? []), ...sheet.blocks.flatMap((block) => block.focuses ?? [])];
  return [
    ...[...focuses, ...(coach.focuses ?? [])].map(({ words }) => words),
    ...edits.flatMap(({ say }) => (say === undefined ? [] : [say])),
    ...[...(wordings.phrases ?? []), ...(coach.phrases ?? [])].flatMap(({ full, short = '' }) => [full, short]),
  ].flatMap(partsIn);
}

/** Calls in a coach's own words may name people. */
const personal = ({ kind, say }: Call, ofCoach: readonly string[]): boolean =>
  kind === 'own' || kind === 'cheer' || ofCoach.some((part) => say.toLowerCase().includes(part));

/**
 * What is said, for a wall. `ofCoach` holds what the coach has worded (`wordsOfCoach`): calls with any of it stay out, as own
 * calls and cheers do; null where the wall may have everything.
 * @example wallWords(script, wordsOfCoach(sheet, wordings))
 */
export function wallWords(
  script: Pick<Script, 'lead' | 'calls' | 'breaks'>,
  ofCoach: readonly string[] | null,
): WallWords {
  const shown = (all: readonly Call[]): WallWords['calls'] =>
    all.flatMap((call) => {
      const { kind, at, say, sound, parts } = call;
      return ofCoach !== null && personal(call, ofCoach)
        ? []
        : [
            {
              ...{ kind, at, say },
              ...(sound ? { sound } : {}),
              ...(kind === 'teach' && parts
                ? {
                    parts: parts.map((part) => ({
                      at: part.at,
                      ...(part.step === undefined ? {} : { step: part.step }),
                    })),
                  }
                : {}),
            },
          ];
    });
  return {
    lead: shown(script.lead),
    calls: shown(script.calls),
    breaks: script.breaks.map(({ at: moment, calls: said }) => ({ at: moment, calls: shown(said) })),
  };
}
