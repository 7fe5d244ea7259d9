import { sheetSchema, type Sheet } from '../sheet/schema';
import { alike } from './alike';
import { merge3, withPart, type Clash, type Merged, type PathStep } from './three-way';

/** Items of lists are one whole each, but blocks, whose fields and pieces are parts of their own. */
function isWhole(path: readonly PathStep[]): boolean {
  return typeof path.at(-1) === 'object' && path.at(-2) !== 'blocks';
}

/**
 * Brings two changes of one sheet together: the title, each head line, each field of a block and each piece by itself. Where
 * both have changed the same part mine stands, and the clash is told. What would come out as no sheet (too many blocks, say)
 * is one clash of the whole.
 * @example mergeSheets(base, mine, theirs).clashes // [] where different parts were changed
 */
export function mergeSheets(base: Sheet, mine: Sheet, theirs: Sheet): Merged<Sheet> {
  const merged = merge3(base, mine, theirs, isWhole);
  if (alike(merged.value, mine) && merged.clashes.length === 0) return { value: mine, clashes: [] };
  const read = sheetSchema.safeParse(merged.value);
  return read.success
    ? { value: read.data, clashes: merged.clashes }
    : { value: mine, clashes: [{ path: [], mine, theirs }] };
}

/** What of a clash is kept. */
export type Choice = 'mine' | 'theirs' | 'both';

const textOf = (value: unknown): string | null =>
  typeof value === 'string' && value.trim() !== '' ? value.trim() : null;

/** Both of a clash, where that can be: two texts one after the other, two items of a list. */
function bothIn(sheet: Sheet, { path, mine, theirs }: Clash, freshId: () => string): Sheet | null {
  const [here, there] = [textOf(mine), textOf(theirs)];
  if (here !== null && there !== null) return withPart(sheet, path, `${there} / ${here}`);
  const last = path.at(-1);
  if (typeof last !== 'object' || typeof theirs !== 'object' || theirs === null || mine === undefined) return null;
  if (!('id' in theirs)) return null;
  const beside = { ...theirs, id: freshId() };
  return withPart(sheet, [...path.slice(0, -1), { item: beside.id }], beside);
}

/**
 * A sheet with a clash settled; null where it cannot be settled that way (two lengths cannot both stand), or would be no sheet.
 * @example settled(sheet, clash, 'theirs', freshId)?.title
 */
export function settled(sheet: Sheet, clash: Clash, choice: Choice, freshId: () => string): Sheet | null {
  const now = choice === 'both' ? bothIn(sheet, clash, freshId) : withPart(sheet, clash.path, clash[choice]);
  const read = now && sheetSchema.safeParse(now);
  return read?.success ? read.data : null;
}

const fieldWords: Readonly<Partial<Record<string, string>>> = {
  title: 'title',
  ms: 'length',
  note: 'note',
  times: 'repeats',
  restMs: 'rest between repeats',
  pieces: 'piece',
  blocks: 'block',
  head: 'head line',
  class: 'class',
  parts: 'named part',
  says: 'own calls',
  focuses: 'cues',
};

/** A clash's place in words. `placeOf(sheet, clash)` → `the length of Round 1` */
export function placeOf(sheet: Sheet, { path }: Clash): string {
  if (path.length === 0) return 'the sheet';
  const at = path.findIndex((step, index) => typeof step === 'object' && path[index - 1] === 'blocks');
  const step = path[at];
  const block = typeof step === 'object' ? sheet.blocks.find(({ id }) => id === step.item) : undefined;
  const fields = path.slice(at + 1).filter((each): each is string => typeof each === 'string');
  const field = fields.map((each) => fieldWords[each] ?? each).join(', ');
  const name = block ? (block.title ?? block.kind) : '';
  if (at < 0) return `the ${field}`;
  return field ? `the ${field} of ${name || 'a block'}` : name || 'a block';
}
