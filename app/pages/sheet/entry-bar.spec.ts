import { TestBed } from '@angular/core/testing';
import { six } from '../../../core/index';
import { DraftService } from '../../services/draft.service';
import { testProviders, until } from '../../spec-store.spec';
import { EntryBar } from './entry-bar';
import type { Entered } from './typed-piece';

describe('the entry line', () => {
  async function setUp(draft = '') {
    TestBed.configureTestingModule({ providers: testProviders() });
    if (draft) await TestBed.inject(DraftService).put('sheet', draft);
    const fixture = TestBed.createComponent(EntryBar);
    fixture.componentRef.setInput('scheme', six);
    fixture.componentRef.setInput('sheetId', 'sheet');
    const entered: Entered[] = [];
    fixture.componentInstance.entered.subscribe((each) => entered.push(each));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const field = host.querySelector('input') as HTMLInputElement;
    const type = async (text: string): Promise<void> => {
      field.value = text;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    const press = async (key: string, more: KeyboardEventInit = {}): Promise<void> => {
      field.dispatchEvent(new KeyboardEvent('keydown', { key, ...more }));
      await fixture.whenStable();
    };
    return { fixture, host, field, entered, type, press };
  }

  it('shows staff and count with each key, and hands over canonical text', async () => {
    const { host, entered, type, press } = await setUp();
    await type('1-2, 3B');
    expect(host.querySelectorAll('.glyph').length).toBe(3);
    expect(host.textContent).toContain('3 punches · 3 moves');
    await press('Enter');
    expect(entered).toEqual([{ what: 'combination', text: '1 2 3b', ms: null }]);
    await type('1:30 1 2');
    await press('Enter', { ctrlKey: true });
    expect(entered[1]).toEqual({ what: 'build', text: '1 2', ms: 90_000 });
  });

  it('keeps the last drawing while a word is half typed, and says where it cannot read', async () => {
    const { host, entered, type, press } = await setUp();
    await type('1 2 ');
    await type('1 2 ho');
    expect(host.querySelectorAll('.glyph').length).toBe(2);
    expect(host.querySelector('.wrong')).toBeNull();
    await press('Enter');
    expect(host.querySelector('.wrong u')?.textContent).toBe('ho');
    expect(entered).toEqual([]);
    await type('1 <b>x</b> 2');
    expect(host.querySelector('.wrong')?.textContent).toContain('<b>x<');
    expect(host.querySelector('.wrong b b')).toBeNull();
  });

  it('takes words in quotes and own time as pieces of their own', async () => {
    const { host, entered, type, press } = await setUp();
    await type('0:45 "pla');
    await press('Enter');
    expect(entered).toEqual([]);
    expect(host.querySelector('.wrong')).toBeNull();
    await type('0:45 "plank, elbows under the shoulders"');
    await press('Enter');
    await type('Own time');
    await press('Enter');
    expect(entered.map(({ what, ms, pieces }) => [what, ms, pieces?.[0]?.kind])).toEqual([
      ['line', 45_000, 'words'],
      ['line', null, 'own-time'],
    ]);
    expect(entered[0]?.pieces?.[0]).toEqual(
      jasmine.objectContaining({ words: 'plank, elbows under the shoulders', ms: 45_000 }),
    );
  });

  it('takes builds, calls drills, options and several names in one line', async () => {
    const { entered, type, press } = await setUp();
    for (const line of [
      'build pyramid every 0:20: 1 2 3',
      '1:00 call go 3',
      '0:20 strong nonstop: 1 2',
      '0:40 x2 plank / dead bug',
    ]) {
      await type(line);
      await press('Enter');
    }
    expect(entered.map(({ pieces }) => pieces?.map((piece) => piece.kind))).toEqual([
      ['build'],
      ['calls'],
      ['combination'],
      ['words', 'words'],
    ]);
    expect(entered[2]?.pieces?.[0]).toEqual(jasmine.objectContaining({ effort: 'strong', nonStop: true, ms: 20_000 }));
  });

  it('takes a repair with one key and takes it back with the same', async () => {
    const { field, type, press } = await setUp();
    await type('1 2 4');
    await press('r', { altKey: true });
    expect(field.value).toBe('1 2 sl 4');
    await press('r', { altKey: true });
    expect(field.value).toBe('1 2 4');
  });

  it('keeps what is half typed for the next visit', async () => {
    const { field, fixture } = await setUp('1 2 3');
    await until(() => field.value === '1 2 3');
    expect(fixture.componentInstance).toBeTruthy();
  });

  it('counts what is too long to draw', async () => {
    const { host, type } = await setUp();
    await type('(1 2 3)x99 (1 2)x10');
    expect(host.querySelector('svg')).toBeNull();
    expect(host.textContent).toContain('317 punches');
  });
});
