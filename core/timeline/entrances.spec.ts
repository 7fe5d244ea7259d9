import { readTempoText } from '../formats/tempo-text/read';
import { compile } from './compile';
import { entrances } from './entrances';

/* Ladders and other builds of the trade page, section 5, by hand. */
const of = (text: string) =>
  entrances(compile(readTempoText(text).sheet).leaves.filter(({ kind }) => kind === 'stage'));

describe('a build on one staff', () => {
  it('shows when each move of a ladder comes in, from the beginning of the session', () => {
    expect(of('rest 1:00\nround 3:00\n  build ladder every 0:30: 1 2 3b 2')?.at).toEqual([
      60_000, 90_000, 120_000, 150_000,
    ]);
    expect(of('round 2:00\n  build ladder every 0:30, 0:45, 0:15: 1 2 3')?.at).toEqual([0, 30_000, 75_000]);
  });

  it('brings a defence in with the counter that it rides with', () => {
    expect(of('round 3:00\n  build ladder every 0:30: 1 2 sl 2')?.at).toEqual([0, 30_000, 60_000, 60_000]);
  });

  it('brings chunks in whole', () => {
    expect(of('round 5:00\n  build chunks every 0:30: 1 2 3 2 5 4')?.at).toEqual([
      0, 0, 30_000, 30_000, 60_000, 60_000,
    ]);
  });

  it('cannot show what comes down again, or begins anew', () => {
    expect(of('round 5:00\n  build pyramid every 0:30: 1 2 3')).toBeNull();
    expect(of('round 5:00\n  build backward every 0:30: 1 2 3')).toBeNull();
    expect(entrances([])).toBeNull();
  });
});
