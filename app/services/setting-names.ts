import type { Settings } from '../../core/index';

/** Settings that are chosen from a list, by name, in their order. */
export const settingNames = {
  look: 'Theme',
  density: 'Spacing',
  strikeNames: 'Show strike names under numbers',
  units: 'Units',
  voice: 'Voice',
  talk: 'How much to call',
  countIn: 'Get-ready time',
  countFrom: 'Count down from',
  leadOut: 'Countdown before the next drill',
  blockClock: 'Time calls outside rounds',
  breathHeld: 'Breathing in rests',
  kickSchool: 'Kick after a punch',
  afterHook: 'After a hook on the double-end bag',
  bodyOnDoubleEnd: 'Body shots on the double-end bag',
  ballTricks: 'Kicks, knees, elbows and holds on double-end, reflex and speed bags',
} as const satisfies Partial<Record<keyof Settings, string>>;

export type NamedSetting = keyof typeof settingNames;
