import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { onlyInFull, phraseKeys, type Wordings } from '../../core/index';
import { testProviders } from '../spec-store.spec';
import { WordingsForm } from './wordings-form';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;

describe('the phrasebook', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  it('keeps what is typed, in full and short, and forgets what is emptied', async () => {
    const fixture = TestBed.createComponent(WordingsForm);
    let wordings: Wordings = {};
    fixture.componentRef.setInput('wordings', wordings);
    fixture.componentInstance.changed.subscribe((now) => {
      wordings = now;
      fixture.componentRef.setInput('wordings', now);
    });
    await fixture.whenStable();
    const type = async (at: number, selector: string, value: string): Promise<void> => {
      const field = host(fixture).querySelectorAll<HTMLInputElement>(selector)[at];
      if (!field) throw new Error(selector);
      field.value = value;
      field.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await type(0, '.row input', 'Change over');
    await type(1, '.row input', 'Change');
    expect(wordings.phrases).toEqual([{ key: 'switch stance', full: 'Change over', short: 'Change' }]);
    await type(0, '.row input', '');
    expect(wordings.phrases?.[0]?.full).toBeUndefined();
    await type(0, 'textarea', 'Elbows in [jab, cross, on heavy, on speed]\nBreathe');
    expect(wordings.focuses).toEqual([
      { words: 'Elbows in', moves: ['jab', 'cross'], bags: ['heavy', 'speed'] },
      { words: 'Breathe', moves: [] },
    ]);
    expect(host(fixture).querySelector('textarea')?.value).toBe('Elbows in [jab, cross, on heavy, on speed]\nBreathe');
    await type(1, 'textarea', ' Good \n\n');
    expect(wordings.cheers).toEqual(['Good']);
    host(fixture).querySelector<HTMLInputElement>('.tick input')?.click();
    expect(wordings.strikesAs).toBe('names');
  });

  it('has a short form where one may be said, each field with a name of its own', async () => {
    const fixture = TestBed.createComponent(WordingsForm);
    fixture.componentRef.setInput('wordings', {});
    await fixture.whenStable();
    const short = [...host(fixture).querySelectorAll('[aria-label]')].map((field) => field.getAttribute('aria-label'));
    expect(short).toEqual(phraseKeys.filter((key) => !onlyInFull.includes(key)).map((key) => `${key}, short`));
    expect(host(fixture).querySelectorAll('.row').length).toBe(phraseKeys.length);
  });
});
