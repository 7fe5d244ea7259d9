import { callTrack, lengthIn, type Voice } from '../../core/index';
import type { TrackAnswer, TrackRequest, VoiceRequest } from './protocol';

// Kept alive between requests: stretches of calls that have not changed are not worked out again.
let voice: Voice | null = null;

addEventListener('message', ({ data }: MessageEvent<VoiceRequest | TrackRequest>) => {
  if (data.kind === 'voice') {
    voice = data.voice;
    return;
  }
  const { id, sheet, ...wishes } = data;
  const track = callTrack(sheet, { ...wishes, ...(voice ? { lengthOf: lengthIn(voice) } : {}) });
  const answer: TrackAnswer = { id, track };
  postMessage(answer);
});
