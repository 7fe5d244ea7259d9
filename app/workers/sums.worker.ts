import { expose } from 'comlink';
import { balanceOf, demoRows, figuresOf } from './sums';

// Sums of many sheets, or of weeks of the log: what takes long and nobody waits for.
const sums = { figuresOf, balanceOf, demoRows };
export type Sums = typeof sums;
expose(sums);
