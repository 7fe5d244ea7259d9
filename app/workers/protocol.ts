import type {
  BallDrill,
  BallDrillOptions,
  DoubleEnd,
  FilmStretch,
  Hertz,
  Kept,
  PlayerParts,
  Recording,
  ScriptWishes,
  Sheet,
} from '../../core/index';
import type { FilmLook } from '../parts/film/film-look';

/** What a script is made by beside the sheet and the voice; may be sent to a worker. */
export type SpokenWishes = Omit<ScriptWishes, 'lengthOf'>;

/** A combination to be thrown at a ball, step by step. */
export interface BallRequest {
  readonly ball: DoubleEnd;
  /** Canonical text in six. */
  readonly text: string;
  readonly options: BallDrillOptions;
}
export type BallAnswer =
  { readonly ok: true; readonly drill: BallDrill } | { readonly ok: false; readonly what: string };

/** A session to be rendered as sound. */
export interface AudioRequest {
  readonly sheet: Sheet;
  readonly wishes: SpokenWishes;
  readonly rate: Hertz;
  /** The voice with its recording at that rate; bells alone without it. */
  readonly recording: Recording | null;
  readonly as: 'wav' | 'mp3';
}
export type AudioAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'done'; readonly file: Blob }
  | { readonly kind: 'failed'; readonly what: string };

/** A session to be made into the file that plays anywhere. */
export interface TakeHomeRequest {
  readonly sheet: Sheet;
  readonly kept: Kept;
  readonly wishes: SpokenWishes;
  /** The voice with its recording at 16 kHz; bells alone without it. */
  readonly recording: Recording | null;
  readonly parts: PlayerParts;
}

/** What a browser can write: the container with its picture's codec. */
export type FilmKind = 'webm-vp9' | 'webm-vp8' | 'mp4-h264';

export interface FilmRequest {
  readonly sheet: Sheet;
  readonly wishes: SpokenWishes;
  /** The voice with its recording at 16 kHz; bells alone without it. */
  readonly recording: Recording | null;
  readonly stretch: FilmStretch;
  readonly look: FilmLook;
  readonly kind: FilmKind;
  readonly picture: ImageBitmap | null;
  /** Where a font's file lies that is to be painted with. */
  readonly fontUrl: string | null;
}
