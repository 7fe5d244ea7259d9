import * as z from '../schemas';
import { bagKinds, levels } from '../bags/kind-names';
import { viewNames } from '../figure/view-names';
import { measureSystems } from '../measures';
import { blockClocks, countsFrom, leadOuts, talks } from './call-kinds';
import { pronunciationsSchema, wordingsSchema } from './calls';
import { ownNumbersSchema } from './schema';

export const draftKinds = ['technique', 'conditioning', 'mixed'] as const;
export type DraftKind = (typeof draftKinds)[number];

/** What a drafted session is to be like, beside its combinations; the last wishes are remembered. */
export const draftWishesSchema = z.strictObject({
  minutes: z.int().check(z.gte(10), z.lte(120)),
  level: z.enum(levels),
  kind: z.enum(draftKinds),
  bag: z.enum(bagKinds),
});
export type DraftWishes = z.infer<typeof draftWishesSchema>;

/** How close together things stand: `roomy` for tablets and gloves. */
export const densities = ['close', 'roomy'] as const;
/** Whether the names of strikes stand under their numbers while a session runs; by the level unless chosen. */
export const namings = ['by level', 'always', 'never'] as const;

/** What days without an entry are taken for. */
export const emptyDays = ['rest', 'unknown'] as const;

/** What shows a combination while a session runs. */
export const shownBys = ['staff', 'figure', 'both'] as const;

const fields = {
  look: z._default(z.enum(['system', 'light', 'dark']), 'system'),
  /** Seconds of getting ready before second zero (house value 10). */
  countIn: z._default(z.literal([0, 5, 10, 20]), 10),
  countFrom: z._default(z.literal(countsFrom), 5),
  volume: z._default(z.number().check(z.gte(0), z.lte(1)), 0.8),
  /** Who speaks: a voice of the pack, the device's own, or nobody. */
  voice: z._default(z.enum(['rms', 'slt', 'device', 'none']), 'rms'),
  /** Whether words that the pack lacks are spoken in the same voice, by the synthesiser that was fetched for it. */
  ownWords: z._default(z.boolean(), false),
  pronunciations: z._default(pronunciationsSchema, []),
  /** Whether the device is asked to turn music down while calls sound. */
  duckMusic: z._default(z.boolean(), true),
  talk: z._default(z.enum(talks), 'all'),
  /** How long pieces are led out, and how much is said of the clock outside rounds. */
  leadOut: z._default(z.enum(leadOuts), 'three'),
  blockClock: z._default(z.enum(blockClocks), 'all'),
  /** Whether the breath is held between in and out in a rest; not for everybody, so off until it is chosen. */
  breathHeld: z._default(z.boolean(), false),
  /** The coach's own words for calls. */
  wordings: z._default(wordingsSchema, {}),
  /** The coach's own numbering beyond six. */
  ownNumbers: z._default(z.nullable(ownNumbersSchema), null),
  /** Which leg is drilled after a hand. */
  kickSchool: z._default(z.enum(['opposite', 'same']), 'opposite'),
  /** What brings a ball back after a hook, and whether the body is hit on a double-end. */
  afterHook: z._default(z.enum(['rear straight', 'same hand']), 'rear straight'),
  bodyOnDoubleEnd: z._default(z.enum(['none', 'lower cord']), 'none'),
  ballTricks: z._default(z.boolean(), false),
  density: z._default(z.enum(densities), 'close'),
  /** Which foot leads of whoever practises alone. */
  soloStance: z._default(z.enum(['orthodox', 'southpaw']), 'orthodox'),
  /** Where the figure is looked at from, and what shows a combination while a session runs. */
  figureView: z._default(z.enum(viewNames), 'three-quarter'),
  shownBy: z._default(z.enum(shownBys), 'staff'),
  strikeNames: z._default(z.enum(namings), 'by level'),
  draft: z._default(draftWishesSchema, { minutes: 30, level: 'beginner', kind: 'mixed', bag: 'heavy' }),
  /** Hints for beginners that were put away. */
  hintsSeen: z._default(z.array(z.string().check(z.maxLength(40))).check(z.maxLength(40)), []),
  units: z._default(z.enum(measureSystems), 'metric'),
  cautionSeen: z._default(z.boolean(), false),
  /** Simulated sensors, to try out what a counter and a strap would tell, and the body that wears them. */
  sensors: z._default(
    z.strictObject({
      counter: z.boolean(),
      strap: z.boolean(),
      age: z.int().check(z.gte(8), z.lte(99)),
      rest: z.int().check(z.gte(30), z.lte(120)),
    }),
    { counter: false, strap: false, age: 40, rest: 60 },
  ),
  /** Least shares that a coach wants of strikes, sides and defences, in per cent by the aim's id; the house values else. */
  aims: z._default(z.record(z.string().check(z.maxLength(40)), z.number().check(z.gte(0), z.lte(100))), {}),
  /** What is known of days without an entry: that nothing was done, or nothing. */
  emptyDays: z._default(z.enum(emptyDays), 'rest'),
  /** Weeks that are looked back over; 0 for all there are. */
  lookBackWeeks: z._default(z.literal([4, 12, 52, 0]), 12),
  /** A weight, for an estimate of energy, where somebody wants one. */
  weight: z._default(z.nullable(z.number().check(z.gte(20), z.lte(300))), null),
  /** Whether a run's effort is asked for again half an hour later. */
  askAgain: z._default(z.boolean(), false),
  /** Days after which a backup is due; 0 for never. */
  backupEvery: z._default(z.literal([0, 7, 30, 90]), 30),
};

/** A coach's choices. A field that is missing has its default. */
export const settingsSchema = z.object(fields);
export type Settings = z.infer<typeof settingsSchema>;

/** Settings as far as they can be read, and the fields that cannot. */
export interface ReadSettings {
  readonly settings: Settings;
  readonly unread: readonly string[];
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Reads settings field by field: one that cannot be read has its default and is named, and takes no other with it.
 * @example readSettings({ look: 'plaid', countFrom: 3 }).unread // ["look"]
 */
export function readSettings(stored: unknown): ReadSettings {
  const kept: Record<string, unknown> = {};
  const unread: string[] = [];
  if (stored !== undefined && !isRecord(stored)) unread.push('all of them');
  for (const [key, value] of Object.entries(isRecord(stored) ? stored : {})) {
    const field: z.ZodMiniType | undefined = fields[key as keyof typeof fields];
    // What a newer version has added is left alone and does no harm.
    if (!field) continue;
    const read = field.safeParse(value);
    if (read.success) kept[key] = read.data;
    else unread.push(key);
  }
  return { settings: settingsSchema.parse(kept), unread };
}
