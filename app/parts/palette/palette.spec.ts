import { Component, inject, Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatDialog } from '@angular/material/dialog';
import { provideRouter, Router } from '@angular/router';
import { GuideService } from '../../services/guide.service';
import { KeysService } from '../../services/keys.service';
import { Store } from '../../store/store';
import { seedDemo } from '../../store/demo-rows';
import { builtDemo, testProviders, until } from '../../spec-store.spec';
import { inOrder, type Command } from './commands';
import { openPalette } from './palette';

const taken: string[] = [];

@Component({
  selector: 'kt-with-keys',
  template: '<p data-row="one" tabindex="0">row</p><p class="else" tabindex="0">else</p>',
})
class WithKeys {
  constructor() {
    inject(KeysService).use('This page', [
      { keys: ['z'], does: 'Undo it', repeats: false, press: () => taken.push('undone') },
      {
        keys: ['d'],
        does: 'Duplicate the row',
        repeats: false,
        when: ({ target }) => target instanceof Element && target.matches('[data-row]'),
        press: ({ target }) => taken.push(target instanceof HTMLElement ? (target.dataset['row'] ?? '') : ''),
      },
    ]);
  }
}

const command = (id: string, name: string): Command => ({ id, name, kind: 'Sheet', key: '', run: () => undefined });

describe('what is searched', () => {
  it('has what was taken lately first, then names that begin so', () => {
    const all = [command('a', 'Late run'), command('b', 'Run early'), command('c', 'A long run')];
    expect(inOrder(all, 'run', []).map(({ id }) => id)).toEqual(['b', 'a', 'c']);
    expect(inOrder(all, 'run', ['c']).map(({ id }) => id)).toEqual(['c', 'b', 'a']);
    expect(inOrder(all, 'nothing', [])).toEqual([]);
  });
});

describe('the palette', () => {
  async function setUp(focus: string) {
    taken.length = 0;
    const guide = { pages: () => Promise.resolve([{ id: 'run-a-class', title: 'Run a class', html: '', words: '' }]) };
    TestBed.configureTestingModule({
      providers: [...testProviders(), provideRouter([]), { provide: GuideService, useValue: guide }],
    });
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 23), builtDemo),
    );
    const fixture = TestBed.createComponent(WithKeys);
    document.body.append(fixture.nativeElement as HTMLElement);
    await fixture.whenStable();
    const before = (fixture.nativeElement as HTMLElement).querySelector<HTMLElement>(focus);
    before?.focus();
    openPalette(TestBed.inject(Injector), before ?? document.body);
    const names = (): readonly string[] =>
      [...document.querySelectorAll('kt-palette [role=option]')].map((each) => each.textContent.trim());
    const type = (text: string): void => {
      const field = document.querySelector<HTMLInputElement>('kt-palette input');
      if (!field) throw new Error('no field');
      field.value = text;
      field.dispatchEvent(new Event('input'));
      TestBed.tick();
    };
    const press = (key: string): void => {
      document
        .querySelector('kt-palette input')
        ?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      TestBed.tick();
    };
    await until(() => {
      TestBed.tick();
      return names().some((name) => name.includes('Tower, first watch'));
    });
    return { fixture, names, type, press };
  }

  afterEach(() => {
    TestBed.inject(MatDialog).closeAll();
    document.querySelectorAll('kt-with-keys').forEach((each) => each.remove());
  });

  it('lists actions, sheets, settings and help by name, and a row’s only where there was one', async () => {
    const { names, type } = await setUp('.else');
    type('row');
    expect(names().filter((name) => name.includes('Duplicate'))).toEqual([]);
    type('units');
    expect(names()).toEqual([jasmine.stringContaining('Units')]);
    type('run a class');
    await until(() => {
      TestBed.tick();
      return names().length === 1;
    });
    type('first watch');
    expect(names().length).toBe(2);
  });

  it('does what is chosen where the focus was', async () => {
    const { fixture, names, type, press } = await setUp('[data-row]');
    type('duplicate');
    expect(names().length).toBe(1);
    press('Enter');
    await until(() => taken.length > 0);
    expect(taken).toEqual(['one']);
    await fixture.whenStable();
  });

  it('goes through what is found by arrow keys, and opens a sheet', async () => {
    const { type, press } = await setUp('.else');
    const go = spyOn(TestBed.inject(Router), 'navigate').and.resolveTo(true);
    type('first watch');
    press('ArrowDown');
    press('ArrowDown');
    press('Enter');
    await until(() => go.calls.count() > 0);
    expect(go.calls.mostRecent().args[0][0]).toBe('/sheets');
  });
});
