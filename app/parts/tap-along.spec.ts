import { TestBed } from '@angular/core/testing';
import { readCombination } from '../../core/index';
import { press } from '../hands.spec';
import { testProviders } from '../spec-store.spec';
import { TapAlong } from './tap-along';

describe('tap along', () => {
  it('counts taps, fits the pace and hands it over', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(TapAlong);
    const read = readCombination('1 2 1 2 1 2');
    if (!read.ok) throw new Error('unreadable');
    fixture.componentRef.setInput('combination', read.value);
    const taken: number[] = [];
    fixture.componentInstance.taken.subscribe((pace) => taken.push(pace));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const pad = host.querySelector('.pad') as HTMLElement;
    expect(host.textContent).toContain('Keep tapping');
    // Straights follow one another every 0.30 s at steady pace; these come every 0.25 s, so the pace is 1.2.
    for (let tap = 0; tap < 12; tap += 1) {
      const event = new KeyboardEvent('keydown', { key: 't' });
      Object.defineProperty(event, 'timeStamp', { value: 1000 + tap * 250 + (tap >= 6 ? 1500 : 0) });
      pad.dispatchEvent(event);
    }
    pad.dispatchEvent(new KeyboardEvent('keydown', { key: 't', repeat: true }));
    await fixture.whenStable();
    expect(host.textContent).toContain('12 taps');
    expect(host.textContent).toContain('Pace 1.20');
    press(host, 'Use this pace');
    expect(taken).toEqual([1.2]);
  });
});
