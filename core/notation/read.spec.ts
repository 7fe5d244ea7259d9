import fc from 'fast-check';
import { eight, ownScheme, six } from '../moves/scheme';
import { anyCombination } from './arbitrary.spec';
import { limits, unfoldedLength } from './combination';
import { formsOf } from './forms';
import { readCombination } from './read';
import { writeCombination } from './write';

function canonical(text: string, scheme = six): string {
  const read = readCombination(text, { scheme });
  return read.ok
    ? writeCombination(read.value, scheme)
    : `fault at ${read.fault.at}: ${read.fault.what}; ${read.fault.mend}`;
}

function faultOf(text: string) {
  const read = readCombination(text);
  if (read.ok) throw new Error(`"${text}" was read`);
  return read.fault;
}

describe('reading a combination', () => {
  // Canonical spellings: rules of the trade page, section 3 (house values); the numbers are common practice, no source.
  const spellings: readonly [string, string][] = [
    ['1 2 3b 2 5 4', '1 2 3b 2 5 4'],
    ['1-2-1', '1 2 1'],
    ['1, 2 – 3', '1 2 3'],
    ['JAB Cross lead HOOK', '1 2 3'],
    ['hook uppercut', '3 5'],
    ['rear hook, rear uppercut', '4 6'],
    ['cross to the body', '2b'],
    ['body hook', '3b'],
    ['2B', '2b'],
    ['rlk ltp rbk rhk', 'lk tp bk hk'],
    ['low kick lead low kick inside low kick', 'lk llk ilk'],
    ['kick knee elbow', 'bk rkn lel'],
    ['step-up kick', 'suk'],
    ['switch kick switch knee switch', 'swk swkn switch'],
    ['switch kick to the leg', 'swl'],
    ['tpl tpb tph', 'tpl tp tph'],
    ['rknh', 'rknh'],
    ['push kick push', 'tp push'],
    ['backfist leaping cross overhand', 'bf leap oh'],
    ['sl', 'sl'],
    ['sl-r', 'sl'],
    ['sl-l', 'sl-l'],
    ['sl sl sl', 'sl sl sl'],
    ['sl sl-r', 'sl sl-r'],
    ['lead slip', 'sl-l'],
    ['ro ro-l du', 'ro ro-l du'],
    ['bl bl-l', 'bl bl-l'],
    ['bl bl-r', 'bl bl'],
    ['ck ck ck-r', 'ck ck ck-r'],
    ['sl left', 'sl left'],
    ['1! 2~ 3b@hip 4!@jaw', '1! 2~ 3b@hip 4!@jaw'],
    ['4@jaw!', '4!@jaw'],
    ['feint jab 2', 'ft 1 2'],
    ['in+1 1+shift', 'in+1 1+shift'],
    ['(1 2)x3', '(1 2)x3'],
    ['sq (2 3) x3', 'sq (2 3)x3'],
    ['[rbk / swk]', '[bk / swk]'],
    ['A: 2 3b; B: ro 6 1; A then B', '2 3b ro 6 1'],
    ['A: sl; B: sl 2; A then B', 'sl sl-r 2'],
    ['any 3', 'any 3'],
    ['any 2-5 hooks end rear hook different', 'any 2-5 hooks end 4 different'],
    ['2 3 any 2', '2 3 any 2'],
    ['any 1 body kick', 'any 1 body bk'],
    ['any 2 3', 'any 2 3'],
    ['Freestyle', 'freestyle'],
    ['1 | 2 3', '1 | 2 3'],
    ['wait', 'wait'],
  ];
  for (const [text, expected] of spellings)
    it(`reads "${text}" as ${expected}`, () => expect(canonical(text)).toBe(expected));

  it('spells by the scheme: 7 and 8 in eight, names in six', () => {
    expect(canonical('7 7h 8 rsh', eight)).toBe('7 7h 8 rsh');
    expect(canonical('shovel hook, overhand', eight)).toBe('7 8');
    const read = readCombination('7 7h 8', { scheme: eight });
    expect(read.ok && writeCombination(read.value, six)).toBe('sh shh oh');
  });

  it('alternates a second slip, which a repeated group does not', () => {
    const sides = (text: string) => {
      const read = readCombination(text);
      return read.ok ? read.value.items.map((item) => (item.kind === 'move' ? item.side : item.kind)) : [];
    };
    expect(sides('sl sl sl')).toEqual(['rear', 'lead', 'rear']);
    expect(sides('ro ro')).toEqual(['rear', 'rear']);
    expect(sides('bl bl')).toEqual(['lead', 'rear']);
    expect(sides('sl 1 sl')).toEqual(['rear', 'lead', 'rear']);
  });

  // Each with the place, what was read, and a mend.
  const faults: readonly [string, number, RegExp][] = [
    ['', 0, /at least one move/],
    ['   ', 3, /at least one move/],
    ['112', 0, /did you mean "1 1 2"/],
    ['1 2 3b4', 4, /did you mean "3b 4"/],
    ['1 jabb', 2, /did you mean "jab"/],
    ['sl-left', 3, /write sl-l or sl-r, or "sl left"/],
    ['1 7', 2, /another numbering/],
    ['(1 2', 0, /add \)/],
    ['1 2)', 3, /remove it/],
    ['()', 0, /moves between/],
    ['[bk]', 0, /leave the brackets out/],
    ['[bk / ]', 6, /on each side/],
    ['1 / 2', 2, /\[bk \/ swk\]/],
    ['1 + + 2', 4, /write a move/],
    ['1+2+3', 3, /join two/],
    ['(1)x0', 3, /x2 to x99/],
    ['(1)x100', 3, /x2 to x99/],
    ['any', 3, /any 3/],
    ['any 5-2', 6, /any 2-5/],
    ['any 0', 4, /any 3/],
    ['1 freestyle', 2, /remove the other moves/],
    ['ft sl', 0, /ft 1/],
    ['then 1', 0, /before and after/],
    ['1 then', 2, /before and after/],
    ['jab: 1; jab', 0, /another name/],
    ['A: 1; A: 2; A', 6, /another name/],
    ['1; 2', 1, /A:/],
    ['🥊', 0, /a name/],
    ['1 <b>2</b>', 2, /a name/],
    ['1!~', 0, /.+/],
    ['(1 | 2)', 3, /outside groups/],
    ['((((((((((((((((((((((((((1))))))))))))))))))))))))))', 24, /write the inner groups out in full/],
  ];
  for (const [text, at, mend] of faults)
    it(`refuses "${text}" at ${at}`, () => {
      const fault = faultOf(text);
      expect(fault.at).toBe(at);
      expect(fault.mend).toMatch(mend);
      expect(text.slice(fault.at, fault.end)).toBe(fault.read.slice(0, fault.end - fault.at));
    });

  it('refuses what is too large before unfolding it', () => {
    expect(faultOf('(((1)x99)x99)x99').what).toContain('970299 moves');
    expect(faultOf('1 '.repeat(limits.moves + 1)).what).toContain('10000');
    expect(faultOf('x'.repeat(limits.characters + 1)).what).toContain('100000');
    const parts = Array.from({ length: 40 }, (_, index) => `p${index + 1}: p${index} p${index};`).join(' ');
    expect(faultOf(`p0: 1; ${parts} p40`).what).toContain('10000');
    const read = readCombination('(1 2)x99');
    expect(read.ok && unfoldedLength(read.value.items)).toBe(198);
  });

  it('has one meaning for each spelling, in every scheme', () => {
    expect(() => formsOf(six)).not.toThrow();
    expect(() => formsOf(eight)).not.toThrow();
    const mine = ownScheme('mine', [{ number: 9, id: 'body-kick', side: 'rear' }]);
    expect(mine.ok && canonical('9 bk', mine.value)).toBe('9 9');
  });

  it('refuses a scheme that gives a number two meanings, or a move two numbers', () => {
    const twice = ownScheme('mine', [
      { number: 7, id: 'body-kick', side: 'rear' },
      { number: 7, id: 'teep', side: 'lead' },
    ]);
    expect(twice.ok).toBeFalse();
    if (!twice.ok) expect(twice.fault.what).toBe('7 already means body kick');
    expect(ownScheme('mine', [{ number: 3, id: 'teep', side: 'lead' }]).ok).toBeFalse();
    expect(ownScheme('mine', [{ number: 8, id: 'jab', side: 'lead' }]).ok).toBeFalse();
    expect(ownScheme('mine', [{ number: 8, id: 'overhand', side: 'lead' }]).ok).toBeFalse();
  });
});

describe('properties of the notation', () => {
  it('text → moves → text is stable over the whole vocabulary, in six and in eight', () => {
    fc.assert(
      fc.property(anyCombination, fc.constantFrom(six, eight), (combination, scheme) => {
        const text = writeCombination(combination, scheme);
        const read = readCombination(text, { scheme });
        if (!read.ok) throw new Error(`${text}: ${read.fault.what}`);
        expect(read.value).toEqual(combination);
        expect(writeCombination(read.value, scheme)).toBe(text);
      }),
      { numRuns: 2000 },
    );
  });

  it('reads the same with any separators and any case', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('1', '2', '3b', 'ro', 'sl-l', 'bk', 'Jab'), { minLength: 1 }),
        fc.constantFrom(' ', ', ', '  ', ',', '\t'),
        (words, separator) => {
          expect(canonical(words.join(separator).toUpperCase())).toBe(canonical(words.join(' ')));
        },
      ),
    );
  });

  it('never throws and always points into the text: 100 000 strings', () => {
    const scrap = fc.constantFrom(
      '1',
      '2',
      '3b',
      '(',
      ')',
      '[',
      ']',
      '/',
      '+',
      'x3',
      'any',
      '2-5',
      'end',
      'sl',
      '-l',
      '-',
      ' ',
      ',',
      ';',
      ':',
      'A',
      'then',
      '|',
      '!',
      '~',
      '@x',
      'é',
      '🥊',
      '\u0000',
      'hook',
      'switch',
      'freestyle',
      'ft',
    );
    const text = fc.oneof(
      fc.array(scrap, { maxLength: 14 }).map((parts) => parts.join('')),
      fc.string({ maxLength: 24 }),
    );
    let checked = 0;
    fc.assert(
      fc.property(text, (source) => {
        checked += 1;
        const read = readCombination(source);
        if (read.ok) return unfoldedLength(read.value.items) > 0;
        return (
          read.fault.at >= 0 &&
          read.fault.at <= read.fault.end &&
          read.fault.end <= source.length &&
          read.fault.mend !== ''
        );
      }),
      { numRuns: 100_000 },
    );
    expect(checked).toBeGreaterThanOrEqual(100_000);
  });
});
