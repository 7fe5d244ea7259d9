import { EditorView } from '@codemirror/view';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { compile, readTempoText, sayClock, setEffortOf, six, tally, type Sheet } from '../../../core/index';
import { press as pressButton, type as typeInto } from '../../hands.spec';
import { blockRows } from '../../services/block-rows';
import { sheetsHere, testProviders, until } from '../../spec-store.spec';
import { Glance } from './glance';
import { rowShortcuts, type RowHands } from './row-keys';
import { SessionStrip } from './session-strip';
import { TextView } from './text-view';
import { WholeSheet } from './whole-sheet';

const sheetOf = (text: string): Sheet => readTempoText(text, 'spec').sheet;
const sample = sheetOf(
  '# Tower\nwarm-up 5:00: freestyle\nround 3:00 x3 rest 1:00\n  3:00 strong: 1 2b bk\ncool-down 3:00',
);

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
    document.body.append(host);
    await until(() => host.querySelector('.cm-content') !== null);
    TestBed.tick();
    const view = (): EditorView => EditorView.findFromDOM(host) as EditorView;
    const text = (): string => view().state.doc.toString();
    const write = async (from: string, to: string): Promise<void> => {
      const at = text().indexOf(from);
      view().dispatch({ changes: { from: at, to: at + from.length, insert: to } });
      await fixture.whenStable();
    };
    expect(text()).toContain('3:00 strong: 1 2b bk');
    await write('1 2b bk', '1  2b');
    expect(made[0]?.blocks[1]?.pieces[0]).toEqual(jasmine.objectContaining({ id: 'b2p1', text: '1 2b' }));
    expect(made[0]?.blocks[0]).toBe(sample.blocks[0] as Sheet['blocks'][0]);
    // The coach's own spacing stays while it is typed, and is made strict when the field is left.
    expect(text()).toContain('1  2b');
    view().contentDOM.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(text()).toContain('strong: 1 2b\n');
    await write('1 2b', '1 jabb');
    expect(host.querySelector('li.error')?.textContent).toContain('line 9');
    expect(host.querySelector('.cm-lintRange-error')?.textContent).toBe('jabb');
    fixture.componentRef.setInput('sheet', { ...sample, title: 'From elsewhere' });
    await fixture.whenStable();
    expect(text()).toContain('# From elsewhere');
    fixture.destroy();
  });

  it('proposes a length or a version, and changes nothing until told', async () => {
    const fixture = TestBed.createComponent(WholeSheet);
    fixture.componentRef.setInput('sheet', sample);
    const applied: Sheet[] = [];
    fixture.componentInstance.applied.subscribe((sheet) => applied.push(sheet));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const press = async (name: string): Promise<void> => {
      pressButton(host, name);
      await fixture.whenStable();
    };
    typeInto(host, 'Minutes', '20');
    await press('Fit');
    expect(host.querySelector('.card')?.textContent).toContain('Fit to 20:00');
    expect(applied).toEqual([]);
    await press('Change this sheet');
    expect(applied.map((sheet) => sayClock(compile(sheet).ms))).toEqual(['20:00']);
    typeInto(host, 'Minutes', 'soon');
    await press('Fit');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('Enter a length');
    typeInto(host, 'Minutes', '2:00');
    await press('Fit');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('Nearest');
    await press('no kicks');
    expect(host.querySelector('.changes')?.textContent).toContain('1 2b bk → 1 2b 2b');
    await press('Save as a new sheet');
    const here = sheetsHere();
    await until(() => (here()?.rows ?? []).some(({ sheet }) => sheet.title === 'Tower, no kicks'));
    // The note of it comes last; a spec that ends before leaves it without an application.
    await until(() => document.querySelector('mat-snack-bar-container') !== null);
    expect(applied.length).toBe(1);
  });

  it('draws the session to scale and the plan at a glance', async () => {
    const timeline = compile(sample);
    const strip = TestBed.createComponent(SessionStrip);
    strip.componentRef.setInput('timeline', timeline);
    const rows = blockRows(sample, timeline.leaves, []);
    strip.componentRef.setInput('rows', rows);
    await strip.whenStable();
    const widths = [...(strip.nativeElement as HTMLElement).querySelectorAll<HTMLElement>('button')].map((each) =>
      Number(each.style.flexGrow),
    );
    // Three rounds of 3:00 and two rests of 1:00.
    expect(widths).toEqual([300_000, 660_000, 180_000]);
    const bars = () => [...(strip.nativeElement as HTMLElement).querySelectorAll('path')].map((each) => each.outerHTML);
    const before = bars();
    const harder = setEffortOf(sample, new Set(sample.blocks[1]?.pieces.map(({ id }) => id)), 'all-out');
    const after = compile(harder);
    strip.componentRef.setInput('timeline', after);
    strip.componentRef.setInput('rows', blockRows(harder, after.leaves, []));
    await strip.whenStable();
    expect(bars().map((each, at) => each === before[at])).toEqual([true, false, true]);

    const glance = TestBed.createComponent(Glance);
    glance.componentRef.setInput('timeline', timeline);
    glance.componentRef.setInput('strikes', tally(timeline, 'orthodox').byKind);
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
  it('go, mark, move, nudge and the rest, for the row that they are pressed on and nothing in it', () => {
    const done: unknown[] = [];
    const note =
      (what: string) =>
      (...args: unknown[]): void => {
        done.push([what, ...args]);
      };
    const names = ['go', 'move', 'nudge', 'mark', 'unmark', 'edit', 'options', 'unfold', 'remove', 'duplicate', 'find'];
    const hands = Object.fromEntries(names.map((name) => [name, note(name)])) as unknown as RowHands;
    const shortcuts = rowShortcuts(() => ['a', 'b', 'c'], hands);
    const row = document.createElement('div');
    row.dataset['row'] = 'b';
    row.innerHTML = '<svg></svg><button></button>';
    const event = (key: string, target: EventTarget = row): KeyboardEvent => {
      const pressed = new KeyboardEvent('keydown', { key });
      Object.defineProperty(pressed, 'target', { value: target });
      return pressed;
    };
    const press = (keys: string): void => {
      const shortcut = shortcuts.find((each) => each.keys.includes(keys));
      expect(shortcut?.when?.(event(keys)))
        .withContext(keys)
        .toBeTrue();
      shortcut?.press(event(keys));
    };
    for (const keys of ['ArrowDown', 'Shift+ArrowUp', 'Alt+ArrowDown', '+', '-', 'Space', '$mod+d', 'End']) press(keys);
    expect(done).toEqual([
      ['go', 'c', 'b', false],
      ['go', 'a', 'b', true],
      ['move', 'b', 1],
      ['nudge', 'b', 5000],
      ['nudge', 'b', -5000],
      ['mark', 'b'],
      ['duplicate', 'b'],
      ['go', 'c', 'b', false],
    ]);
    const [mark] = shortcuts.filter(({ keys }) => keys.includes('Space'));
    expect(mark?.when?.(event('Space', row.querySelector('svg') as Element))).toBeTrue();
    expect(mark?.when?.(event('Space', row.querySelector('button') as Element))).toBeFalse();
  });
});
