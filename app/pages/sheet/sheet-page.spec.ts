import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { emptySheet, freshBlock, type Sheet } from '../../../core/index';
import { demoSheets } from '../../../demo/sheets';
import { freshId } from '../../services/fresh-id';
import { SheetsService } from '../../services/sheets.service';
import { choose, press, type } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { SheetPage } from './sheet-page';

/** The page on a sheet, with hands for typing and pressing keys. */
class Hands {
  readonly host: HTMLElement;

  constructor(
    readonly fixture: ComponentFixture<SheetPage>,
    private readonly id: string,
  ) {
    this.host = fixture.nativeElement as HTMLElement;
    document.body.append(this.host);
  }

  rows(): string[] {
    return [...this.host.querySelectorAll<HTMLElement>('[data-row]')].map(
      (row) => row.getAttribute('aria-label') ?? '',
    );
  }

  row(at: number): HTMLElement {
    const row = this.host.querySelectorAll<HTMLElement>('[data-row]')[at];
    if (!row) throw new Error(`no row ${at}`);
    return row;
  }

  async type(text: string, control = false): Promise<void> {
    const field = this.host.querySelector<HTMLInputElement>('#entry') as HTMLInputElement;
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    await this.fixture.whenStable();
    await this.press(field, 'Enter', { ctrlKey: control });
  }

  async press(target: HTMLElement, key: string, more: KeyboardEventInit = {}): Promise<void> {
    target.focus();
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
    await this.fixture.whenStable();
  }

  async click(name: string): Promise<void> {
    const button = [...this.host.querySelectorAll('button')].find(
      (each) => (each.getAttribute('aria-label') ?? each.textContent).trim() === name,
    );
    if (!button) throw new Error(`no button ${name}`);
    button.click();
    await this.fixture.whenStable();
  }

  async saved(): Promise<Sheet | null> {
    await until(() => this.host.querySelector('[role=status]')?.textContent?.trim() === 'Saved');
    return TestBed.inject(SheetsService).get(this.id);
  }
}

async function open(sheet: Sheet): Promise<Hands> {
  TestBed.configureTestingModule({ providers: testProviders() });
  await TestBed.inject(SheetsService).add(sheet);
  const fixture = TestBed.createComponent(SheetPage);
  fixture.componentRef.setInput('id', sheet.id);
  const hands = new Hands(fixture, sheet.id);
  await until(() => {
    TestBed.tick();
    // What stands beside the rundown comes when the page has nothing else to do.
    return hands.host.querySelector('header') !== null && hands.host.querySelector('kt-side-panel') !== null;
  });
  return hands;
}

const empty = (): Sheet => emptySheet(freshId, 'Spec');
const withRound = (): Sheet => ({ ...empty(), blocks: [freshBlock('round', freshId)] });

describe('the run sheet', () => {
  afterEach(() =>
    document.querySelectorAll('body > kt-sheet-page, body > div[id^=root]').forEach((each) => each.remove()),
  );

  it('makes a round of what is typed on an empty sheet, as long as was written in front', async () => {
    const hands = await open(empty());
    expect(hands.host.textContent).toContain('This sheet is empty.');
    await hands.type('2:00 1-2');
    expect(hands.rows().length).toBe(2);
    const sheet = await hands.saved();
    expect(sheet?.blocks.map((block) => [block.kind, block.ms])).toEqual([['round', 120_000]]);
    expect(sheet?.blocks[0]?.pieces[0]).toEqual(
      jasmine.objectContaining({ kind: 'combination', ms: 120_000, text: '1 2' }),
    );
  });

  it('fills a round with its first piece, then takes what is left of it, half a minute at most', async () => {
    const hands = await open(withRound());
    await hands.type('1:00 1 2');
    await hands.type('3');
    await hands.type('1:15 2 3');
    await hands.type('5');
    const sheet = await hands.saved();
    expect(sheet?.blocks[0]?.pieces.map((piece) => ('ms' in piece ? piece.ms : 0))).toEqual([
      60_000, 30_000, 75_000, 15_000,
    ]);
    expect(hands.host.textContent).not.toContain('too long');
    await hands.type('6');
    await until(() => hands.host.textContent.includes('0:30 too long'));
    await hands.click('Make the round 3:30');
    await until(() => !hands.host.textContent.includes('too long'));
  });

  it('adds words and own time, and lets words be typed over', async () => {
    const hands = await open({ ...empty(), blocks: [freshBlock('core', freshId)] });
    await hands.type('0:45 "Plank"');
    await hands.type('2:15 own time');
    hands.row(1).dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
    await hands.fixture.whenStable();
    type(hands.host, 'Description', 'Plank, tap the shoulders');
    await hands.fixture.whenStable();
    const sheet = await hands.saved();
    expect(sheet?.blocks[0]?.pieces).toEqual([
      jasmine.objectContaining({ kind: 'words', ms: 45_000, words: 'Plank, tap the shoulders' }),
      jasmine.objectContaining({ kind: 'own-time', ms: 135_000 }),
    ]);
    expect(hands.host.textContent).not.toContain('too');
  });

  it('takes a goal of punches for a round, and takes it back', async () => {
    const hands = await open(withRound());
    const goal = async (value: string): Promise<number | undefined> => {
      type(hands.host, 'Punch goal for Round 1', value);
      await hands.fixture.whenStable();
      return (await hands.saved())?.blocks[0]?.goal;
    };
    expect(await goal('180')).toBe(180);
    expect(await goal('-4')).toBe(180);
    expect(await goal('')).toBeUndefined();
  });

  it('builds a combination up: in an empty round, else in a round of its own after the chosen one', async () => {
    const hands = await open(withRound());
    await hands.type('1 2 3b', true);
    await hands.type('5 4', true);
    const sheet = await hands.saved();
    expect(sheet?.blocks.map((block) => block.ms)).toEqual([90_000, 60_000]);
    expect(hands.host.querySelectorAll('text.moment').length).toBe(5);
  });

  it('moves through rows, moves, copies and deletes them by keys, and undoes it all', async () => {
    const [first] = demoSheets;
    const hands = await open(first as Sheet);
    const before = hands.rows();
    await hands.press(hands.row(0), 'ArrowDown');
    expect(document.activeElement).toBe(hands.row(1));
    await hands.press(hands.row(1), 'End');
    expect(document.activeElement).toBe(hands.row(before.length - 1));
    await hands.press(hands.row(before.length - 1), 'Home');
    expect(document.activeElement).toBe(hands.row(0));
    await hands.press(hands.row(1), 'ArrowDown', { altKey: true });
    expect(hands.rows()[1]).toBe(before[2] ?? '');
    expect(document.activeElement).toBe(hands.row(2));
    await hands.press(hands.row(2), 'd', { ctrlKey: true });
    expect(hands.rows().length).toBe(before.length + 1);
    await hands.press(hands.row(0), 'Delete');
    expect(hands.rows().some((row) => row.startsWith('Warm-up'))).toBeFalse();
    for (let step = 0; step < 3; step += 1) await hands.press(hands.row(0), 'z', { ctrlKey: true });
    expect(hands.rows()).toEqual(before);
    await hands.press(hands.row(0), 'z', { ctrlKey: true, shiftKey: true });
    expect(hands.rows()[1]).toBe(before[2] ?? '');
  });

  it('takes a digit or a letter that can begin a combination wherever the eye is, and keeps the keys of its rows', async () => {
    const hands = await open(demoSheets[0] as Sheet);
    const entry = hands.host.querySelector<HTMLInputElement>('#entry');
    await hands.press(document.body, '1');
    expect(document.activeElement).toBe(entry);
    await hands.press(hands.row(1), 'f');
    expect(document.activeElement?.id).toBe('find');
    await hands.press(hands.row(1), 'j');
    expect(document.activeElement).toBe(entry);
    hands.row(1).focus();
    await hands.press(hands.row(1), 'z');
    expect(document.activeElement).toBe(hands.row(1));
  });

  it('begins in its entry line where it is empty, and cannot be run then', async () => {
    const hands = await open(empty());
    await until(() => document.activeElement?.id === 'entry');
    expect(hands.host.querySelector('a.run')).toBeNull();
    await hands.type('1 2 3b', true);
    expect(hands.host.querySelector('a.run')).not.toBeNull();
    expect(hands.rows().length).toBe(2);
  });

  it('says what undo will undo', async () => {
    const hands = await open(withRound());
    await hands.type('1:00 1 2');
    const undo = hands.host.querySelector<HTMLElement>('[aria-label="Undo"]');
    undo?.dispatchEvent(new Event('pointerenter'));
    await hands.fixture.whenStable();
    expect(hands.fixture.componentInstance['undoHint']()).toContain('1 2');
    expect(hands.fixture.componentInstance['undoHint']()).toContain('Ctrl Z');
  });

  it('opens a piece in the line, changes it, or leaves it as it was', async () => {
    const hands = await open(demoSheets[1] as Sheet);
    const at = hands.rows().indexOf('1 1 2 sl 6 3');
    await hands.press(hands.row(at), 'Enter');
    const field = hands.host.querySelector<HTMLInputElement>('#entry') as HTMLInputElement;
    expect(field.value).toBe('1 1 2 sl 6 3');
    await hands.press(field, 'Escape');
    expect(document.activeElement).toBe(hands.row(at));
    await hands.press(hands.row(at), 'Enter');
    await hands.type('1 2 3');
    expect(hands.rows()[at]).toBe('1 2 3');
  });

  it('changes a build’s stages, a round’s repeats and a rest’s length in place', async () => {
    const hands = await open(withRound());
    await hands.type('1 2 3 2', true);
    await hands.click('Length of a stage');
    type(hands.host, 'Length of a stage', '0:45');
    await until(() => hands.host.textContent.includes('1:00 too long'));
    hands.row(0).dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
    await hands.fixture.whenStable();
    type(hands.host, 'Repeats of Round 1', '4');
    await hands.fixture.whenStable();
    const sheet = await hands.saved();
    expect(sheet?.blocks[0]).toEqual(jasmine.objectContaining({ times: 4, restMs: 60_000 }));
    expect(hands.host.textContent).toContain('Rounds 1–4');
  });

  it('keeps who is there, and shows the sheet in other numbers without changing a move', async () => {
    const hands = await open({ ...withRound() });
    await hands.type('oh 2');
    press(hands.host, 'Class and settings');
    await until(() => {
      TestBed.tick();
      return hands.host.querySelector('kt-people-fields') !== null;
    });
    type(hands.host, 'People', '9');
    await choose(hands.host, 'Level', 'advanced');
    await choose(hands.host, 'Bag', 'heavy bag');
    await choose(hands.host, 'Numbers', 'eight');
    type(hands.host, 'Class pace', '1.2');
    type(hands.host, 'People', '9999');
    await hands.fixture.whenStable();
    const sheet = await hands.saved();
    expect(sheet?.class).toEqual({ people: 9, level: 'advanced', pace: 1.2 });
    expect([sheet?.bag, sheet?.numbers]).toEqual(['heavy', 'eight']);
    expect(hands.rows()[1]).toBe('8 2');
    expect(sheet?.blocks[0]?.pieces[0]).toEqual(jasmine.objectContaining({ text: 'oh 2' }));
  });
});
