import { demoRoom } from '../../demo/room';
import { emptySheet } from '../sheet/fresh';
import { lanesFromRoom, roomFloor, roomSays, sheetForRoom, staturesOf } from './room';
import { emptyRoom, roomSchema, type Room } from '../sheet/room';
import { usualBag } from './usual-bag';
import { bagKinds } from '../bags/kind-names';

const about = (room: Room, part: string) => roomSays(room).filter(({ what }) => what.includes(part));

describe('a room', () => {
  it('of the demo is a good one, with what its numbers say', () => {
    expect(roomSchema.parse(demoRoom)).toEqual(demoRoom);
    const floors = new Map(roomFloor(demoRoom).map((floor) => [floor.id, floor.access]));
    expect(floors.get('tower-wall')).toBe('quarter');
    expect(floors.get('tower-long')).toBe('all round');
    expect(floors.has('tower-floor')).toBeFalse();
    // Knee of 1.58 m is 0.450 m (Drillis and Contini), five centimetres above it 0.50 m: the wall bag ends above.
    expect(about(demoRoom, 'bottom edge').map(({ bagId }) => bagId)).toEqual(['tower-wall']);
    // 60 N are 6.1 kg; with half as much again 8 kg are too few.
    expect(about(demoRoom, 'loose weight')[0]?.mend).toContain('10 kg');
  });

  it('says when circles meet, a ball hangs wrong, and people outnumber places', () => {
    const room: Room = {
      ...emptyRoom(),
      people: 9,
      bags: [usualBag('a', 'heavy', 3, 3), usualBag('b', 'heavy', 4, 3)],
    };
    expect(about(room, 'its working circle overlaps')).toHaveSize(1);
    expect(about(room, '9 people, but 4 places')).toHaveSize(1);
    expect(about({ ...room, statures: [1.5] }, 'working circle overlaps')[0]?.what).not.toBe(
      about(room, 'working circle overlaps')[0]?.what,
    );
    const tall: Room = { ...emptyRoom(), statures: [2], bags: [usualBag('a', 'double-end', 3, 3)] };
    expect(about(tall, 'chin height of the middle person')).toHaveSize(1);
    expect(about({ ...room, width: 3.5 }, 'outside the room')).toHaveSize(1);
    expect(roomSays(emptyRoom())).toEqual([]);
    expect(about({ ...room, bags: room.bags.map((bag) => ({ ...bag, down: true })) }, 'circle')).toEqual([]);
  });

  it('becomes the lanes of a sheet: one a kind, as tight as the tightest', () => {
    const lanes = lanesFromRoom(demoRoom);
    expect(lanes.map(({ bag, places }) => `${bag} ${places}`)).toEqual([
      'heavy 3',
      'double-end 2',
      'standing 3',
      'shadow 4',
    ]);
    expect(lanes[0]).toEqual(jasmine.objectContaining({ access: 'quarter', lowKicks: false }));
    const sheet = sheetForRoom(
      emptySheet(() => 'x'),
      demoRoom,
    );
    expect(sheet.class).toEqual(jasmine.objectContaining({ people: 12, level: 'beginner', leftHanded: 3 }));
    expect(sheetForRoom(sheet, emptyRoom()).lanes).toBeUndefined();
    expect(staturesOf(emptyRoom()).median).toBe(1.75);
  });

  it('begins each kind with a usual bag, the coach’s own too', () => {
    expect([...bagKinds, 'Rope mat'].length).toBeGreaterThan(0);
    for (const kind of [...bagKinds, 'Rope mat'])
      expect(roomSchema.safeParse({ ...emptyRoom(), bags: [usualBag('a', kind, 1, 1)] }).success).toBeTrue();
    const twice = { ...emptyRoom(), bags: [usualBag('a', 'heavy', 1, 1), usualBag('a', 'heavy', 2, 1)] };
    expect(roomSchema.safeParse(twice).success).toBeFalse();
  });
});
