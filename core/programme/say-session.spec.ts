import type { ProgrammeSession } from '../sheet/programme';
import { sayInLine, saySession } from './say-session';

const session = (day: string, adds: string | null, repeats: readonly string[] = [], easier = false): ProgrammeSession =>
  ({
    ...{ id: day, day, minutes: 30, effort: 5, easier, state: 'open', bag: 'heavy', sheetId: null, entryId: null },
    adds: adds === null ? null : { kind: 'combination', text: adds },
    repeats: [...repeats],
  }) as unknown as ProgrammeSession;

// By hand, as the issue of the programme's words has it: "Add the slip · 1 2 3b 2 5 4 sl; review 1 2 3b 2".
describe('what is worked in a session of a programme', () => {
  const [first, second, third, last] = [
    session('2026-12-01', '1 2'),
    session('2026-12-03', '1 2 sl', ['1 2']),
    session('2026-12-05', '2 3'),
    session('2026-12-08', null, ['1 2 sl', '1 2']),
  ];
  const programme = { sessions: [first, second, third, last] };
  const lineOf = (of: typeof programme, one: ProgrammeSession): string => sayInLine(saySession(of, one));

  it('is the move that it adds, the whole, and what is reviewed', () => {
    expect(lineOf(programme, second)).toBe('Add the rear slip · 1 2 sl; review 1 2');
  });

  it('begins with the first combination, and changes to one that does not go on from it', () => {
    expect(lineOf(programme, first)).toBe('Begin with · 1 2');
    expect(lineOf(programme, third)).toBe('Change to · 2 3');
  });

  it('is a review of combinations by name, also in an easier week', () => {
    expect(saySession(programme, last)).toEqual({ head: 'Review', text: '1 2 sl', reviews: ['1 2'] });
    expect(lineOf(programme, session('2026-12-09', null, ['1 2'], true))).toBe('Easier: review · 1 2');
  });

  it('is a number of rounds where that is the goal', () => {
    const rounds = { ...first, adds: { kind: 'rounds', rounds: 4, roundMs: 180_000 } } as ProgrammeSession;
    expect(lineOf({ sessions: [rounds] }, rounds)).toBe('4 rounds of 3:00');
  });
});
