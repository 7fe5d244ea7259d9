import { compile, entryOfBrokenOff, liveTimeline, type LogEntry, type UnfinishedRun } from '../../core/index';

/** Makes an entry of a run that was broken off: loaded when one is let go. */
export const brokenOff = {
  entryOf(id: string, run: UnfinishedRun): LogEntry {
    const planned = compile(run.sheet);
    return entryOfBrokenOff(id, run, planned, liveTimeline(planned, run.changes ?? []));
  },
};
