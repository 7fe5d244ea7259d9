import { liveTimeline, faultsSeen } from '../live/live';
import { digestOf, type Digest } from '../log/digest';
import type { LogEntry } from '../log/log-entry';
import { compile } from '../timeline/compile';

/** The figures of an entry with what was changed while it ran. `digestOfRun(entry).byRound` */
export function digestOfRun(entry: LogEntry): Digest {
  const { sheet, changes = [] } = entry;
  return digestOf(entry, liveTimeline(compile(sheet), changes), faultsSeen(changes));
}
