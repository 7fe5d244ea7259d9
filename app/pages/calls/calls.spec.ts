import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { readTempoText, type Sheet } from '../../../core/index';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';
import { choose, heard, tick } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { CallsPage } from './calls-page';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
const sheetOf = (...lines: string[]): Sheet => ({ ...readTempoText(lines.join('\n')).sheet, id: 'calls' });
const press = (fixture: ComponentFixture<unknown>, name: string): void => {
  [...host(fixture).querySelectorAll('button')].find(({ textContent }) => textContent.trim() === name)?.click();
};

describe('the calls of a sheet', () => {
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: testProviders() });
    // The speaking rate stands for every voice here.
    TestBed.inject(SettingsService).change({ voice: 'none' });
  });

  async function open(sheet: Sheet): Promise<ComponentFixture<CallsPage>> {
    await TestBed.inject(SheetsService).add(sheet);
    const fixture = TestBed.createComponent(CallsPage);
    fixture.componentRef.setInput('id', sheet.id);
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call]') !== null;
    });
    return fixture;
  }

  it('are made in a worker and stand on the ruler in order', async () => {
    const fixture = await open(sheetOf('round 1:00: 1 2', 'rest 0:30', 'round 1:00: 2 3'));
    const words = [...host(fixture).querySelectorAll('[data-call] .say')].map(({ textContent }) => textContent);
    expect(words.slice(0, 2)).toEqual(['bell', 'One, two.']);
    expect(words.filter((word) => word === 'bell').length).toBe(4);
    expect(words).toContain('ten seconds');
    const tops = [...host(fixture).querySelectorAll<HTMLElement>('ol li')].map(({ style }) => parseFloat(style.top));
    expect([...tops].sort((a, b) => a - b)).toEqual(tops);
    fixture.destroy();
  });

  it('are muted by a key, listed with the reason, and said again; undo takes it back', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2 3'));
    const focus = (): HTMLElement | null => host(fixture).querySelector('[data-call$="focus"]');
    focus()?.dispatchEvent(new KeyboardEvent('keydown', { key: 'm', bubbles: true }));
    await until(() => {
      TestBed.tick();
      return focus() === null;
    });
    expect(host(fixture).textContent).toContain('muted by you');
    press(fixture, 'Unmute');
    await until(() => {
      TestBed.tick();
      return focus() !== null;
    });
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, bubbles: true }));
    await until(() => {
      TestBed.tick();
      return focus() === null;
    });
    fixture.destroy();
  });

  it('are gone through by arrow keys, and no further than their ends', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2 3'));
    const rows = [...host(fixture).querySelectorAll<HTMLElement>('[data-call], [data-unsaid]')];
    expect(rows.length).toBeGreaterThan(3);
    const goes = (from: number, key: string): number => {
      rows[from]?.focus();
      rows[from]?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
      return rows.findIndex((row) => row === document.activeElement);
    };
    const last = rows.length - 1;
    rows
      .find((row) => row.querySelector('.say')?.textContent === 'three')
      ?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', altKey: true, bubbles: true }));
    await until(() => heard() === 'This call cannot be moved');
    expect([goes(0, 'ArrowDown'), goes(2, 'ArrowUp'), goes(0, 'ArrowUp'), goes(last, 'ArrowDown')]).toEqual([
      1,
      1,
      0,
      last,
    ]);
    fixture.destroy();
  });

  it('are moved, locked and muted by keys, also where they are not said', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2 3'));
    const focus = (): HTMLElement | null => host(fixture).querySelector('[data-call$="focus"]');
    const clock = (): string => focus()?.querySelector('.figures')?.textContent ?? '';
    const before = clock();
    const key = (init: KeyboardEventInit): void => {
      focus()?.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, ...init }));
    };
    key({ key: 'ArrowDown', altKey: true });
    await until(() => {
      TestBed.tick();
      return clock() !== before;
    });
    expect(focus()?.textContent).toContain('yours');
    await until(() => heard() !== '');
    expect(heard()).toMatch(/^Moved to 1:\d\d\.\d$/);
    key({ key: 'l' });
    await until(() => heard() === 'Unlocked');
    await until(() => {
      TestBed.tick();
      return clock() === before;
    });
    key({ key: 'm' });
    const unsaid = (): HTMLElement | null => host(fixture).querySelector('[data-unsaid$="focus"]');
    await until(() => {
      TestBed.tick();
      return unsaid() !== null;
    });
    unsaid()?.dispatchEvent(new KeyboardEvent('keydown', { key: 'm', bubbles: true }));
    await until(() => {
      TestBed.tick();
      return focus() !== null;
    });
    fixture.destroy();
  });

  it('follow a stance plan, with the balance beside it', async () => {
    const fixture = await open(sheetOf('round 1:00 x4 rest 0:30: 1 1 2'));
    expect(host(fixture).textContent).toContain('0 changes');
    await choose(host(fixture), 'The class switches stance', 'every round');
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call$="stance"]') !== null;
    });
    expect(host(fixture).textContent).toContain('3 changes');
    fixture.destroy();
  });

  it('are as many as this session asks for, which goes before the setting, and are heard so', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2'));
    await choose(host(fixture), 'How much to call in this session', 'Bells and counts only');
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call$="new"]') === null;
    });
    expect(host(fixture).querySelector('[data-call$="bell"]')).not.toBeNull();
    await choose(host(fixture), 'How much to call in this session', 'as in Settings: Everything');
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call$="new"]') !== null;
    });
    fixture.destroy();
  });

  it('leave whole kinds out', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2'));
    tick(host(fixture), 'time');
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call$="time"]') === null;
    });
    fixture.destroy();
  });

  it('say so where there is no such sheet', async () => {
    const fixture = TestBed.createComponent(CallsPage);
    fixture.componentRef.setInput('id', 'nowhere');
    await until(() => {
      TestBed.tick();
      return host(fixture).textContent.includes('Sheet not found');
    });
    fixture.destroy();
  });
});
