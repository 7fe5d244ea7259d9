import fc from 'fast-check';
import { channelHolds, saidOnChannel } from './channel';
import { damagedFile, typedCombination } from './inputs';
import { combinationHolds, fileHolds } from './properties';
import { damagedRow, rowHolds } from './rows';

/* The same properties run for long by `npm run fuzz`. */
describe('damaged and typed input', () => {
  it('of files: no throw, no hang, nothing accepted that is not valid, nothing written twice that differs', () => {
    let accepted = 0;
    fc.assert(
      fc.property(damagedFile, (text) => {
        if (fileHolds(text)) accepted += 1;
      }),
      { numRuns: 150, seed: 20_261_126 },
    );
    expect(accepted).toBeGreaterThan(20);
  });

  it('of combinations: no throw, a fault in its place, canonical text that stays itself', () => {
    let read = 0;
    fc.assert(
      fc.property(typedCombination, (text) => {
        if (combinationHolds(text)) read += 1;
      }),
      { numRuns: 3000, seed: 20_261_126 },
    );
    expect(read).toBeGreaterThan(200);
  });

  it('of the channel: no throw, nothing said that cannot be read, no room too many', () => {
    let standing = 0;
    fc.assert(
      fc.property(saidOnChannel, (texts) => {
        if (channelHolds(texts)) standing += 1;
      }),
      { numRuns: 400, seed: 20_261_201 },
    );
    expect(standing).toBeGreaterThan(100);
  });

  it('of stored rows: no throw, and a backup loses none', () => {
    let sound = 0;
    fc.assert(
      fc.property(damagedRow, (row) => {
        if (rowHolds(row)) sound += 1;
      }),
      { numRuns: 400, seed: 20_261_201 },
    );
    expect(sound).toBeGreaterThan(50);
  });
});
