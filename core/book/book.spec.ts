import { readBookJson, writeBookJson } from '../formats/book-json';
import { readCombination } from '../notation/read';
import { writeCombination } from '../notation/write';
import { mergedEntries, previewMerge, usualChoice } from './merge';
import { bookParts, partWord } from './parts';
import type { BookEntry } from '../sheet/book';
import { bookRow, suits, type BookFilter } from './search';

const entry = (id: string, text: string, more: Partial<BookEntry> = {}): BookEntry => ({
  id,
  name: id,
  text,
  tags: [],
  note: '',
  ...more,
});

describe('the book', () => {
  const book = [
    entry('turnout', '1 2', { level: 'beginner', tags: ['hands'] }),
    entry('gate', 'tp 2 3 2', { bag: 'heavy' }),
    entry('watch', '1 2 switch 1 2', { level: 'advanced', note: 'slowly at first' }),
    entry('stuck', '1 2 4'),
  ];
  const found = (filter: BookFilter) =>
    book
      .filter((each) => {
        const row = bookRow(each);
        return row !== null && suits(row, filter);
      })
      .map((each) => each.id);

  it('finds by words, strike, length, bag, level, stance and flow', () => {
    expect(found({})).toEqual(['turnout', 'gate', 'watch', 'stuck']);
    expect(found({ words: 'hands' })).toEqual(['turnout']);
    expect(found({ words: 'slowly JAB' })).toEqual(['watch']);
    expect(found({ strike: 'teep' })).toEqual(['gate']);
    expect(found({ strike: 'rear hook' })).toEqual(['stuck']);
    expect(found({ leastMoves: 4, mostMoves: 4 })).toEqual(['gate']);
    expect(found({ bag: 'shadow' })).toEqual(['turnout', 'gate', 'watch', 'stuck']);
    expect(found({ bag: 'double-end' })).toEqual(['turnout', 'watch']);
    expect(found({ level: 'beginner' })).toEqual(['turnout', 'gate', 'stuck']);
    expect(found({ stance: 'turns' })).toEqual(['watch']);
    expect(found({ stance: 'stays' })).toEqual(['turnout', 'gate', 'stuck']);
    // `gate` comes back to its teep over a same-side step, which is a note and no fault.
    expect(found({ flows: true })).toEqual(['turnout', 'gate', 'watch']);
  });

  it('tells what an entry trains, how long it is and where it sticks', () => {
    const row = bookRow(entry('x', '1 1 2 4'));
    expect(row?.trains).toEqual(['jab', 'cross', 'rear hook']);
    expect(row?.stuck.map((seam) => seam.after)).toEqual([2]);
    expect(row?.counts.punches).toBe(4);
    expect(bookRow(entry('y', 'nonsense'))).toBeNull();
  });

  it('lends its combinations by name to whatever is typed', () => {
    const parts = bookParts([
      entry('1', '1 2', { name: 'Turnout' }),
      entry('2', 'sl 6 3', { name: 'Pump check' }),
      entry('3', '3', { name: 'Jab' }),
      entry('4', '4', { name: 'Twice' }),
      entry('5', '5', { name: 'twice' }),
      entry('6', 'freestyle', { name: 'Free' }),
    ]);
    expect([...parts.keys()]).toEqual(['turnout', 'pumpcheck']);
    const read = readCombination('turnout then pumpcheck, 2', { parts });
    expect(read.ok && writeCombination(read.value)).toBe('1 2 sl 6 3 2');
    expect(partWord('Door & through')).toBe('doorthrough');
  });
});

describe('two coaches sharing', () => {
  const mine = [entry('a', '1 2'), entry('b', '2 3 2'), entry('c', '1 1')];
  const theirs = [
    entry('a', '1 2'),
    entry('b', '2 3 2 sl 1'),
    entry('z', '1 1', { name: 'Doubles' }),
    entry('n', '5 4'),
  ];
  const rows = previewMerge(mine, theirs);

  it('sees what is new, the same, changed, or the same moves under another name', () => {
    expect(rows.map((row) => row.what)).toEqual(['same', 'changed', 'twin', 'new']);
    expect(mine.length).toBe(3);
  });

  it('writes nothing of mine over unless asked', () => {
    expect(mergedEntries(rows, usualChoice, () => 'fresh').map((each) => each.id)).toEqual(['n']);
    const taken = mergedEntries(
      rows,
      (row) => (row.what === 'changed' ? 'take' : 'leave'),
      () => 'fresh',
    );
    expect(taken).toEqual([theirs[1] as BookEntry]);
    const both = mergedEntries(
      rows,
      (row) => (row.what === 'new' || row.what === 'same' ? 'leave' : 'both'),
      () => 'fresh',
    );
    expect(both.map((each) => [each.id, each.text])).toEqual([
      ['fresh', '2 3 2 sl 1'],
      ['fresh', '1 1'],
    ]);
  });

  it('goes to a file and comes back, canonical', () => {
    const back = readBookJson(writeBookJson('Ours', mine));
    expect(back.ok && back.value.entries).toEqual(mine);
    const sloppy = readBookJson(writeBookJson('', [entry('s', 'JAB-Cross')]));
    expect(sloppy.ok && sloppy.value.entries[0]?.text).toBe('1 2');
  });

  it('takes the phrasebook along where there is one', () => {
    const wordings = {
      phrases: [{ key: 'switch stance' as const, full: 'Change over' }],
      focuses: [{ words: 'Touch it', moves: ['jab'], bags: ['standing'] }],
    };
    const back = readBookJson(writeBookJson('Ours', mine, wordings));
    expect(back.ok && back.value.wordings).toEqual(wordings);
    expect(writeBookJson('Ours', mine, {})).not.toContain('wordings');
    const wrong = readBookJson(writeBookJson('Ours', mine, wordings).replace('switch stance', 'no such call'));
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual(['wordings.phrases[0].key']);
  });

  it('refuses a wrong file with its paths', () => {
    const problems = (text: string) => {
      const read = readBookJson(text);
      return read.ok ? [] : read.problems.map((problem) => problem.path);
    };
    expect(problems(writeBookJson('', [entry('a', '1'), entry('b', '112')]))).toEqual(['entries[1].text']);
    expect(problems(writeBookJson('', [entry('a', '1'), entry('a', '2')]))).toEqual(['entries[1].id']);
    expect(problems('{"format":"keen-tempo/book","version":3,"entries":[]}')).toEqual(['version']);
    expect(problems('{"format":"keen-tempo/sheet","version":1}')).toEqual(['format']);
    expect(problems('nope')).toEqual(['']);
  });
});
