import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { DemoService } from '../services/demo.service';
import { SettingsService } from '../services/settings.service';
import { SheetsService } from '../services/sheets.service';
import { Database } from '../store/database';
import { testProviders, until } from '../spec-store.spec';
import { LogPage } from './log/log-page';
import { SettingsPage } from './settings/settings-page';
import { SheetsPage } from './sheets/sheets-page';
import type { Type } from '@angular/core';

/** A page on the demo class, once what is waited for is there. */
async function open<T>(
  page: Type<T>,
  ready: (host: HTMLElement) => boolean,
): Promise<{ fixture: ComponentFixture<T>; host: HTMLElement }> {
  TestBed.configureTestingModule({ providers: testProviders() });
  await TestBed.inject(DemoService).seedOnce(new Date(2026, 10, 23));
  const fixture = TestBed.createComponent(page);
  const host = fixture.nativeElement as HTMLElement;
  await shows(host, ready);
  return { fixture, host };
}

async function shows(host: HTMLElement, ready: (host: HTMLElement) => boolean): Promise<void> {
  await until(() => {
    TestBed.tick();
    return ready(host);
  });
}

function button(host: ParentNode, name: string): HTMLElement {
  const found = [...host.querySelectorAll<HTMLElement>('button')].find((each) =>
    (each.getAttribute('aria-label') ?? each.textContent).trim().startsWith(name),
  );
  if (!found) throw new Error(`no button ${name}`);
  return found;
}

/** Opens a row's menu and presses one of its lines. */
async function choose(host: HTMLElement, row: string, line: string): Promise<void> {
  button(host, `More for ${row}`).click();
  await shows(document.body, (body) => body.querySelector('.mat-mdc-menu-panel') !== null);
  button(document.querySelector('.mat-mdc-menu-panel') ?? document, line).click();
  await shows(document.body, (body) => body.querySelector('.mat-mdc-menu-panel') === null);
}

const rows = (host: HTMLElement) => [...host.querySelectorAll('.list h2')].map((each) => each.textContent.trim());

describe('the list of sheets', () => {
  it('tells length, rounds, punches and how it last went', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5 && page.textContent.includes('counted'));
    const first = host.querySelector('.list li')?.textContent ?? '';
    expect(first).toContain('22:30');
    expect(first).toContain('3 rounds');
    expect(first).toContain('effort 6 of 10, 646 punches counted');
  });

  it('renames on Enter and leaves the name on Escape', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5);
    const rename = async (name: string, key: string): Promise<void> => {
      await choose(host, 'Ten minutes before the shift', 'Rename');
      await shows(host, (page) => page.querySelector('#rename') !== null);
      const field = host.querySelector<HTMLInputElement>('#rename') as HTMLInputElement;
      field.value = name;
      field.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await shows(host, (page) => page.querySelector('#rename') === null);
    };
    await rename('Never mind', 'Escape');
    expect(rows(host)).toContain('Ten minutes before the shift');
    await rename('Before the night shift', 'Enter');
    await shows(host, (page) => rows(page).includes('Before the night shift'));
    // A changed sheet is the coach's own and comes first.
    expect(rows(host)[0]).toBe('Before the night shift');
  });

  it('refuses a wrong file with its paths, several at once included, and changes nothing', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5);
    const field = host.querySelector<HTMLInputElement>('input[type=file]') as HTMLInputElement;
    const files = new DataTransfer();
    files.items.add(
      new File(['{"format":"keen-tempo/sheet","version":1,"id":"x","title":1,"blocks":[{}]}'], 'wrong.json'),
    );
    field.files = files.files;
    field.dispatchEvent(new Event('change'));
    await shows(host, (page) => page.querySelector('[role=alert]') !== null);
    const said = host.querySelector('[role=alert]')?.textContent ?? '';
    for (const path of ['title', 'blocks[0].id', 'blocks[0].kind']) expect(said).toContain(path);
    expect(await TestBed.inject(Database).sheets.count()).toBe(5);
    button(host, 'Close').click();
    await shows(host, (page) => page.querySelector('[role=alert]') === null);
  });

  it('says so when there is none', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5);
    for (const stored of TestBed.inject(SheetsService).all() ?? [])
      await TestBed.inject(SheetsService).remove(stored.id);
    await shows(host, (page) => page.textContent.includes('No sheets yet.'));
    expect(host.querySelector('.list')).toBeNull();
  });
});

describe('the log', () => {
  it('stands by day, the latest first, with planned and done', async () => {
    const { host } = await open(LogPage, (page) => page.querySelectorAll('li').length === 6);
    expect([...host.querySelectorAll('h2')].map((each) => each.textContent)).toEqual([
      'Sunday, 22 November',
      'Friday, 20 November',
      'Wednesday, 18 November',
      'Sunday, 15 November',
      'Friday, 13 November',
      'Wednesday, 11 November',
    ]);
    const given = [...host.querySelectorAll('li')].find((each) => each.textContent.includes('given up'));
    expect(given?.textContent).toContain('24:48 of 40:00');
    expect(given?.textContent).toContain('4 of 7 rounds');
  });

  it('keeps what is added afterwards, and refuses a count that cannot be', async () => {
    const { host, fixture } = await open(LogPage, (page) => page.querySelectorAll('li').length === 6);
    button(host, 'Change the entry of Ten minutes').click();
    await fixture.whenStable();
    const set = async (selector: string, value: string): Promise<void> => {
      const field = host.querySelector<HTMLInputElement>(selector) as HTMLInputElement;
      field.value = value;
      field.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await set('kt-entry-form input[type=number]', '-3');
    await set('kt-entry-form input[type=number]', '380');
    await shows(host, (page) => page.textContent.includes('380 counted'));
    await set('kt-entry-form textarea', 'Two more next time');
    host.querySelectorAll<HTMLInputElement>('kt-entry-form input[type=radio]')[9]?.click();
    await shows(
      host,
      (page) =>
        page.textContent.includes('Two more next time') &&
        (page.querySelectorAll('li')[1]?.textContent ?? '').includes('effort 9'),
    );
    const stored = await TestBed.inject(Database).log.get('demo-entry-2');
    expect([stored?.entry.counted, stored?.entry.effort, stored?.entry.note]).toEqual([380, 9, 'Two more next time']);
  });

  it('says so when it is empty', async () => {
    const { host } = await open(LogPage, (page) => page.querySelectorAll('li').length === 6);
    await TestBed.inject(DemoService).clear();
    await shows(host, (page) => page.textContent.includes('Nothing has been run yet.'));
  });
});

describe('the settings', () => {
  it('are kept at once and shown as chosen', async () => {
    const { host, fixture } = await open(SettingsPage, (page) => page.querySelectorAll('fieldset').length > 4);
    await TestBed.inject(SettingsService).loaded;
    const pick = async (group: string, at: number): Promise<void> => {
      host.querySelectorAll<HTMLInputElement>(`input[name=${group}]`)[at]?.click();
      await fixture.whenStable();
    };
    await pick('look', 1);
    await pick('count-in', 0);
    await pick('count-from', 0);
    await pick('kicks', 1);
    const volume = host.querySelector<HTMLInputElement>('input[type=range]') as HTMLInputElement;
    volume.value = '0.25';
    volume.dispatchEvent(new Event('input'));
    expect(TestBed.inject(SettingsService).settings()).toEqual(
      jasmine.objectContaining({ look: 'light', countIn: 0, countFrom: 3, kickSchool: 'same', volume: 0.25 }),
    );
    expect([...host.querySelectorAll<HTMLInputElement>('input[name=look]')].map((each) => each.checked)).toEqual([
      false,
      true,
      false,
    ]);
    await pick('look', 0);
  });

  it('refuse numbers with two meanings, and keep only a good scheme', async () => {
    const { host, fixture } = await open(SettingsPage, (page) => page.querySelector('kt-own-numbers') !== null);
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    const set = async (selector: string, value: string): Promise<void> => {
      const fields = host.querySelectorAll<HTMLInputElement>(`kt-own-numbers ${selector}`);
      const field = fields[fields.length - 1] as HTMLInputElement;
      field.value = value;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    const add = async (move: string): Promise<void> => {
      button(host, 'Add a number').click();
      await fixture.whenStable();
      await set('.row input[type=text]', move);
    };
    await add('');
    expect(host.textContent).toContain('Say which move 7 is');
    expect(settings.settings().ownNumbers).toBeNull();
    await set('.row input[type=text]', 'bk');
    expect(settings.settings().ownNumbers).toEqual({ name: 'mine', beyondSix: [{ number: 7, move: 'bk' }] });
    await add('rbk');
    expect(host.textContent).toContain('body kick already has the number 7');
    expect(settings.settings().ownNumbers?.beyondSix.length).toBe(1);
    await set('.row input[type=text]', 'tp');
    await set('.row input[type=number]', '7');
    expect(host.textContent).toContain('7 already means body kick');
    await set('.row input[type=number]', '12');
    expect(host.textContent).toContain('Saved.');
    expect(settings.settings().ownNumbers?.beyondSix).toEqual([
      { number: 7, move: 'bk' },
      { number: 12, move: 'tp' },
    ]);
    button(host, 'Leave out 12').click();
    expect(settings.settings().ownNumbers?.beyondSix.length).toBe(1);
  });
});
