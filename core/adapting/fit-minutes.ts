import type { Milliseconds } from '../units';
import { listChanges } from './changes';
import { compile } from '../timeline/compile';
import type { Block, BlockKind, Piece, Sheet } from '../sheet/schema';
import { perRound } from '../timeline/stages';

/** A sheet of the wished length, or the nearest lengths that can be reached. */
export type Fitted =
  | { readonly ok: true; readonly sheet: Sheet; readonly changes: readonly string[] }
  | { readonly ok: false; readonly nearest: readonly Milliseconds[] };

interface Bounds {
  readonly block: Partial<Record<BlockKind, { readonly least: Milliseconds; readonly most: Milliseconds }>>;
  readonly rest: { readonly least: Milliseconds; readonly most: Milliseconds };
}

/**
 * How far blocks may be stretched or cut: gently first, with more or fewer rounds, then as far as it goes (house values,
 * from the trade's usual lengths, trade page, section 6).
 */
const gentle: Bounds = {
  block: {
    'warm-up': { least: 300_000, most: 480_000 },
    'cool-down': { least: 150_000, most: 300_000 },
    core: { least: 180_000, most: 300_000 },
    conditioning: { least: 120_000, most: 240_000 },
  },
  rest: { least: 45_000, most: 75_000 },
};
const wide: Bounds = {
  block: {
    'warm-up': { least: 180_000, most: 600_000 },
    'cool-down': { least: 90_000, most: 480_000 },
    core: { least: 120_000, most: 360_000 },
    conditioning: { least: 60_000, most: 300_000 },
  },
  rest: { least: 30_000, most: 90_000 },
};
/** Rests move in steps of five seconds, and by single seconds only where nothing else can. */
const restSteps: readonly Milliseconds[] = [5000, 1000];
const usualRest: Milliseconds = 60_000;
const mostTries = 200;

interface Slack {
  readonly blockId: string;
  /** Which length is meant: the block's own, or the rest between its repeats. */
  readonly what: 'block' | 'between';
  readonly ms: Milliseconds;
  readonly least: Milliseconds;
  readonly most: Milliseconds;
  /** How often the length counts on the clock. */
  readonly weight: number;
}

/** Whether a block's pieces can be stretched with it: builds keep their stages. */
function stretches(block: Block): boolean {
  return !block.pieces.some((piece) => piece.kind === 'build') && (block.says ?? []).length === 0;
}

function slackOf(block: Block, bounds: Bounds): Slack[] {
  const times = block.times ?? 1;
  const slack: Slack[] = [];
  const limit = block.kind === 'rest' ? bounds.rest : bounds.block[block.kind];
  if (limit && block.ms !== null && stretches(block)) {
    // A length that the coach chose beyond the usual stays possible; every piece keeps a second.
    const least = Math.max(Math.min(limit.least, block.ms), block.pieces.length * 5000);
    slack.push({
      blockId: block.id,
      what: 'block',
      ms: block.ms,
      least: Math.min(least, block.ms),
      most: Math.max(limit.most, block.ms),
      weight: times,
    });
  }
  if (times > 1 && block.restMs)
    slack.push({
      blockId: block.id,
      what: 'between',
      ms: block.restMs,
      least: Math.min(bounds.rest.least, block.restMs),
      most: Math.max(bounds.rest.most, block.restMs),
      weight: times - 1,
    });
  return slack;
}

const isRest = (slack: Slack, sheet: Sheet): boolean =>
  slack.what === 'between' || sheet.blocks.find(({ id }) => id === slack.blockId)?.kind === 'rest';

/** Pieces stretched with their block, on seconds where they were; the last takes what is over. */
function stretchPieces(pieces: readonly Piece[], from: Milliseconds, to: Milliseconds): Piece[] {
  let left = to;
  return pieces.map((piece, at) => {
    if (piece.kind === 'build') return piece;
    const rest = (pieces.length - at - 1) * 1000;
    const wanted = Math.round((piece.ms * to) / from / 5000) * 5000;
    const ms = at === pieces.length - 1 ? left : Math.min(Math.max(wanted, 1000), left - rest);
    left -= ms;
    return ms === piece.ms ? piece : { ...piece, ms };
  });
}

function withLengths(sheet: Sheet, lengths: ReadonlyMap<Slack, Milliseconds>): Sheet {
  const of = (blockId: string, what: Slack['what']): Milliseconds | null => {
    for (const [slack, ms] of lengths) if (slack.blockId === blockId && slack.what === what) return ms;
    return null;
  };
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) => {
      const [own, between] = [of(block.id, 'block'), of(block.id, 'between')];
      const stretched =
        own === null || block.ms === null || own === block.ms
          ? block
          : { ...block, ms: own, pieces: stretchPieces(block.pieces, block.ms, own) };
      return between === null || between === block.restMs ? stretched : { ...stretched, restMs: between };
    }),
  };
}

/** The most and the least that a sheet can take with its rounds as they are. */
function reach(sheet: Sheet, bounds: Bounds): { least: Milliseconds; most: Milliseconds } {
  const { ms } = compile(sheet);
  const slack = sheet.blocks.flatMap((block) => slackOf(block, bounds));
  return {
    least: ms + slack.reduce((sum, each) => sum + (each.least - each.ms) * each.weight, 0),
    most: ms + slack.reduce((sum, each) => sum + (each.most - each.ms) * each.weight, 0),
  };
}

/** Moves single lengths until the whole is right: what frames the class first, then rests in steps. Null where it cannot be. */
function stretchTo(sheet: Sheet, target: Milliseconds, bounds: Bounds): Sheet | null {
  const slack = sheet.blocks.flatMap((block) => slackOf(block, bounds));
  const lengths = new Map(slack.map((each) => [each, each.ms]));
  const at = (each: Slack): Milliseconds => lengths.get(each) ?? each.ms;
  let missing = target - compile(sheet).ms;
  const rests = slack.filter((each) => isRest(each, sheet));
  const frames = slack.filter((each) => !isRest(each, sheet));
  const room = (): Milliseconds =>
    frames.reduce((sum, each) => sum + (missing > 0 ? each.most - at(each) : each.least - at(each)) * each.weight, 0);
  for (const step of restSteps)
    for (let moved = true; moved && Math.abs(missing) > Math.abs(room());) {
      moved = false;
      for (const each of rests) {
        const sign = Math.sign(missing);
        const next = at(each) + sign * step;
        const fits = next >= each.least && next <= each.most && Math.abs(missing) >= step * each.weight;
        if (!fits || Math.abs(missing) <= Math.abs(room())) continue;
        lengths.set(each, next);
        missing -= sign * step * each.weight;
        moved = true;
      }
    }
  // The rest is shared out among warm-up, core and cool-down by the room each has; the last takes what is over.
  const all = room();
  const share = missing;
  for (const each of frames) {
    if (missing === 0 || all === 0) break;
    const own = (missing > 0 ? each.most - at(each) : each.least - at(each)) * each.weight;
    const wanted = Math.round((share * own) / all / 5000) * 5000;
    const part = Math.trunc(
      (Math.sign(share) * Math.min(Math.abs(wanted), Math.abs(own), Math.abs(missing))) / each.weight,
    );
    lengths.set(each, at(each) + part);
    missing -= part * each.weight;
  }
  for (const each of frames) {
    const next = Math.min(each.most, Math.max(each.least, at(each) + Math.trunc(missing / each.weight)));
    missing -= (next - at(each)) * each.weight;
    lengths.set(each, next);
  }
  return missing === 0 ? withLengths(sheet, lengths) : null;
}

/** A round less: a repeat of the block that repeats most, else the last single round but one with its rest. Null at the last. */
function oneRoundLess(sheet: Sheet): Sheet | null {
  const rounds = sheet.blocks.filter((block) => block.kind === 'round');
  const most = rounds
    .filter((block) => (block.times ?? 1) > 1 && !block.pieces.some(perRound))
    .reduce<Block | null>((best, block) => ((block.times ?? 1) > (best?.times ?? 1) ? block : best), null);
  if (most)
    return {
      ...sheet,
      blocks: sheet.blocks.map((block) => {
        if (block.id !== most.id) return block;
        const { times = 1, restMs, ...single } = block;
        return times > 2 ? { ...block, times: times - 1 } : single;
      }),
    };
  const gone = rounds.length > 2 ? rounds.at(-2) : rounds.length === 2 ? rounds.at(-1) : undefined;
  if (!gone) return null;
  const at = sheet.blocks.indexOf(gone);
  const behind = sheet.blocks[at + 1];
  const before = sheet.blocks[at - 1];
  const rest = behind?.kind === 'rest' ? behind : before?.kind === 'rest' ? before : null;
  const shown = sheet.blocks[at - 1]?.kind === 'show' ? sheet.blocks[at - 1] : null;
  return { ...sheet, blocks: sheet.blocks.filter((block) => block !== gone && block !== rest && block !== shown) };
}

/** A round more: the last round that is not a build a round is done once more. */
function oneRoundMore(sheet: Sheet): Sheet | null {
  const last = sheet.blocks.findLast(
    (block) => block.kind === 'round' && (block.times ?? 1) < 99 && !block.pieces.some(perRound),
  );
  if (!last) return null;
  return {
    ...sheet,
    blocks: sheet.blocks.map((block) =>
      block.id === last.id ? { ...block, times: (block.times ?? 1) + 1, restMs: block.restMs ?? usualRest } : block,
    ),
  };
}

/**
 * Stretches or cuts a sheet to a total, exactly: rounds stay whole, builds keep their stages, rests stay between 30 and
 * 90 s. Warm-up, core and cool-down move first, then rests, then whole rounds go or come. Where no way leads there, the
 * nearest totals below and above are named. Open breaks take no time.
 * @example fitToMinutes(sheet, 30 * 60_000)
 */
export function fitToMinutes(sheet: Sheet, target: Milliseconds): Fitted {
  const fewer = target < compile(sheet).ms;
  const nearest: { below: Milliseconds | null; above: Milliseconds | null } = { below: null, above: null };
  const note = (ms: Milliseconds): void => {
    if (ms < target) nearest.below = Math.max(nearest.below ?? ms, ms);
    else if (ms > target) nearest.above = Math.min(nearest.above ?? ms, ms);
  };
  for (const bounds of [gentle, wide]) {
    let now: Sheet | null = sheet;
    for (let tries = 0; now && tries < mostTries; tries += 1) {
      const { least, most } = reach(now, bounds);
      if (target >= least && target <= most) {
        const fitted = stretchTo(now, target, bounds);
        if (fitted) return { ok: true, sheet: fitted, changes: listChanges(sheet, fitted) };
      }
      note(least);
      note(most);
      if (fewer ? most < target : least > target) break;
      now = fewer ? oneRoundLess(now) : oneRoundMore(now);
    }
  }
  return { ok: false, nearest: [nearest.below, nearest.above].filter((ms) => ms !== null) };
}
