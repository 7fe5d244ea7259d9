import type { MoveKind } from './kind';
import { otherMoves } from './other-moves';
import { handStrikes } from './hand-strikes';
import { legStrikes } from './leg-strikes';

/**
 * Every move the product knows, strikes first. A new one is an entry in `strikes.ts` or `other-moves.ts`; the fields of
 * `MoveKind` say what else must be known of it.
 */
const kinds = [...handStrikes, ...legStrikes, ...otherMoves] as const;

/** The identifiers of the catalogue, so that a misspelt one does not compile. */
export type MoveId = (typeof kinds)[number]['id'];

/** The catalogue in reading order. */
export const moveKinds: readonly (MoveKind & { readonly id: MoveId })[] = kinds;

const byId = new Map<string, MoveKind & { readonly id: MoveId }>(moveKinds.map((kind) => [kind.id, kind]));

/** What is known of a kind of move. `moveKind('hook').ms` → `360` */
export function moveKind(id: MoveId): MoveKind {
  const found = byId.get(id);
  if (found === undefined) throw new Error(`no move kind ${id}`);
  return found;
}

/** The kind that a trait of another names; null where it names none. A spec sees that every name is there. */
export function kindNamed(id: string | null | undefined): (MoveKind & { readonly id: MoveId }) | null {
  return id ? (byId.get(id) ?? null) : null;
}
