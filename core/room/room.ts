import { anchorCheck } from '../bags/bench/double-end-notes';
import { doubleEndSwing, excursion } from '../bags/bench/double-end';
import { floorPlan, type BagFloor } from '../bags/bench/floor';
import { bodyHeights, classStatures, lowKickEdge, lowKicksLand, type ClassStatures } from '../bags/bench/heights';
import { natureOf, shownBag, takesLowKicks } from '../bags/kinds';
import { accesses, type Access } from '../bags/own-kind';
import { sayLength, type MeasureSystem } from '../measures';
import type { Sheet } from '../sheet/schema';
import type { Metres } from '../units';
import type { Room, RoomBag } from '../sheet/room';

/** Where nobody is measured, the plan is drawn for somebody of this height (house value). */
export const usualStature: Metres = 1.75;
/** Momentum of a good straight at a ball, kg·m/s (house value: a fist's weight of the arm at a few metres a second). */
const firmBlow = 1.2;
/** How far a ball or tape may be from the chin of the middle one (house value). */
const chinSlack: Metres = 0.08;

/** Something the numbers of a room say. */
export interface RoomSays {
  readonly level: 'warning' | 'note';
  readonly bagId: string | null;
  readonly where: string;
  readonly what: string;
  readonly mend: string;
}

/** The name of a bag as it is shown. */
export function roomBagName({ name, kind }: RoomBag): string {
  return name || shownBag(kind);
}

/** Smallest, middle and tallest of a room's people; everybody usual where nobody is measured. */
export function staturesOf(room: Room): ClassStatures {
  return classStatures(room.statures) ?? { smallest: usualStature, median: usualStature, tallest: usualStature };
}

/** The floor round each bag that is in use; shadow work needs no bag. Drawn for the tallest. */
export function roomFloor(room: Room): BagFloor[] {
  const placed = room.bags
    .filter((bag) => !bag.down && natureOf(bag.kind, room.ownBags)?.body !== 'none')
    .map((bag) => ({ id: bag.id, name: roomBagName(bag), x: bag.x, y: bag.y, radius: bag.radius }));
  return floorPlan(room, placed, staturesOf(room).tallest);
}

function floorSays(room: Room, name: (id: string) => string, units: MeasureSystem): RoomSays[] {
  return roomFloor(room).flatMap(({ id, access, overlaps }): RoomSays[] => {
    const at = { bagId: id, where: name(id) };
    const closed: RoomSays[] =
      access === 'quarter'
        ? [
            {
              ...at,
              level: 'note',
              what: 'only about a quarter of the space around it is clear, so nobody can circle it',
              mend: 'use angle changes instead of circling, or hang it further from the wall',
            },
          ]
        : [];
    const near = overlaps
      .filter((other) => id < other.id)
      .map((other): RoomSays => ({
        ...at,
        level: 'warning',
        what: `its working circle overlaps ${name(other.id)} by ${sayLength(other.by, units)}`,
        mend: 'hang them further apart, or let one person work at a time',
      }));
    return [...closed, ...near];
  });
}

function heightSays(room: Room, bag: RoomBag, units: MeasureSystem): RoomSays[] {
  const at = { bagId: bag.id, where: roomBagName(bag) };
  const class3 = staturesOf(room);
  const statures = [class3.smallest, class3.median, class3.tallest];
  const chin = bodyHeights(class3.median).chin;
  const said: RoomSays[] = [];
  const nature = natureOf(bag.kind, room.ownBags);
  if (takesLowKicks(nature) && !lowKicksLand(bag.bottom, statures))
    said.push({
      ...at,
      level: 'warning',
      what: `its bottom edge is at ${sayLength(bag.bottom, units)}; the shortest person’s low kick lands at ${sayLength(lowKickEdge(class3.smallest), units)}`,
      mend: 'lower the bag, or kick to the body; adapted combinations already do this',
    });
  const centre = (bag.bottom + bag.top) / 2;
  if (nature?.ball && Math.abs(centre - chin) > chinSlack)
    said.push({
      ...at,
      level: 'note',
      what: `the ball is at ${sayLength(centre, units)}; chin height of the middle person is ${sayLength(chin, units)}`,
      mend: 'move it to chin height or slightly lower',
    });
  return said;
}

function cordSays(bag: RoomBag): RoomSays[] {
  const { cords } = bag;
  if (!cords) return [];
  const at = { bagId: bag.id, where: roomBagName(bag) };
  const notes = doubleEndSwing(cords).notes.map((what): RoomSays => ({
    ...at,
    level: 'note',
    what,
    mend: 'see Bag set-up',
  }));
  const check = cords.anchor === undefined ? null : anchorCheck(cords, cords.anchor, excursion(cords, firmBlow));
  if (check && !check.holds)
    notes.push({
      ...at,
      level: 'warning',
      what: `a loose weight of ${cords.anchor} kg will not hold the lower cord`,
      mend: `use ${Math.ceil(check.needed)} kg or more, or fix it to the floor`,
    });
  return notes;
}

/** Everything the numbers of a room say: circles, heights, cords, places against people. */
export function roomSays(room: Room, units: MeasureSystem = 'metric'): RoomSays[] {
  const names = new Map(room.bags.map((bag) => [bag.id, roomBagName(bag)]));
  const used = room.bags.filter((bag) => !bag.down);
  const places = used.reduce((sum, bag) => sum + bag.places, 0);
  const said = [
    ...floorSays(room, (id) => names.get(id) ?? '', units),
    ...used.flatMap((bag) => [...heightSays(room, bag, units), ...cordSays(bag)]),
  ];
  const outside = used.filter((bag) => bag.x > room.width || bag.y > room.depth);
  for (const bag of outside)
    said.push({
      level: 'warning',
      bagId: bag.id,
      where: roomBagName(bag),
      what: 'it is outside the room',
      mend: 'move it, or make the room larger',
    });
  if (room.people !== undefined && used.length > 0 && places < room.people)
    said.push({
      level: 'note',
      bagId: null,
      where: 'Room',
      what: `${room.people} people, but ${places} places`,
      mend: 'leave floor space for shadow boxing, or share bags in pairs',
    });
  return said;
}

/** A sheet's lanes from the bags of a room: one a kind with the places of all, as tight as the tightest of them. */
export function lanesFromRoom(room: Room): NonNullable<Sheet['lanes']> {
  const floors = new Map(roomFloor(room).map((floor) => [floor.id, floor.access]));
  const { smallest } = staturesOf(room);
  const lanes = new Map<string, { bag: string; places: number; access: Access; lowKicks: boolean }>();
  for (const bag of room.bags) {
    if (bag.down) continue;
    const access = floors.get(bag.id) ?? 'all round';
    const lowKicks = lowKicksLand(bag.bottom, [smallest]);
    const before = lanes.get(bag.kind);
    lanes.set(bag.kind, {
      bag: bag.kind,
      places: (before?.places ?? 0) + bag.places,
      access: before && accesses.indexOf(before.access) > accesses.indexOf(access) ? before.access : access,
      lowKicks: (before?.lowKicks ?? true) && lowKicks,
    });
  }
  return [...lanes.values()].map(({ bag, places, access, lowKicks }) => ({
    bag,
    places: Math.min(200, places),
    ...(access === 'all round' ? {} : { access }),
    ...(lowKicks || !takesLowKicks(natureOf(bag, room.ownBags)) ? {} : { lowKicks: false }),
  }));
}

/** The figures that a sheet keeps of a ball between cords. */
function ballOf({ mass, upper, lower, tensionUpper, tensionLower }: NonNullable<Sheet['ball']>): Sheet['ball'] {
  return { mass, upper, lower, tensionUpper, tensionLower };
}

/** A sheet for the people and bags of a room, with the figures of its ball. `sheetForRoom(sheet, room).lanes` */
export function sheetForRoom(sheet: Sheet, room: Room): Sheet {
  const lanes = lanesFromRoom(room);
  const own = room.ownBags.filter(({ name }) => lanes.some(({ bag }) => bag === name));
  const cords = room.bags.find((bag) => !bag.down && bag.cords !== undefined)?.cords;
  const { lanes: _, ownBags: __, ...plain } = sheet;
  return {
    ...plain,
    class: {
      ...sheet.class,
      ...(room.people === undefined ? {} : { people: room.people }),
      ...(room.leftHanded === undefined ? {} : { leftHanded: room.leftHanded }),
      ...(room.level === undefined ? {} : { level: room.level }),
    },
    ...(lanes.length > 0 ? { lanes: lanes.slice(0, 12) } : {}),
    ...(own.length > 0 ? { ownBags: own } : {}),
    ...(cords ? { ball: ballOf(cords) } : {}),
  };
}
