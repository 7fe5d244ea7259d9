import { TestBed } from '@angular/core/testing';
import type { LogEntry } from '../../core/index';
import { demoLog } from '../../demo/log';
import { testProviders } from '../spec-store.spec';
import { EntryForm } from './entry-form';

describe('the card at the end of a run', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(EntryForm);
    const entry = demoLog(Date.UTC(2026, 10, 23))[2] as LogEntry;
    fixture.componentRef.setInput('entry', entry);
    const changes: LogEntry[] = [];
    fixture.componentInstance.changed.subscribe((each) => changes.push(each));
    await fixture.whenStable();
    return { fixture, entry, changes, host: fixture.nativeElement as HTMLElement };
  }
  const set = (host: HTMLElement, selector: string, value: string): void => {
    const field = host.querySelector<HTMLInputElement>(selector) as HTMLInputElement;
    field.value = value;
    field.dispatchEvent(new Event('change'));
  };

  it('shows planned beside done, and what was said before', async () => {
    const { host } = await setUp();
    const lines = [...host.querySelectorAll('dd')].map((each) => each.textContent);
    expect(lines).toEqual([
      '40:00 · 7 rounds · 1356 punches',
      jasmine.stringMatching(/^24:48 · 4 rounds · \d+ punches$/),
    ]);
    expect(host.querySelector('label.chosen')?.textContent).toContain('8');
    expect(host.querySelector('textarea')?.value).toContain('Alarm in round five');
  });

  it('each change builds on the one before, though none has come back from storage yet', async () => {
    const { host, changes, entry } = await setUp();
    set(host, 'textarea', 'First');
    host.querySelectorAll<HTMLInputElement>('input[type=radio]')[3]?.click();
    set(host, 'input[type=number]', '512');
    expect(changes.map(({ note, effort, counted }) => [note, effort, counted])).toEqual([
      ['First', 8, null],
      ['First', 3, null],
      ['First', 3, 512],
    ]);
    expect(changes.at(-1)?.deeds).toEqual(entry.deeds);
  });

  it('takes a count back, and refuses one below nothing', async () => {
    const { host, changes } = await setUp();
    set(host, 'input[type=number]', '12');
    set(host, 'input[type=number]', '');
    set(host, 'input[type=number]', '-1');
    expect(changes.map(({ counted }) => counted)).toEqual([12, null]);
  });

  it('brings another entry’s own words', async () => {
    const { host, fixture } = await setUp();
    set(host, 'textarea', 'Mine');
    fixture.componentRef.setInput('entry', demoLog(Date.UTC(2026, 10, 23))[0] as LogEntry);
    await fixture.whenStable();
    expect(host.querySelector('textarea')?.value).toContain('Roll came late');
  });
});
