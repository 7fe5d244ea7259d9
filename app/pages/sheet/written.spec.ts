import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import {
  emptySheet,
  faultNamed,
  freshBlock,
  readPieceLine,
  six,
  type Block,
  type Piece,
  type PieceOf,
  type Sheet,
  type TechniqueFocus,
  type TrainingFault,
} from '../../../core/index';
import { FocusField } from '../../parts/focus-field';
import { freshId } from '../../services/fresh-id';
import { choose, type, wrongAt } from '../../hands.spec';
import { testProviders } from '../../spec-store.spec';
import { EntryBar } from './entry-bar';
import { FaultsPanel } from './faults-panel';
import { PieceOptions } from './piece-options';
import { RhythmOptions } from './rhythm-options';
import { SchoolFields } from './school-fields';
import type { Entered } from './typed-piece';

const pieceOf = (line: string): Piece => {
  const [piece] = readPieceLine(line, { scheme: six, parts: new Map() }, freshId).pieces;
  if (!piece) throw new Error(line);
  return piece;
};
const round: Block = freshBlock('round', freshId);

describe('what a coach can write of a sheet', () => {
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [...testProviders(), provideRouter([])] });
  });

  it('a stance of a piece’s own, square among them, and back to the sheet’s', async () => {
    const fixture = TestBed.createComponent(PieceOptions);
    fixture.componentRef.setInput('piece', pieceOf('0:30 1 2'));
    fixture.componentRef.setInput('block', round);
    fixture.componentRef.setInput('scheme', six);
    const made: Piece[] = [];
    fixture.componentInstance.changed.subscribe((piece) => made.push(piece));
    await fixture.whenStable();
    await choose(fixture.nativeElement as HTMLElement, 'Stance', 'square');
    await choose(fixture.nativeElement as HTMLElement, 'Stance', 'as on the sheet');
    expect(made.map(({ stance }) => stance)).toEqual(['square', undefined]);
  });

  it('a rhythm’s row, hand and growth; rebounds that are even are refused with a reason', async () => {
    const fixture = TestBed.createComponent(RhythmOptions);
    const rhythm = pieceOf('1:00 rhythm 3,3,1') as PieceOf<'rhythm'>;
    fixture.componentRef.setInput('rhythm', rhythm);
    const made: PieceOf<'rhythm'>[] = [];
    fixture.componentInstance.changed.subscribe((piece) => made.push(piece));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    type(host, 'Rebounds after', '5, 5');
    await choose(host, 'Hand', 'turns');
    type(host, 'up to', '4');
    expect(made).toEqual([
      { ...rhythm, row: [5, 5] },
      { ...rhythm, hand: 'turns' },
      { ...rhythm, growTo: 4 },
    ]);
    type(host, 'Rebounds after', '3, 2');
    await fixture.whenStable();
    expect(made.length).toBe(3);
    expect(wrongAt(host, 'Rebounds after')).toContain('odd');
  });

  it('schools, gloves and a ball’s figures, which are kept together or not at all', async () => {
    const fixture = TestBed.createComponent(SchoolFields);
    fixture.componentRef.setInput('sheet', emptySheet(freshId));
    const made: Partial<Sheet>[] = [];
    fixture.componentInstance.changed.subscribe((part) => {
      made.push(part);
      fixture.componentRef.setInput('sheet', { ...emptySheet(freshId), ...part });
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    await choose(host, 'Kick after a punch', 'same side');
    await choose(host, 'Kick after a punch', 'as in Settings');
    type(host, 'Time for gloves on, s', '60');
    expect(made).toEqual([
      { schools: { kick: 'same' } },
      { schools: undefined },
      { gloves: { onMs: 60_000, offMs: 20_000 } },
    ]);
    const keep = (): boolean | undefined =>
      host.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }));
    keep();
    await fixture.whenStable();
    expect(wrongAt(host, 'Weight, kg')).toContain('Enter');
    type(host, 'Weight, kg', '0.3');
    type(host, 'Upper cord', '1.2');
    type(host, 'Lower cord', '1.1');
    type(host, 'Upper tension', '80');
    type(host, 'Lower tension', '70');
    keep();
    expect(made.at(-1)).toEqual({
      ball: { mass: 0.3, upper: 1.2, lower: 1.1, tensionUpper: 80, tensionLower: 70 },
    });
  });

  it('reminders, a line each, with what they belong to; one that cannot be read keeps the others as they were', async () => {
    const fixture = TestBed.createComponent(FocusField);
    fixture.componentRef.setInput('label', 'Reminders');
    fixture.componentRef.setInput('focuses', []);
    const made: (readonly TechniqueFocus[])[] = [];
    fixture.componentInstance.changed.subscribe((focuses) => made.push(focuses));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    type(host, 'Reminders', '"Elbows in" on 3b every 0:45\nBreathe');
    expect(made[0]).toEqual([
      jasmine.objectContaining({ words: 'Elbows in', moves: ['3b'], everyMs: 45_000 }),
      jasmine.objectContaining({ words: 'Breathe' }),
    ]);
    type(host, 'Reminders', '"Elbows in" every 0:01');
    await fixture.whenStable();
    expect(made.length).toBe(1);
    expect(wrongAt(host, 'Reminders')).toContain('0:05');
  });

  it('the mend of a fault, by bag and from what is seen', async () => {
    const fixture = TestBed.createComponent(FaultsPanel);
    fixture.componentRef.setInput('sheet', { ...emptySheet(freshId), bag: 'double-end' });
    fixture.componentRef.setInput('scheme', six);
    const mended: TrainingFault[] = [];
    fixture.componentInstance.mended.subscribe((fault) => mended.push(fault));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    expect(host.textContent).toContain('You see: the ball spins off to the side');
    expect(host.textContent).not.toContain('Leaning on the bag');
    host.querySelector<HTMLElement>('[aria-label="Add the fix for: Off centre"]')?.click();
    expect(mended).toEqual([faultNamed('off-line')]);
    await choose(host, 'Bag', 'freestanding bag');
    await fixture.whenStable();
    expect(host.textContent).toContain('You see: the standing bag tips');
  });

  it('exercises with pauses and rhythms in the entry line, and what else a text may have meant', async () => {
    const fixture = TestBed.createComponent(EntryBar);
    fixture.componentRef.setInput('scheme', six);
    fixture.componentRef.setInput('sheetId', 'one');
    const entered: Entered[] = [];
    fixture.componentInstance.entered.subscribe((each) => entered.push(each));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const field = host.querySelector<HTMLInputElement>('#entry');
    const write = async (text: string): Promise<void> => {
      if (!field) throw new Error('no entry line');
      field.value = text;
      field.dispatchEvent(new Event('input'));
      await fixture.whenStable();
    };
    for (const text of ['0:45/0:15 x2 plank / squats', 'rhythm 3,3,1']) {
      await write(text);
      field?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }));
    }
    expect(entered.map(({ pieces }) => pieces?.map(({ kind }) => kind))).toEqual([
      ['words', 'pause', 'words', 'pause'],
      ['rhythm'],
    ]);
    await write('1 slip right');
    expect(host.querySelector('#entry-fault')?.textContent).toContain('write sl-r');
  });
});
