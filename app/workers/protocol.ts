import type {
  BallDrill,
  BallDrillOptions,
  CallTrack,
  CountFrom,
  DoubleEnd,
  Hertz,
  Recording,
  Sheet,
  Talk,
  Voice,
  Wordings,
} from '../../core/index';

/** A combination to be thrown at a ball, step by step. */
export interface BallRequest {
  readonly ball: DoubleEnd;
  /** Canonical text in six. */
  readonly text: string;
  readonly options: BallDrillOptions;
}
export type BallAnswer =
  { readonly ok: true; readonly drill: BallDrill } | { readonly ok: false; readonly what: string };

/** Whose clips the calls take from now on; the speaking rate without a voice. Sent when it changes, not with every sheet. */
export interface VoiceRequest {
  readonly kind: 'voice';
  readonly voice: Voice | null;
}
/** A sheet whose script is to be made. */
export interface TrackRequest {
  readonly kind: 'track';
  readonly id: number;
  readonly sheet: Sheet;
  readonly wordings: Wordings;
  readonly talk: Talk;
  readonly countFrom: CountFrom;
}
export interface TrackAnswer {
  readonly id: number;
  readonly track: CallTrack;
}

/** A session to be rendered as sound. */
export interface AudioRequest {
  readonly sheet: Sheet;
  readonly wordings: Wordings;
  readonly talk: Talk;
  readonly countFrom: CountFrom;
  readonly rate: Hertz;
  /** The voice with its recording at that rate; bells alone without it. */
  readonly recording: Recording | null;
  readonly as: 'wav' | 'mp3';
}
export type AudioAnswer =
  | { readonly kind: 'progress'; readonly share: number }
  | { readonly kind: 'done'; readonly file: Blob }
  | { readonly kind: 'failed'; readonly what: string };
