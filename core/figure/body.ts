import type { Side } from '../moves/kind';
import type { DoneStep, Hit, Stand } from './body-motion';
import { bodySide, chestRow, footRow, guardFoot, hipsRow, type Frame } from './frame';
import type { HandIntent } from './hands';
import { guard } from './motion';
import type { BodySide } from './pose';
import { newTrack, type Track } from './track';

/** A body while its motion is laid out. */
export interface Body {
  readonly hips: Track;
  readonly chest: Track;
  readonly feet: Readonly<Record<BodySide, Track>>;
  readonly handIntents: Readonly<Record<BodySide, HandIntent[]>>;
  readonly hits: Hit[];
  readonly stands: Stand[];
  readonly ground: Track;
  readonly done: DoneStep[];
  /** Where it stands now. */
  frame: Frame;
}

/** Which side of the stance a side of the body is. */
export const sideOf = (frame: Frame, body: BodySide): Side => (bodySide(frame, 'lead') === body ? 'lead' : 'rear');
/** A foot in the guard of a frame. */
export const guardFootRow = (frame: Frame, body: BodySide): readonly number[] =>
  footRow(frame, guardFoot(frame, sideOf(frame, body)));

/** How high a stepping foot is lifted (house value). */
export const stepLift = 0.022;

/** Somebody in guard. */
export function newBody(frame: Frame): Body {
  return {
    hips: newTrack(hipsRow(frame, guard.hips)),
    chest: newTrack(chestRow(frame, guard.chest)),
    feet: { left: newTrack(guardFootRow(frame, 'left')), right: newTrack(guardFootRow(frame, 'right')) },
    handIntents: { left: [], right: [] },
    hits: [],
    stands: [{ at: 0, frame }],
    ground: newTrack([0, 0]),
    done: [],
    frame,
  };
}
