import type * as z from '../schemas';
import { sheetLimits } from './limits';
import { blockSchema, headSchema, sheetSchema, type Block, type Piece, type Sheet } from './schema';
import { sayClock } from '../clock-text';

type Issue = z.core.$ZodIssue;

const fieldWords = {
  ms: 'length',
  restMs: 'rest between repeats',
  times: 'repeats',
  goal: 'goal',
  title: 'title',
  words: 'words',
  note: 'note',
  pieces: 'drills in a block',
  blocks: 'blocks on a sheet',
  says: 'calls in a block',
  head: 'other lines',
  parts: 'named parts',
  focuses: 'cues',
  every: 'stage lengths',
  gapMs: 'a gap',
} as const;
const fieldNames: Readonly<Partial<Record<string, string>>> = fieldWords;

function nameOf(path: readonly PropertyKey[]): string {
  const name = path.findLast((step) => typeof step === 'string');
  return (typeof name === 'string' ? fieldNames[name] : undefined) ?? (name === undefined ? 'this' : String(name));
}

const isTime = (path: readonly PropertyKey[]): boolean => /ms$/i.test(String(path.at(-1) ?? ''));

/** What a limit says, in a coach's words, with the mend. */
function sayIssue(issue: Issue): string {
  const name = nameOf(issue.path);
  if (issue.code === 'too_big') {
    const most = isTime(issue.path) ? sayClock(Number(issue.maximum)) : Number(issue.maximum).toLocaleString('en');
    const unit = issue.origin === 'string' ? ' characters' : '';
    return `${name}: at most ${most}${unit}`;
  }
  if (issue.code === 'too_small') {
    const least = isTime(issue.path) ? sayClock(Number(issue.minimum)) : Number(issue.minimum).toLocaleString('en');
    return `${name}: at least ${least}`;
  }
  return `${name}: ${issue.message}`;
}

function idsTwice(blocks: readonly Block[]): boolean {
  const seen = new Set<string>();
  let count = 0;
  for (const { id, pieces } of blocks) {
    seen.add(id);
    for (const piece of pieces) seen.add(piece.id);
    count += 1 + pieces.length;
  }
  return seen.size < count;
}

/**
 * Why a changed sheet cannot be kept, in a coach's words with the limit; null where it can. Only what has changed is looked
 * at: blocks and pieces that are the very same are known to be sound.
 * @example changeFault(sheet, { ...sheet, blocks: tooMany }) // "blocks on a sheet: at most 500"
 */
export function changeFault(before: Sheet, after: Sheet): string | null {
  const { blocks, ...head } = after;
  if (after.lanes !== before.lanes || after.ownBags !== before.ownBags || blocks.length > before.blocks.length + 50)
    return issueIn(sheetSchema.safeParse(after));
  const first = issueIn(headSchema.safeParse(head));
  if (first) return first;
  if (blocks === before.blocks) return null;
  if (blocks.length > sheetLimits.blocks) return `${fieldWords.blocks}: at most ${sheetLimits.blocks}`;
  const known = new Set<Block | Piece>(before.blocks.flatMap((block) => [block, ...block.pieces]));
  for (const block of blocks) {
    if (known.has(block)) continue;
    const { pieces } = block;
    if (pieces.length > sheetLimits.pieces) return `${fieldWords.pieces}: at most ${sheetLimits.pieces}`;
    const fault = issueIn(blockSchema.safeParse({ ...block, pieces: pieces.filter((piece) => !known.has(piece)) }));
    if (fault) return fault;
  }
  return idsTwice(blocks) ? 'two items have the same id: add it again' : null;
}

function issueIn(read: z.core.util.SafeParseResult<unknown>): string | null {
  const [issue] = read.success ? [] : read.error.issues;
  return issue ? sayIssue(issue) : null;
}
