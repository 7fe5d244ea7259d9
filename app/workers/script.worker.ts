import { expose } from 'comlink';
import {
  compile,
  lengthIn,
  liveSheet,
  liveTimeline,
  sameFields,
  sameParts,
  scriptOf,
  type LiveChange,
  type Script,
  type ScriptWishes,
  type Sheet,
  type Timeline,
  type Voice,
} from '../../core/index';
import type { SpokenWishes } from './protocol';

// Kept alive between questions: what has not changed in the sheet, the wishes and the voice is not worked out again.
let lengthOf: ScriptWishes['lengthOf'];
let wishes: SpokenWishes | null = null;
let last: Sheet | null = null;
/** Of that sheet: live changes go on from what was laid out for the one before. */
let planned: Timeline | null = null;

const scripts = {
  /** Whose clips the calls take from now on; the speaking rate without a voice. Said when it changes, not with every sheet. */
  speakAs(voice: Voice | null): void {
    lengthOf = voice ? lengthIn(voice) : undefined;
  },
  /** The script of a sheet, with what was changed while it runs. */
  scriptOf(sheet: Sheet, wished: SpokenWishes, changes: readonly LiveChange[]): Script {
    wishes = sameFields(wishes, wished);
    const same = sameParts(last, sheet);
    if (planned === null || same !== last) planned = compile(same);
    last = same;
    const timeline = liveTimeline(planned, changes);
    return scriptOf(liveSheet(same, changes), { ...wishes, ...(lengthOf ? { lengthOf } : {}) }, timeline);
  },
};
export type Scripts = typeof scripts;
expose(scripts);
