import { WebSocket } from 'ws';
import { emptySheet, wallSheet } from '../core/index';

const walls = 200;
const rooms = 50;
const states = 100;
/** An hour of a run: the state every five seconds. */
const hourOfStates = 720;

const open = (port: number): Promise<WebSocket> =>
  new Promise((done, failed) => {
    const socket = new WebSocket(`ws://localhost:${port}/live`, { origin: `http://localhost:${port}` });
    socket.on('open', () => done(socket));
    socket.on('error', failed);
  });

const next = (socket: WebSocket, kind: string): Promise<Record<string, unknown>> =>
  new Promise((done) => {
    const hear = (data: Buffer): void => {
      const message = JSON.parse(data.toString('utf8')) as Record<string, unknown>;
      if (message['kind'] !== kind) return;
      socket.off('message', hear);
      done(message);
    };
    socket.on('message', hear);
  });

async function room(port: number): Promise<{ host: WebSocket; code: string }> {
  const host = await open(port);
  const opened = next(host, 'opened');
  host.send(JSON.stringify({ kind: 'open', secret: 's'.repeat(24) }));
  return { host, code: String((await opened)['code']) };
}

async function wall(port: number, code: string): Promise<WebSocket> {
  const socket = await open(port);
  const joined = next(socket, 'joined');
  socket.send(JSON.stringify({ kind: 'join', code }));
  await joined;
  return socket;
}

const state = (at: number): string =>
  JSON.stringify({
    kind: 'state',
    state: {
      phase: 'running',
      clock: { anchorSession: at, anchorSource: 0, running: true, rate: 1 },
      breaksPassed: 0,
    },
  });

const rest = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** One room with many walls: how long a state takes to be with each of them; many rooms; the server's memory over an hour of states. */
export async function benchWalls(port: number, memory: () => number): Promise<void> {
  const { host, code } = await room(port);
  const all = await Promise.all(Array.from({ length: walls }, () => wall(port, code)));
  let count = 0;
  const plan = {
    sheet: wallSheet(emptySheet(() => `b${(count += 1)}`, 'Rounds')),
    changes: [],
    named: true,
    breathHeld: false,
    words: null,
  };
  host.send(JSON.stringify({ kind: 'plan', plan }));
  const took: number[] = [];
  for (let at = 0; at < states; at += 1) {
    const since = performance.now();
    const heard = all.map((socket) => next(socket, 'state').then(() => took.push(performance.now() - since)));
    host.send(state(at));
    await Promise.all(heard);
    await rest(60);
  }
  const sorted = took.toSorted((a, b) => a - b);
  const share = (part: number): string => (sorted[Math.floor(part * (sorted.length - 1))] ?? 0).toFixed(1);
  console.log(
    `walls: ${walls} on one room, ${states} states: half within ${share(0.5)} ms, 99 % within ${share(0.99)} ms (50 asked)`,
  );

  const others = await Promise.all(Array.from({ length: rooms - 1 }, () => room(port)));
  const each = await Promise.all(others.map(({ code: other }) => wall(port, other)));
  console.log(`walls: ${others.length + 1} rooms open, ${each.length + all.length} walls`);

  const before = memory();
  for (let at = 0; at < hourOfStates; at += 1) {
    const heard = Promise.all(all.map((socket) => next(socket, 'state')));
    host.send(state(at));
    await heard;
    // As many a second as one line may say.
    await rest(50);
  }
  console.log(`walls: memory of the server after an hour of states ÷ before: ${(memory() / before).toFixed(2)}`);
  for (const socket of [host, ...all, ...each, ...others.map(({ host: other }) => other)]) socket.close();
}
