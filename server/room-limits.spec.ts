import { wallLimits } from '../core/index';
import { Heard, secret, Town } from './heard.spec';
import { addressOf } from './shares';

describe('limits of rooms', () => {
  let town: Town;
  const enter: Town['enter'] = (...all) => town.enter(...all);
  const open: Town['open'] = (...all) => town.open(...all);

  beforeEach(() => (town = new Town()));

  const whyOf = ({ line }: { readonly line: Heard }): string[] => line.all('refused').map(({ why }) => why);
  /** An address of its own for each number. */
  const from = (each: number): Heard => new Heard(`198.51.${Math.floor(each / 250)}.${each % 250}`);

  it('are so many and no more, with so many in each', () => {
    const first = open();
    for (let each = 0; each < wallLimits.guests; each += 1) enter({ kind: 'join', code: first.code }, from(each));
    expect(whyOf(enter({ kind: 'join', code: first.code }, from(999)))).toEqual(['too many']);
    for (let each = 1; each < wallLimits.rooms; each += 1) open({}, from(each));
    expect(town.rooms.count()).toEqual({ rooms: wallLimits.rooms, guests: wallLimits.guests });
    expect(whyOf(enter({ kind: 'open', secret }, from(998)))).toEqual(['too many']);
  });

  it('cannot all be taken by one address, which may still replace a room that its tablet has left', () => {
    const taken = Array.from({ length: wallLimits.roomsOfAddress }, () => open());
    expect(taken.every(({ code }) => code !== '')).toBeTrue();
    expect(whyOf(open())).toEqual(['too many from here']);
    expect(open({}, from(1)).code).not.toBe('');
    taken[3]?.gone();
    town.now += 1;
    expect(open().code).not.toBe('');
    const left = taken[3]?.code ?? '';
    expect(whyOf(enter({ kind: 'join', code: left }))).toEqual(['no such code']);
    // One that opens and closes all the time is stopped, too.
    let opened = 0;
    for (let each = 0; each < 100; each += 1) {
      const room = open({}, new Heard('203.0.113.5'));
      if (room.code !== '') opened += 1;
      room.say({ kind: 'close' });
      room.gone();
    }
    expect(opened).toBe(wallLimits.opensPerMinute);
  });

  it('take so many lines and so many bytes of one address, and of this machine as many as there are', () => {
    const { code } = open({}, new Heard('203.0.113.9'));
    const many = (address: string): number => {
      const all = Array.from({ length: 60 }, () => enter({ kind: 'join', code }, new Heard(address)));
      return all.filter(({ line }) => line.all('joined').length === 1).length;
    };
    expect(many('203.0.113.10')).toBe(wallLimits.linesOfAddress);
    expect(many('127.0.0.1')).toBe(60);
    const host = open({}, new Heard('203.0.113.11'));
    let sent = 0;
    while (sent < 100 && !host.line.closed) {
      town.now += 50;
      host.say(`{"kind":"ping","t0":1,"x":"${'y'.repeat(1_000_000)}"}`);
      sent += 1;
    }
    expect(sent).toBe(11);
    expect(whyOf(host)).toEqual([...Array.from({ length: 10 }, () => 'not understood'), 'too often']);
  });

  it('count one network of IPv6, and an address of IPv4 in it, as one address', () => {
    expect(addressOf('::ffff:192.0.2.7')).toBe('192.0.2.7');
    expect(addressOf('2001:db8:1:2:3::9')).toBe('2001:db8:1:2::/64');
    expect(addressOf('2001:db8::9')).toBe('2001:db8:0:0::/64');
    expect(addressOf('fe80::1%eth0')).toBe('fe80:0:0:0::/64');
  });

  it('pass on a few presses a second, and Stop always', () => {
    const host = open();
    const remote = enter({ kind: 'control', code: host.code, secret: host.control });
    const press = (number: number, deed: string) =>
      remote.say({ kind: 'press', number, press: { kind: 'deed', deed } });
    for (let each = 0; each < 18; each += 1) press(each, 'forward');
    expect(host.line.all('press').length).toBe(wallLimits.pressBurst);
    press(18, 'stop');
    expect(host.line.all('press').at(-1)?.press).toEqual({ kind: 'deed', deed: 'stop' });
    town.now += 1000;
    for (let each = 20; each < 38; each += 1) press(each, 'forward');
    expect(host.line.all('press').length).toBe(wallLimits.pressBurst + 1 + wallLimits.pressesPerSecond);
  });

  it('change code and secret when a remote is shut out: it stays out, those that stay go on', () => {
    const host = open();
    const at = (place: string) => enter({ kind: 'control', code: host.code, secret: host.control }, new Heard(place));
    const [stays, goes] = [at('192.0.2.60'), at('192.0.2.61')];
    host.say({ kind: 'shut', to: goes.line.all('joined')[0]?.id });
    const [renewed] = host.line.all('renewed');
    const { code = '', control = '', pass = '' } = renewed ?? {};
    expect(stays.line.all('moved')).toEqual([{ kind: 'moved', code, control }]);
    expect([code === host.code, control === host.control]).toEqual([false, false]);
    expect(
      host.line
        .all('members')
        .at(-1)
        ?.members.map(({ id }) => id),
    ).toEqual(['r1']);
    // By another address, with the picture it took before.
    expect(whyOf(at('192.0.2.62'))).toEqual(['wrong secret']);
    stays.say({ kind: 'press', number: 1, press: { kind: 'deed', deed: 'toggle' } });
    expect(host.line.all('press').length).toBe(1);
    // Its tablet proves the new ones after a restart.
    town.restart();
    expect(open({ room: { code, control, pass } }).control).toBe(control);
  });

  it('change the code when a screen is shut out, also where the tablet or another screen has the same address', () => {
    const host = open({}, new Heard('192.0.2.70'));
    const join = (code: string) => enter({ kind: 'join', code }, new Heard('192.0.2.70'));
    const [stays, goes] = [join(host.code), join(host.code)];
    host.say({ kind: 'shut', to: goes.line.all('joined')[0]?.id });
    expect(whyOf(goes)).toEqual(['shut out']);
    const [renewed] = host.line.all('renewed');
    // A screen is never told the remotes' secret.
    expect(stays.line.all('moved')).toEqual([{ kind: 'moved', code: renewed?.code ?? '' }]);
    goes.gone();
    expect(whyOf(join(host.code))).toEqual(['no such code']);
    expect(join(renewed?.code ?? '').line.all('joined').length).toBe(1);
    host.say({ kind: 'show', to: 'w1', showing: { view: 'clock', lane: null, sound: false } });
    expect([stays.line.all('show').length, goes.line.all('show').length]).toEqual([1, 0]);
    expect(town.rooms.count().rooms).toBe(1);
    // The tablet did not hear of the new code: it comes back to its one room by the old one.
    host.gone();
    expect(open({ room: host.room }).code).toBe(renewed?.code ?? '');
    expect(town.rooms.count().rooms).toBe(1);
  });

  it('tell the tablet of many screens at once together', () => {
    const later: (() => void)[] = [];
    town.later = later;
    const host = open();
    const walls = Array.from({ length: 30 }, () => enter({ kind: 'join', code: host.code }));
    for (const wall of walls) wall.say({ kind: 'showing', showing: { view: 'clock', lane: null, sound: false } });
    expect([host.line.all('members').length, later.length]).toEqual([1, 1]);
    town.now += wallLimits.membersEveryMs;
    for (const task of later) task();
    const members = host.line.all('members').at(-1)?.members ?? [];
    expect([members.length, members.every(({ showing }) => showing?.view === 'clock')]).toEqual([30, true]);
  });
});
