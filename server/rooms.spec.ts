import fc from 'fast-check';
import {
  codeSigns,
  emptySheet,
  readMessage,
  serverSchema,
  wallLimits,
  wallSheet,
  type HostMessage,
  type ServerMessage,
} from '../core/index';
import { Rooms, type Line } from './rooms';

/** A line that keeps what it is told. */
class Heard implements Line {
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

const secret = 's'.repeat(24);
let count = 0;
const sheet = wallSheet(emptySheet(() => `id${(count += 1)}`, 'Rounds'));
const plan: HostMessage = { kind: 'plan', plan: { sheet, changes: [], named: true, breathHeld: false, words: null } };

describe('rooms', () => {
  let now = 0;
  let rooms: Rooms;
  const clock = { now: () => now };

  beforeEach(() => {
    now = 1_000_000;
    rooms = new Rooms(clock, ['http://192.0.2.7:4173']);
  });

  const enter = (hello: unknown, line = new Heard()) => {
    const door = rooms.enter(line);
    const say = (message: unknown): void => door.hear(typeof message === 'string' ? message : JSON.stringify(message));
    say(hello);
    return { line, say, gone: door.gone };
  };
  const open = (more: object = {}, line = new Heard()) => {
    const host = enter({ kind: 'open', secret, ...more }, line);
    const [opened] = host.line.all('opened');
    return { ...host, code: opened?.code ?? '', control: opened?.control ?? '' };
  };

  it('give a code of capital consonants and digits, and a secret for remotes that is another one', () => {
    const { code, control, line } = open();
    expect(code).toMatch(new RegExp(`^[${codeSigns}]{5}$`));
    expect(/[AEIOUY01]/.test(codeSigns)).toBeFalse();
    expect(control.length).toBeGreaterThanOrEqual(24);
    expect(control).not.toBe(secret);
    expect(line.all('opened')[0]?.addresses).toEqual(['http://192.0.2.7:4173']);
  });

  it('tell the tablet who comes and goes, and pass on what it says to whom it is for', () => {
    const host = open();
    const wall = enter({ kind: 'join', code: host.code });
    const other = enter({ kind: 'join', code: host.code });
    const remote = enter({ kind: 'control', code: host.code, secret: host.control });
    expect(
      host.line
        .all('members')
        .at(-1)
        ?.members.map(({ id, role }) => [id, role]),
    ).toEqual([
      ['w1', 'wall'],
      ['w2', 'wall'],
      ['r3', 'remote'],
    ]);
    host.say(plan);
    host.say({ kind: 'state', to: 'w2', state: null });
    host.say({
      kind: 'panel',
      panel: { phase: null, pace: 1, last: null, resting: false, staged: false, instead: [] },
    });
    expect([wall, other, remote].map(({ line }) => line.all('plan').length)).toEqual([1, 1, 1]);
    expect([wall, other, remote].map(({ line }) => line.all('state').length)).toEqual([0, 1, 0]);
    // What a coach changes is no wall's business.
    expect([wall, other, remote].map(({ line }) => line.all('panel').length)).toEqual([0, 0, 1]);
    wall.gone();
    expect(host.line.all('members').at(-1)?.members.length).toBe(2);
    expect(rooms.count()).toEqual({ rooms: 1, guests: 2 });
  });

  it('let a wall show and nothing else, and a remote press in order, nothing twice', () => {
    const host = open();
    const wall = enter({ kind: 'join', code: host.code });
    wall.say({ kind: 'showing', showing: { view: 'clock', lane: null, sound: false } });
    expect(host.line.all('members').at(-1)?.members[0]?.showing?.view).toBe('clock');
    const press = { kind: 'press', number: 5, press: { kind: 'deed', deed: 'stop' } };
    wall.say(press);
    expect(wall.line.all('refused').map(({ why }) => why)).toEqual(['not understood']);
    expect(wall.line.closed).toBeTrue();
    expect(host.line.all('press').length).toBe(0);
    const remote = enter({ kind: 'control', code: host.code, secret: host.control });
    remote.say(press);
    remote.say(press);
    remote.say({ ...press, number: 4 });
    remote.say({ ...press, number: 6 });
    expect(host.line.all('press').length).toBe(2);
  });

  it('turn away wrong codes and wrong secrets, and stop a caller who goes on guessing', () => {
    const host = open();
    const wrong = enter({ kind: 'join', code: host.code === 'BBBBB' ? 'CCCCC' : 'BBBBB' });
    expect(wrong.line.all('refused').map(({ why }) => why)).toEqual(['no such code']);
    const thief = enter({ kind: 'control', code: host.code, secret: 'x'.repeat(24) });
    expect(thief.line.all('refused').map(({ why }) => why)).toEqual(['wrong secret']);
    const guesses = Array.from({ length: wallLimits.wrongPerMinute }, () => enter({ kind: 'join', code: 'ZZZZZ' }));
    expect(guesses.length).toBe(20);
    expect(guesses.at(-1)?.line.all('refused')[0]?.why).toBe('too often');
    // The right code is no help to who has guessed, until a minute is over; nobody else is kept out.
    expect(enter({ kind: 'join', code: host.code }).line.all('refused')[0]?.why).toBe('too often');
    expect(enter({ kind: 'join', code: host.code }, new Heard('192.0.2.9')).line.all('joined').length).toBe(1);
    now += 60_000;
    expect(enter({ kind: 'join', code: host.code }).line.all('joined').length).toBe(1);
  });

  it('let go who says too much, too often, or nothing that can be understood', () => {
    const host = open();
    const big = enter({ kind: 'join', code: host.code });
    big.say(`{"kind":"ping","t0":1,"x":"${'y'.repeat(wallLimits.guestBytes)}"}`);
    expect(big.line.closed).toBeTrue();
    const flood = enter({ kind: 'join', code: host.code });
    for (let each = 0; each < wallLimits.burst; each += 1) flood.say({ kind: 'ping', t0: each });
    expect(flood.line.all('pong').length).toBe(wallLimits.burst - 1);
    expect(flood.line.all('refused').map(({ why }) => why)).toEqual(['too often']);
    const hostile = [
      '',
      'x',
      '{}',
      'null',
      '[]',
      '{"kind":"open"}',
      '{"kind":"join","code":"bcdfg"}',
      '{"kind":"__proto__"}',
    ];
    for (const text of hostile) {
      const line = enter(text).line;
      expect(line.all('refused').map(({ why }) => why))
        .withContext(text)
        .toEqual(['not understood']);
    }
  });

  it('never throw, whatever anybody says', () => {
    const words = fc.oneof(
      fc.string(),
      fc.json(),
      fc
        .record({
          kind: fc.constantFrom(
            'open',
            'join',
            'control',
            'ping',
            'plan',
            'state',
            'press',
            'shut',
            'close',
            'showing',
          ),
          code: fc.constantFrom('BBBBB', 7, null),
          secret: fc.constantFrom(secret, ''),
          to: fc.constantFrom('w1', '', {}),
          t0: fc.double(),
          state: fc.anything(),
          press: fc.anything(),
        })
        .map((each) => JSON.stringify(each)),
    );
    let ran = 0;
    fc.assert(
      fc.property(fc.array(words, { maxLength: 8 }), (all) => {
        ran += 1;
        const { say, gone, code } = open();
        const wall = enter({ kind: 'join', code });
        for (const text of all) {
          say(text);
          wall.say(text);
          enter(text).gone();
        }
        wall.gone();
        gone();
        now += 60_000;
      }),
      { numRuns: 50 },
    );
    expect(ran).toBe(50);
  });

  it('wait for a tablet that comes back, know its code after a new start, and do not take it from another', () => {
    const host = open();
    const wall = enter({ kind: 'join', code: host.code });
    host.gone();
    expect(wall.line.all('host').map(({ here }) => here)).toEqual([true, false]);
    const back = open({ code: host.code });
    expect([back.code, back.control]).toEqual([host.code, host.control]);
    expect(wall.line.all('host').at(-1)?.here).toBeTrue();
    expect(back.line.all('members').at(-1)?.members.length).toBe(1);
    const thief = open({ code: host.code, secret: 'x'.repeat(24) });
    expect(thief.code).not.toBe(host.code);
    rooms = new Rooms(clock);
    expect(open({ code: host.code }).code).toBe(host.code);
  });

  it('pass nothing on for a tablet that another line has taken over from', () => {
    const host = open();
    open({ code: host.code });
    const wall = enter({ kind: 'join', code: host.code });
    host.say(plan);
    expect(wall.line.all('plan').length).toBe(0);
  });

  it('end with the coach, with a shut door, with a tablet that stays away, and with their day', () => {
    const host = open();
    const wall = enter({ kind: 'join', code: host.code });
    host.say({ kind: 'shut', to: 'w1' });
    expect(wall.line.all('refused').map(({ why }) => why)).toEqual(['shut out']);
    const other = enter({ kind: 'join', code: host.code });
    host.say({ kind: 'close' });
    expect([other.line.all('ended').length, other.line.closed, rooms.count().rooms]).toEqual([1, true, 0]);
    const away = open();
    away.gone();
    now += wallLimits.awayMs;
    rooms.sweep();
    expect(rooms.count().rooms).toBe(1);
    now += 1;
    rooms.sweep();
    expect(rooms.count().rooms).toBe(0);
    open();
    now += wallLimits.roomMs + 1;
    rooms.sweep();
    expect(rooms.count().rooms).toBe(0);
  });

  it('keep whoever was shut out away while the code is the same, others of the same place not', () => {
    const host = open({}, new Heard('192.0.2.1'));
    const at = (from: string, hello: object = { kind: 'join' }) =>
      enter({ ...hello, code: host.code }, new Heard(from));
    const why = ({ line }: ReturnType<typeof at>) => line.all('refused').map((said) => said.why);
    const wall = at('192.0.2.30');
    host.say({ kind: 'shut', to: 'w1' });
    wall.gone();
    expect(why(wall)).toEqual(['shut out']);
    expect(why(at('192.0.2.30'))).toEqual(['shut out']);
    expect(why(at('192.0.2.30', { kind: 'control', secret: host.control }))).toEqual(['shut out']);
    expect(why(at('192.0.2.31'))).toEqual([]);
    // Two windows of one machine: the other one goes on, and this one may come again.
    const [one] = [at('192.0.2.40'), at('192.0.2.40')];
    const id = one?.line.all('joined')[0]?.id;
    host.say({ kind: 'shut', to: id });
    expect(one && why(one)).toEqual(['shut out']);
    expect(why(at('192.0.2.40'))).toEqual([]);
    // A new code lets everybody begin anew.
    host.say({ kind: 'close' });
    const next = open({}, new Heard('192.0.2.1'));
    expect(enter({ kind: 'join', code: next.code }, new Heard('192.0.2.30')).line.all('joined').length).toBe(1);
  });

  it('are so many and no more, with so many in each', () => {
    const first = open();
    for (let each = 0; each < wallLimits.guests; each += 1) enter({ kind: 'join', code: first.code });
    expect(enter({ kind: 'join', code: first.code }).line.all('refused')[0]?.why).toBe('too many');
    for (let each = 1; each < wallLimits.rooms; each += 1) open();
    expect(rooms.count()).toEqual({ rooms: wallLimits.rooms, guests: wallLimits.guests });
    expect(enter({ kind: 'open', secret }).line.all('refused')[0]?.why).toBe('too many');
  });
});
