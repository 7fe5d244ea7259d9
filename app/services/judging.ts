import { findings } from '../../core/index';

/** What is wrong with a sheet, or could be better: loaded behind the sheet itself. */
export const judging = { findings };
