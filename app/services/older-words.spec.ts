import { finds } from './older-words';

// Words of before and after: the glossary of the interface.
describe('a search', () => {
  it('finds a thing by its name of today and by its older one', () => {
    expect(finds('Open the checks', 'checks')).toBeTrue();
    expect(finds('Open the checks', 'findings')).toBeTrue();
    expect(finds('Bag set-up', 'bench')).toBeTrue();
    expect(finds('Make a video', 'film')).toBeTrue();
  });

  it('wants every word, in any order, and finds nothing else', () => {
    expect(finds('Make a video', 'video make')).toBeTrue();
    expect(finds('Make a video', 'make checks')).toBeFalse();
    expect(finds('Checks', 'film')).toBeFalse();
    expect(finds('Anything', '')).toBeTrue();
  });
});
