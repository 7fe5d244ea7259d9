import type { CallKind } from '../sheet/call-kinds';
import type { Leaf } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import type { Call } from './call';

/** What a screen needs to know of a call. */
export interface ShownCall extends Pick<Call, 'kind' | 'at' | 'say'> {
  readonly parts?: readonly { readonly at: Milliseconds; readonly step?: string | undefined }[] | undefined;
}

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
    leaf.block === 'rest' ? ['new', 'own', 'water', 'breathing', 'gear', 'lanes'] : ['new', 'stance'],
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

/**
 * The step of a combination that is being shown at a moment of a show; null where none is named.
 * @example taughtAt(script, show, show.at + 9000) // "2"
 */
export function taughtAt(script: Pick<ShownScript, 'calls'>, leaf: Pick<Leaf, 'at'>, at: SessionTime): string | null {
  const call = script.calls.findLast(({ kind, at: begins }) => kind === 'teach' && begins >= leaf.at && begins <= at);
  return call?.parts?.findLast(({ at: after }) => call.at + after <= at)?.step ?? null;
}
