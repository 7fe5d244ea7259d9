import type { Leaf } from '../timeline/leaf';
import type { Pass } from '../timeline/passes';
import type { Milliseconds } from '../units';
import type { CallOptions } from './options';
import { noNews, type RestNews } from './rest-calls';

/** A change between free hands and gloves, with the break there is for it. */
export interface GearChange {
  readonly gloves: 'on' | 'off';
  /** The work that it is for. */
  readonly leaf: Leaf;
  /** The breaks before it, as places among the passes; none where work follows work at once. */
  readonly breaks: readonly number[];
  /** Time in them; null where one of them is open. */
  readonly ms: Milliseconds | null;
  readonly needs: Milliseconds;
}

/** Whether hands are gloved in a pass; null where it says nothing of it, as rests and shows do. */
function gloved(pass: Pass, { natureOf }: CallOptions): boolean | null {
  if (!pass.isWork) return null;
  return pass.leaves.some(({ bags }) => bags.some((bag) => natureOf(bag)?.gloves === true));
}

/** Where a session goes from free hands to gloves, or back, with the break before it (trade page, section 9). */
export function gearChanges(passes: readonly Pass[], options: CallOptions): GearChange[] {
  const { onMs, offMs } = options.gloves;
  const out: GearChange[] = [];
  let hands: boolean | null = null;
  let breaks: number[] = [];
  passes.forEach((pass, index) => {
    const now = gloved(pass, options);
    if (now === null) {
      breaks.push(index);
      return;
    }
    const [leaf] = pass.leaves;
    if (hands !== null && hands !== now && leaf) {
      const open = breaks.some((at) => passes[at]?.open);
      const ms = breaks.reduce((sum, at) => sum + (passes[at]?.end ?? 0) - (passes[at]?.at ?? 0), 0);
      out.push({ gloves: now ? 'on' : 'off', leaf, breaks, ms: open ? null : ms, needs: now ? onMs : offMs });
    }
    hands = now;
    breaks = [];
  });
  return out;
}

/** The one kind of bag of a pass, where its work is on one; null where it is on several, or on none. */
function onlyBag({ leaves }: Pass): string | null {
  const bags = new Set<string>();
  for (const leaf of leaves) for (const bag of leaf.bags) bags.add(bag);
  const [only = null, another] = bags;
  return another === undefined ? only : null;
}

/** What each break has to tell of gloves and bags, by its place among the passes; `begin` where work has to tell it itself. */
export function breakNews(passes: readonly Pass[], options: CallOptions): ReadonlyMap<number, RestNews> {
  const news = new Map<number, RestNews>();
  const tell = (at: number, what: Partial<RestNews>): void => {
    news.set(at, { ...(news.get(at) ?? noNews), ...what });
  };
  for (const { gloves, breaks, leaf } of gearChanges(passes, options)) {
    // In a rest where there is one, else in the show before it, else when the work begins.
    const work = passes.findIndex((pass) => pass.leaves.includes(leaf));
    tell(breaks.find((at) => passes[at]?.block === 'rest') ?? breaks[0] ?? work, { gloves });
  }
  let last: string | null = null;
  passes.forEach((pass, index) => {
    if (!pass.isRound) return;
    const [bag, before] = [onlyBag(pass), last];
    last = bag;
    if (bag === null || before === null || bag === before) return;
    // In the rest directly before it, else when it begins.
    tell(passes[index - 1]?.block === 'rest' ? index - 1 : index, { bag: options.natureOf(bag)?.spoken ?? bag });
  });
  return news;
}
