import { knockAt, renderSound, type SoundKind, type TakenClip } from '../../core/index';

/** Rate at which bells and clicks are made. */
const rate = 16_000;

/** What a file plays by: its recording and the bells, on the clock of the sound. */
export class FileSound {
  private readonly context = new AudioContext();
  private recording: AudioBuffer | null = null;
  /** How much later everything lies in what was decoded: encoders put silence in front, and not every decoder takes it away. */
  private late = 0;
  private readonly bells = new Map<SoundKind, AudioBuffer>();
  private readonly sounding = new Set<AudioBufferSourceNode>();

  /** Seconds on the sound's clock; null while no sound runs, where the page's own clock has to do. */
  now(): number | null {
    return this.context.state === 'running' ? this.context.currentTime : null;
  }

  /** Reads the recording; without one there are bells alone. */
  async load(base64: string | null): Promise<void> {
    if (base64 === null) return;
    try {
      const bytes = Uint8Array.from(atob(base64), (sign) => sign.charCodeAt(0));
      const decoded = await this.context.decodeAudioData(bytes.buffer);
      this.recording = decoded;
      const samples = decoded.getChannelData(0);
      const knock = samples.findIndex((value) => Math.abs(value) > 0.2);
      this.late = knock < 0 ? 0 : knock / decoded.sampleRate - knockAt / 1000;
    } catch {
      // Bells and words on the screen remain.
    }
  }

  /** Lets sound begin; where a device has none the session goes on without it. */
  async wake(): Promise<void> {
    const soon = new Promise((done) => setTimeout(done, 400));
    await Promise.race([this.context.resume().catch(() => undefined), soon]);
  }

  bell(kind: SoundKind, at: number): void {
    let buffer = this.bells.get(kind);
    if (!buffer) {
      const samples = renderSound(kind, rate);
      buffer = this.context.createBuffer(1, samples.length, rate);
      buffer.copyToChannel(new Float32Array(samples), 0);
      this.bells.set(kind, buffer);
    }
    this.play(buffer, at, 0, buffer.duration);
  }

  clip({ from, ms }: TakenClip, at: number): void {
    if (this.recording) this.play(this.recording, at, from / 1000 + this.late, ms / 1000);
  }

  private play(buffer: AudioBuffer, at: number, from: number, seconds: number): void {
    const source = this.context.createBufferSource();
    source.buffer = buffer;
    source.connect(this.context.destination);
    source.onended = () => this.sounding.delete(source);
    this.sounding.add(source);
    source.start(Math.max(at, this.context.currentTime), Math.max(0, from), seconds);
  }

  /** Ends everything that sounds or is about to. */
  hush(): void {
    for (const source of this.sounding) source.stop();
    this.sounding.clear();
  }
}
