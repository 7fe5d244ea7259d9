import {
  entriesCsv,
  guessMapping,
  isEntriesCsv,
  isRoundsCsv,
  readCsv,
  roundsCsv,
  roundsIn,
  sessionsIn,
  writeCsv,
} from '../../core/index';

/** What reads and writes CSV: loaded when somebody opens or saves a file. */
export const csv = {
  entriesCsv,
  guessMapping,
  isEntriesCsv,
  isRoundsCsv,
  readCsv,
  roundsCsv,
  roundsIn,
  sessionsIn,
  writeCsv,
};
