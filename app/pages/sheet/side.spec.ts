import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { compile, readTempoText, sayClock, six, tally, type Sheet } from '../../../core/index';
import { SheetsService } from '../../services/sheets.service';
import { testProviders, until } from '../../spec-store.spec';
import { Glance } from './glance';
import { rowAction } from './row-keys';
import { SessionStrip } from './session-strip';
import { TextView } from './text-view';
import { WholeSheet } from './whole-sheet';

const sheetOf = (text: string): Sheet => readTempoText(text, 'spec').sheet;
const sample = sheetOf(
  '# Tower\nwarm-up 5:00: freestyle\nround 3:00 x3 rest 1:00\n  3:00 strong: 1 2b bk\ncool-down 3:00',
);

function type(host: HTMLElement, selector: string, value: string): void {
  const field = host.querySelector<HTMLInputElement>(selector);
  if (!field) throw new Error(selector);
  field.value = value;
  field.dispatchEvent(new Event('input'));
}

describe('beside the sheet', () => {
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [...testProviders(), provideRouter([])] });
  });

  it('shows the sheet as text and turns typing into the sheet, ids kept', async () => {
    const fixture = TestBed.createComponent(TextView);
    fixture.componentRef.setInput('sheet', sample);
    const made: Sheet[] = [];
    fixture.componentInstance.changed.subscribe(({ sheet }) => {
      made.push(sheet);
      fixture.componentRef.setInput('sheet', sheet);
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const field = (): string => host.querySelector('textarea')?.value ?? '';
    expect(field()).toContain('3:00 strong: 1 2b bk');
    type(host, 'textarea', field().replace('1 2b bk', '1  2b'));
    await fixture.whenStable();
    expect(made[0]?.blocks[1]?.pieces[0]).toEqual(jasmine.objectContaining({ id: 'b2p1', text: '1 2b' }));
    expect(made[0]?.blocks[0]).toBe(sample.blocks[0] as Sheet['blocks'][0]);
    // The coach's own spacing stays while it is typed, and is made strict when the field is left.
    expect(field()).toContain('1  2b');
    host.querySelector('textarea')?.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(field()).toContain('strong: 1 2b\n');
    type(host, 'textarea', field().replace('1 2b', '1 jabb'));
    await fixture.whenStable();
    expect(host.querySelector('li.error')?.textContent).toContain('line 9');
    fixture.componentRef.setInput('sheet', { ...sample, title: 'From elsewhere' });
    await fixture.whenStable();
    expect(field()).toContain('# From elsewhere');
  });

  it('proposes a length or a version, and changes nothing until told', async () => {
    const fixture = TestBed.createComponent(WholeSheet);
    fixture.componentRef.setInput('sheet', sample);
    const applied: Sheet[] = [];
    fixture.componentInstance.applied.subscribe((sheet) => applied.push(sheet));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const press = async (name: string): Promise<void> => {
      const button = [...host.querySelectorAll('button')].find((each) => each.textContent.trim() === name);
      button?.click();
      await fixture.whenStable();
    };
    type(host, 'input', '20');
    await press('Fit');
    expect(host.querySelector('.proposal')?.textContent).toContain('Fit to 20:00');
    expect(applied).toEqual([]);
    await press('Change this sheet');
    expect(applied.map((sheet) => sayClock(compile(sheet).ms))).toEqual(['20:00']);
    type(host, 'input', 'soon');
    await press('Fit');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('no length');
    type(host, 'input', '2:00');
    await press('Fit');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('Nearest');
    await press('no kicks');
    expect(host.querySelector('.changes')?.textContent).toContain('1 2b bk → 1 2b 2b');
    await press('Keep as a new sheet');
    const sheets = TestBed.inject(SheetsService);
    await until(() => (sheets.all() ?? []).some(({ sheet }) => sheet.title === 'Tower, no kicks'));
    // The note of it comes last; a spec that ends before leaves it without an application.
    await until(() => document.querySelector('mat-snack-bar-container') !== null);
    expect(applied.length).toBe(1);
  });

  it('draws the session to scale and the plan at a glance', async () => {
    const timeline = compile(sample);
    const strip = TestBed.createComponent(SessionStrip);
    strip.componentRef.setInput('timeline', timeline);
    strip.componentRef.setInput(
      'rows',
      sample.blocks.map((block, at) => ({
        block,
        at: at * 1000,
        ms: (block.ms ?? 0) * (block.times ?? 1),
        round: null,
        pieces: [],
      })),
    );
    await strip.whenStable();
    const widths = [...(strip.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('button')].map((each) =>
      Number(each.style.flexGrow),
    );
    expect(widths).toEqual([300_000, 540_000, 180_000]);

    const glance = TestBed.createComponent(Glance);
    glance.componentRef.setInput('timeline', timeline);
    glance.componentRef.setInput('stance', 'orthodox');
    await glance.whenStable();
    const host = glance.nativeElement as HTMLElement;
    await until(() => host.querySelector('svg path') !== null);
    const { left, right } = tally(timeline, 'orthodox').bySide;
    const cells = [...host.querySelectorAll('td')].map((cell) => Number(cell.textContent.replace(/\D+/, '')));
    const sum = (rest: number): number =>
      cells.filter((_, at) => at % 2 === rest).reduce((total, each) => total + each, 0);
    expect(Math.abs(sum(0) - left)).toBeLessThan(2);
    expect(Math.abs(sum(1) - right)).toBeLessThan(2);
    expect(six.name).toBe('six');
  });
});

describe('keys on a row', () => {
  const ids = ['a', 'b', 'c'];
  const press = (key: string, more: KeyboardEventInit = {}) =>
    rowAction(new KeyboardEvent('keydown', { key, ...more }), ids, 'b');

  it('go, mark, move, nudge and the rest', () => {
    expect(press('ArrowDown')).toEqual({ what: 'go', id: 'c', mark: false });
    expect(press('ArrowUp', { shiftKey: true })).toEqual({ what: 'go', id: 'a', mark: true });
    expect(press('ArrowDown', { altKey: true })).toEqual({ what: 'move', by: 1 });
    expect(press('+')).toEqual({ what: 'nudge', ms: 5000 });
    expect(press('-')).toEqual({ what: 'nudge', ms: -5000 });
    expect(press(' ')).toEqual({ what: 'mark' });
    expect(press('d', { ctrlKey: true })).toEqual({ what: 'duplicate' });
    expect(press('d')).toBeNull();
    expect(press('End')).toEqual({ what: 'go', id: 'c', mark: false });
  });
});
