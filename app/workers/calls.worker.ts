import { callTrack, lengthIn } from '../../core/index';
import type { TrackAnswer, TrackRequest } from './protocol';

// Kept alive between requests: stretches of calls that have not changed are not worked out again.
addEventListener('message', ({ data }: MessageEvent<TrackRequest>) => {
  const { id, sheet, wordings, talk, voice } = data;
  const track = callTrack(sheet, { wordings, talk, ...(voice ? { lengthOf: lengthIn(voice) } : {}) });
  const answer: TrackAnswer = { id, track };
  postMessage(answer);
});
