import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import { WebSocket, WebSocketServer } from 'ws';
import { wallLimits } from '../core/index';
import { Hosts } from './hosts';
import type { Passes } from './passes';
import type { RoomClock } from './room';
import { Rooms } from './rooms';

/** Where the live channel is. */
export const livePath = '/live';
/** A screen that does not take in what it is sent is let go before it fills the memory. */
const mostWaitingBytes = 8_000_000;

/** The clock that everybody is brought to: it never goes back, and goes on where it was after a new start. */
const steady: RoomClock = {
  now: () => performance.timeOrigin + performance.now(),
  later: (ms, task) => void setTimeout(task, ms).unref(),
};

/** Pages of this server alone may speak here: a browser tells from where a page is, and nobody else's page may say another place. */
function isOwnPage({ headers }: IncomingMessage, hosts: Hosts): boolean {
  const { origin, host } = headers;
  return origin !== undefined && URL.canParse(origin) && new URL(origin).host === host && hosts.allows(host);
}

function turnAway(socket: Duplex, status: string): void {
  socket.end(`HTTP/1.1 ${status}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`);
}

export interface LiveChannel {
  readonly rooms: Rooms;
  /** Lets everybody go. */
  end(): void;
}

/**
 * Opens the live channel on servers that are already made.
 * @example openLiveChannel([server]).rooms.count() // { rooms: 0, guests: 0 }
 */
export function openLiveChannel(
  servers: readonly Server[],
  options: {
    /** Addresses of this machine in its network, for the screens. */
    readonly addresses?: readonly string[];
    readonly hosts?: Hosts;
    readonly passes?: Passes;
    readonly waits?: { readonly helloMs: number; readonly beatMs: number };
  } = {},
): LiveChannel {
  const { waits = wallLimits, hosts = new Hosts() } = options;
  const rooms = new Rooms(steady, options.addresses, options.passes);
  const door = new WebSocketServer({ noServer: true, maxPayload: wallLimits.hostBytes, perMessageDeflate: false });
  const answered = new WeakMap<WebSocket, boolean>();

  door.on('connection', (socket: WebSocket, request: IncomingMessage) => {
    answered.set(socket, true);
    const here = rooms.enter({
      from: request.socket.remoteAddress ?? '',
      send: (text) => {
        if (socket.readyState !== WebSocket.OPEN) return;
        if (socket.bufferedAmount > mostWaitingBytes) socket.terminate();
        else socket.send(text);
      },
      close: () => socket.close(),
    });
    const silent = setTimeout(() => {
      if (!here.said()) socket.terminate();
    }, waits.helloMs);
    socket.on('message', (data: Buffer, binary: boolean) => {
      if (binary) socket.close();
      else here.hear(data.toString('utf8'));
    });
    socket.on('pong', () => answered.set(socket, true));
    socket.on('error', () => socket.terminate());
    socket.on('close', () => {
      clearTimeout(silent);
      here.gone();
    });
  });

  // A line whose other end is gone without a word is found by what does not come back.
  const beat = setInterval(() => {
    for (const socket of door.clients) {
      if (answered.get(socket)) {
        answered.set(socket, false);
        socket.ping();
      } else socket.terminate();
    }
    rooms.sweep();
  }, waits.beatMs);
  beat.unref();

  for (const server of servers) {
    server.on('upgrade', (request, socket, head) => {
      socket.on('error', () => socket.destroy());
      if (request.url !== livePath) turnAway(socket, '404 Not Found');
      else if (!isOwnPage(request, hosts)) turnAway(socket, '403 Forbidden');
      else if (door.clients.size >= wallLimits.rooms * wallLimits.guests) turnAway(socket, '503 Service Unavailable');
      else door.handleUpgrade(request, socket, head, (ready) => door.emit('connection', ready, request));
    });
  }
  return {
    rooms,
    end: () => {
      clearInterval(beat);
      for (const socket of door.clients) socket.terminate();
    },
  };
}
