import { expose } from 'comlink';
import {
  AudioSample,
  AudioSampleSource,
  BufferTarget,
  CanvasSource,
  canEncodeAudio,
  canEncodeVideo,
  Mp4OutputFormat,
  Output,
  Quality,
  StreamTarget,
  TextSubtitleSource,
  WebMOutputFormat,
  type StreamTargetChunk,
  type VideoCodec,
} from 'mediabunny';
import {
  compile,
  cuesOf,
  cuesWithin,
  filmChapters,
  filmFrames,
  heardIn,
  lengthIn,
  renderBlocks,
  schemeOrSix,
  scriptOf,
  takenSession,
  vttOf,
  type Milliseconds,
} from '../../core/index';
import { layoutStaff } from '../parts/strike-staff/layout';
import type { FilmKind, FilmRequest } from './protocol';
import { FilmPainter } from '../parts/film/film-painter';

/** How long the title card stands (house value). */
const titleMs: Milliseconds = 4000;
const soundRate = 16_000;
const lastSeconds = 0.02;

const codecs: Readonly<Record<FilmKind, VideoCodec>> = { 'webm-vp9': 'vp9', 'webm-vp8': 'vp8', 'mp4-h264': 'avc' };

let stopped = false;

function sessionOf({ sheet, wishes, recording }: Pick<FilmRequest, 'sheet' | 'wishes' | 'recording'>) {
  const timeline = compile(sheet);
  const lengthOf = recording ? lengthIn(recording.voice) : undefined;
  const script = scriptOf(sheet, { ...wishes, ...(lengthOf ? { lengthOf } : {}) }, timeline);
  const scheme = schemeOrSix(sheet.numbers);
  const { session, pictured } = takenSession(sheet.title, timeline, script, null, soundRate);
  const staffs = pictured.map(({ combination }) =>
    layoutStaff(combination, { scheme, added: [], levels: 'used', study: null, names: true }),
  );
  return { session, script, staffs };
}

/** Loads the family that is painted with; another one stands in where it cannot be had. */
async function loadFamily({ fontUrl, look }: FilmRequest): Promise<void> {
  if (fontUrl === null) return;
  try {
    const face = new FontFace(look.family, `url(${fontUrl})`, { weight: '100 900' });
    // The types of a worker leave out what its font set can do.
    (globalThis as unknown as { fonts: { add(face: FontFace): void } }).fonts.add(await face.load());
  } catch {
    // Said above.
  }
}

/** A canvas of the film's size with its painter, and what is painted. */
async function studioFor(request: FilmRequest) {
  const { look } = request;
  const canvas = new OffscreenCanvas(look.width, look.height);
  const context = canvas.getContext('2d', { alpha: false });
  if (!context) throw new Error('this browser cannot make videos in the background');
  await loadFamily(request);
  const { session, script, staffs } = sessionOf(request);
  return { canvas, session, script, painter: new FilmPainter(context, session, staffs, look) };
}

/** Pictures a second of a film that moves; an encoder that makes fewer is slower than the session itself. */
const framesASecond = 25;

/** Whether an encoder makes fewer pictures a second than a film has, tried on a second of a bar that moves. */
async function tooSlow(kind: FilmKind, width: number, height: number): Promise<boolean> {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { alpha: false });
  const output = new Output({ format: new WebMOutputFormat(), target: new BufferTarget() });
  const video = new CanvasSource(canvas, {
    codec: codecs[kind],
    quality: new Quality('medium'),
    latencyMode: 'realtime',
  });
  output.addVideoTrack(video);
  await output.start();
  const began = performance.now();
  for (let frame = 0; frame < framesASecond; frame += 1) {
    if (context) context.fillStyle = frame % 2 === 0 ? '#c4501c' : '#0f6e78';
    context?.fillRect((width * frame) / framesASecond, 0, width / 4, height);
    await video.add(frame / framesASecond, 1 / framesASecond);
  }
  await output.finalize();
  return performance.now() - began > 1000;
}

/** What this browser can write at a size, best first (VP9, or VP8 where that is too slow); nothing where it cannot make films. */
async function kinds(width: number, height: number): Promise<FilmKind[]> {
  if (typeof VideoEncoder === 'undefined') return [];
  const all = Object.keys(codecs) as FilmKind[];
  const can = await Promise.all(
    all.map((kind) => canEncodeVideo(codecs[kind], { width, height, quality: new Quality('medium') })),
  );
  const sound = await canEncodeAudio('opus', { numberOfChannels: 1, sampleRate: soundRate });
  const offered = sound ? all.filter((_, index) => can[index]) : [];
  const [first, second] = offered;
  if (first !== 'webm-vp9' || second !== 'webm-vp8' || !(await tooSlow(first, width, height))) return offered;
  return [second, first, ...offered.slice(2)];
}

/** What is looked at before a film begins; its session is laid out once, whichever moments are asked for. */
let looked: (Awaited<ReturnType<typeof studioFor>> & Pick<FilmRequest, 'picture'>) | null = null;

async function look(request: FilmRequest): Promise<void> {
  looked = { ...(await studioFor(request)), picture: request.picture };
}

/** A picture of a moment of what is looked at; before second zero the title card. */
function preview(at: Milliseconds): ImageBitmap {
  if (!looked) throw new Error('there is nothing to show');
  const { canvas, painter, picture } = looked;
  if (at < 0) painter.title(picture);
  else painter.paint(at);
  return canvas.transferToImageBitmap();
}

/**
 * Makes the film: into `stream` where there is one, else into memory, which is then given back. `tell` hears the share that
 * is done. Sound and pictures are handed over side by side, so that neither waits for the other.
 */
async function film(
  request: FilmRequest,
  stream: WritableStream<StreamTargetChunk> | null,
  tell: (share: number) => void,
): Promise<Blob | null> {
  stopped = false;
  const { stretch, kind } = request;
  const { canvas, session, script, painter } = await studioFor(request);
  const memory = stream ? null : new BufferTarget();
  const target = stream ? new StreamTarget(stream, { chunked: true }) : (memory ?? new BufferTarget());
  const format = kind === 'mp4-h264' ? new Mp4OutputFormat({ fastStart: false }) : new WebMOutputFormat();
  const output = new Output({ format, target });
  const video = new CanvasSource(canvas, {
    codec: codecs[kind],
    quality: new Quality('medium'),
    latencyMode: 'realtime',
    keyFrameInterval: 4,
  });
  const audio = new AudioSampleSource({ codec: 'opus', bitrate: 48_000 });
  const [subtitles, chapters] = [new TextSubtitleSource('webvtt'), new TextSubtitleSource('webvtt')];
  output.addVideoTrack(video);
  output.addAudioTrack(audio, { languageCode: 'eng' });
  output.addSubtitleTrack(subtitles, { languageCode: 'eng', name: 'Calls' });
  output.addSubtitleTrack(chapters, { languageCode: 'eng', name: 'Chapters' });
  output.setMetadataTags({ title: session.title });
  await output.start();
  const whole = stretch.to - stretch.from;
  const ends = titleMs + whole;
  await subtitles.add(vttOf(cuesWithin(cuesOf(request.sheet, script), stretch.from, stretch.to, titleMs)));
  const names = filmChapters(session, stretch);
  await chapters.add(
    vttOf(
      names.map(({ at, name }, index) => ({
        from: Math.round(at + titleMs),
        to: Math.round((names[index + 1]?.at ?? whole) + titleMs),
        text: name,
      })),
    ),
  );
  const heard = heardIn(script, { rate: soundRate, recording: request.recording }).flatMap((each) =>
    each.at >= stretch.from && each.at < stretch.to ? [{ ...each, at: each.at - stretch.from + titleMs }] : [],
  );
  const blocks = renderBlocks(heard, ends, soundRate, 2);
  let soundUntil = 0;
  const soundTo = async (seconds: number): Promise<void> => {
    while (soundUntil <= seconds) {
      const { value, done } = blocks.next();
      if (done) return;
      const sample = new AudioSample({
        data: value as Int16Array<ArrayBuffer>,
        format: 's16',
        numberOfChannels: 1,
        sampleRate: soundRate,
        timestamp: soundUntil,
      });
      soundUntil += value.length / soundRate;
      await audio.add(sample);
      sample.close();
    }
  };
  await soundTo(0);
  painter.title(request.picture);
  await video.add(0, titleMs / 1000);
  let told = 0;
  for (const { at, ms } of filmFrames(session, stretch, painter.moves)) {
    if (stopped) {
      await output.cancel();
      return null;
    }
    const from = (at - stretch.from + titleMs) / 1000;
    await soundTo(from + 1);
    painter.paint(at + 1e-6);
    await video.add(from, ms / 1000);
    const share = (at - stretch.from) / whole;
    if (share - told > 0.005) tell((told = share));
  }
  // A file knows how long the last picture stands by another one behind it.
  await video.add(ends / 1000 - lastSeconds, lastSeconds);
  await soundTo(ends / 1000);
  await output.finalize();
  const type = kind === 'mp4-h264' ? 'video/mp4' : 'video/webm';
  return memory?.buffer ? new Blob([memory.buffer], { type }) : null;
}

const studio = { kinds, look, preview, film, stop: (): void => void (stopped = true) };
export type Studio = typeof studio;
expose(studio);
