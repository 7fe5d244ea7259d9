import fc from 'fast-check';
import { readTempoText } from '../formats/tempo-text/read';
import { unfoldedLength } from '../notation/combination';
import { anySheet } from '../sheet/arbitrary-sheet.spec';
import type { Block, Sheet } from '../sheet/schema';
import { compile } from './compile';
import { mostWork, workFault, workOf } from './work';

describe('the work of a sheet', () => {
  it('is bounded without laying it out: never less than what it comes to', () => {
    let seen = 0;
    fc.assert(
      fc.property(anySheet, (sheet) => {
        const { leaves } = compile(sheet);
        const work = workOf(sheet);
        expect(work.leaves).toBeGreaterThanOrEqual(leaves.length);
        const moves = leaves.reduce(
          (sum, { combination }) => sum + (combination ? unfoldedLength(combination.items) : 0),
          0,
        );
        expect(work.moves).toBeGreaterThanOrEqual(moves);
        const events = leaves.reduce((sum, { drillCalls, touches }) => sum + drillCalls.length + touches.length, 0);
        expect(work.events).toBeGreaterThanOrEqual(events);
        seen += leaves.length;
      }),
      { numRuns: 80 },
    );
    expect(seen).toBeGreaterThan(100);
  });

  it('lets a day of training through, and refuses what a few words blow up', () => {
    const day = Array.from({ length: 480 }, () => 'round 3:00\n  build ladder every 0:30: 1 2 3b 2 5 4').join('\n');
    expect(workFault(readTempoText(day).sheet)).toBeNull();
    const goal = Array.from({ length: 980 }, () => '1').join(' ');
    const blown = readTempoText(`round 3:00 x99\n  build pyramid every 0:01: ${goal}`).sheet;
    expect(workFault(blown)).toMatch(/^this makes more than [\d,]+ (stretches|moves) \(mostly in a round\)/);
  });

  it('is refused one above each limit', () => {
    const { sheet } = readTempoText('round 1:00');
    const [round] = sheet.blocks;
    if (!round) throw new Error('a round');
    const rows = (blocks: number, pieces: number, ms = 1000): Sheet => ({
      ...sheet,
      blocks: Array.from({ length: blocks }, (_, at): Block => ({
        ...round,
        id: `b${at}`,
        pieces: Array.from({ length: pieces }, (__, index) => ({
          kind: 'own-time',
          id: `p${at} ${index}`,
          ms,
          effort: 'steady',
        })),
      })),
    });
    // Eight leaves of its own and four for each piece (a second half may lay it out again, with settling).
    expect(workOf(rows(20, 248)).leaves).toBe(mostWork.leaves);
    expect(workFault(rows(20, 248))).toBeNull();
    expect(workFault(rows(20, 249))).toContain('20,000 stretches');
    const clicks = (ms: number): Sheet => ({
      ...sheet,
      blocks: [
        {
          ...round,
          pieces: [{ kind: 'combination', id: 'c', ms, effort: 'steady', text: '1', voice: 'click', bpm: 200 }],
        },
      ],
    });
    // Four times a piece of 200 clicks per minute: 500,000 are 625 minutes.
    expect(workFault(clicks(625 * 60_000))).toBeNull();
    expect(workFault(clicks(626 * 60_000))).toContain('500,000 calls, touches and clicks');
  });

  it('of each kind of piece is counted by what it can come to', () => {
    // A pass has eight leaves of its own, a piece four for each of its leaves.
    const work = (piece: string): [number, number, number] => {
      const { leaves, moves, events } = workOf(readTempoText(`round 20:00\n  ${piece}`).sheet);
      return [(leaves - 8) / 4, moves / 4, events / 4];
    };
    expect(work('1:00: 1 2 3b')).toEqual([1, 3, 0]);
    expect(work('1:00: 1 2 clicks at 90 bpm')).toEqual([1, 2, 90]);
    expect(work('1:00: 1 2 calls strikes')).toEqual([1, 2, 240]);
    expect(work('1:00 call count 2-4')).toEqual([1, 0, 60]);
    expect(work('1:00 rhythm 3,3,1')).toEqual([1, 0, 300]);
    expect(work('1:00 plank')).toEqual([1, 0, 0]);
    const stages = (build: string): number => work(`build ${build}`)[0];
    expect(stages('ladder every 0:10: 1 2 3b')).toBe(3);
    expect(stages('backward every 0:10: 1 2 3b')).toBe(3);
    expect(stages('chunks every 0:10: 1 2 3b')).toBe(6);
    expect(stages('pyramid every 0:10: 1 2 3b')).toBe(9);
    expect(stages('kick-close every 0:10: 1 2 3b')).toBe(10);
    expect(stages('levels every 0:10: 1 2 3b')).toBe(27);
    expect(stages('singles every 0:10: 1 2 3b')).toBe(4);
    expect(stages('join every 0:10: 1 2 // 3b 2')).toBe(9);
    expect(work('build join every 0:10: 1 2 // 3b 2')[1]).toBe(36);
  });

  it('is refused with the block that most of it is in, by its title where it has one', () => {
    const long = (times: number, title: string): string =>
      `round 3:00 x${times}${title}\n${'  build pyramid every 0:01: 1 2 3 4 5 6 1 2 3 4 5 6 1 2 3 4 5 6 1 2 3 4 5 6\n'.repeat(6)}`;
    const fault = (text: string): string | null => workFault(readTempoText(text).sheet);
    expect(fault(`${long(2, ' "Hands"')}${long(99, ' "Legs"')}${long(2, '')}`)).toContain('(mostly in “Legs”)');
    expect(fault(`core 1:00\n${long(99, '')}`)).toContain('(mostly in a round)');
    expect(fault(long(2, ''))).toBeNull();
  });
});
