import { readTempoText } from '../formats/tempo-text/read';
import { tally } from '../tally/tally';
import { compile } from '../timeline/compile';
import { mostPulse, pulseAt, pulseBand } from './pulse';
import { heartRateOf } from './sensor';
import { simulatedCounter, simulatedStrap } from './simulated';

const session = compile(readTempoText(['round 3:00 x6 rest 1:00: 1 2 3b 2', 'round 3:00: 1 2'].join('\n')).sheet);

describe('pulse', () => {
  it('goes by published formulas', () => {
    // Tanaka, Monahan and Seals 2001 (J Am Coll Cardiol 37:153): 208 − 0.7 × age; from memory.
    expect([20, 40, 60].map(mostPulse)).toEqual([194, 180, 166]);
    // Karvonen 1957, the usual worked example of a resting pulse of 70 and a highest of 190 at 60 and 80 %; from memory.
    expect([0.6, 0.8].map((share) => pulseAt(70, 190, share))).toEqual([142, 166]);
    const bands = [70, 100, 125, 150, 170, 178].map((bpm) => pulseBand(bpm, 60, 180));
    expect(bands).toEqual(['at rest', 'easy', 'steady', 'hard', 'maximum', 'maximum']);
  });

  it('is read from a strap as Bluetooth says (Heart Rate Service, characteristic 0x2A37; from memory)', () => {
    const read = (...bytes: number[]) => heartRateOf(new DataView(Uint8Array.of(...bytes).buffer));
    expect(read(0x00, 72)).toBe(72);
    // Sixteen bits, the low one first.
    expect(read(0x01, 0x2c, 0x01)).toBe(300);
    // The strap can tell whether it touches the skin: it does, and it does not.
    expect([read(0x06, 140), read(0x04, 140)]).toEqual([140, null]);
    expect([read(), read(0x00), read(0x01, 72), read(0x00, 0)]).toEqual([null, null, null, null]);
  });
});

describe('simulated sensors', () => {
  it('tell the same whenever they are asked, in one piece or in many', () => {
    for (const sensor of [simulatedCounter(session, 7), simulatedStrap(session, 7, { age: 40, rest: 60 })]) {
      const whole = sensor.readings(0, session.ms);
      const parts = [];
      for (let at = 0; at < session.ms; at += 1700) parts.push(...sensor.readings(at, Math.min(session.ms, at + 1700)));
      expect(parts.length).toBeGreaterThan(200);
      expect(parts).toEqual([...whole]);
      expect(sensor.simulated).toBeTrue();
    }
  });

  it('count about what is planned, a little less, more so when people are tired', () => {
    const planned = tally(session, 'orthodox').counts.punches;
    const sums = Array.from({ length: 20 }, (_, seed) =>
      simulatedCounter(session, seed)
        .readings(0, session.ms)
        .reduce((sum, reading) => sum + (reading.kind === 'punches' ? reading.count : 0), 0),
    );
    expect(sums.length).toBe(20);
    for (const sum of sums) {
      expect(sum).toBeGreaterThan(planned * 0.8);
      expect(sum).toBeLessThan(planned);
    }
  });

  it('get tired: the same round has fewer punches late than early', () => {
    const of = (from: number): number =>
      Array.from({ length: 40 }, (_, seed) => simulatedCounter(session, seed).readings(from, from + 180_000))
        .flat()
        .reduce((sum, reading) => sum + (reading.kind === 'punches' ? reading.count : 0), 0);
    // Rounds of three minutes with a minute between: the first and the sixth. At 0.15 an hour, twenty minutes take 5 %.
    expect(of(5 * 240_000) / of(0)).toBeLessThan(0.98);
    expect(of(5 * 240_000) / of(0)).toBeGreaterThan(0.9);
  });

  it('have a pulse that climbs in a round, falls in a rest, and stays within what a body has', () => {
    const readings = simulatedStrap(session, 3, { age: 40, rest: 60 }).readings(0, session.ms);
    const bpms = readings.flatMap((reading) => (reading.kind === 'pulse' ? [reading.bpm] : []));
    expect(bpms.length).toBeGreaterThan(1000);
    expect(Math.min(...bpms)).toBeGreaterThanOrEqual(60);
    expect(Math.max(...bpms)).toBeLessThanOrEqual(180);
    const at = (second: number): number => {
      const reading = readings.find((each) => each.at >= second * 1000);
      return reading?.kind === 'pulse' ? reading.bpm : 0;
    };
    expect(at(170)).toBeGreaterThan(at(5) + 20);
    expect(at(238)).toBeLessThan(at(178));
  });

  it('drop out now and then, come back by themselves, and run low', () => {
    const counter = simulatedCounter(session, 5);
    const states = Array.from({ length: 1500 }, (_, at) => counter.stateAt(at * 1000));
    const off = states.filter(({ connected }) => !connected).length;
    expect(off).toBeGreaterThan(8);
    expect(off).toBeLessThan(60);
    expect(states.at(-1)?.connected).toBeDefined();
    expect(states[0]?.battery).toBeGreaterThan(states.at(-1)?.battery ?? 1);
    const silent = states.findIndex(({ connected }) => !connected);
    expect(counter.readings(silent * 1000, silent * 1000 + 1000)).toEqual([]);
  });
});
