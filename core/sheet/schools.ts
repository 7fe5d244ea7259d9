import * as z from '../schemas';

/** Where coaches disagree, as far as a sheet says it itself; the rest is the coach's own (trade page, section 13). */
export const schoolsSchema = z.strictObject({
  kick: z.optional(z.enum(['opposite', 'same'])),
  afterHook: z.optional(z.enum(['rear straight', 'same hand'])),
  bodyOnDoubleEnd: z.optional(z.enum(['none', 'lower cord'])),
  ballTricks: z.optional(z.boolean()),
});

type Schools = z.infer<typeof schoolsSchema>;

/** A question where coaches disagree, with its answers, the default first. */
export interface School {
  readonly key: keyof Schools;
  /** How it is written in tempo text and in the command, and what it is called on the screen. */
  readonly written: string;
  readonly name: string;
  readonly answers: readonly { readonly written: string; readonly name: string; readonly means: Schools }[];
}

/** All of them (trade page, section 13). */
export const schools: readonly School[] = [
  {
    key: 'kick',
    written: 'kick',
    name: 'Kick after a punch',
    answers: [
      { written: 'opposite', name: 'opposite leg', means: { kick: 'opposite' } },
      { written: 'same', name: 'same side', means: { kick: 'same' } },
    ],
  },
  {
    key: 'afterHook',
    written: 'after-hook',
    name: 'Double-end bag after a hook',
    answers: [
      { written: 'rear-straight', name: 'rear straight', means: { afterHook: 'rear straight' } },
      { written: 'same-hand', name: 'same hand', means: { afterHook: 'same hand' } },
    ],
  },
  {
    key: 'bodyOnDoubleEnd',
    written: 'ball-body',
    name: 'Body shots on the double-end bag',
    answers: [
      { written: 'no', name: 'none', means: { bodyOnDoubleEnd: 'none' } },
      { written: 'cord', name: 'lower cord', means: { bodyOnDoubleEnd: 'lower cord' } },
    ],
  },
  {
    key: 'ballTricks',
    written: 'ball-tricks',
    name: 'Elbow touches',
    answers: [
      { written: 'no', name: 'no', means: { ballTricks: false } },
      { written: 'yes', name: 'yes', means: { ballTricks: true } },
    ],
  },
];

/** Figures of a ball between two cords: kilograms, metres and newtons. */
export const ballSchema = z.strictObject({
  mass: z.number().check(z.gte(0.01), z.lte(20)),
  upper: z.number().check(z.gte(0.05), z.lte(10)),
  lower: z.number().check(z.gte(0.05), z.lte(10)),
  tensionUpper: z.number().check(z.gte(0.1), z.lte(5000)),
  tensionLower: z.number().check(z.gte(0.1), z.lte(5000)),
});
