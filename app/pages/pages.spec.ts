import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { DemoService } from '../services/demo.service';
import { seedDemo } from '../store/demo-rows';
import { SettingsService } from '../services/settings.service';
import { SheetsService } from '../services/sheets.service';
import { Store } from '../store/store';
import { button, choose as choice, chosen, fieldOf, type } from '../hands.spec';
import { builtDemo, sheetsHere, testProviders, until } from '../spec-store.spec';
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
  await TestBed.inject(Store).write('the demo', 'demo', (database) =>
    seedDemo(database, new Date(2026, 10, 23), builtDemo),
  );
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

/** Opens a row's menu and presses one of its lines. */
async function choose(host: HTMLElement, row: string, line: string): Promise<void> {
  await shows(host, (page) => page.querySelector(`[aria-label="More for ${row}"]`) !== null);
  button(host, `More for ${row}`).click();
  await shows(document.body, (body) => body.querySelector('.mat-mdc-menu-panel') !== null);
  button(document.querySelector('.mat-mdc-menu-panel') ?? document, line).click();
  await shows(document.body, (body) => body.querySelector('.mat-mdc-menu-panel') === null);
}

const rows = (host: HTMLElement) => [...host.querySelectorAll('.list h2')].map((each) => each.textContent.trim());

describe('the list of sheets', () => {
  it('tells length, rounds, punches and how it last went', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5 && page.textContent.includes('counted'));
    // Figures are worked out apart, and kept with the sheet.
    await shows(host, (page) => !page.textContent.includes('…'));
    const first = host.querySelector('.list li')?.textContent ?? '';
    expect(first).toContain('22:45');
    expect(first).toContain('3 rounds');
    expect(first).toContain('effort 6 of 10, 646 punches counted');
  });

  it('renames on Enter and leaves the name on Escape', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5);
    const rename = async (name: string, key: string): Promise<void> => {
      await choose(host, 'Ten minutes before the shift', 'Rename');
      await shows(host, (page) => page.querySelector('.list input') !== null);
      const field = fieldOf(host, 'Title');
      field.value = name;
      field.dispatchEvent(new Event('input'));
      field.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await shows(host, (page) => page.querySelector('.list input') === null);
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
    expect(await (await TestBed.inject(Store).database()).sheets.count()).toBe(5);
    button(host, 'Close').click();
    await shows(host, (page) => page.querySelector('[role=alert]') === null);
  });

  it('says so when there is none', async () => {
    const { host } = await open(SheetsPage, (page) => rows(page).length === 5);
    const here = sheetsHere();
    await until(() => here()?.count === 5);
    for (const stored of here()?.rows ?? []) await TestBed.inject(SheetsService).remove(stored.id);
    await shows(host, (page) => page.textContent.includes('No sheets yet.'));
    expect(host.querySelector('.list')).toBeNull();
  });
});

describe('the log', () => {
  const entries = (page: HTMLElement): HTMLElement[] => [...page.querySelectorAll<HTMLElement>('tr[mat-row]')];
  /** As many as there is room for, and one at most above and below. */
  const ready = (page: HTMLElement): boolean =>
    entries(page).length >= 6 && (entries(page)[5]?.textContent ?? '').includes('planned');

  it('stands the latest first, with planned and done, and in other orders', async () => {
    const { host } = await open(LogPage, ready);
    const column = (name: string): string[] =>
      entries(host).map(
        (row) => row.querySelector(`.mat-column-${name}`)?.textContent?.trim().replace(/\s+/g, ' ') ?? '',
      );
    expect(
      column('when')
        .slice(0, 6)
        .map((when) => when.slice(0, 10)),
    ).toEqual(['Sun 22 Nov', 'Fri 20 Nov', 'Wed 18 Nov', 'Sun 15 Nov', 'Fri 13 Nov', 'Wed 11 Nov']);
    const given = entries(host).find((each) => each.textContent.includes('ended early'));
    expect(given?.textContent).toContain('24:48');
    expect(given?.textContent).toContain('of 40:00');
    host.querySelector<HTMLElement>('th.mat-column-time .mat-sort-header-container')?.click();
    await shows(host, () => column('time')[0]?.startsWith('10:00') ?? false);
    const times = column('time').map((time) => Number(time.split(':')[0]));
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });

  it('keeps what is added afterwards, and refuses a count that cannot be', async () => {
    const { host, fixture } = await open(LogPage, (page) => ready(page));
    button(host, 'Edit the entry for Ten minutes').focus();
    button(host, 'Edit the entry for Ten minutes').click();
    await shows(host, (page) => page.querySelector('kt-entry-form') !== null);
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Entry of Ten minutes before the shift');
    const set = async (name: string, value: string): Promise<void> => {
      type(host, name, value);
      await fixture.whenStable();
    };
    await set('Punches counted', '-3');
    await set('Punches counted', '380');
    await shows(host, (page) => page.textContent.includes('380 counted'));
    await set('Note for next time', 'Two more next time');
    host.querySelectorAll<HTMLElement>('kt-entry-form mat-button-toggle button')[9]?.click();
    await shows(
      host,
      (page) =>
        page.textContent.includes('Two more next time') &&
        (entries(page)[1]?.querySelector('.mat-column-effort')?.textContent ?? '').includes('9'),
    );
    button(host, 'Close').click();
    await shows(host, (page) => page.querySelector('kt-entry-form') === null);
    expect(document.activeElement?.getAttribute('aria-label')).toMatch(/^Edit the entry for Ten minutes/);
    const stored = await (await TestBed.inject(Store).database()).log.get('demo-entry-2');
    expect([stored?.entry.counted, stored?.entry.effort, stored?.entry.note]).toEqual([380, 9, 'Two more next time']);
  });

  it('draws what is in sight alone, and the rest as it is scrolled to, each under its week', async () => {
    const { host } = await open(LogPage, (page) => ready(page));
    button(host, 'By week').click();
    await shows(host, (page) => page.querySelector('tr[mat-row] .head') !== null);
    expect(entries(host).length).toBeLessThan(34);
    expect(host.querySelector('table')?.getAttribute('aria-rowcount')).toBe('47');
    const scroll = host.querySelector('cdk-virtual-scroll-viewport') as HTMLElement;
    scroll.scrollTop = scroll.scrollHeight;
    await shows(host, () => entries(host).at(-1)?.getAttribute('aria-rowindex') === '47');
    await shows(host, () => entries(host).at(-1)?.textContent.includes('planned') ?? false);
    // Whoever looks for something else begins at the top.
    type(host, 'Find', 'alarm');
    await shows(host, (page) => page.textContent.includes('1 entry') && entries(page).length === 2);
    expect(scroll.scrollTop).toBe(0);
  });

  it('says so when it is empty', async () => {
    const { host } = await open(LogPage, (page) => ready(page));
    await TestBed.inject(DemoService).clear();
    await shows(host, (page) => page.textContent.includes('The log is empty.'));
  });
});

describe('the settings', () => {
  it('are kept at once and shown as chosen', async () => {
    const { host, fixture } = await open(SettingsPage, (page) => page.querySelectorAll('mat-select').length > 10);
    await TestBed.inject(SettingsService).loaded;
    await choice(host, 'Theme', 'Light');
    await choice(host, 'Get-ready time', 'nothing');
    await choice(host, 'Count down from', '3');
    await choice(host, 'Kick after a punch', 'Either leg; no flag');
    await choice(host, 'Spacing', 'Roomy, for tablets and gloves');
    expect(document.documentElement.classList).toContain('roomy');
    await choice(host, 'Spacing', 'Compact, for a mouse');
    const volume = host.querySelector<HTMLInputElement>('input[type=range]') as HTMLInputElement;
    volume.value = '0.25';
    for (const event of ['input', 'change']) volume.dispatchEvent(new Event(event));
    await fixture.whenStable();
    expect(TestBed.inject(SettingsService).settings()).toEqual(
      jasmine.objectContaining({ look: 'light', countIn: 0, countFrom: 3, kickSchool: 'same', volume: 0.25 }),
    );
    expect(chosen(host, 'Theme')).toBe('Light');
    await choice(host, 'Theme', 'Same as device');
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
    await shows(host, (page) => page.textContent.includes('Saved.'));
    expect(settings.settings().ownNumbers?.beyondSix).toEqual([
      { number: 7, move: 'bk' },
      { number: 12, move: 'tp' },
    ]);
    button(host, 'Remove 12').click();
    expect(settings.settings().ownNumbers?.beyondSix.length).toBe(1);
  });
});
