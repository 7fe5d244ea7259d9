import { mainOf, mendFor } from './missing-code';

describe('scripts that are missing', () => {
  it('are those of another version where its first page names another first script', () => {
    expect(mainOf('<link href="styles-A.css"><script src="main-A1.js" type="module"></script>')).toBe('main-A1.js');
    expect(mainOf('Not found')).toBeNull();
  });

  it('have the page reload once for each version, and never in a circle', () => {
    expect(mendFor('main-A.js', 'main-B.js', null)).toBe('reload');
    expect(mendFor('main-A.js', 'main-C.js', 'main-B.js')).toBe('reload');
    // It came back with the old page, from a cache perhaps.
    expect(mendFor('main-A.js', 'main-B.js', 'main-B.js')).toBe('say');
    // Half a deployment, or no server at all.
    expect(mendFor('main-A.js', 'main-A.js', null)).toBe('say');
    expect(mendFor('main-A.js', null, null)).toBe('say');
  });
});
