import { expose } from 'comlink';
import { composeFor } from './composing';

const composing = { composeFor };
export type Composing = typeof composing;
expose(composing);
