import type { Side, Target } from './kind';

/** Sides and targets that several kinds of move have in common. */
export const either: readonly Side[] = ['lead', 'rear'];
export const onlyLead: readonly Side[] = ['lead'];
export const onlyRear: readonly Side[] = ['rear'];
export const headOrBody: readonly Target[] = ['head', 'body'];
export const bodyOrHead: readonly Target[] = ['body', 'head'];

/** Traits of most strikes; a kind says what is different. */
export const strike = {
  turnsHips: true,
  loads: 'other side',
  distance: 'joins',
  feet: 'stay',
  wild: false,
  bringsBack: false,
  grounded: null,
  belowShoulder: null,
  otherSide: null,
  mirror: null,
  offered: [],
  holder: 'pad',
  shape: null,
} as const;
