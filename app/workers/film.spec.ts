import { proxy } from 'comlink';
import { ALL_FORMATS, AudioBufferSink, BlobSource, CanvasSink, Input } from 'mediabunny';
import { compile, filmFrames, readTempoText, scriptOf, takenSession } from '../../core/index';
import { startHelper, type Helper } from './in-worker';
import type { FilmRequest } from './protocol';
import type { Studio } from './film.worker';

/** The title card stands so long before second zero. */
const titleSeconds = 4;

// Words and rests alone: pictures change once a second, so that half an hour of the same path is filmed in seconds.
const text = Array.from({ length: 10 }, (_, round) => `round 2:00 "Set ${round + 1}"\nrest 1:00`).join('\n');
const { sheet } = readTempoText(text);

const request: FilmRequest = {
  sheet,
  wishes: {},
  recording: null,
  stretch: { from: 0, to: 1_800_000 },
  look: { width: 160, height: 90, dark: false, figure: false, view: 'side', family: 'sans-serif', by: '' },
  kind: 'webm-vp8',
  picture: null,
  fontUrl: null,
};

/** A small copy of a picture, in greys. */
function greys(picture: CanvasImageSource): number[] {
  const canvas = new OffscreenCanvas(40, 22);
  const context = canvas.getContext('2d');
  context?.drawImage(picture, 0, 0, 40, 22);
  const { data } = context?.getImageData(0, 0, 40, 22) ?? { data: [] };
  return Array.from({ length: 40 * 22 }, (_, at) => data[at * 4] ?? 0);
}

const apart = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, at) => sum + Math.abs(value - (b[at] ?? 0)), 0) / a.length;

describe('a film', () => {
  let helper: Helper<Studio>;
  beforeEach(() => {
    helper = startHelper(new Worker(new URL('./film.worker', import.meta.url), { type: 'module' }));
  });
  afterEach(() => helper.end());

  it('of half an hour holds sound, pictures and subtitles of that length, each picture what it must show, bells to 20 ms', async () => {
    const shares: number[] = [];
    const file = await helper.ask((studio) =>
      studio.film(
        request,
        null,
        proxy((share: number) => shares.push(share)),
      ),
    );
    if (!file) throw new Error('no film');
    expect(shares.length).toBeGreaterThan(50);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
    const [video, audio] = [await input.getPrimaryVideoTrack(), await input.getPrimaryAudioTrack()];
    if (!video || !audio) throw new Error('no tracks');
    expect([await video.getCodec(), await audio.getCodec()]).toEqual(['vp8', 'opus']);
    const length = titleSeconds + 1800;
    expect(await video.computeDuration()).toBeCloseTo(length, 1);
    expect(Math.abs((await audio.computeDuration()) - length)).toBeLessThan(0.1);

    const sink = new CanvasSink(video);
    await helper.ask((studio) => studio.look(request));
    let looked = 0;
    const wrong: number[] = [];
    for (const second of [0.5, 59.5, 119.5, 120.5, 300.5, 601.5, 899.5, 1000.5, 1500.5, 1799.5]) {
      const shown = await sink.getCanvas(second + titleSeconds);
      const must = await helper.ask((studio) => studio.preview(second * 1000));
      const other = await helper.ask((studio) => studio.preview(second * 1000 - 7000));
      if (!shown) throw new Error(`no picture at ${second}`);
      looked += 1;
      const seen = greys(shown.canvas);
      if (apart(seen, greys(must)) > 9 || apart(seen, greys(must)) >= apart(seen, greys(other))) wrong.push(second);
    }
    expect(looked).toBe(10);
    expect(wrong).toEqual([]);

    // The start bell of the fifth and the last round: heard where the script has it.
    const bells = scriptOf(sheet).sounds.filter(({ kind }) => kind === 'start bell');
    expect(bells.length).toBe(10);
    for (const { at } of [bells[4], bells[9]].flatMap((each) => each ?? [])) {
      const due = at / 1000 + titleSeconds;
      let onset = Infinity;
      // What sounded before it has died away by then (the count's last click is a second earlier).
      for await (const { buffer, timestamp } of new AudioBufferSink(audio).buffers(due - 0.3, due + 0.3)) {
        const samples = buffer.getChannelData(0);
        const first = samples.findIndex(
          (value, index) => Math.abs(value) > 0.12 && timestamp + index / buffer.sampleRate > due - 0.2,
        );
        if (first >= 0) onset = Math.min(onset, timestamp + first / buffer.sampleRate);
      }
      expect(Math.abs(onset - due)).toBeLessThan(0.02);
    }
    // Its reader knows no subtitles: their texts stand in the file as they are.
    const bytes = new TextDecoder('latin1').decode(await file.arrayBuffer());
    expect(bytes).toContain('S_TEXT/WEBVTT');
    expect(bytes).toContain('Set 7');
  }, 120_000);

  it('is stopped when somebody says so, and gives nothing back', async () => {
    let told = 0;
    const long = { ...request, look: { ...request.look, figure: true } };
    const made = await helper.ask((studio) =>
      studio.film(
        long,
        null,
        proxy(() => {
          told += 1;
          void studio.stop();
        }),
      ),
    );
    expect(made).toBeNull();
    expect(told).toBeGreaterThan(0);
  });

  it('has pictures without gap or overlap: each frame where the figure moves, else where something changes', () => {
    const moving = readTempoText('round 0:20: 1 2 3b\nrest 0:10').sheet;
    const timeline = compile(moving);
    const { session } = takenSession('t', timeline, scriptOf(moving, {}, timeline), null, 16_000);
    for (const figure of [true, false]) {
      const frames = [
        ...filmFrames(session, { from: 3000, to: 28_000 }, (leaf) => figure && leaf.combination !== null),
      ];
      expect(frames[0]?.at).toBe(3000);
      const ends = frames.map(({ at, ms }) => at + ms);
      expect(ends.at(-1)).toBe(28_000);
      expect(frames.slice(1).map(({ at }) => at)).toEqual(ends.slice(0, -1));
      // 17 s of the figure at 25 a second, and one for each second of rest and whatever is said.
      if (figure) expect(frames.length).toBeGreaterThan(425);
      else expect(frames.length).toBeLessThan(150);
    }
  });
});
