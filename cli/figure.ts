import {
  figureJoints,
  figureLandings,
  figureOf,
  jointNames,
  moveName,
  figureStature,
  type JointName,
  type Stance,
  type Statures,
  type Vector,
} from '../core/index';
import { combinationFrom, schemeNamed } from './combo';
import { BadInput } from './io';
import { numberFlag, wholeFlag } from './numbers';

export interface FigureOptions {
  readonly scheme?: string;
  readonly stance?: string;
  readonly pace?: string;
  readonly frames?: string;
}

/** Frames a second where nobody says how many there are. */
const usualRate = 30;
const mostFrames = 100_000;

/** Statures in metres with six decimals, never −0. */
const metres = (share: Statures): number => Math.round(share * figureStature * 1e6) / 1e6 + 0;
const point = ([x, y, z]: Vector): [number, number, number] => [metres(x), metres(y), metres(z)];

/** `tempo figure "TEXT"`: the combination as a body does it. */
export function figure(argument: string | undefined, options: FigureOptions): unknown {
  const stance = (options.stance ?? 'orthodox') as Stance;
  if (!['orthodox', 'southpaw', 'square'].includes(stance))
    throw new BadInput(`--stance ${stance}: write orthodox, southpaw or square`);
  const pace = numberFlag('pace', options.pace, 0.1, 10, 1);
  const combination = combinationFrom(argument, schemeNamed(options.scheme));
  const shown = figureOf(combination, stance, pace);
  const { ms } = shown.motion;
  const usual = Math.max(2, Math.min(mostFrames, Math.ceil((ms / 1000) * usualRate) + 1));
  const frames = wholeFlag('frames', options.frames, 2, mostFrames, usual);
  const joints = (at: number): Partial<Record<JointName, [number, number, number]>> => {
    const solved = figureJoints(shown, at);
    return Object.fromEntries(jointNames.map((name) => [name, point(solved[name])]));
  };
  return {
    seconds: Math.round(ms * 1000) / 1e6,
    hits: figureLandings(shown).map(({ at, move, limb, where, target }) => {
      const [x, y, z] = point(where);
      const [targetX, targetY, targetZ] = point(target);
      return {
        at: Math.round(at * 1000) / 1e6,
        move: moveName(move),
        limb,
        x,
        y,
        z,
        target: { x: targetX, y: targetY, z: targetZ },
      };
    }),
    frames: Array.from({ length: frames }, (_, index) => {
      const at = (ms * index) / (frames - 1);
      return { at: Math.round(at * 1000) / 1e6 + 0, joints: joints(at) };
    }),
  };
}
