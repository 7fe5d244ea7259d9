import { movesIn, programmeIcs, uidOf } from '../../core/index';

/** What writes and reads calendars: loaded when somebody opens or saves one. */
export const calendar = { movesIn, programmeIcs, uidOf };
