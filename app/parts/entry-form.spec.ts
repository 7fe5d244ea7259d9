import { TestBed } from '@angular/core/testing';
import type { LogEntry } from '../../core/index';
import { demoLog } from '../../demo/log';
import { type } from '../hands.spec';
import { testProviders } from '../spec-store.spec';
import { EntryForm } from './entry-form';

describe('the card at the end of a run', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(EntryForm);
    const entry = demoLog(Date.UTC(2026, 10, 23))[2] as LogEntry;
    fixture.componentRef.setInput('entry', entry);
    const changes: Partial<LogEntry>[] = [];
    fixture.componentInstance.changed.subscribe((each) => changes.push(each));
    await fixture.whenStable();
    return { fixture, entry, changes, host: fixture.nativeElement as HTMLElement };
  }
  it('shows planned beside done, and what was said before', async () => {
    const { host } = await setUp();
    const lines = [...host.querySelectorAll('dd')].map((each) => each.textContent);
    expect(lines).toEqual([
      '40:00 · 7 rounds · 1356 punches',
      jasmine.stringMatching(/^24:48 · 4 rounds · \d+ punches$/),
    ]);
    expect(host.querySelector('.mat-button-toggle-checked')?.textContent).toContain('8');
    expect(host.querySelector('textarea')?.value).toContain('Alarm in round five');
  });

  it('hands on each change by itself, as it is typed', async () => {
    const { host, changes } = await setUp();
    type(host, 'Note for next time', 'First');
    host.querySelectorAll<HTMLElement>('mat-button-toggle button')[3]?.click();
    type(host, 'Punches counted', '512');
    expect(changes).toEqual([{ note: 'First' }, { effort: 3 }, { counted: 512 }]);
  });

  it('takes a count back, and refuses one below nothing', async () => {
    const { host, changes } = await setUp();
    type(host, 'Punches counted', '12');
    type(host, 'Punches counted', '');
    type(host, 'Punches counted', '-1');
    expect(changes.map(({ counted }) => counted)).toEqual([12, null]);
  });

  it('brings another entry’s own words', async () => {
    const { host, fixture } = await setUp();
    type(host, 'Note for next time', 'Mine');
    fixture.componentRef.setInput('entry', demoLog(Date.UTC(2026, 10, 23))[0] as LogEntry);
    await fixture.whenStable();
    expect(host.querySelector('textarea')?.value).toContain('Roll came late');
  });
});
