import { moveKinds } from '../moves/catalogue';
import { six } from '../moves/scheme';
import { usualCheers, usualFocuses } from './cues';
import { wantedBy } from './focus';

// Trade page, section 15 (common practice, no source): a cue for the strike that is new or goes wrong, short.
describe('our own cues and praise', () => {
  it('has two cues or more for every move that is done', () => {
    const done = moveKinds.filter(({ family }) => family !== 'wait');
    expect(done.length).toBeGreaterThan(30);
    for (const { id } of done) {
      const cues = usualFocuses.filter(({ moves }) =>
        moves.some((spelling) => {
          const wanted = wantedBy(spelling, six);
          return wanted !== null && 'id' in wanted && wanted.id === id;
        }),
      );
      expect(cues.length).withContext(id).toBeGreaterThanOrEqual(2);
    }
  });

  it('names moves that can be read, and says nothing twice', () => {
    const spellings = usualFocuses.flatMap(({ moves }) => moves);
    expect(spellings.length).toBeGreaterThan(50);
    expect(spellings.filter((spelling) => wantedBy(spelling, six) === null)).toEqual([]);
    const words = [...usualFocuses, ...usualCheers].map((each) => each.words);
    expect(new Set(words).size).toBe(words.length);
  });
});
