import fc from 'fast-check';
import { anyMove } from '../notation/arbitrary.spec';
import { writeMove } from '../notation/write';
import { move } from '../moves/move';
import { moveAt, staffPlaces, stepPlace } from './place';

const at = (given: ReturnType<typeof move>, side: 'lead' | 'rear', target: 'head' | 'body' | 'leg') => {
  const moved = moveAt(given, { side, target });
  return moved && writeMove(moved);
};

describe('places on the staff', () => {
  it('a strike keeps its kind on another side or level', () => {
    expect(at(move('hook', 'lead'), 'rear', 'body')).toBe('4b');
    expect(at(move('jab'), 'rear', 'head')).toBe('2');
    expect(at(move('uppercut', 'rear'), 'lead', 'body')).toBe('5b');
    expect(at(move('teep'), 'lead', 'leg')).toBe('tpl');
  });

  it('a kick is named by its height', () => {
    expect(at(move('body-kick'), 'rear', 'leg')).toBe('lk');
    expect(at(move('low-kick', 'lead'), 'lead', 'head')).toBe('lhk');
    expect(at(move('switch-kick'), 'lead', 'head')).toBe('swh');
  });

  it('there is no such move at some places', () => {
    expect(at(move('hook', 'lead'), 'lead', 'leg')).toBeNull();
    expect(at(move('push'), 'rear', 'body')).toBeNull();
  });

  it('a defence goes to the side, its level does not matter', () => {
    expect(at(move('slip'), 'lead', 'leg')).toBe('sl-l');
    expect(at(move('step-in'), 'lead', 'head')).toBe('in');
  });

  it('steps down through every place there is', () => {
    const seen = ['1'];
    for (let here = stepPlace(move('jab'), 1); here; here = stepPlace(here, 1)) seen.push(writeMove(here));
    expect(seen).toEqual(['1', '1b', '2', '2b']);
    expect(stepPlace(move('jab'), -1)).toBeNull();
    fc.assert(
      fc.property(anyMove, (given) => {
        const down = stepPlace(given, 1);
        const height = (each: { side: unknown; target: unknown }) =>
          staffPlaces.findIndex((place) => place.side === each.side && place.target === each.target);
        if (down?.target) expect(height(down)).toBeGreaterThan(height(given));
        expect(staffPlaces.length).toBeGreaterThan(0);
        for (const place of staffPlaces) {
          const moved = moveAt(given, place);
          if (moved?.target) expect([moved.side, moved.target]).toEqual([place.side, place.target]);
        }
      }),
    );
  });
});
