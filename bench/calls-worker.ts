import { parentPort } from 'node:worker_threads';
import {
  scriptOf,
  compile,
  liveSheet,
  liveTimeline,
  readTempoText,
  type LiveChange,
  type Saying,
  type Sheet,
} from '../core/index';
import { medianMs, timesAsLong } from './measure';

/** Milliseconds that scheduling takes in this worker, and shares. */
export interface CallsFigures {
  readonly first: number;
  readonly anew: number;
  /** One round changed, its clock laid out as well, as a share of anew, which has its clock. */
  readonly oneChange: number;
  readonly again: number;
  /** How much longer than the engine's own copy of the hour's timeline: that tells how fast the machine is just now. */
  readonly toClone: number;
  /** A live change in the middle of the hour: the rest of the session planned and scripted anew. */
  readonly liveChange: number;
}

/** An hour of twenty rounds, each a build and two pieces, with rests; `mark` makes every title its own. */
function hour(mark: number): Sheet {
  const rounds = Array.from(
    { length: 20 },
    (_, at) =>
      `round 2:00 "Round of bench ${mark} ${at}"\n  build ladder every 0:15: 1 2 3b 2\n  0:30 strong: 1 2 sl 6 3\n  0:30 all-out nonstop: 1 2\nrest 1:00`,
  );
  return readTempoText(rounds.join('\n')).sheet;
}

const sheets = Array.from({ length: 40 }, (_, mark) => ({ sheet: hour(mark), timeline: compile(hour(mark)) }));
const [{ sheet, timeline } = { sheet: hour(0), timeline: compile(hour(0)) }] = sheets;
const lengthOf = ({ say }: Saying): number => say.length * 60;
let next = 0;
/** Other lengths each time, so that nothing is remembered. */
function anew(): unknown {
  const mark = (next += 1);
  const one = sheets[mark % sheets.length] ?? { sheet, timeline };
  return scriptOf(one.sheet, { lengthOf: ({ say }) => say.length * 60 + (mark % 997) }, one.timeline);
}
/** One round's title changed, as when a coach types; everything else stands where it stood. */
function oneChange(): unknown {
  const mark = (next += 1);
  const blocks = sheet.blocks.map((block, at) => (at === 20 ? { ...block, title: `Changed ${mark}` } : block));
  const changed = { ...sheet, blocks };
  return scriptOf(changed, { lengthOf }, compile(changed));
}

/** A press in the middle of the hour, another pace each time. */
function liveChange(): unknown {
  const factor = 0.6 + ((next += 1) % 80) / 100;
  const changes: LiveChange[] = [{ kind: 'pace', at: 1_805_000, factor }];
  return scriptOf(liveSheet(sheet, changes), { lengthOf }, liveTimeline(timeline, changes));
}

const start = performance.now();
anew();
const first = performance.now() - start;
// A worker that has been asked a few dozen times, as it is while a sheet is edited; the engine has compiled it by then.
for (let run = 0; run < 60; run += 1) anew();
const copy = (): unknown => structuredClone(timeline);
const toClone = timesAsLong(anew, copy);
const figures: CallsFigures = {
  first,
  anew: medianMs(anew),
  toClone,
  oneChange: timesAsLong(oneChange, copy) / toClone,
  again: medianMs(() => scriptOf(sheet, { lengthOf }, timeline)),
  liveChange: medianMs(liveChange),
};
parentPort?.postMessage(figures);
