import * as z from 'zod';
import { targets } from '../moves/kind';
import { buildKinds } from '../progressions/build';
import { bagKinds, levels } from '../bags/kind-names';
import { accesses, bagNameSchema, ownBagSchema } from '../bags/own-kind';
import { sheetCallsSchema } from '../calls/phrasebook';
import { stancesSchema } from '../stances/schema';
import { focusNames, effortNames } from './effort';

export { bagKinds, levels, type BagKind, type Level } from '../bags/kind-names';

/** The format's name in every file, and the version this program writes and reads. */
export const sheetFormat = 'keen-tempo/sheet';
export const sheetVersion = 1;

export const blockKinds = ['warm-up', 'show', 'round', 'rest', 'conditioning', 'core', 'cool-down'] as const;
export const drillKinds = ['count', 'direction', 'go'] as const;

const day = 24 * 3600 * 1000;
const ms = z.int().min(1000).max(day).describe('whole milliseconds, at least one second');
const id = z.string().min(1).max(64);
const words = z.string().max(400);
const note = z.string().max(4000);
/** Combinations are kept as text in the six-number scheme; text that cannot be read is kept as it was typed. */
const combinationText = z.string().max(100_000);

const effort = z.union([z.enum(effortNames), z.number().min(10).max(100)]);
const timing = { id, ms, effort: effort.default('steady'), focus: z.enum(focusNames).optional() };

const breath = {
  nonStop: z.boolean().optional(),
  gapMs: z.int().min(0).max(60_000).optional().describe('breath between repetitions; 3 s unless told'),
  between: words.optional().describe('what is done between repetitions'),
  voice: z.enum(['strikes', 'click']).optional().describe('each strike called on its own time, or a click'),
  bpm: z.int().min(30).max(240).optional().describe('clicks a minute'),
};

/** What a lane does in place of the piece's own text, by the coach's word; the text may be one that does not fit. */
const laneText = z.strictObject({ bag: bagNameSchema, text: combinationText });
const lanes = z.array(laneText).max(12).optional().describe('versions of single lanes, chosen by the coach');

const combinationPiece = z.strictObject({
  kind: z.literal('combination'),
  ...timing,
  lanes,
  text: combinationText,
  words: words.optional(),
  ...breath,
  otherStance: z.enum(['carry on mirrored', 'reset']).optional(),
});
const ownTimePiece = z.strictObject({ kind: z.literal('own-time'), ...timing });
const wordsPiece = z.strictObject({ kind: z.literal('words'), ...timing, words });
const changeOverPiece = z.strictObject({ kind: z.literal('change-over'), ...timing });

const callsPiece = z.strictObject({
  kind: z.literal('calls'),
  ...timing,
  drill: z.enum(drillKinds),
  least: z.int().min(1).max(20).describe('fewest punches of an answer; direction and go begin there'),
  most: z.int().min(1).max(20).describe('most punches of an answer; direction and go grow to there'),
  gapLeastMs: z.int().min(0).max(60_000).optional().describe('least stillness after an answer; 1 s unless told'),
  gapMostMs: z.int().min(0).max(60_000).optional().describe('longest stillness after an answer; 4 s unless told'),
  seed: z.int().min(0).max(4_294_967_295).optional().describe('the same seed gives the same script; 1 unless told'),
  between: words.optional(),
});

const oneTo99 = z.int().min(1).max(99);
const buildPiece = z.strictObject({
  kind: z.literal('build'),
  id,
  effort: effort.default('steady'),
  focus: z.enum(focusNames).optional(),
  build: z.enum(buildKinds),
  goal: combinationText.describe('empty for the alternator'),
  second: combinationText.optional().describe('the other goal of a join'),
  defence: z.enum(['rides', 'own']).default('rides'),
  kick: z.enum(['opposite', 'same']).optional().describe('kick-close'),
  cuts: z.array(z.int().min(1).max(10_000)).max(99).optional().describe('chunks, counted in moves'),
  from: oneTo99.optional().describe('alternator'),
  to: oneTo99.optional().describe('alternator and amount'),
  again: z.boolean().optional().describe('pyramid and kick-close: up once more'),
  pattern: z.array(z.enum(targets)).min(1).max(24).optional().describe('levels'),
  every: z
    .union([z.literal('round'), z.array(ms).min(1).max(500)])
    .describe('length of a stage, or of each stage, or one stage a round'),
  lanes,
  ...breath,
});
const lane = z.strictObject({
  bag: bagNameSchema.describe('a kind of bag, built in or of the sheet’s own'),
  places: z.int().min(0).max(200).describe('people who can work there at once; 0 while it is down'),
  access: z.enum(accesses).optional().describe('how much of the circle round it is free; all of it unless told'),
  lowKicks: z.boolean().optional().describe('false where the bag ends above the knee'),
});
const piece = z.discriminatedUnion('kind', [
  combinationPiece,
  ownTimePiece,
  wordsPiece,
  buildPiece,
  callsPiece,
  changeOverPiece,
]);

const block = z
  .strictObject({
    id,
    kind: z.enum(blockKinds),
    title: words.optional(),
    ms: ms.nullable().describe('null: an open rest, until a key is pressed'),
    bag: z.enum(bagKinds).optional(),
    goal: z.int().min(1).max(100_000).optional().describe('punches to reach'),
    times: z.int().min(1).max(99).optional(),
    restMs: ms.optional().describe('rest between the repeats'),
    switchStance: z
      .boolean()
      .optional()
      .describe('the class changes over before it; repeated: before every second one'),
    learnThenMirror: z.boolean().optional().describe('first half natural, second half mirrored, same length'),
    says: z
      .array(z.strictObject({ words, atMs: z.int().min(0).max(day) }))
      .max(100)
      .optional()
      .describe('calls of the coach, from the beginning of the block'),
    note: note.optional(),
    pieces: z.array(piece).max(500),
  })
  .refine((each) => each.ms !== null || each.kind === 'rest', { path: ['ms'], error: 'only a rest may be open' });

/** A coach's own numbering beyond six, as it is kept and as a sheet carries it. */
export const ownNumbersSchema = z.strictObject({
  name: z.string().min(1).max(60),
  beyondSix: z.array(z.strictObject({ number: z.int().min(7).max(99), move: z.string().min(1).max(40) })).max(93),
});

const plainSheet = z.strictObject({
  format: z.literal(sheetFormat),
  version: z.literal(sheetVersion),
  id,
  title: z.string().max(200),
  class: z
    .strictObject({
      people: z.int().min(0).max(500).optional(),
      level: z.enum(levels).optional(),
      leftHanded: z.int().min(0).max(500).optional(),
      pace: z.number().min(0.3).max(2.5).optional().describe('how fast this class is, 1 unless calibrated'),
      note: words.optional(),
    })
    .default({}),
  ownBags: z.array(ownBagSchema).max(20).optional().describe('kinds of bag of the coach’s own that the lanes name'),
  lanes: z.array(lane).max(12).optional().describe('kinds of bag that are there; groups rotate through them'),
  groups: z.int().min(1).max(100).optional().describe('groups that rotate; one for each lane unless told'),
  changeOverMs: z.int().min(0).max(600_000).optional().describe('time a group needs to change lanes; 20 s unless told'),
  stances: stancesSchema.optional().describe('when the class changes over; without it the blocks say so themselves'),
  calls: sheetCallsSchema.optional().describe('what is said, in whose words'),
  numbers: z.union([z.enum(['six', 'eight']), ownNumbersSchema]).default('six'),
  stance: z.enum(['orthodox', 'southpaw']).default('orthodox'),
  bag: z.enum(bagKinds).default('shadow'),
  parts: z
    .array(z.strictObject({ name: z.string().min(1).max(40), text: combinationText }))
    .max(99)
    .optional()
    .describe('named combinations, to be typed by name'),
  head: z
    .array(z.strictObject({ key: z.string().min(1).max(60), value: words }))
    .max(50)
    .optional()
    .describe('lines of a text head that this program does not know'),
  note: note.optional(),
  blocks: z.array(block).max(500),
});

/** A sheet, version 1: what a coach plans. Everything else is derived from it. */
export const sheetSchema = plainSheet.superRefine((sheet, context) => {
  const seen = new Set<string>();
  const once = (value: string, path: (string | number)[]): void => {
    if (seen.has(value)) context.addIssue({ code: 'custom', path, message: `id "${value}" is used twice` });
    seen.add(value);
  };
  const onceByName = (names: readonly string[], path: string): void => {
    names.forEach((name, at) => {
      if (names.findIndex((other) => other.toLowerCase() === name.toLowerCase()) < at)
        context.addIssue({ code: 'custom', path: [path, at], message: `"${name}" is there twice` });
    });
  };
  onceByName(
    (sheet.lanes ?? []).map(({ bag }) => bag),
    'lanes',
  );
  onceByName(
    (sheet.ownBags ?? []).map(({ name }) => name),
    'ownBags',
  );
  sheet.blocks.forEach((each, at) => {
    once(each.id, ['blocks', at, 'id']);
    each.pieces.forEach((inner, index) => once(inner.id, ['blocks', at, 'pieces', index, 'id']));
  });
});

export type Sheet = z.infer<typeof sheetSchema>;
export type Block = Sheet['blocks'][number];
export type Piece = Block['pieces'][number];
export type BlockKind = Block['kind'];
export type PieceOf<Kind extends Piece['kind']> = Extract<Piece, { kind: Kind }>;

/** The published JSON Schema of a sheet's file (draft 2020-12), written to `docs/formats/`. */
export function sheetJsonSchema(): Record<string, unknown> {
  return {
    ...z.toJSONSchema(plainSheet, { io: 'input' }),
    $id: 'urn:keen-tempo:sheet:1',
    title: 'Keen Tempo sheet, version 1',
  };
}
