import { isBagKind, natureOf, takesLowKicks, bagNatures } from './kinds';
import type { OwnBag } from './own-kind';

const own: OwnBag = { name: 'Tyre', targets: ['head', 'body'], families: ['punch'] };

describe('a kind of bag by its name', () => {
  it('is built in, the coach’s own before that, or nobody’s', () => {
    expect(natureOf('heavy')).toBe(bagNatures.heavy);
    expect(natureOf('tyre')).toBeNull();
    expect(natureOf('tyre', [own])?.spoken).toBe('Tyre');
    // A kind that is built in later changes nobody's sheet.
    expect(natureOf('heavy', [{ ...own, name: 'Heavy' }])?.spoken).toBe('Heavy');
    expect([isBagKind('heavy'), isBagKind('tyre')]).toEqual([true, false]);
  });

  it('of a coach’s own takes holds unless it says otherwise, and has the care that is written', () => {
    expect(natureOf('Tyre', [own])?.families).toEqual(['punch', 'hold']);
    expect(natureOf('Tyre', [{ ...own, holds: false }])?.families).toEqual(['punch']);
    expect(natureOf('Tyre', [{ ...own, care: 'mind the rim' }])?.care).toBe('mind the rim');
    expect(natureOf('Tyre', [own])?.goodFor).toBe('');
  });

  it('asks about low kicks where a thing hangs or stands that legs may be kicked at', () => {
    expect(takesLowKicks(bagNatures.heavy)).toBeTrue();
    expect([null, bagNatures.shadow, bagNatures['double-end']].map(takesLowKicks)).toEqual([false, false, false]);
  });
});
