import { six } from '../moves/scheme';
import { beginsCombination } from './begins';
import { readCombination } from './read';

describe('what can begin a combination', () => {
  it('is what stands first in combinations that read', () => {
    const texts = [
      '1 2',
      'jab',
      'Cross',
      'sl 2',
      '(1 2)x3',
      '[bk / swk]',
      'any 1 2',
      'tp 3',
      'knee',
      'freestyle',
      'wait 1',
    ];
    for (const text of texts) {
      expect(readCombination(text).ok).withContext(text).toBeTrue();
      expect(beginsCombination(text.charAt(0), six))
        .withContext(text)
        .toBeTrue();
    }
    expect(texts.length).toBe(11);
  });

  it('is not every key', () => {
    expect([...'z?.,;:-+/'].filter((character) => beginsCombination(character, six))).toEqual([]);
  });
});
