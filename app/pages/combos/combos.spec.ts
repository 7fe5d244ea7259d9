import { TestBed } from '@angular/core/testing';
import { previewMerge, writeBookJson, type BookEntry } from '../../../core/index';
import { BookService } from '../../services/book.service';
import { DemoService } from '../../services/demo.service';
import { SettingsService } from '../../services/settings.service';
import { testProviders, until } from '../../spec-store.spec';
import { CombinationCard } from './combination-card';
import { CombosPage } from './combos-page';
import { MergePreview } from './merge-preview';

const entry = (id: string, text: string): BookEntry => ({ id, name: id, text, tags: [], note: '' });

describe('a combination of the book, open', () => {
  async function setUp(text: string) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(CombinationCard);
    fixture.componentRef.setInput('entry', entry('one', text));
    const saved: BookEntry[] = [];
    fixture.componentInstance.saved.subscribe((each) => {
      saved.push(each);
      fixture.componentRef.setInput('entry', each);
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const field = host.querySelector<HTMLInputElement>('.text input') as HTMLInputElement;
    const type = async (typed: string): Promise<void> => {
      field.value = typed;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    const press = async (key: string, more: KeyboardEventInit): Promise<void> => {
      host.dispatchEvent(new KeyboardEvent('keydown', { key, ...more }));
      await fixture.whenStable();
    };
    return { fixture, host, field, saved, type, press };
  }

  it('is saved as soon as it reads, canonical, and not while it does not', async () => {
    const { saved, type, host } = await setUp('1 2');
    await type('1 2 hoo');
    expect(saved).toEqual([]);
    expect(host.querySelector('.fault')?.textContent).toContain('hook');
    await type('1 2 hook');
    expect(saved.at(-1)?.text).toBe('1 2 3');
  });

  it('takes a repair with one key and takes it back with one', async () => {
    const { saved, press, field } = await setUp('1 2 4');
    await press('r', { altKey: true });
    expect(saved.at(-1)?.text).toBe('1 2 sl 4');
    await press('z', { ctrlKey: true });
    expect(field.value).toBe('1 2 4');
    expect(saved.at(-1)?.text).toBe('1 2 4');
    await press('y', { ctrlKey: true });
    expect(saved.at(-1)?.text).toBe('1 2 sl 4');
  });

  it('shows a left-hander’s limbs and mirrored steps, and keeps what was meant', async () => {
    const { host, fixture, saved } = await setUp('left+1 2');
    expect(host.textContent).toContain('left hand, right hand');
    host.querySelectorAll<HTMLInputElement>('input[name=stance]')[1]?.click();
    await fixture.whenStable();
    expect(host.textContent).toContain('right hand, left hand');
    expect(host.querySelector('.box')?.getAttribute('aria-label')).toContain('step right');
    host.querySelector<HTMLElement>('[aria-label="Put in rear roll"]')?.click();
    await fixture.whenStable();
    expect(saved.at(-1)?.text).toBe('left+1 ro 2');
  });

  it('says whether its bag takes it, and takes the change over', async () => {
    const { host, fixture, saved } = await setUp('1 2 3b');
    const bag = host.querySelectorAll('select')[1];
    if (bag) bag.value = 'double-end';
    bag?.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    expect(host.querySelector('.fit')?.textContent).toContain('wants a change');
    host.querySelector<HTMLElement>('.fit button')?.click();
    await fixture.whenStable();
    expect(saved.at(-1)?.text).toBe('1 2 3 2');
    expect(host.querySelector('.fit')?.textContent).toContain('Fits the double-end bag');
  });

  it('shows each turn with its own limbs and seconds', async () => {
    const { host } = await setUp('2 [bk / swk]');
    expect(host.textContent).toContain('Turn 1, 1.3 s: right hand, right leg');
    expect(host.textContent).toContain('Turn 2, 1.25 s: right hand, left leg');
  });

  it('says each stuck place once, though it is stuck in every turn', async () => {
    const { host } = await setUp('1 2 4 [bk / swk]');
    expect(
      [...host.querySelectorAll('.seams li')].filter((line) =>
        line.textContent?.includes('rear hook straight after cross'),
      ).length,
    ).toBe(1);
  });
});

describe('the combos view', () => {
  it('lists, filters and compares', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    await TestBed.inject(DemoService).seedOnce(new Date(2026, 10, 23));
    const fixture = TestBed.createComponent(CombosPage);
    const host = fixture.nativeElement as HTMLElement;
    await until(() => {
      TestBed.tick();
      return host.querySelectorAll('.list li').length === 12;
    });
    const find = host.querySelector<HTMLInputElement>('input[type=search]') as HTMLInputElement;
    find.value = 'legs';
    find.dispatchEvent(new Event('input'));
    await fixture.whenStable();
    expect(host.querySelectorAll('.list li').length).toBe(2);
    for (const box of host.querySelectorAll<HTMLInputElement>('.list input[type=checkbox]')) box.click();
    await fixture.whenStable();
    [...host.querySelectorAll<HTMLElement>('button')]
      .find((button) => button.textContent?.includes('Compare'))
      ?.click();
    await fixture.whenStable();
    expect(host.querySelectorAll('kt-compare-view svg').length).toBe(2);
    expect(host.querySelector('kt-compare-view .differs')).not.toBeNull();
  });
});

describe('taking in a book', () => {
  it('shows what would happen and hands over only what was chosen', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const mine = [entry('a', '1 2')];
    await TestBed.inject(BookService).put(...mine);
    const fixture = TestBed.createComponent(MergePreview);
    fixture.componentRef.setInput('rows', previewMerge(mine, [entry('a', '1 2 3'), entry('b', '5 4')]));
    const merged: (readonly BookEntry[])[] = [];
    fixture.componentInstance.merged.subscribe((entries) => merged.push(entries));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    expect(host.textContent).toContain('differs from your “a”');
    const [choice] = host.querySelectorAll('select');
    if (choice) choice.value = 'take';
    choice?.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    host.querySelector<HTMLElement>('.button.main')?.click();
    expect(merged[0]?.map((each) => each.text)).toEqual(['1 2 3', '5 4']);
  });

  it('offers the phrasebook that came with it on its own, and puts the old one back', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    const mine = { cheers: ['Mine'] };
    settings.change({ wordings: mine });
    const fixture = TestBed.createComponent(CombosPage);
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const theirs = { phrases: [{ key: 'switch stance' as const, full: 'Change over' }] };
    const file = new File([writeBookJson('', [entry('b', '5 4')], theirs)], 'book.json');
    const field = host.querySelector<HTMLInputElement>('input[type=file]');
    const files = new DataTransfer();
    files.items.add(file);
    if (field) field.files = files.files;
    field?.dispatchEvent(new Event('change'));
    await until(() => {
      TestBed.tick();
      return host.textContent.includes('This file has a phrasebook');
    });
    expect(settings.settings().wordings).toEqual(mine);
    const press = (name: string): void => {
      [...document.querySelectorAll('button')].find(({ textContent }) => textContent.includes(name))?.click();
    };
    press('Put it in place of mine');
    expect(settings.settings().wordings).toEqual(theirs);
    await until(() => document.querySelector('mat-snack-bar-container button') !== null);
    press('Undo');
    await until(() => settings.settings().wordings === mine);
    await until(() => document.querySelector('mat-snack-bar-container') === null);
    fixture.destroy();
  });
});
