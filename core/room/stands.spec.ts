import { armReach } from '../bags/bench/heights';
import { demoRoom } from '../../demo/room';
import { standsOf } from './stands';
import { staturesOf } from './room';

describe('where people stand', () => {
  it('is in the room, in reach of their bag, and nobody at one that is down', () => {
    const stands = standsOf(demoRoom);
    expect(stands.length).toBeGreaterThan(3);
    const reach = armReach(staturesOf(demoRoom).median);
    for (const { bagId, x, y } of stands) {
      const bag = demoRoom.bags.find(({ id }) => id === bagId);
      expect(Math.hypot(x - (bag?.x ?? 0), y - (bag?.y ?? 0))).toBeLessThanOrEqual((bag?.radius ?? 0) + reach + 0.01);
      expect(x > 0 && y > 0 && x < demoRoom.width && y < demoRoom.depth).toBeTrue();
    }
    const [first] = demoRoom.bags;
    const down = { ...demoRoom, bags: demoRoom.bags.map((bag) => ({ ...bag, down: bag === first })) };
    expect(standsOf(down).some(({ bagId }) => bagId === first?.id)).toBeFalse();
  });

  it('holds no more than there are people and places', () => {
    expect(standsOf({ ...demoRoom, people: 2 }).length).toBe(2);
    const one = { ...demoRoom, people: 50, bags: demoRoom.bags.slice(0, 1).map((bag) => ({ ...bag, places: 1 })) };
    expect(standsOf(one).length).toBe(1);
  });

  it('puts nobody into another one’s elbows, however many places a bag has (70° apart: house value)', () => {
    const [bag] = demoRoom.bags;
    if (!bag) throw new Error('the demo has no bag');
    const middle = { ...bag, x: 10, y: 10, places: 9 };
    const stands = standsOf({ ...demoRoom, width: 20, depth: 20, people: 50, bags: [middle] });
    expect(stands.length).toBe(5);
    const angles = stands.map(({ x, y }) => Math.atan2(y - 10, x - 10)).sort((a, b) => a - b);
    const gaps = angles.map(
      (angle, at) => ((angles[at + 1] ?? (angles[0] ?? 0) + 2 * Math.PI) - angle) * (180 / Math.PI),
    );
    expect(Math.min(...gaps)).toBeGreaterThan(69);
  });
});
