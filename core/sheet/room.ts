import * as z from '../schemas';
import { bagNameSchema, ownBagSchema } from '../bags/own-kind';
import { levels } from '../bags/kind-names';
import { ballSchema } from './schools';

export const roomFormat = 'keen-tempo/room';
export const roomVersion = 1;

const metres = (least: number, most: number) => z.number().check(z.gte(least), z.lte(most));
const id = z.string().check(z.minLength(1), z.maxLength(64));

const cords = z.extend(ballSchema, {
  anchor: z
    .optional(z.number().check(z.gte(0), z.lte(500)))
    .check(z.describe('loose weight holding the lower cord, kg; missing means fixed to the floor')),
});

const roomBag = z.strictObject({
  id,
  kind: bagNameSchema,
  name: z.string().check(z.maxLength(60)),
  x: metres(0, 100).check(z.describe('centre, measured from the left wall')),
  y: metres(0, 100).check(z.describe('centre, measured from the front wall')),
  radius: metres(0.03, 5),
  bottom: metres(0, 5).check(z.describe('bottom edge above the floor')),
  top: metres(0.1, 6).check(z.describe('top edge above the floor')),
  places: z.int().check(z.gte(0), z.lte(50), z.describe('people who can use it at once')),
  down: z.optional(z.boolean()).check(z.describe('out of use')),
  mass: z.optional(z.number().check(z.gte(1), z.lte(200))).check(z.describe('of a heavy bag, kg')),
  chain: z.optional(metres(0, 5)).check(z.describe('hanging bag: hook to top edge')),
  cords: z.optional(cords).check(z.describe('double-end bag')),
  rebounds: z.optional(z.number().check(z.gte(10), z.lte(2000))).check(z.describe('speed bag: rebounds per minute')),
});

/** A room with what hangs in it and who comes. Lengths in metres. */
export const roomSchema = z
  .strictObject({
    format: z.literal(roomFormat),
    version: z.literal(roomVersion),
    name: z.string().check(z.maxLength(120)),
    width: metres(1, 100),
    depth: metres(1, 100),
    people: z.optional(z.int().check(z.gte(0), z.lte(500))),
    leftHanded: z.optional(z.int().check(z.gte(0), z.lte(500))),
    level: z.optional(z.enum(levels)),
    statures: z.array(metres(0.8, 2.4)).check(z.maxLength(500), z.describe('heights of the people who train here')),
    bags: z.array(roomBag).check(z.maxLength(60)),
    ownBags: z.array(ownBagSchema).check(z.maxLength(20)),
  })
  .check(
    z.superRefine(({ bags, ownBags }, context) => {
      const twice = (names: readonly string[]): boolean => new Set(names).size < names.length;
      if (twice(bags.map((bag) => bag.id)))
        context.addIssue({ code: 'custom', path: ['bags'], message: 'an id is used twice' });
      if (twice(ownBags.map(({ name }) => name.toLowerCase())))
        context.addIssue({ code: 'custom', path: ['ownBags'], message: 'a name is used twice' });
    }),
  );

export type Room = z.infer<typeof roomSchema>;
export type RoomBag = Room['bags'][number];

/** A room that nothing is known of yet. */
export function emptyRoom(): Room {
  return {
    format: roomFormat,
    version: roomVersion,
    name: 'Room',
    width: 8,
    depth: 6,
    statures: [],
    bags: [],
    ownBags: [],
  };
}
