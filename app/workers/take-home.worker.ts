import { expose } from 'comlink';
import { createMp3Encoder } from 'wasm-media-encoders';
import {
  compile,
  describeCombination,
  figureOf,
  lengthIn,
  schemeOrSix,
  scriptOf,
  stripLabels,
  stripSvg,
  takeHomePage,
  takenSession,
  takenSheet,
  views,
  wallCard,
  type Pictured,
  type Scheme,
  type TakenPicture,
  type TakenRecording,
} from '../../core/index';
import { layoutStaff } from '../parts/strike-staff/layout';
import { staffSvg } from '../parts/strike-staff/svg';
import type { TakeHomeRequest } from './protocol';

/** Rate of the recordings, and of the one that goes along. */
const rate = 16_000;
/** Kilobits a second: words stay clear, and half an hour's worth of clips stays small. */
const bitrate = 32;
/** A strip has no more stills than this; a longer combination is shown by its staff and the figure. */
const mostStills = 12;

/** A combination's staff, and its strip of the figure where that is not too long. */
function pictureOf({ combination, stance }: Pictured, scheme: Scheme): TakenPicture {
  const layout = layoutStaff(combination, { scheme, added: [], levels: 'used', study: null, names: true });
  const labels = stripLabels(combination, scheme);
  const strip =
    labels.length > mostStills ? '' : stripSvg(figureOf(combination, stance), views['three-quarter'], labels);
  return { staff: staffSvg(layout, describeCombination(combination)), strip };
}

async function encoded({ samples }: TakenRecording): Promise<string> {
  const encoder = await createMp3Encoder();
  encoder.configure({ sampleRate: rate, channels: 1, bitrate });
  const bytes: number[] = [];
  // What the encoder gives is its own memory and is used again, so it is copied.
  for (const byte of encoder.encode([samples])) bytes.push(byte);
  for (const byte of encoder.finalize()) bytes.push(byte);
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.slice(at, at + 8192));
  return btoa(text);
}

/** What leaves the house, laid out: the sheet, the session in plain data, its pictures, and the clips it needs. */
function packed({ sheet, kept, wishes, recording }: Omit<TakeHomeRequest, 'parts'>) {
  const taken = takenSheet(sheet, kept);
  const timeline = compile(taken);
  const lengthOf = recording ? lengthIn(recording.voice) : undefined;
  const script = scriptOf(taken, { ...wishes, ...(lengthOf ? { lengthOf } : {}) }, timeline);
  const made = takenSession(taken.title, timeline, script, recording, rate);
  const scheme = schemeOrSix(taken.numbers);
  return { taken, pictures: made.pictured.map((each) => pictureOf(each, scheme)), ...made };
}

/** The session as one file that plays anywhere. */
async function page({ parts, ...request }: TakeHomeRequest): Promise<string> {
  const { taken, pictures, session, recording } = packed(request);
  const sound = recording && (await encoded(recording));
  return takeHomePage({ sheet: taken, session, pictures, recording: sound }, parts);
}

/** The session as a card for the wall. */
function card(request: Omit<TakeHomeRequest, 'parts'>): string {
  const { session, pictures } = packed(request);
  return wallCard(session, pictures);
}

const packer = { page, card };
export type Packer = typeof packer;
expose(packer);
