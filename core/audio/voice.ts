import * as z from '../schemas';
import { spokenLength, type Part } from '../script/call';
import { chunksOf, type Saying, type Sign } from '../script/saying';
import { numberWord } from '../number-words';
import type { Milliseconds } from '../units';

const ms = z.int().check(z.gte(0), z.lte(3_600_000));
const voiceSchema = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(20)),
  name: z.string().check(z.minLength(1), z.maxLength(60)),
  files: z.array(z.string().check(z.regex(/^[\w.-]+$/))).check(z.minLength(1)),
  clips: z
    .record(z.string(), z.tuple([ms, ms]))
    .check(z.describe('words: where the clip begins in the recording, and how long it is')),
});

/** What the voice pack holds. */
export const voicePackSchema = z.strictObject({
  rate: z.int().check(z.gte(8000), z.lte(48_000)),
  voices: z.array(voiceSchema).check(z.minLength(1)),
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
const pauses: Readonly<Record<Sign, Milliseconds>> = { '': 20, ',': 130, '.': 260 };
/** Longest run of words that is one clip. */
export const longestClip = 12;

/** Words as clips are named: small letters, numbers as words; an apostrophe inside a word is part of it. `clipWords('Don’t, round 2')` → `["don't", "round", "two"]` */
export function clipWords(words: string): readonly string[] {
  return words
    .toLowerCase()
    .replace(/\d+/g, (figures) => ` ${numberWord(Number(figures))} `)
    .replace(/(?<=\p{L})[’'](?=\p{L})/gu, "'")
    .replace(/[^\p{L}\p{N}' ]+|(?<!\p{L})'|'(?!\p{L})/gu, ' ')
    .split(/\s+/)
    .filter(Boolean);
}

/**
 * Puts a saying together from a voice's clips, the longest that match first, with pauses where its signs stand.
 * @example assemble(sayCombination(combination), voice).clips.map(({ words }) => words) // ['one', 'two body']
 */
export function assemble(saying: Saying, voice: Voice): Spoken {
  const clips: Clip[] = [];
  const missing: string[] = [];
  let at = 0;
  let pause = 0;
  for (const chunk of chunksOf(saying)) {
    const named = clipWords(chunk.words);
    for (let index = 0; index < named.length;) {
      let length = Math.min(longestClip, named.length - index);
      const text = (): string => named.slice(index, index + length).join(' ');
      while (length > 1 && !Object.hasOwn(voice.clips, text())) length -= 1;
      const clip = Object.hasOwn(voice.clips, text()) ? voice.clips[text()] : undefined;
      if (clip) {
        at += pause;
        clips.push({ words: text(), from: clip[0], ms: clip[1], at });
        at += clip[1];
        pause = pauses[''];
      } else missing.push(text());
      index += length;
    }
    if (named.length > 0) pause = pauses[chunk.sign];
  }
  // Somebody else may say it all, so it gets the time that takes.
  return { clips, ms: missing.length > 0 ? Math.max(at, spokenLength(saying.say)) : at, missing };
}

const lengths = new WeakMap<Voice, (saying: Saying) => Milliseconds>();

/** Time that a saying takes in a voice; by the speaking rate where a word has no clip. `lengthIn(voice)(plain('one, two'))` → `745` */
export function lengthIn(voice: Voice): (saying: Saying) => Milliseconds {
  const known = lengths.get(voice) ?? ((saying: Saying): Milliseconds => assemble(saying, voice).ms);
  lengths.set(voice, known);
  return known;
}

/** The clips of a call from its beginning; parts keep their own time and are cut where the next begins, the last where the call ends. */
export function clipsOfCall(
  call: Saying & { readonly ms: Milliseconds; readonly parts?: readonly Part[] },
  voice: Voice,
): Spoken {
  if (!call.parts) return assemble(call, voice);
  const spoken = call.parts.map((part) => ({ part, said: assemble(part, voice) }));
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
