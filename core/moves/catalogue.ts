import type { MoveKind, Side, Target } from './kind';

const either: readonly Side[] = ['lead', 'rear'];
const onlyLead: readonly Side[] = ['lead'];
const onlyRear: readonly Side[] = ['rear'];
const headOrBody: readonly Target[] = ['head', 'body'];
const bodyOrHead: readonly Target[] = ['body', 'head'];

const punch = { family: 'punch', limb: 'hand', targets: headOrBody } as const;
const straight = { ...punch, ms: 300, shape: 'straight', reach: 'bridging' } as const;
const knee = { family: 'knee', limb: 'leg', targets: bodyOrHead, ms: 600, reach: 'close' } as const;
const kick = { family: 'kick', limb: 'leg', ms: 750, reach: 'bridging' } as const;
const defence = { family: 'defence', limb: null, targets: [] } as const;
const plain = { limb: null, sides: [], usual: null, targets: [] } as const;
const step = { ...plain, family: 'feet', ms: 300 } as const;

/**
 * Every move the product knows, in the order of the trade page, section 3. Lengths are house values (section 4);
 * where that table is silent the nearest relative's length stands: parry and cover as block, pull back as slip,
 * circle, pivot and angle as a step, shift as switch, step-up kick as switch kick, wait half a second.
 */
const kinds = [
  {
    ...straight,
    id: 'jab',
    name: 'jab',
    sides: onlyLead,
    usual: 'lead',
    short: { lead: '1' },
    alsoNames: ['lead straight'],
  },
  {
    ...straight,
    id: 'cross',
    name: 'cross',
    sides: onlyRear,
    usual: 'rear',
    short: { rear: '2' },
    alsoNames: ['rear straight'],
  },
  {
    ...punch,
    id: 'hook',
    name: 'hook',
    sides: either,
    usual: 'lead',
    ms: 360,
    shape: 'turning',
    reach: 'close',
    short: { lead: '3', rear: '4' },
    sideInName: true,
  },
  {
    ...punch,
    id: 'uppercut',
    name: 'uppercut',
    sides: either,
    usual: 'lead',
    ms: 380,
    shape: 'rising',
    reach: 'close',
    short: { lead: '5', rear: '6' },
    sideInName: true,
  },
  {
    ...punch,
    id: 'overhand',
    name: 'overhand',
    sides: onlyRear,
    usual: 'rear',
    ms: 420,
    shape: 'turning',
    reach: 'close',
    short: { rear: 'oh' },
  },
  {
    ...punch,
    id: 'shovel-hook',
    name: 'shovel hook',
    sides: either,
    usual: 'lead',
    targets: bodyOrHead,
    ms: 360,
    shape: 'rising',
    reach: 'close',
    short: { lead: 'sh', rear: 'rsh' },
    alsoNames: ['shovel'],
  },
  {
    ...punch,
    id: 'back-fist',
    name: 'back fist',
    sides: onlyLead,
    usual: 'lead',
    ms: 360,
    shape: 'turning',
    reach: 'bridging',
    short: { lead: 'bf' },
    alsoNames: ['backfist'],
  },
  { ...straight, id: 'leaping-cross', name: 'leaping cross', sides: onlyRear, usual: 'rear', short: { rear: 'leap' } },
  {
    id: 'elbow',
    name: 'elbow',
    family: 'elbow',
    limb: 'hand',
    sides: either,
    usual: 'lead',
    targets: ['head'],
    ms: 360,
    reach: 'close',
    short: { lead: 'lel', rear: 'rel' },
  },
  { ...knee, id: 'knee', name: 'knee', sides: either, usual: 'rear', short: { lead: 'lkn', rear: 'rkn' } },
  { ...knee, id: 'switch-knee', name: 'switch knee', sides: onlyLead, usual: 'lead', short: { lead: 'swkn' } },
  { ...knee, id: 'jump-knee', name: 'jump knee', sides: onlyRear, usual: 'rear', short: { rear: 'jkn' } },
  {
    ...kick,
    id: 'low-kick',
    name: 'low kick',
    sides: either,
    usual: 'rear',
    targets: ['leg'],
    short: { lead: 'llk', rear: 'lk' },
    alsoShort: { rlk: 'rear' },
    alsoNames: ['leg kick'],
  },
  {
    ...kick,
    id: 'inside-low-kick',
    name: 'inside low kick',
    sides: onlyLead,
    usual: 'lead',
    targets: ['leg'],
    short: { lead: 'ilk' },
  },
  {
    ...kick,
    id: 'body-kick',
    name: 'body kick',
    sides: either,
    usual: 'rear',
    targets: ['body'],
    short: { lead: 'lbk', rear: 'bk' },
    alsoShort: { rbk: 'rear' },
    alsoNames: ['kick', 'roundhouse', 'roundhouse kick', 'round kick'],
  },
  {
    ...kick,
    id: 'head-kick',
    name: 'head kick',
    sides: either,
    usual: 'rear',
    targets: ['head'],
    short: { lead: 'lhk', rear: 'hk' },
    alsoShort: { rhk: 'rear' },
    alsoNames: ['high kick'],
  },
  {
    ...kick,
    id: 'switch-kick',
    name: 'switch kick',
    sides: onlyLead,
    usual: 'lead',
    targets: ['body', 'leg', 'head'],
    ms: 950,
    short: { lead: 'swk' },
  },
  {
    ...kick,
    id: 'step-up-kick',
    name: 'step-up kick',
    sides: onlyLead,
    usual: 'lead',
    targets: ['body'],
    ms: 950,
    short: { lead: 'suk' },
  },
  {
    id: 'teep',
    name: 'teep',
    family: 'teep',
    limb: 'leg',
    sides: either,
    usual: 'lead',
    targets: ['body', 'leg', 'head'],
    ms: 700,
    reach: 'bridging',
    short: { lead: 'tp', rear: 'rtp' },
    alsoShort: { ltp: 'lead' },
    alsoNames: ['push kick'],
  },
  {
    id: 'push',
    name: 'push',
    family: 'push',
    limb: 'hand',
    sides: onlyLead,
    usual: 'lead',
    targets: ['body'],
    ms: 300,
    reach: 'bridging',
    short: { lead: 'push' },
    alsoNames: ['open palm'],
  },

  { ...defence, id: 'slip', name: 'slip', sides: either, usual: 'rear', ms: 300, short: { both: 'sl' }, marked: true },
  {
    ...defence,
    id: 'roll',
    name: 'roll',
    sides: either,
    usual: 'rear',
    ms: 450,
    short: { both: 'ro' },
    alsoNames: ['weave'],
    marked: true,
  },
  { ...defence, id: 'duck', name: 'duck', sides: either, usual: 'rear', ms: 450, short: { both: 'du' }, marked: true },
  {
    ...defence,
    id: 'block',
    name: 'block',
    limb: 'hand',
    sides: either,
    usual: 'lead',
    ms: 250,
    short: { both: 'bl' },
    alsoNames: ['block high', 'high block'],
    marked: true,
  },
  {
    ...defence,
    id: 'parry',
    name: 'parry',
    limb: 'hand',
    sides: either,
    usual: 'lead',
    ms: 250,
    short: { both: 'pa' },
    marked: true,
  },
  {
    ...defence,
    id: 'pull-back',
    name: 'pull back',
    sides: [],
    usual: null,
    ms: 300,
    short: { both: 'pu' },
    alsoNames: ['pull'],
  },
  {
    ...defence,
    id: 'cover',
    name: 'cover',
    sides: [],
    usual: null,
    ms: 250,
    short: { both: 'cov' },
    alsoNames: ['cover up'],
  },
  {
    ...defence,
    id: 'check',
    name: 'check',
    limb: 'leg',
    sides: either,
    usual: 'lead',
    ms: 500,
    short: { both: 'ck' },
    marked: true,
  },

  { ...step, id: 'step-in', name: 'step in', short: { both: 'in' }, alsoNames: ['step forward'] },
  { ...step, id: 'step-out', name: 'step out', short: { both: 'out' }, alsoNames: ['step back'] },
  { ...step, id: 'step-left', name: 'step left', short: { both: 'left' } },
  { ...step, id: 'step-right', name: 'step right', short: { both: 'right' } },
  { ...step, id: 'circle', name: 'circle', short: { both: 'ci' } },
  { ...step, id: 'pivot', name: 'pivot', short: { both: 'piv' } },
  { ...step, id: 'angle-out', name: 'angle out', short: { both: 'ang' }, alsoNames: ['angle'] },
  { ...step, id: 'switch', name: 'switch', ms: 500, short: { both: 'switch' }, alsoNames: ['switch stance'] },
  { ...step, id: 'shift', name: 'shift', ms: 500, short: { both: 'shift' } },

  { ...plain, id: 'squat', name: 'squat', family: 'conditioning', ms: 1400, short: { both: 'sq' } },
  { ...plain, id: 'sprawl', name: 'sprawl', family: 'conditioning', ms: 2200, short: { both: 'spr' } },
  { ...plain, id: 'wait', name: 'wait', family: 'wait', ms: 500, short: { both: 'wait' } },
] as const satisfies readonly MoveKind[];

/** The identifiers of the catalogue, so that a misspelt one does not compile. */
export type MoveId = (typeof kinds)[number]['id'];

/** The catalogue in reading order. */
export const moveKinds: readonly (MoveKind & { readonly id: MoveId })[] = kinds;

const byId = new Map<string, MoveKind>(kinds.map((kind) => [kind.id, kind]));

/** What is known of a kind of move. `moveKind('hook').ms` → `360` */
export function moveKind(id: MoveId): MoveKind {
  const found = byId.get(id);
  if (found === undefined) throw new Error(`no move kind ${id}`);
  return found;
}
