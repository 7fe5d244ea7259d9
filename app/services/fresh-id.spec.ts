import { freshId } from './fresh-id';

describe('a fresh id', () => {
  it('is a random UUID, made without what only secure addresses have', () => {
    // RFC 9562, section 5.4: version 4, variant 10.
    spyOn(crypto, 'randomUUID').and.throwError('crypto.randomUUID is not a function');
    const ids = Array.from({ length: 500 }, freshId);
    expect(new Set(ids).size).toBe(500);
    expect(
      ids.filter((id) => !/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/.test(id)),
    ).toEqual([]);
  });
});
