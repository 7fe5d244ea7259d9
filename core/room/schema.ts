import * as z from 'zod';
import { bagNameSchema, ownBagSchema } from '../bags/own-kind';
import { levels } from '../bags/kind-names';

export const roomFormat = 'keen-tempo/room';
export const roomVersion = 1;

const metres = (least: number, most: number) => z.number().min(least).max(most);
const id = z.string().min(1).max(64);

const cords = z.strictObject({
  mass: z.number().min(0.01).max(20).describe('of the ball, kg'),
  upper: metres(0.05, 10),
  lower: metres(0.05, 10),
  tensionUpper: z.number().min(0.1).max(5000).describe('N'),
  tensionLower: z.number().min(0.1).max(5000).describe('N'),
  anchor: z
    .number()
    .min(0)
    .max(500)
    .optional()
    .describe('loose weight under the lower cord, kg; none: fixed to the floor'),
});

const roomBag = z.strictObject({
  id,
  kind: bagNameSchema,
  name: z.string().max(60),
  x: metres(0, 100).describe('middle, from the left wall'),
  y: metres(0, 100).describe('middle, from the wall in front'),
  radius: metres(0.03, 5),
  bottom: metres(0, 5).describe('lower edge above the floor'),
  top: metres(0.1, 6).describe('upper edge above the floor'),
  places: z.int().min(0).max(50).describe('people who work on it at once'),
  down: z.boolean().optional().describe('out of use'),
  mass: z.number().min(1).max(200).optional().describe('of a hung bag, kg'),
  chain: metres(0, 5).optional().describe('of a hung bag, from hook to upper edge'),
  cords: cords.optional().describe('of a ball between two cords'),
  rebounds: z.number().min(10).max(2000).optional().describe('of a speed bag, in a minute'),
});

/** A room with what hangs in it and who comes. Lengths in metres. */
export const roomSchema = z
  .strictObject({
    format: z.literal(roomFormat),
    version: z.literal(roomVersion),
    name: z.string().max(120),
    width: metres(1, 100),
    depth: metres(1, 100),
    people: z.int().min(0).max(500).optional(),
    leftHanded: z.int().min(0).max(500).optional(),
    level: z.enum(levels).optional(),
    statures: z.array(metres(0.8, 2.4)).max(500).describe('heights of those who come'),
    bags: z.array(roomBag).max(60),
    ownBags: z.array(ownBagSchema).max(20),
  })
  .superRefine(({ bags, ownBags }, context) => {
    const twice = (names: readonly string[]): boolean => new Set(names).size < names.length;
    if (twice(bags.map((bag) => bag.id)))
      context.addIssue({ code: 'custom', path: ['bags'], message: 'an id is used twice' });
    if (twice(ownBags.map(({ name }) => name.toLowerCase())))
      context.addIssue({ code: 'custom', path: ['ownBags'], message: 'a name is used twice' });
  });

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
