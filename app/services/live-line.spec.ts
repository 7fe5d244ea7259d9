import { NEVER } from 'rxjs';
import { LiveLine } from './live-line';

/** A socket that remembers when it was made; the spec says what happens to it. */
class ScriptedSocket {
  static made: ScriptedSocket[] = [];
  readyState = 0;
  onopen: ((event: Event) => void) | null = null;
  onclose: ((event: CloseEvent) => void) | null = null;
  onerror: ((event: Event) => void) | null = null;
  onmessage: ((event: MessageEvent<string>) => void) | null = null;
  constructor() {
    ScriptedSocket.made.push(this);
  }
  open(): void {
    this.readyState = 1;
    this.onopen?.(new Event('open'));
  }
  send(): void {
    /** What is said is of no interest here. */
  }
  answer(message: object): void {
    this.onmessage?.(new MessageEvent('message', { data: JSON.stringify(message) }));
  }
  close(): void {
    this.readyState = 3;
    this.onclose?.(new CloseEvent('close', { wasClean: true }));
  }
}

describe('a connection to the live channel', () => {
  const real = window.WebSocket;
  let line: LiveLine;

  beforeEach(() => {
    jasmine.clock().install();
    ScriptedSocket.made = [];
    Object.assign(window, { WebSocket: ScriptedSocket });
    line = new LiveLine(() => ({ kind: 'join', code: 'BCDF2' }), NEVER);
  });
  afterEach(() => {
    line.end();
    jasmine.clock().uninstall();
    window.WebSocket = real;
  });

  /** How long the page waits after a lost connection until it tries again, by steps of a tenth of a second. */
  function waited(): number {
    const before = ScriptedSocket.made.length;
    for (let ms = 100; ms <= 10_000; ms += 100) {
      jasmine.clock().tick(100);
      if (ScriptedSocket.made.length > before) return ms;
    }
    return Infinity;
  }
  const last = (): ScriptedSocket => {
    const socket = ScriptedSocket.made.at(-1);
    if (!socket) throw new Error('no socket');
    return socket;
  };
  const joined = { kind: 'joined', id: 'a1' };

  it('waits longer each time, five seconds at most', () => {
    const waits = [1, 2, 3, 4, 5, 6].map(() => {
      last().close();
      return waited();
    });
    expect(waits).toEqual([500, 1000, 2000, 4000, 5000, 5000]);
  });

  it('goes on waiting longer where it is refused for a while: a refusal is no success', () => {
    last().open();
    last().answer(joined);
    const waits = [1, 2, 3, 4].map(() => {
      last().close();
      const wait = waited();
      last().open();
      last().answer({ kind: 'refused', why: 'no such code' });
      return wait;
    });
    expect(waits).toEqual([500, 1000, 2000, 4000]);
    last().close();
    expect(waited()).toBe(5000);
    last().open();
    last().answer(joined);
    last().close();
    expect(waited()).toBe(500);
  });

  it('ends where a code never fitted', () => {
    last().open();
    last().answer({ kind: 'refused', why: 'no such code' });
    expect(line.state()).toBe('ended');
    expect(line.refusal()).toBe('no such code');
    jasmine.clock().tick(60_000);
    expect(ScriptedSocket.made.length).toBe(1);
  });
});
