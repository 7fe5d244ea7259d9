import type { Leaf, Timeline } from '../timeline/leaf';
import { passesOf } from '../timeline/passes';
import type { Milliseconds } from '../units';
import { bellMs, leastGap, shortestForm, type Candidate } from './call';
import { candidatesOf } from './candidates';
import { callNature, isSaid, type CallKind } from '../sheet/call-kinds';
import { usualOptions, type CallOptions } from './options';
import { breakNews } from './gear';
import { restItems } from './rest-calls';
import { phrases } from './speech';

/** A rest with the time it needs for everything that should be said in it in full, gaps and the count included. */
export interface RestNeed {
  readonly leaf: Leaf;
  readonly needs: Milliseconds;
  readonly what: readonly CallKind[];
}

/** What each rest of a session needs, open ones left out. `restNeeds(compile(sheet))[0].needs` */
export function restNeeds(timeline: Timeline, options: CallOptions = usualOptions): RestNeed[] {
  const passes = passesOf(timeline);
  const news = breakNews(passes, options);
  return passes.flatMap((pass, at): RestNeed[] => {
    const [leaf] = pass.leaves;
    if (!leaf || pass.block !== 'rest' || pass.open) return [];
    const items = restItems(pass, passes[at + 1], news.get(at), options).filter(
      ({ kind }) => !options.quiet.includes(kind) && isSaid(kind, options.talk),
    );
    const words = items.reduce((sum, item) => sum + (phrases(item.words, options.speech)[0]?.ms ?? 0) + leastGap, 0);
    return [{ leaf, needs: words + 1000 + options.countFrom * 1000 + 500, what: items.map(({ kind }) => kind) }];
  });
}

/** A call that takes longer to say than there is time for it, even in the short form. */
export interface CrowdedCall {
  readonly call: Candidate;
  /** The leaf it belongs to. */
  readonly leaf: Leaf;
  /** What the shortest form takes. */
  readonly takes: Milliseconds;
  /** What its window leaves, a bell at its beginning and the quiet second before the next bell taken off. */
  readonly room: Milliseconds;
}

/**
 * New combinations and own calls, as the coach has worded them, that cannot be said where they stand. `crowdedCalls(compile(sheet))[0].takes`
 */
export function crowdedCalls(timeline: Timeline, options: CallOptions = usualOptions): CrowdedCall[] {
  const { candidates } = candidatesOf(timeline, options);
  const bells = new Set(candidates.filter(({ kind }) => kind === 'bell').map(({ from }) => from));
  return candidates.flatMap((call): CrowdedCall[] => {
    if (!callNature(call.kind).needed) return [];
    const takes = shortestForm(call);
    const room = Math.max(0, call.until - call.from - (bells.has(call.from) ? bellMs + leastGap : 0));
    if (takes <= room) return [];
    const leaf = timeline.leaves.findLast(({ at, open }) => !open && at <= call.from);
    return leaf ? [{ call, leaf, takes, room }] : [];
  });
}
