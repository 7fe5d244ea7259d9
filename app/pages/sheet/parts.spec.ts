import { TestBed } from '@angular/core/testing';
import { readCombination, readTempoText, type Sheet } from '../../../core/index';
import { StrikeStaff } from '../../parts/strike-staff/strike-staff';
import { press, type, wrongAt } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { MarkedBar, type MarkedAction } from './marked-bar';
import { SheetDetails } from './sheet-details';

describe('a sheet’s named parts', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(SheetDetails);
    let sheet: Sheet = readTempoText('# Parts\nnumbers: eight\ncombo A: 7 2\nround 1:00').sheet;
    fixture.componentRef.setInput('sheet', sheet);
    fixture.componentInstance.changed.subscribe((change) => {
      sheet = { ...sheet, ...change };
      fixture.componentRef.setInput('sheet', sheet);
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    press(host, 'Class and settings');
    await until(() => {
      TestBed.tick();
      return host.querySelector('form.part') !== null;
    });
    const add = async (name: string, moves: string): Promise<void> => {
      type(host, 'Name', name);
      type(host, 'Moves', moves);
      host.querySelector('form.part')?.dispatchEvent(new Event('submit', { cancelable: true }));
      await fixture.whenStable();
    };
    return { host, add, parts: () => sheet.parts };
  }

  it('are spelt by the sheet’s numbers, added, changed under their name, and taken out', async () => {
    const { host, add, parts } = await setUp();
    expect(host.querySelector('.parts li')?.textContent).toContain('7 2');
    await add('close', 'A then 8');
    expect(parts()?.[1]).toEqual({ name: 'close', text: 'sh 2 oh' });
    await add('a', '1 2');
    expect(parts()?.map(({ name }) => name)).toEqual(['close', 'a']);
    for (const button of host.querySelectorAll<HTMLButtonElement>('.parts button')) button.click();
    expect(parts()).toBeUndefined();
  });

  it('are refused under a name that means something, or with moves that do not read', async () => {
    const { host, add, parts } = await setUp();
    await add('jab', '1 2');
    expect(wrongAt(host, 'Name')).toContain('another name');
    await add('B', '1 jabb');
    expect(wrongAt(host, 'Moves')).toContain('jabb');
    expect(parts()?.length).toBe(1);
  });
});

describe('the bar of marked rows', () => {
  it('offers what can be done to all of them', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(MarkedBar);
    fixture.componentRef.setInput('count', 3);
    const done: MarkedAction[] = [];
    fixture.componentInstance.done.subscribe((action) => done.push(action));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    for (const button of host.querySelectorAll('button')) button.click();
    await until(() => {
      TestBed.tick();
      return document.querySelector('.mat-mdc-menu-panel') !== null;
    });
    press(document, 'strong');
    expect(done.map((action) => action.what)).toEqual([
      'move',
      'move',
      'nudge',
      'nudge',
      'mirror',
      'duplicate',
      'remove',
      'clear',
      'effort',
    ]);
    expect(done.at(-1)).toEqual({ what: 'effort', effort: 'strong' });
    expect(host.querySelector('[role=status]')?.textContent).toBe('3 selected');
  });
});

describe('a staff in a row', () => {
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: testProviders() });
  });

  async function draw(text: string) {
    const read = readCombination(text);
    const fixture = TestBed.createComponent(StrikeStaff);
    fixture.componentRef.setInput('combination', read.ok ? read.value : { items: [] });
    fixture.componentRef.setInput('steps', true);
    await fixture.whenStable();
    return fixture.nativeElement as HTMLElement;
  }

  it('gives the reason of a stuck seam on focus', async () => {
    const host = await draw('1 2 4');
    const why = host.querySelector<HTMLButtonElement>('button.why');
    expect(why?.getAttribute('aria-label')).toContain('rear hook');
    expect((await draw('1 2 3')).querySelectorAll('button.why').length).toBe(0);
  });

  it('numbers the steps where legs take part, what lands together being one', async () => {
    const steps = (host: HTMLElement): string[] =>
      [...host.querySelectorAll('text.step')].map((step) => step.textContent);
    expect(steps(await draw('3 2 sl in+1 bk'))).toEqual(['1', '2', '3', '4']);
    expect(steps(await draw('1 2 3'))).toEqual([]);
  });
});
