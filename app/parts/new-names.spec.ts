import { TestBed } from '@angular/core/testing';
import { Store } from '../store/store';
import { testProviders, until } from '../spec-store.spec';
import { NewNames } from './new-names';

describe('new names', () => {
  async function show(mark: string | null) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const { choices } = await TestBed.inject(Store).database();
    if (mark !== null) await choices.put({ key: 'demo', value: mark });
    const fixture = TestBed.createComponent(NewNames);
    const host = fixture.nativeElement as HTMLElement;
    return { host, fixture };
  }

  it('are said where somebody was here before them', async () => {
    const { host } = await show('seeded');
    await until(() => {
      TestBed.tick();
      return host.textContent.includes('“findings” is now Checks');
    });
    expect(host.querySelector('button')?.getAttribute('aria-label')).toBe('Dismiss this hint');
  });

  it('are no news on a first visit', async () => {
    const { host, fixture } = await show('seeded, today’s names');
    await fixture.whenStable();
    TestBed.tick();
    expect(host.textContent.trim()).toBe('');
  });
});
