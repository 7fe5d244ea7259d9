import * as z from 'zod';
import { spokenLength, type Part } from '../calls/call';
import { numberWord } from '../calls/number-words';
import type { Milliseconds } from '../units';

const ms = z.int().min(0).max(3_600_000);
const voiceSchema = z.strictObject({
  id: z.string().min(1).max(20),
  name: z.string().min(1).max(60),
  files: z.array(z.string().regex(/^[\w.-]+$/)).min(1),
  clips: z
    .record(z.string(), z.tuple([ms, ms]))
    .describe('words: where the clip begins in the recording, and how long it is'),
});

/** What the voice pack holds. */
export const voicePackSchema = z.strictObject({
  rate: z.int().min(8000).max(48_000),
  voices: z.array(voiceSchema).min(1),
});
export type VoicePack = z.infer<typeof voicePackSchema>;
export type Voice = VoicePack['voices'][number];

/** A clip with its place in the recording and in the call. */
export interface Clip {
  readonly words: string;
  readonly from: Milliseconds;
  readonly ms: Milliseconds;
  readonly at: Milliseconds;
}

/** Words put together from clips. */
export interface Spoken {
  readonly clips: readonly Clip[];
  readonly ms: Milliseconds;
  /** Words that the voice has no clip for; they are left out of the clips. */
  readonly missing: readonly string[];
}

/** Silence between clips, at a comma, and at a full stop or colon (house values). */
const pauses = { word: 20, comma: 130, stop: 260 } as const;
/** Longest run of words that is one clip. */
const longestClip = 12;

/** Words between the signs that part them, as clips are named (small letters, numbers as words), with the pause behind them. `segmentsOf('Rest. Water')` */
export function segmentsOf(words: string): { readonly words: readonly string[]; readonly pause: Milliseconds }[] {
  return [...words.matchAll(/([^,.:;!?·]+)([,.:;!?·]*)/g)]
    .map(([, text = '', sign = '']) => ({
      words: text
        .toLowerCase()
        .replace(/\d+/g, (figures) => ` ${numberWord(Number(figures))} `)
        .replace(/[^\p{L}\p{N} ]+/gu, ' ')
        .split(/\s+/)
        .filter(Boolean),
      pause: sign.startsWith(',') ? pauses.comma : pauses.stop,
    }))
    .filter((segment) => segment.words.length > 0);
}

/**
 * Puts words together from a voice's clips, the longest that match first, with pauses where signs stand.
 * @example assemble('one, two body', voice).clips.map(({ words }) => words) // ['one', 'two body']
 */
export function assemble(words: string, voice: Voice): Spoken {
  const clips: Clip[] = [];
  const missing: string[] = [];
  let at = 0;
  let pause = 0;
  for (const segment of segmentsOf(words)) {
    for (let index = 0; index < segment.words.length;) {
      let length = Math.min(longestClip, segment.words.length - index);
      const text = (): string => segment.words.slice(index, index + length).join(' ');
      while (length > 1 && !Object.hasOwn(voice.clips, text())) length -= 1;
      const clip = Object.hasOwn(voice.clips, text()) ? voice.clips[text()] : undefined;
      if (clip) {
        at += pause;
        clips.push({ words: text(), from: clip[0], ms: clip[1], at });
        at += clip[1];
        pause = pauses.word;
      } else missing.push(text());
      index += length;
    }
    pause = segment.pause;
  }
  // Somebody else may say it all, so it gets the time that takes.
  return { clips, ms: missing.length > 0 ? Math.max(at, spokenLength(words)) : at, missing };
}

const lengths = new WeakMap<Voice, (words: string) => Milliseconds>();

/** Time that words take in a voice; by the speaking rate where a word has no clip. `lengthIn(voice)('one, two')` → `745` */
export function lengthIn(voice: Voice): (words: string) => Milliseconds {
  const known = lengths.get(voice) ?? ((words: string): Milliseconds => assemble(words, voice).ms);
  lengths.set(voice, known);
  return known;
}

/** The clips of a call from its beginning; parts keep their own time and are cut where the next begins, the last where the call ends. */
export function clipsOfCall(
  call: { readonly say: string; readonly ms: Milliseconds; readonly parts?: readonly Part[] },
  voice: Voice,
): Spoken {
  if (!call.parts) return assemble(call.say, voice);
  const spoken = call.parts.map((part) => ({ part, said: assemble(part.say, voice) }));
  const missing = spoken.flatMap(({ said }) => said.missing);
  const clips = spoken.flatMap(({ part, said }, index) => {
    const next = call.parts?.[index + 1]?.at ?? call.ms;
    return said.clips.flatMap((clip) => {
      const at = part.at + clip.at;
      return at >= next ? [] : [{ ...clip, at, ms: Math.min(clip.ms, next - at) }];
    });
  });
  const end = clips.reduce((most, clip) => Math.max(most, clip.at + clip.ms), 0);
  return { clips, ms: end, missing: [...new Set(missing)] };
}
