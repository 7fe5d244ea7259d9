import { readTempoText } from '../formats/tempo-text/read';
import { takenName } from './own-kind';

describe('the name of a kind of one’s own', () => {
  it('is none that text reads as a kind that is there, and its fix is one that can be had', () => {
    for (const name of ['Heavy', ' pads ', 'Double end', 'double-end', 'DOUBLE  END'])
      expect(takenName(name)).withContext(name).toContain('add a word');
    expect(takenName('Double end')).toContain('“Double end two”');
    expect(['Double end two', 'Doubled', 'Tyre'].map(takenName)).toEqual([null, null, null]);
  });

  it('goes first in text where it was made before', () => {
    const own = 'own bag: "Double end", head, punch\n';
    const bagsOf = (text: string) => readTempoText(text).sheet.blocks[0]?.focuses?.[0]?.bags;
    const line = 'round 1:00\n  1:00 1 2\n  focus: "Chin down" bag double end\n';
    expect(bagsOf(line)).toEqual(['double-end']);
    const { sheet, faults } = readTempoText(own + line);
    expect(faults.filter(({ level }) => level === 'error')).toEqual([]);
    expect(sheet.ownBags?.[0]?.name).toBe('Double end');
    expect(bagsOf(own + line)).toEqual(['Double end']);
  });
});
