import type { Recording } from '../audio/render';
import { clipsOfCall } from '../audio/voice';
import { bagKinds, type BagKind } from '../bags/kind-names';
import type { StillName } from '../figure/stills';
import type { FiguredLeaf } from '../script/leaf-figure';
import type { Script } from '../script/script';
import type { ShownCall } from '../script/shown';
import type { SoundCue } from '../script/sounds';
import type { Combination } from '../notation/combination';
import { writeCombination } from '../notation/write';
import { leafDetail, blockName } from '../timeline/names';
import { exerciseNamed } from '../library/exercises';
import type { Leaf, Timeline } from '../timeline/leaf';
import type { Milliseconds, SessionTime } from '../units';
import type { Stance } from '../mechanics/walk';

/** A leaf as the file that plays anywhere knows it. */
export interface TakenLeaf extends FiguredLeaf {
  readonly heading: string;
  /** The block that it is of: a chapter. */
  readonly part: string;
  /** What is done, in words; empty where the combination says it. */
  readonly words: string;
  /** What is done, in the fewest words: its combination, or what it is called; empty where the block says it all. */
  readonly drill: string;
  readonly stance: Stance;
  /** What is struck, where it is drawn beside the figure; null in a show, and where hands are free. */
  readonly bag: BagKind | null;
  /** The pose of an exercise that the figure can show. */
  readonly still: StillName | null;
  /** Lasts until somebody goes on. */
  readonly open: boolean;
  /** Which of the staffs in the file shows it. */
  readonly staff: number | null;
}

/** A clip of the file's recording, at a moment of the session. */
export interface TakenClip {
  readonly at: SessionTime;
  /** From the beginning of the recording that is in the file. */
  readonly from: Milliseconds;
  readonly ms: Milliseconds;
}

/** All that the file plays: plain data, so that nothing has to be worked out anew on the other side but the figure. */
export interface TakenSession {
  readonly title: string;
  readonly ms: Milliseconds;
  readonly leaves: readonly TakenLeaf[];
  readonly calls: readonly ShownCall[];
  readonly sounds: readonly SoundCue[];
  readonly clips: readonly TakenClip[];
  /** What is heard at each open break, from its beginning. */
  readonly breaks: readonly { readonly say: string; readonly clips: readonly TakenClip[] }[];
}

/** A recording with only what is needed: samples of those clips, each at its new place. */
export interface TakenRecording {
  readonly samples: Float32Array;
  readonly rate: number;
}

/** Silence between two clips, so that a decoder that is a little off takes nothing of its neighbour. */
const between: Milliseconds = 60;
/** A short knock before everything else: a decoder that adds silence in front is found by where it sounds. */
export const knockAt: Milliseconds = 40;
const knockMs: Milliseconds = 6;
const firstAt: Milliseconds = 200;

/** Collects clips of a recording, each once, and tells where each has come to lie. */
function collector({ voice, samples }: Recording, rate: number) {
  const places = new Map<string, Milliseconds>();
  const taken: { readonly from: Milliseconds; readonly ms: Milliseconds }[] = [];
  let end = firstAt;
  const whole = new Map(Object.entries(voice.clips));
  return {
    /** Where a clip lies in the new recording; one that is cut short shares the place of the whole. */
    placeOf(words: string, from: Milliseconds, ms: Milliseconds): Milliseconds {
      const known = places.get(words);
      if (known !== undefined) return known;
      const place = end;
      const length = whole.get(words)?.[1] ?? ms;
      places.set(words, place);
      taken.push({ from, ms: length });
      end += length + between;
      return place;
    },
    recording(): TakenRecording {
      const at = (ms: Milliseconds): number => Math.round((ms / 1000) * rate);
      const out = new Float32Array(at(end));
      for (let index = at(knockAt); index < at(knockAt + knockMs); index += 1)
        out[index] = 0.9 * Math.sin(((index - at(knockAt)) * 2 * Math.PI * 1000) / rate);
      let place = firstAt;
      for (const { from, ms } of taken) {
        out.set(samples.subarray(at(from), at(from + ms)), at(place));
        place += ms + between;
      }
      return { samples: out, rate };
    },
  };
}

/** The heading of a leaf as a screen has it: `Round 2 · Hands · stage 1 of 3`. */
function headingOf(leaf: Leaf): string {
  const detail = leafDetail(leaf);
  const name = blockName(leaf);
  return leaf.doing !== 'words' && detail ? `${name} · ${detail}` : name;
}

function wordsOf(leaf: Leaf): string {
  const { words, combination } = leaf;
  if (!words) return combination ? '' : (leafDetail(leaf) ?? '');
  const how = combination ? null : (exerciseNamed(words)?.how ?? null);
  return how ? `${words}: ${how}` : words;
}

/** A combination of a session as it is done: what a picture shows. */
export interface Pictured {
  readonly combination: Combination;
  readonly stance: Leaf['stance'];
}

/** Numbers what is to be pictured, each combination in each stance once. */
function numbered() {
  const pictured: Pictured[] = [];
  const known = new Map<string, number>();
  const numberOf = ({ combination, stance }: Leaf): number | null => {
    if (!combination) return null;
    const key = `${writeCombination(combination)} ${stance}`;
    const number = known.get(key) ?? pictured.push({ combination, stance }) - 1;
    known.set(key, number);
    return number;
  };
  return { pictured, numberOf };
}

/**
 * A session as a file takes it along, what is to be pictured in it, and a recording of just the clips that it needs; without
 * a recorded voice bells and words on the screen remain.
 * @example takenSession('Tower', timeline, script, null, 16_000).session.leaves.length
 */
export function takenSession(
  title: string,
  timeline: Timeline,
  script: Script,
  recording: Recording | null,
  rate: number,
): {
  readonly session: TakenSession;
  readonly pictured: readonly Pictured[];
  readonly recording: TakenRecording | null;
} {
  const { pictured, numberOf } = numbered();
  const collect = recording && collector(recording, rate);
  const clipsFor = (call: Script['calls'][number], begins: SessionTime): TakenClip[] =>
    recording && collect && call.kind !== 'bell'
      ? clipsOfCall(call, recording.voice).clips.map(({ words, from, ms, at }) => ({
          at: Math.round(begins + at),
          from: collect.placeOf(words, from, ms),
          ms,
        }))
      : [];
  const shown = ({ kind, at, say, parts }: Script['calls'][number]): ShownCall => ({
    kind,
    at,
    say,
    // Only a show lights by its words.
    ...(kind === 'teach' && parts ? { parts: parts.map((part) => ({ at: part.at, step: part.step })) } : {}),
  });
  const session: TakenSession = {
    title,
    ms: timeline.ms,
    leaves: timeline.leaves.map((leaf) => ({
      ...{ at: leaf.at, ms: leaf.ms, block: leaf.block, combination: leaf.combination, nonStop: leaf.nonStop },
      ...{ otherStance: leaf.otherStance, pace: leaf.pace, gapMs: leaf.gapMs, stance: leaf.stance, open: leaf.open },
      touches: leaf.touches,
      heading: headingOf(leaf),
      part: blockName(leaf),
      words: wordsOf(leaf),
      drill: leaf.combination ? writeCombination(leaf.combination) : (leaf.words ?? leafDetail(leaf) ?? ''),
      still: leaf.combination ? null : (exerciseNamed(leaf.words ?? '')?.still ?? null),
      bag: leaf.block === 'show' ? null : (bagKinds.find((kind) => leaf.bags.includes(kind)) ?? null),
      staff: numberOf(leaf),
    })),
    calls: script.calls.filter(({ kind }) => kind !== 'bell' && kind !== 'strikes').map(shown),
    sounds: script.sounds.filter(({ at }) => at >= 0),
    clips: script.calls.flatMap((call) => clipsFor(call, call.at)),
    breaks: script.breaks.map(({ calls }) => {
      let at = 0;
      const clips = calls.flatMap((call) => {
        const here = clipsFor(call, at);
        at += call.ms + 300;
        return here;
      });
      const say = calls.flatMap((call) => (call.kind === 'bell' ? [] : [call.say])).join(' ');
      return { say, clips };
    }),
  };
  return { session, pictured, recording: collect ? collect.recording() : null };
}
