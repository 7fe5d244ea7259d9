import { expose } from 'comlink';
import { composeFor, followsFor } from './composing';

const composing = { composeFor, followsFor };
export type Composing = typeof composing;
expose(composing);
