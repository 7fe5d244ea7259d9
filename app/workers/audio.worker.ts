import { expose } from 'comlink';
import { createMp3Encoder } from 'wasm-media-encoders';
import { compile, heardIn, lengthIn, renderBlocks, scriptOf, wavHead } from '../../core/index';
import type { AudioRequest } from './protocol';

/** The last bell rings out, and the end is said. */
const tailMs = 6000;
/** Samples are handed over in parts of about this many bytes, so that the browser may put them away. */
const partBytes = 4_000_000;

/** Collects bytes without holding more than a part of them at a time. */
class Parts {
  private readonly blobs: Blob[] = [];
  private open: BlobPart[] = [];
  private bytes = 0;

  add(data: ArrayBufferView<ArrayBuffer>): void {
    this.open.push(data);
    this.bytes += data.byteLength;
    if (this.bytes < partBytes) return;
    this.blobs.push(new Blob(this.open));
    this.open = [];
    this.bytes = 0;
  }

  file(type: string): Blob {
    return new Blob([...this.blobs, ...this.open], { type });
  }
}

/** The session as a file; `tell` hears the share that is done. */
async function render(request: AudioRequest, tell: (share: number) => void): Promise<Blob> {
  const { sheet, wishes, rate, recording, as } = request;
  const timeline = compile(sheet);
  const lengthOf = recording ? lengthIn(recording.voice) : undefined;
  const heard = heardIn(scriptOf(sheet, { ...wishes, ...(lengthOf ? { lengthOf } : {}) }, timeline), {
    rate,
    recording,
  });
  const ms = timeline.ms + tailMs;
  const total = Math.ceil((ms / 1000) * rate);
  const parts = new Parts();
  const encoder = as === 'mp3' ? await createMp3Encoder() : null;
  encoder?.configure({ sampleRate: rate as 16_000, channels: 1, bitrate: 48 });
  if (!encoder) parts.add(wavHead(total, rate));
  let done = 0;
  for (const block of renderBlocks(heard, ms, rate)) {
    // What the encoder gives is its own memory and is used again, so it is copied.
    if (encoder) parts.add(Uint8Array.from(encoder.encode([Float32Array.from(block, (value) => value / 32_768)])));
    else parts.add(block as Int16Array<ArrayBuffer>);
    done += block.length;
    tell(done / total);
  }
  if (encoder) parts.add(Uint8Array.from(encoder.finalize()));
  return parts.file(as === 'mp3' ? 'audio/mpeg' : 'audio/wav');
}

const renderer = { render };
export type Renderer = typeof renderer;
expose(renderer);
