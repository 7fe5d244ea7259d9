import * as z from '../schemas';
import { liveChangeSchema } from '../run/live-changes';
import { phases } from '../run/deeds';
import { combinationTextSchema } from '../sheet/pieces';
import { codeSigns, wallLimits } from './limits';
import { wallPlanSchema, wallStateSchema } from './plan';

/** What a wall may show. */
export const wallViews = ['everything', 'lane', 'clock', 'board'] as const;
export type WallView = (typeof wallViews)[number];

/** A code as it is shown; what was typed is brought into its form before (`codeOf`). */
export const codeSchema = z.string().check(z.regex(new RegExp(`^[${codeSigns}]{${wallLimits.code}}$`)));
const secret = z.string().check(z.regex(/^[A-Za-z0-9_-]{20,64}$/));
/** The server's proof that a code and a remote's secret belong to the tablet that opened the room. */
const pass = secret;
const guest = z.string().check(z.regex(/^[a-z0-9]{1,16}$/));
const moment = z.number();

/** What a wall shows: of one lane, which bag. */
export const showingSchema = z.strictObject({
  view: z.enum(wallViews),
  lane: z.nullable(z.string().check(z.maxLength(60))),
  sound: z.boolean(),
});
export type Showing = z.infer<typeof showingSchema>;

/** What a remote does that is no change of the plan. */
export const remoteDeeds = ['toggle', 'hold', 'back', 'forward', 'repeat', 'stage back', 'stop', 'undo'] as const;
export type RemoteDeed = (typeof remoteDeeds)[number];

/** A press on a remote. A change has no moment of its own: it is the tablet's. */
export const pressSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('deed'), deed: z.enum(remoteDeeds) }),
  z.strictObject({ kind: z.literal('pace'), by: z.number().check(z.gte(-1), z.lte(1)) }),
  z.strictObject({ kind: z.literal('change'), change: liveChangeSchema }),
]);
export type Press = z.infer<typeof pressSchema>;

/** What a remote shows beside the clock: what can be pressed now. */
export const panelSchema = z.strictObject({
  phase: z.nullable(z.enum(phases)),
  pace: z.number(),
  last: z.nullable(z.string().check(z.maxLength(200))),
  resting: z.boolean(),
  staged: z.boolean(),
  /** Combinations of the book that can come instead of what is on, as many as a thumb can look through. */
  instead: z
    .array(z.strictObject({ name: z.string().check(z.maxLength(260)), text: combinationTextSchema }))
    .check(z.maxLength(wallLimits.instead)),
});
export type RemotePanel = z.infer<typeof panelSchema>;

const kind = <Name extends string>(name: Name) => z.literal(name);
const to = z.optional(guest);
const ping = z.strictObject({ kind: kind('ping'), t0: moment });

/** The first word of a line: what it wants to be. */
export const helloSchema = z.discriminatedUnion('kind', [
  /** A tablet that runs a session; with the room it had, where it had one. */
  z.strictObject({
    kind: kind('open'),
    secret,
    room: z.optional(z.strictObject({ code: codeSchema, control: secret, pass })),
  }),
  z.strictObject({ kind: kind('join'), code: codeSchema }),
  z.strictObject({ kind: kind('control'), code: codeSchema, secret }),
]);
export type Hello = z.infer<typeof helloSchema>;

/** What the tablet says. What has no `to` goes to everybody whom it is for. */
export const hostSchema = z.discriminatedUnion('kind', [
  ping,
  z.strictObject({ kind: kind('plan'), to, plan: wallPlanSchema }),
  z.strictObject({ kind: kind('state'), to, state: z.nullable(wallStateSchema) }),
  z.strictObject({ kind: kind('panel'), to, panel: panelSchema }),
  z.strictObject({ kind: kind('show'), to: guest, showing: showingSchema }),
  z.strictObject({ kind: kind('shut'), to: guest }),
  z.strictObject({ kind: kind('close') }),
]);
export type HostMessage = z.infer<typeof hostSchema>;

/** What a wall says. */
export const wallSchema = z.discriminatedUnion('kind', [
  ping,
  z.strictObject({ kind: kind('showing'), showing: showingSchema }),
]);
export type WallMessage = z.infer<typeof wallSchema>;

/** What a remote says; each press bears a number, none that is not larger than the last is taken. */
export const remoteSchema = z.discriminatedUnion('kind', [
  ping,
  z.strictObject({ kind: kind('press'), number: z.int().check(z.gte(0)), press: pressSchema }),
]);
export type RemoteMessage = z.infer<typeof remoteSchema>;

export const roles = ['wall', 'remote'] as const;
export type Role = (typeof roles)[number];

/** Somebody who looks on. */
export const memberSchema = z.strictObject({ id: guest, role: z.enum(roles), showing: z.nullable(showingSchema) });
export type Member = z.infer<typeof memberSchema>;

/** Why somebody is turned away. */
export const refusals = [
  'no such code',
  'wrong secret',
  'too many',
  'too many from here',
  'too often',
  'not understood',
  'shut out',
] as const;
export type Refusal = (typeof refusals)[number];

/** What the server says. */
export const serverSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: kind('opened'),
    code: codeSchema,
    control: secret,
    pass,
    /** Addresses of this machine in its network; none where it listens to itself alone. */
    addresses: z.array(z.string().check(z.maxLength(200))).check(z.maxLength(20)),
  }),
  z.strictObject({ kind: kind('joined'), id: guest }),
  /** To the tablet: its room has another code and another secret for remotes, since a device was shut out. */
  z.strictObject({ kind: kind('renewed'), code: codeSchema, control: secret, pass }),
  /** To whoever stays: what it comes back with; the secret to remotes alone. */
  z.strictObject({ kind: kind('moved'), code: codeSchema, control: z.optional(secret) }),
  /** To a tablet: another page has opened its room. It does not come back by itself. */
  z.strictObject({ kind: kind('replaced') }),
  z.strictObject({ kind: kind('pong'), t0: moment, t1: moment, t2: moment }),
  z.strictObject({ kind: kind('members'), members: z.array(memberSchema).check(z.maxLength(wallLimits.guests)) }),
  z.strictObject({ kind: kind('plan'), plan: wallPlanSchema }),
  z.strictObject({ kind: kind('state'), state: z.nullable(wallStateSchema) }),
  z.strictObject({ kind: kind('panel'), panel: panelSchema }),
  z.strictObject({ kind: kind('show'), showing: showingSchema }),
  z.strictObject({ kind: kind('press'), from: guest, press: pressSchema }),
  /** Whether the tablet is on the line. */
  z.strictObject({ kind: kind('host'), here: z.boolean() }),
  z.strictObject({ kind: kind('refused'), why: z.enum(refusals) }),
  /** The coach has ended it, or it has run out. */
  z.strictObject({ kind: kind('ended') }),
]);
export type ServerMessage = z.infer<typeof serverSchema>;

/** A code as somebody has typed it, in its own form: capitals, no blanks or dashes. `codeOf('bcd-f 2')` → `"BCDF2"` */
export const codeOf = (typed: string): string => typed.replace(/[\s-]/g, '').toUpperCase();

/**
 * A message of the other end; null where it is none.
 * @example readMessage(wallSchema, '{"kind":"ping","t0":1}') // { kind: 'ping', t0: 1 }
 */
export function readMessage<Message>(schema: z.ZodMiniType<Message>, text: string): Message | null {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return null;
  }
  const read = schema.safeParse(data);
  return read.success ? read.data : null;
}
