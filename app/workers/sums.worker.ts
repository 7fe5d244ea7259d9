import { expose } from 'comlink';
import { demoPlan, figuresOf } from './sums';

// Sums of many sheets, or of weeks of the log: what takes long and nobody waits for.
const sums = { figuresOf, demoPlan };
export type Sums = typeof sums;
expose(sums);
