import { readMessage, serverSchema, type ServerMessage } from '../core/index';
import { Passes } from './passes';
import type { Line } from './room';
import { Rooms } from './rooms';

/** A line that keeps what it is told. */
export class Heard implements Line {
  readonly texts: string[] = [];
  closed = false;
  constructor(readonly from = '192.0.2.1') {}
  send(text: string): void {
    this.texts.push(text);
  }
  close(): void {
    this.closed = true;
  }
  /** All of one kind that it was told, each read as a screen would read it. */
  all<Kind extends ServerMessage['kind']>(kind: Kind): Extract<ServerMessage, { kind: Kind }>[] {
    return this.texts.flatMap((text) => {
      const message = readMessage(serverSchema, text);
      if (!message) throw new Error(`no message of the server: ${text}`);
      return message.kind === kind ? [message as Extract<ServerMessage, { kind: Kind }>] : [];
    });
  }
}

/** The secret of every tablet of the specs. */
export const secret = 's'.repeat(24);
/** Of a server that is restarted with the key that it had. */
export const passes = new Passes(Buffer.alloc(32, 7));

/** Rooms with a clock that stands until it is moved, and with lines that keep what they are told. */
export class Town {
  now = 1_000_000;
  /** What was put off; done at once unless somebody gathers it. */
  later: (() => void)[] | null = null;
  rooms = this.fresh();

  private fresh(): Rooms {
    const later = (_ms: number, task: () => void): void => {
      if (this.later) this.later.push(task);
      else task();
    };
    return new Rooms({ now: () => this.now, later }, ['http://192.0.2.7:4173'], passes);
  }

  /** The server forgets everything but its key. */
  restart(): void {
    this.rooms = this.fresh();
  }

  enter(hello: unknown, line = new Heard()) {
    const door = this.rooms.enter(line);
    const say = (message: unknown): void => door.hear(typeof message === 'string' ? message : JSON.stringify(message));
    say(hello);
    return { line, say, gone: door.gone };
  }

  open(more: object = {}, line = new Heard()) {
    const host = this.enter({ kind: 'open', secret, ...more }, line);
    const [opened] = host.line.all('opened');
    const { code = '', control = '', pass = '' } = opened ?? {};
    return { ...host, code, control, pass, room: { code, control, pass } };
  }
}
