import { readWishes } from '../composer/read-wishes';
import { compose } from '../composer/compose';
import { emptyRoom, type Room, type RoomBag } from '../sheet/room';
import { usualBag } from '../room/usual-bag';
import { hungBags } from '../room/bag-conditions';
import { namesFor, taughtFaults } from './composing-names';

const count = (text: string, names = namesFor([], [], {})): bigint => {
  const read = readWishes(text, names);
  const found = read.ok ? compose(read.value) : read;
  if (!found.ok) throw new Error(found.fault.mend);
  return found.value.counted.count;
};

describe('names in wishes', () => {
  it('are those of the book, whatever its combinations hold', () => {
    const names = namesFor(
      [
        { name: 'Ladder truck', text: '1 2 3' },
        { name: 'Open', text: '(1 2)x2 any 3' },
        { name: 'Broken', text: '???' },
      ],
      [],
      {},
    );
    expect(names.book.map(({ name }) => name)).toEqual(['Ladder truck', 'Open']);
    expect(count('4 moves, begins Ladder truck, only 1 2 3', names)).toBe(3n);
    expect(count('3 moves, only 1 2 3, 1 edit from the book', names)).toBe(26n);
  });

  it('are those of the faults that have a drill of plain moves, by id or by name', () => {
    expect(taughtFaults.length).toBeGreaterThan(5);
    for (const { id, name } of taughtFaults) {
      const found = count(`9 moves, teaches ${id}`);
      expect(found > 0n)
        .withContext(id)
        .toBeTrue();
      if (!name.includes(',')) expect(count(`9 moves, teaches ${name}`)).toBe(found);
    }
  });

  it('are the bags of the room as they hang: by a wall nobody circles, above the knee nothing lands low', () => {
    const hung = (id: string, name: string, x: number, bottom: number): RoomBag => ({
      ...usualBag(id, 'heavy', x, 3),
      ...{ name, bottom },
    });
    const room: Room = { ...emptyRoom(), bags: [hung('a', 'Short one', 2, 1.2), hung('b', 'Long one', 5, 0.3)] };
    const away = { ...room, bags: room.bags.map((bag) => ({ ...bag, down: bag.id === 'a' })) };
    expect(hungBags(away).map(({ name }) => name)).toEqual(['Long one']);
    const names = namesFor([], hungBags(room), {});
    expect(names.bags.map(({ name }) => name)).toEqual(['Short one', 'Long one']);
    expect(count('1 move, only lk, on Short one', names)).toBe(0n);
    expect(count('1 move, only lk, on Long one', names)).toBe(1n);
    expect(count('1 move, only lk, all bags', names)).toBe(0n);
  });
});
