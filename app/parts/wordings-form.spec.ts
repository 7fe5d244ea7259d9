import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { phraseKeys, phraseName, usualPhrases, type TechniqueFocus, type Wordings } from '../../core/index';
import { choose, fieldOf, tick, type, wrongAt } from '../hands.spec';
import { testProviders } from '../spec-store.spec';
import { WordingsForm } from './wordings-form';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;

describe('the phrasebook', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  it('keeps what is typed, in full and short, and forgets what is emptied', async () => {
    const fixture = TestBed.createComponent(WordingsForm);
    let wordings: Wordings = {};
    fixture.componentRef.setInput('wordings', wordings);
    fixture.componentRef.setInput('focuses', []);
    let focuses: readonly TechniqueFocus[] = [];
    fixture.componentInstance.focusesChanged.subscribe((now) => {
      focuses = now;
      fixture.componentRef.setInput('focuses', now);
    });
    fixture.componentInstance.changed.subscribe((now) => {
      wordings = now;
      fixture.componentRef.setInput('wordings', now);
    });
    await fixture.whenStable();
    const write = async (name: string, text: string): Promise<void> => {
      type(host(fixture), name, text);
      await fixture.whenStable();
    };
    const focusName = 'Your own cues, one per line (instead of ours)';
    await write('switch stance', 'Change over');
    await write('switch stance, short', 'Change');
    expect(wordings.phrases).toEqual([{ key: 'switch stance', full: 'Change over', short: 'Change' }]);
    await write('switch stance', '');
    expect(wordings.phrases?.[0]?.full).toBeUndefined();
    await write(focusName, '"Elbows in" on jab 2 bag heavy bag speed every 0:45\nBreathe');
    const kept: readonly TechniqueFocus[] = [
      { words: 'Elbows in', moves: ['jab', '2'], bags: ['heavy', 'speed'], everyMs: 45_000 },
      { words: 'Breathe', moves: [] },
    ];
    expect(focuses).toEqual(kept);
    const area = fieldOf(host(fixture), focusName);
    expect(area.value).toBe('"Elbows in" on jab 2 bag heavy bag speed every 0:45\n"Breathe"');
    await write(focusName, '"Elbows in" on nonsense');
    expect(focuses).toEqual(kept);
    expect(area.value).toBe('"Elbows in" on nonsense');
    expect(wrongAt(host(fixture), focusName)).toContain('is not a move or a bag');
    await write('Encouragement, one per line', ' Good \n\n');
    expect(wordings.cheers).toEqual(['Good']);
    await choose(host(fixture), 'Strikes are called', 'by name');
    expect(wordings.strikesAs).toBe('names');
    await choose(host(fixture), 'Strikes are called', 'by number and name');
    expect(wordings.strikesAs).toBe('both');
    tick(host(fixture), 'Always say the side of slips, rolls and steps');
    expect(wordings.sides).toBeTrue();
  });

  it('has a short form where one may be said, each field with a name of its own', async () => {
    const fixture = TestBed.createComponent(WordingsForm);
    fixture.componentRef.setInput('wordings', {});
    fixture.componentRef.setInput('focuses', []);
    await fixture.whenStable();
    const short = [...host(fixture).querySelectorAll('label')].flatMap(({ textContent }) =>
      textContent.trim().endsWith(', short') ? [textContent.trim()] : [],
    );
    expect(short).toEqual(
      phraseKeys.filter((key) => usualPhrases[key].shortens).map((key) => `${phraseName(key)}, short`),
    );
    expect(host(fixture).querySelectorAll('.row').length).toBe(phraseKeys.length);
  });
});
