import { chunksOf, filled, joined, plain } from './saying';

describe('words put together', () => {
  it('are parted into what a clip is looked up by, without the blanks that part them', () => {
    const said = joined([plain('one'), joined([plain('two'), plain('roll')], ' with ')], ', then ');
    expect(said.say).toBe('one, then two with roll');
    expect(chunksOf(said)).toEqual([
      { words: 'one', sign: ',' },
      { words: 'then', sign: '' },
      { words: 'two', sign: '' },
      { words: 'with', sign: '' },
      { words: 'roll', sign: '' },
    ]);
    expect(chunksOf(plain('Rest. Water'))).toEqual([
      { words: 'Rest', sign: '.' },
      { words: 'Water', sign: '' },
    ]);
  });

  it('fill the blanks of a wording, at its ends too, and leave what has no value', () => {
    expect(filled('{seconds} seconds {what}', { seconds: plain('ten'), what: plain('left') }).say).toBe(
      'ten seconds left',
    );
    expect(filled('In between, {words}', {}).say).toBe('In between, {words}');
    expect(filled('{words}', { words: plain('shake out') }).say).toBe('shake out');
    expect(filled('Rest', { words: plain('shake out') })).toEqual(plain('Rest'));
    expect(filled('', {}).say).toBe('');
  });
});
