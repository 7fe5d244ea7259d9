import { Linter } from 'eslint';
import angular from 'angular-eslint';
import { refusedIn, refusedWords } from './plain.mjs';
import { plainWords } from './rule.mjs';

const rules = { plugins: { words: { rules: { plain: plainWords } } }, rules: { 'words/plain': 'error' } } as const;

/** What is refused in a file of TypeScript or a template. */
function refused(text: string, file: 'a.js' | 'a.html'): readonly string[] {
  const parsed = file === 'a.html' ? { languageOptions: { parser: angular.templateParser } } : {};
  const config = [{ files: ['**/*.js', '**/*.html'], ...rules, ...parsed }] as unknown as Linter.Config[];
  return new Linter().verify(text, config, { filename: file }).map(({ message }) => message);
}

// The words and what is said instead of them: the glossary of the interface.
describe('words that are shown', () => {
  it('are refused with better ones, each in its way', () => {
    expect(refusedWords.length).toBeGreaterThan(60);
    expect(refusedIn('Take out the film').map(({ found }) => found)).toEqual(['Take out', 'film']);
    expect(refusedIn('Export the video')).toEqual([]);
    for (const text of ['40 %', 'Working …', 'two punches a minute', 'Put it in', 'the standing bag', 'broken off'])
      expect(refusedIn(text).length).withContext(text).toBe(1);
  });

  it('are right where they mean something else', () => {
    const right = [
      'the bag stands by a wall',
      'Print the wall card',
      'Put the cue in quotes',
      'a stand-alone file',
      '50%',
    ];
    expect(right.flatMap(refusedIn)).toEqual([]);
  });

  it('are found in texts, labels and what is filled in of a template, not in its presses and comparisons', () => {
    expect(refused('<p>Leave it</p>', 'a.html')).toEqual([jasmine.stringContaining('“Leave it”')]);
    expect(refused('<b aria-label="The lane"></b>', 'a.html').length).toBe(1);
    expect(refused('<b>{{ share }} %</b>', 'a.html').length).toBe(1);
    expect(refused(`<b>{{ on ? 'Take back' : 'Undo' }}</b>`, 'a.html').length).toBe(1);
    expect(refused(`<b class="lane" (click)="press('the lane')">{{ kind === 'own lane' }}</b>`, 'a.html')).toEqual([]);
  });

  it('are found in literals of code, not in its keys, comparisons and imports', () => {
    expect(refused(`say('it is in the book')`, 'a.js')).toEqual([jasmine.stringContaining('your combinations')]);
    expect(refused('say(`${share} % done`)', 'a.js').length).toBe(1);
    expect(refused(`import 'a lane'; if (kind === 'a lane') go({ 'a lane': 1 }); take('own time')`, 'a.js')).toEqual(
      [],
    );
  });
});
