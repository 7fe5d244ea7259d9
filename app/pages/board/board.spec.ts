import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { readTempoText, type Sheet } from '../../../core/index';
import { demoSheets } from '../../../demo/sheets';
import { SheetsService } from '../../services/sheets.service';
import { testProviders, until } from '../../spec-store.spec';
import { BoardPage } from './board-page';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;

describe('the board on the wall', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  async function open(sheet: Sheet | null): Promise<HTMLElement> {
    if (sheet) await TestBed.inject(SheetsService).add(sheet);
    const fixture = TestBed.createComponent(BoardPage);
    fixture.componentRef.setInput('id', sheet?.id ?? 'nowhere');
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('h1') !== null;
    });
    return host(fixture);
  }

  it('shows each round with every kind, its group, and what is done there', async () => {
    const corners = demoSheets.find(({ id }) => id === 'demo-four-corners');
    const board = await open(corners ?? null);
    expect(board.querySelectorAll('ol > li').length).toBe(4);
    const groups = [...board.querySelectorAll('ol > li')].map((turn) =>
      [...turn.querySelectorAll('.groups')].map(({ textContent }) => /Group (\d)/.exec(textContent)?.[1]),
    );
    expect(groups).toEqual([
      ['1', '2', '3', '4'],
      ['4', '1', '2', '3'],
      ['3', '4', '1', '2'],
      ['2', '3', '4', '1'],
    ]);
    expect(board.querySelectorAll('kt-strike-staff').length).toBeGreaterThan(20);
  });

  it('says what a rotation needs where there is none, and where there is no sheet', async () => {
    const plain = { ...readTempoText('round 1:00: 1 2').sheet, id: 'plain' };
    expect((await open(plain)).textContent).toContain('needs at least two stations');
    expect((await open(null)).textContent).toContain('Sheet not found');
  });

  it('shows a drill in words where a kind has no moves for it', async () => {
    const sheet = {
      ...readTempoText('lane: speed, 2 places\nlane: heavy, 2 places\nround 1:00: 1 2 3').sheet,
      id: 's',
    };
    const board = await open(sheet);
    expect(board.textContent).toContain('triplets');
    expect(board.textContent).toContain('Not every group gets to');
  });
});
