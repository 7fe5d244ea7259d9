import type { Phase } from '../../../core/index';

/** What stands as large as the clock while that stands still. */
export const standings: Readonly<Record<Phase, string | null>> = {
  running: null,
  paused: 'Paused',
  held: 'On hold',
  stopped: 'Stopped',
  break: 'Open rest',
  over: 'Finished',
};
