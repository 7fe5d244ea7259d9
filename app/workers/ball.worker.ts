import { ballDrill, readStored, sayFault } from '../../core/index';
import type { BallAnswer, BallRequest } from './protocol';

addEventListener('message', ({ data }: MessageEvent<BallRequest>) => {
  const read = readStored(data.text);
  const answer: BallAnswer = read.ok
    ? { ok: true, drill: ballDrill(data.ball, read.value, data.options) }
    : { ok: false, what: sayFault(read.fault) };
  postMessage(answer);
});
