import fc from 'fast-check';
import { demoSheets } from '../demo/sheets';
import { askedSchema } from '../app/offline/messages';
import { emptySheet, readMessage, serverSchema, wallSheet } from '../core/index';
import type { Line } from '../server/room';
import { Rooms } from '../server/rooms';
import { damagedData } from './inputs';

const secret = 's'.repeat(24);
const bare = { changes: [], named: true, breathHeld: false, words: null };
const sheets = [emptySheet(() => 'id', 'Rounds'), ...demoSheets.slice(0, 1)].map((sheet) => wallSheet(sheet));

/** What goes over the channel, from whoever. No recorded messages of older versions are kept: theirs are guessed by leaving fields out. */
const messages: readonly unknown[] = [
  { kind: 'open', secret },
  { kind: 'open', secret, room: { code: 'BCDFG', control: secret, pass: secret } },
  { kind: 'join', code: 'BCDFG' },
  { kind: 'control', code: 'BCDFG', secret },
  { kind: 'ping', t0: 1.5 },
  ...sheets.map((sheet) => ({ kind: 'plan', plan: { sheet, ...bare } })),
  // A sheet of the first version, in a plan without fields that may have come later.
  ...sheets.map((sheet) => ({ kind: 'plan', plan: { sheet: { ...sheet, version: 1 }, changes: [], words: null } })),
  { kind: 'state', state: null },
  { kind: 'shut', to: 'g1' },
  { kind: 'close' },
  { kind: 'showing', showing: { view: 'all' } },
  { kind: 'press', number: 1, press: { kind: 'deed', deed: 'toggle' } },
  // What a page asks of the offline worker.
  { ask: 'take over' },
  { ask: 'wait' },
  { ask: 'how much' },
];

/** Something said on the channel: a message, damaged or not, or any text. */
export const saidOnChannel: fc.Arbitrary<readonly string[]> = fc.array(
  fc.oneof(
    { weight: 9, arbitrary: damagedData(messages).map((data) => JSON.stringify(data) ?? '') },
    { weight: 1, arbitrary: fc.string({ maxLength: 80, unit: 'binary' }) },
  ),
  { minLength: 1, maxLength: 8 },
);

/** A line that takes note of nothing but whether it was closed. */
class Quiet implements Line {
  readonly from = '192.0.2.7';
  readonly texts: string[] = [];
  closed = false;
  send(text: string): void {
    this.texts.push(text);
  }
  close(): void {
    this.closed = true;
  }
}

/**
 * What must hold whoever says whatever: nothing throws, everything that the server says can be read, and no stranger makes more
 * than one room. Throws with the reason where it does not; true where a room stands in the end.
 */
export function channelHolds(texts: readonly string[]): boolean {
  let now = 0;
  const rooms = new Rooms({ now: () => (now += 50), later: (_ms, task) => task() });
  const host = new Quiet();
  const coach = rooms.enter(host);
  coach.hear(JSON.stringify({ kind: 'open', secret }));
  const stranger = new Quiet();
  const line = rooms.enter(stranger);
  for (const text of texts) {
    coach.hear(text);
    line.hear(text);
    askedSchema.safeParse(text);
  }
  for (const text of [...host.texts, ...stranger.texts])
    if (readMessage(serverSchema, text) === null) throw new Error(`the server says what nobody can read: ${text}`);
  if (rooms.count().rooms > 2) throw new Error('one line has opened more than one room');
  line.gone();
  coach.gone();
  return rooms.count().rooms > 0;
}
