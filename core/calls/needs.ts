import type { Leaf, Timeline } from '../session/compile';
import { passesOf } from '../session/passes';
import type { Milliseconds } from '../units';
import { bellMs, leastGap, type Candidate } from './call';
import { quietBeforeBell } from './candidates';
import { isSaid, type CallKind } from './kinds';
import { leafCalls } from './leaf-calls';
import type { CallOptions } from './options';
import { usualOptions } from './options';
import { isRound, restCalls } from './pass-calls';

/** A rest with the time it needs for everything that should be said in it in full, gaps and the count included. */
export interface RestNeed {
  readonly leaf: Leaf;
  readonly needs: Milliseconds;
  readonly what: readonly CallKind[];
}

/** What each rest of a session needs, open ones left out. `restNeeds(compile(sheet))[0].needs` */
export function restNeeds(timeline: Timeline, options: CallOptions = usualOptions): RestNeed[] {
  const passes = passesOf(timeline);
  return passes.flatMap((pass, at): RestNeed[] => {
    const [leaf] = pass.leaves;
    if (leaf?.kind !== 'rest' || pass.open) return [];
    const said = restCalls(pass, passes[at + 1], options).filter(
      ({ kind }) => kind !== 'count' && !options.quiet.includes(kind) && isSaid(kind, options.talk),
    );
    const words = said.reduce((sum, { phrases: [full] }) => sum + (full?.ms ?? 0) + leastGap, 0);
    return [{ leaf, needs: words + 1000 + options.countFrom * 1000 + 500, what: said.map(({ kind }) => kind) }];
  });
}

/** A new combination that cannot be named in the time of its piece, not even in the short form. */
export interface CrowdedPiece {
  readonly leaf: Leaf;
  readonly call: Candidate;
  /** What the shortest form takes. */
  readonly takes: Milliseconds;
  /** What there is between a bell before it and the end of the piece, or the quiet second before a bell behind it. */
  readonly room: Milliseconds;
}

/** Pieces whose combination takes longer to say than they last. `crowdedPieces(compile(sheet))[0].takes` */
export function crowdedPieces(timeline: Timeline, options: CallOptions = usualOptions): CrowdedPiece[] {
  const silent = new Set(options.edits.filter(({ muted, say }) => muted ?? say).map(({ key }) => key));
  if (options.quiet.includes('new') || !isSaid('new', options.talk)) return [];
  const passes = passesOf(timeline);
  return passes.flatMap((pass, at) =>
    pass.leaves.flatMap((leaf, index): CrowdedPiece[] => {
      if (!leaf.combination || leaf.kind === 'rest') return [];
      const before = pass.leaves[index - 1] ?? passes[at - 1]?.leaves.at(-1);
      const call = leafCalls(leaf, before, options).find(({ kind }) => kind === 'new');
      if (!call || silent.has(call.key)) return [];
      const rung = index === 0 && isRound(pass) ? bellMs + leastGap : 0;
      const quiet = index === pass.leaves.length - 1 && isRound(pass) ? quietBeforeBell : 0;
      const takes = Math.min(...call.phrases.map(({ ms }) => ms));
      const room = Math.max(0, leaf.ms - rung - quiet);
      return takes > room ? [{ leaf, call, takes, room }] : [];
    }),
  );
}
