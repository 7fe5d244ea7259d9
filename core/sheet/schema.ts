import * as z from '../schemas';
import { bagKinds, levels } from '../bags/kind-names';
import { ownBagSchema } from '../bags/own-kind';
import { focusSchema, sheetCallsSchema } from './calls';
import { mostOrigin, sheetLimits } from './limits';
import {
  combinationTextSchema,
  idSchema as id,
  laneSchema,
  msSchema as ms,
  pieceSchema,
  stanceNames,
  wordsSchema as words,
} from './pieces';
import { ballSchema, schoolsSchema } from './schools';
import { stancesSchema } from './stances';
import { upgraded } from './upgrade';

/** The format's name in every file, and the version this program writes; older ones are read, too. */
export const sheetFormat = 'keen-tempo/sheet';
export const sheetVersion = 3;

export const blockKinds = ['warm-up', 'show', 'round', 'rest', 'conditioning', 'core', 'cool-down'] as const;

const note = z.string().check(z.maxLength(4000));
const focuses = z.optional(z.array(focusSchema).check(z.maxLength(sheetLimits.focuses)));

export const blockSchema = z
  .strictObject({
    id,
    kind: z.enum(blockKinds),
    title: z.optional(words),
    purpose: z.optional(words).check(z.describe('what it is for, in a line')),
    ms: z.nullable(ms).check(z.describe('null: open-ended until a key is pressed (rests only)')),
    bag: z.optional(z.enum(bagKinds)),
    goal: z.optional(z.int().check(z.gte(1), z.lte(100_000))).check(z.describe('punch goal')),
    times: z.optional(z.int().check(z.gte(1), z.lte(99))),
    restMs: z.optional(ms).check(z.describe('rest between repeats')),
    switchStance: z
      .optional(z.boolean())
      .check(z.describe('the class switches stance before it; with repeats, before every other one')),
    learnThenMirror: z
      .optional(z.boolean())
      .check(z.describe('first half in own stance, second half mirrored, same total length')),
    says: z
      .optional(
        z
          .array(z.strictObject({ words, atMs: z.int().check(z.gte(0), z.lte(sheetLimits.ms)) }))
          .check(z.maxLength(sheetLimits.says)),
      )
      .check(z.describe('the coach’s own calls, timed from the start of the block')),
    focuses: focuses.check(z.describe('cues for this block')),
    note: z.optional(note),
    pieces: z.array(pieceSchema).check(z.maxLength(sheetLimits.pieces)),
  })
  .check(
    z.refine((each) => each.ms !== null || each.kind === 'rest', { path: ['ms'], error: 'only a rest can be open' }),
  );

/** A coach's own numbering beyond six, as it is kept and as a sheet carries it. */
export const ownNumbersSchema = z.strictObject({
  name: z.string().check(z.minLength(1), z.maxLength(60)),
  beyondSix: z
    .array(
      z.strictObject({
        number: z.int().check(z.gte(7), z.lte(99)),
        move: z.string().check(z.minLength(1), z.maxLength(40)),
      }),
    )
    .check(z.maxLength(93)),
});

const plainSheet = z.strictObject({
  format: z.literal(sheetFormat),
  version: z.literal(sheetVersion),
  id,
  title: z.string().check(z.maxLength(200)),
  class: z._default(
    z.strictObject({
      people: z.optional(z.int().check(z.gte(0), z.lte(500))),
      level: z.optional(z.enum(levels)),
      leftHanded: z.optional(z.int().check(z.gte(0), z.lte(500))),
      pace: z.optional(z.number().check(z.gte(0.3), z.lte(2.5))).check(z.describe('pace of this class; default 1')),
      note: z.optional(words),
    }),
    {},
  ),
  ownBags: z
    .optional(z.array(ownBagSchema).check(z.maxLength(20)))
    .check(z.describe('the coach’s own kinds of bag used by the stations')),
  lanes: z.optional(z.array(laneSchema).check(z.maxLength(12))).check(z.describe('stations the groups rotate through')),
  groups: z
    .optional(z.int().check(z.gte(1), z.lte(100)))
    .check(z.describe('number of groups; default one per station')),
  changeOverMs: z.optional(z.int().check(z.gte(0), z.lte(600_000))).check(z.describe('time to rotate; default 20 s')),
  stances: z.optional(stancesSchema).check(z.describe('when the class switches stance; if missing, the blocks decide')),
  schools: z.optional(schoolsSchema).check(z.describe('this sheet’s choices where coaches differ')),
  ball: z.optional(ballSchema).check(z.describe('double-end bag measurements')),
  gloves: z
    .optional(
      z.strictObject({ onMs: z.int().check(z.gte(0), z.lte(600_000)), offMs: z.int().check(z.gte(0), z.lte(600_000)) }),
    )
    .check(z.describe('time to put gloves on and take them off; default 45 s and 20 s')),
  focuses: focuses.check(z.describe('cues for this session, added to the built-in ones')),
  calls: z.optional(sheetCallsSchema).check(z.describe('which calls are made, and their wording')),
  numbers: z._default(z.union([z.enum(['six', 'eight']), ownNumbersSchema]), 'six'),
  stance: z._default(z.enum(stanceNames), 'orthodox'),
  bag: z._default(z.enum(bagKinds), 'shadow'),
  parts: z
    .optional(
      z
        .array(z.strictObject({ name: z.string().check(z.minLength(1), z.maxLength(40)), text: combinationTextSchema }))
        .check(z.maxLength(sheetLimits.parts)),
    )
    .check(z.describe('named combinations that can be typed by name')),
  head: z
    .optional(
      z
        .array(z.strictObject({ key: z.string().check(z.minLength(1), z.maxLength(60)), value: words }))
        .check(z.maxLength(sheetLimits.headLines)),
    )
    .check(z.describe('header lines Keen Tempo does not know')),
  note: z.optional(note),
  origin: z
    .optional(z.string().check(z.maxLength(mostOrigin)))
    .check(z.describe('the coach’s note that the sheet was made from')),
  blocks: z.array(blockSchema).check(z.maxLength(sheetLimits.blocks)),
});

/** Everything of a sheet but its blocks. */
export const headSchema = z.omit(plainSheet, { blocks: true });

const checkedSheet = plainSheet.check(
  z.superRefine((sheet, context) => {
    const seen = new Set<string>();
    const once = (value: string, path: (string | number)[]): void => {
      if (seen.has(value)) context.addIssue({ code: 'custom', path, message: `id "${value}" is used twice` });
      seen.add(value);
    };
    const onceByName = (names: readonly string[], path: string): void => {
      names.forEach((name, at) => {
        if (names.findIndex((other) => other.toLowerCase() === name.toLowerCase()) < at)
          context.addIssue({ code: 'custom', path: [path, at], message: `"${name}" is used twice` });
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
  }),
);

/** A sheet: what a coach plans. Everything else is derived from it. An older version is brought up to this one as it is read. */
export const sheetSchema = z.pipe(z.transform(upgraded), checkedSheet);

export type Sheet = z.infer<typeof checkedSheet>;
export type Block = Sheet['blocks'][number];
export type Piece = Block['pieces'][number];
export type BlockKind = Block['kind'];
export type PieceOf<Kind extends Piece['kind']> = Extract<Piece, { kind: Kind }>;

/** The published JSON Schema of a sheet's file (draft 2020-12), written to `docs/formats/`. */
export function sheetJsonSchema(): Record<string, unknown> {
  return {
    ...z.toJSONSchema(plainSheet, { io: 'input' }),
    $id: 'urn:keen-tempo:sheet:3',
    title: 'Keen Tempo sheet, version 3',
  };
}
