import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { press } from '../hands.spec';
import { SettingsService } from '../services/settings.service';
import { testProviders } from '../spec-store.spec';
import { Hint } from './hint';

@Component({
  selector: 'kt-hints-host',
  imports: [Hint],
  template: '<kt-hint name="one">First</kt-hint><kt-hint name="two">Second</kt-hint>',
})
class HintsHost {}

describe('a hint', () => {
  it('stands until it is put away, and is remembered by its name', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    await TestBed.inject(SettingsService).loaded;
    const fixture = TestBed.createComponent(HintsHost);
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    expect(host.querySelectorAll('[role=note]').length).toBe(2);
    press(host, 'Dismiss this hint');
    await fixture.whenStable();
    expect(host.textContent.trim()).toBe('Second');
    expect(TestBed.inject(SettingsService).settings().hintsSeen).toEqual(['one']);
  });
});
