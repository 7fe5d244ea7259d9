import { expose } from 'comlink';
import { ballDrill, readStored, sayFault } from '../../core/index';
import type { BallAnswer, BallRequest } from './protocol';

const balls = {
  drill({ ball, text, options }: BallRequest): BallAnswer {
    const read = readStored(text);
    return read.ok
      ? { ok: true, drill: ballDrill(ball, read.value, options) }
      : { ok: false, what: sayFault(read.fault) };
  },
};
export type Balls = typeof balls;
expose(balls);
