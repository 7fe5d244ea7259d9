import { allCalls } from '../script/all-calls';
import type { Script } from '../script/script';
import { chunksOf, type Saying } from '../script/saying';
import type { Pronunciation } from '../sheet/calls';
import type { Milliseconds } from '../units';
import { assemble, clipWords, longestClip, type Voice } from './voice';

/** Words that are one clip, and how long it is. */
export interface OwnClip {
  readonly words: string;
  readonly ms: Milliseconds;
}

/** Silence between two clips of a recording. */
export const clipGapMs: Milliseconds = 60;

/** Words between two signs that a voice cannot say whole, in runs as long as a clip may be. */
function wanting(saying: Saying, voice: Voice): string[] {
  if (assemble(saying, voice).missing.length === 0) return [];
  return chunksOf(saying).flatMap(({ words }) => {
    const named = clipWords(words);
    const runs = Array.from({ length: Math.ceil(named.length / longestClip) }, (_, at) =>
      named.slice(at * longestClip, (at + 1) * longestClip).join(' '),
    );
    return runs.filter((run) => assemble({ say: run }, voice).missing.length > 0);
  });
}

/**
 * The wordings of a script that a voice has no clips for, each once, as clips are named: whole runs of words, so that they
 * are said in one breath.
 * @example wordingsFor(script, voice) // ['tarrowby tower drill']
 */
export function wordingsFor(script: Script, voice: Voice): string[] {
  const sayings = [...script.lead, ...allCalls(script)].filter(({ kind }) => kind !== 'bell');
  const parts = sayings.flatMap((call): readonly Saying[] => call.parts ?? [call]);
  return [...new Set(parts.flatMap((part) => wanting(part, voice)))];
}

/** Words as they are given to a synthesiser: each word that is said otherwise in its other way. `pronounced('tarrowby drill', [{ word: 'Tarrowby', as: 'tarrow bee' }])` */
export function pronounced(words: string, ways: readonly Pronunciation[]): string {
  return ways.reduce((said, { word, as }) => {
    const key = clipWords(word).join(' ');
    return key === '' ? said : ` ${said} `.split(` ${key} `).join(` ${as} `).trim();
  }, words);
}

/** A voice that can say more: clips behind its own recording, which ends at a moment. `withOwnWords(voice, 61_000, [{ words: 'tarrowby', ms: 640 }])` */
export function withOwnWords(voice: Voice, end: Milliseconds, own: readonly OwnClip[]): Voice {
  if (own.length === 0) return voice;
  const clips = { ...voice.clips };
  let at = end;
  for (const { words, ms } of own) {
    at += clipGapMs;
    clips[words] = [at, ms];
    at += ms;
  }
  return { ...voice, clips };
}
