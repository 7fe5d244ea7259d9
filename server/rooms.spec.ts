import fc from 'fast-check';
import { codeSigns, emptySheet, wallLimits, wallSheet, type HostMessage } from '../core/index';
import { Heard, secret, Town } from './heard.spec';

let count = 0;
const sheet = wallSheet(emptySheet(() => `id${(count += 1)}`, 'Rounds'));
const plan: HostMessage = { kind: 'plan', plan: { sheet, changes: [], named: true, breathHeld: false, words: null } };

describe('rooms', () => {
  let town: Town;
  const enter: Town['enter'] = (...all) => town.enter(...all);
  const open: Town['open'] = (...all) => town.open(...all);

  beforeEach(() => (town = new Town()));

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
    expect(town.rooms.count()).toEqual({ rooms: 1, guests: 2 });
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
    town.now += 60_000;
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
        town.now += 60_000;
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
    const back = open({ room: host.room });
    expect([back.code, back.control]).toEqual([host.code, host.control]);
    expect(wall.line.all('host').at(-1)?.here).toBeTrue();
    expect(back.line.all('members').at(-1)?.members.length).toBe(1);
    const thief = open({ room: host.room, secret: 'x'.repeat(24) });
    expect(thief.code).not.toBe(host.code);
  });

  it('are given back after a restart to the tablet that opened them, with the secret of the remotes, and to nobody else', () => {
    const host = open();
    town.restart();
    const back = open({ room: host.room });
    expect([back.code, back.control]).toEqual([host.code, host.control]);
    expect(enter({ kind: 'control', code: host.code, secret: host.control }).line.all('joined').length).toBe(1);
    town.restart();
    const strangers = [
      { secret: 'x'.repeat(24), room: host.room },
      { room: { ...host.room, pass: 'p'.repeat(43) } },
      { room: { ...host.room, control: 'c'.repeat(24) } },
    ];
    for (const each of strangers) expect(open(each).code).not.toBe(host.code);
    expect(strangers.length).toBe(3);
    expect(open({ room: host.room }).code).toBe(host.code);
  });

  it('pass nothing on for a tablet that another line has taken over from', () => {
    const host = open();
    open({ room: host.room });
    // It is told, so that it does not take the line back.
    expect([host.line.all('replaced').length, host.line.closed]).toEqual([1, true]);
    const wall = enter({ kind: 'join', code: host.code });
    host.say(plan);
    expect(wall.line.all('plan').length).toBe(0);
  });

  it('end with the coach, with a shut door, with a tablet that stays away, and with their day', () => {
    const host = open();
    const wall = enter({ kind: 'join', code: host.code });
    host.say({ kind: 'shut', to: 'w1' });
    expect(wall.line.all('refused').map(({ why }) => why)).toEqual(['shut out']);
    const other = enter({ kind: 'join', code: host.line.all('renewed')[0]?.code });
    host.say({ kind: 'close' });
    expect([other.line.all('ended').length, other.line.closed, town.rooms.count().rooms]).toEqual([1, true, 0]);
    const away = open();
    away.gone();
    town.now += wallLimits.awayMs;
    town.rooms.sweep();
    expect(town.rooms.count().rooms).toBe(1);
    town.now += 1;
    town.rooms.sweep();
    expect(town.rooms.count().rooms).toBe(0);
    open();
    town.now += wallLimits.roomMs + 1;
    town.rooms.sweep();
    expect(town.rooms.count().rooms).toBe(0);
  });
});
