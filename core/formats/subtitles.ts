import { plainText } from '../plain-text';
import { compile } from '../timeline/compile';
import { scriptOf, type Script } from '../script/script';
import type { Sheet } from '../sheet/schema';
import type { Milliseconds } from '../units';

/** A cue's time. WebVTT parts thousandths by a point, SubRip by a comma. */
function stamp(ms: Milliseconds, point: '.' | ','): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  const seconds = Math.floor(ms / 1000);
  return `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}${point}${String(ms % 1000).padStart(3, '0')}`;
}

/** Subtitles stand at least this long, so that they can be read (house value), but never into the next one. */
const leastShown: Milliseconds = 1200;

/** Words that stand from one moment to another. */
export interface Cue {
  readonly from: Milliseconds;
  readonly to: Milliseconds;
  readonly text: string;
}

/** A blank line would end a subtitle in either form. */
const oneLine = (words: string): string => words.replace(/\s+/g, ' ').trim();

/** What is said of a session, as cues. `cuesOf(sheet, script)[0].text` → `"[bell]"` */
export function cuesOf(sheet: Sheet, script: Script): Cue[] {
  // What is said at an open break has no place on the clock, so it is left out.
  // Nor has what consists of blanks alone, which some readers take for the end of a subtitle.
  const all = script.calls.filter(({ say }) => oneLine(say) !== '').sort((a, b) => a.at - b.at);
  const end = compile(sheet).ms + leastShown;
  return all.flatMap((call, index): Cue[] => {
    const next = all[index + 1]?.at ?? end;
    const to = Math.min(Math.max(call.at + call.ms, call.at + leastShown), Math.max(next, call.at + 1));
    return to - call.at < 50 ? [] : [{ from: call.at, to, text: call.kind === 'bell' ? '[bell]' : oneLine(call.say) }];
  });
}

const escaped = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');

/**
 * SubRip has no escapes: players take angle brackets for tags, braces for placing, and the arrow for times, so that letters
 * that look alike stand in.
 */
const plainForSrt = (text: string): string =>
  text.replaceAll('<', '‹').replaceAll('>', '›').replaceAll('{', '(').replaceAll('}', ')');

/** Cues as WebVTT (W3C). `vttOf([{ from: 0, to: 1000, text: 'go' }])` */
export function vttOf(all: readonly Cue[]): string {
  const cues = all.map(
    ({ from, to, text }, at) => `${at + 1}\n${stamp(from, '.')} --> ${stamp(to, '.')}\n${escaped(text)}\n`,
  );
  return plainText(`WEBVTT\n\n${cues.join('\n')}`);
}

/** Cues within a stretch, as a film has them that begins there after a delay. */
export function cuesWithin(all: readonly Cue[], from: Milliseconds, to: Milliseconds, delay: Milliseconds): Cue[] {
  return all
    .filter((cue) => cue.to > from && cue.from < to)
    .map((cue) => ({
      from: Math.round(Math.max(cue.from, from) - from + delay),
      to: Math.round(Math.min(cue.to, to) - from + delay),
      text: cue.text,
    }));
}

/**
 * The calls of a session as WebVTT, so that a filmed session gets them as subtitles.
 * @example writeVtt(sheet).startsWith('WEBVTT')
 */
export function writeVtt(sheet: Sheet, script: Script = scriptOf(sheet)): string {
  return vttOf(cuesOf(sheet, script));
}

/** The same as SubRip text, which has no standard; read widely as numbered cues with a comma before thousandths. */
export function writeSrt(sheet: Sheet, script: Script = scriptOf(sheet)): string {
  const cues = cuesOf(sheet, script).map(
    ({ from, to, text }, at) => `${at + 1}\n${stamp(from, ',')} --> ${stamp(to, ',')}\n${plainForSrt(text)}\n`,
  );
  return plainText(cues.join('\n'));
}
