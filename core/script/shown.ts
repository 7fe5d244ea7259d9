import type { CallKind } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { SessionTime } from '../units';
import type { Call } from './call';

/** What a screen needs to know of a call. */
export type ShownCall = Pick<Call, 'kind' | 'at' | 'say'>;

/** What a screen needs to know of a script. */
export interface ShownScript<Shown extends ShownCall = ShownCall> {
  readonly lead: readonly Shown[];
  readonly calls: readonly Shown[];
  readonly breaks: readonly { readonly at: SessionTime; readonly calls: readonly Shown[] }[];
}

/** Kinds that a screen leaves to the voice: they pass. */
const passing: ReadonlySet<CallKind> = new Set<CallKind>([
  'bell',
  'count',
  'time',
  'cheer',
  'strikes',
  'teach',
  'drill',
]);
/** What a leaf is about is shown a little before it is said. */
const ahead = 4000;

/** What is said in a leaf that a class reads off a wall: of the script alone, so that what is muted is not shown. */
export function wordsOn(script: ShownScript, leaf: Leaf, breaksPassed: number): readonly string[] {
  if (leaf.open)
    return (script.breaks[breaksPassed]?.calls ?? []).flatMap(({ kind, say }) => (passing.has(kind) ? [] : [say]));
  const kinds: ReadonlySet<CallKind> = new Set<CallKind>(
    leaf.block === 'rest' ? ['new', 'water', 'breathing', 'gear', 'lanes'] : ['new', 'stance'],
  );
  const end = leaf.at + leaf.ms;
  // A change of stance is called before it begins.
  const from = leaf.doing === 'change-over' ? leaf.at - 2 * ahead : leaf.at;
  return [
    ...new Set(script.calls.flatMap(({ kind, at, say }) => (kinds.has(kind) && at >= from && at < end ? [say] : []))),
  ];
}

/** What is being said at a moment, or was last said in this leaf; null where nothing is, yet. */
export function saidAt<Shown extends ShownCall>(
  script: ShownScript<Shown>,
  leaf: Leaf | null,
  at: SessionTime,
): Shown | null {
  const said = at < 0 ? script.lead : script.calls;
  const from = at < 0 || !leaf ? -Infinity : leaf.at;
  const last = said.findLast((call) => call.kind !== 'bell' && call.at <= at && call.at >= from);
  if (last) return last;
  return said.find((call) => call.kind === 'new' && call.at >= from && call.at <= at + ahead) ?? null;
}
