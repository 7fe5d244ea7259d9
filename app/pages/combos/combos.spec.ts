import { TestBed } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { Store } from '../../store/store';
import { previewMerge, writeBookJson, type BookEntry } from '../../../core/index';
import { BookService } from '../../services/book.service';
import { seedDemo } from '../../store/demo-rows';
import { SettingsService } from '../../services/settings.service';
import { choose, press, type } from '../../hands.spec';
import { builtDemo, testProviders, until } from '../../spec-store.spec';
import { CombinationCard } from './combination-card';
import { CombosPage } from './combos-page';
import { MergePreview } from './merge-preview';

const entry = (id: string, text: string): BookEntry => ({ id, name: id, text, tags: [], note: '' });

describe('a combination of the book, open', () => {
  async function setUp(text: string) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(CombinationCard);
    fixture.componentRef.setInput('entry', entry('one', text));
    const saved: Partial<BookEntry>[] = [];
    fixture.componentInstance.saved.subscribe((each) => {
      saved.push(each);
      fixture.componentRef.setInput('entry', { ...fixture.componentInstance.entry(), ...each });
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const field = host.querySelector<HTMLInputElement>('.text input') as HTMLInputElement;
    const write = async (typed: string): Promise<void> => {
      field.value = typed;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    const key = async (name: string, more: KeyboardEventInit): Promise<void> => {
      host.dispatchEvent(new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more }));
      await fixture.whenStable();
    };
    return { fixture, host, field, saved, write, key };
  }

  it('is saved as soon as it reads, canonical, and not while it does not', async () => {
    const { saved, write, host } = await setUp('1 2');
    await write('1 2 hoo');
    expect(saved).toEqual([]);
    expect(host.querySelector('.fault')?.textContent).toContain('hook');
    await write('1 2 hook');
    expect(saved.at(-1)?.text).toBe('1 2 3');
  });

  it('takes a repair with one key and takes it back with one', async () => {
    const { saved, key, field } = await setUp('1 2 4');
    await key('r', { altKey: true });
    expect(saved.at(-1)?.text).toBe('1 2 sl 4');
    await key('z', { ctrlKey: true });
    expect(field.value).toBe('1 2 4');
    expect(saved.at(-1)?.text).toBe('1 2 4');
    await key('y', { ctrlKey: true });
    expect(saved.at(-1)?.text).toBe('1 2 sl 4');
  });

  it('shows a left-hander’s limbs and mirrored steps, and keeps what was meant', async () => {
    const { host, fixture, saved } = await setUp('left+1 2');
    expect(host.textContent).toContain('left hand, right hand');
    host.querySelectorAll<HTMLInputElement>('input[type=radio]')[1]?.click();
    await fixture.whenStable();
    expect(host.textContent).toContain('right hand, left hand');
    expect(host.querySelector('.box')?.getAttribute('aria-label')).toContain('step right');
    host.querySelector<HTMLElement>('[aria-label="Insert rear roll"]')?.click();
    await fixture.whenStable();
    expect(saved.at(-1)?.text).toBe('left+1 ro 2');
  });

  it('says whether its bag takes it, and takes the change over', async () => {
    const { host, fixture, saved } = await setUp('1 2 3b');
    await choose(host, 'Bag', 'double-end bag');
    await fixture.whenStable();
    expect(host.querySelector('.fit')?.textContent).toContain('needs a change');
    host.querySelector<HTMLElement>('.fit button')?.click();
    await fixture.whenStable();
    expect(saved.at(-1)?.text).toBe('1 2 3 2');
    expect(host.querySelector('.fit')?.textContent).toContain('Fits the double-end bag');
  });

  it('shows each turn with its own limbs and seconds', async () => {
    const { host } = await setUp('2 [bk / swk]');
    expect(host.textContent).toContain('Repeat 1, 1.3 s: right hand, right leg');
    expect(host.textContent).toContain('Repeat 2, 1.25 s: right hand, left leg');
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
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 23), builtDemo),
    );
    const fixture = TestBed.createComponent(CombosPage);
    const host = fixture.nativeElement as HTMLElement;
    await until(() => {
      TestBed.tick();
      return host.querySelector('table')?.getAttribute('aria-rowcount') === '13';
    });
    // Only what is in sight is drawn, and each row tells its place among all.
    await until(() => host.querySelectorAll('.list tr[mat-row]').length > 3);
    expect(host.querySelectorAll('.list tr[mat-row]')[2]?.getAttribute('aria-rowindex')).toBe('4');
    type(host, 'Find', 'legs');
    await fixture.whenStable();
    expect(host.querySelectorAll('.list tr[mat-row]').length).toBe(2);
    for (const box of host.querySelectorAll<HTMLInputElement>('.list input[type=checkbox]')) box.click();
    await fixture.whenStable();
    [...host.querySelectorAll<HTMLElement>('button')]
      .find((button) => button.textContent?.includes('Compare'))
      ?.click();
    await fixture.whenStable();
    expect(host.querySelectorAll('kt-compare-view svg').length).toBe(2);
    expect(host.querySelector('kt-compare-view .strong')).not.toBeNull();
  });

  it('keeps both of two changes that follow each other before the page is drawn', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(CombosPage);
    const host = fixture.nativeElement as HTMLElement;
    await fixture.whenStable();
    press(host, 'New combination');
    await fixture.whenStable();
    const card = fixture.debugElement.query(By.directive(CombinationCard)).componentInstance as CombinationCard;
    card.saved.emit({ text: '1 2' });
    const book = TestBed.inject(BookService);
    await until(() => book.all()?.length === 1);
    card.saved.emit({ text: '1 2', name: 'Night bell' });
    card.saved.emit({ text: '1 2 3' });
    await until(() => book.all()?.[0]?.text === '1 2 3');
    card.saved.emit({ text: '1 2 3b' });
    await until(() => book.all()?.[0]?.text === '1 2 3b');
    expect(book.all()?.[0]?.name).toBe('Night bell');
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
    await choose(host, 'What to do with a', 'replace with theirs');
    await fixture.whenStable();
    press(host, 'Import 2');
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
      return host.textContent.includes('This file also has a phrasebook');
    });
    expect(settings.settings().wordings).toEqual(mine);
    press(host, 'Replace mine');
    expect(settings.settings().wordings).toEqual(theirs);
    await until(() => document.querySelector('mat-snack-bar-container button') !== null);
    press(document, 'Undo');
    await until(() => settings.settings().wordings === mine);
    await until(() => document.querySelector('mat-snack-bar-container') === null);
    fixture.destroy();
  });
});
