import { TestBed, type ComponentFixture } from '@angular/core/testing';
import {
  compile,
  emptySheet,
  findings,
  freshBlock,
  freshBuild,
  six,
  tally,
  type Block,
  type Finding,
  type Piece,
  type Sheet,
} from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { testProviders, until } from '../../spec-store.spec';
import { BlockView } from './block-view';
import type { BlockRow, PieceRow } from '../../services/editor';
import { FindingsPanel } from '../../parts/findings-panel';
import { PieceView } from './piece-view';
import { SheetTotals } from './sheet-totals';

const sheetOf = (...blocks: Block[]): Sheet => ({ ...emptySheet(freshId), blocks });
const combo = (ms: number, text: string, more: Partial<Extract<Piece, { kind: 'combination' }>> = {}): Piece => ({
  kind: 'combination',
  id: freshId(),
  ms,
  effort: 'steady',
  text,
  ...more,
});

/** A piece as the editor would hand it to its row. */
function rowOf(piece: Piece, ms = 60_000): PieceRow {
  const { leaves } = compile(sheetOf({ ...freshBlock('round', freshId, [piece]), ms }));
  return { piece, leaves: leaves.filter((leaf) => leaf.pieceId === piece.id), lanes: [] };
}

function set(host: HTMLElement, selector: string, value: string, event: 'change' | 'input'): void {
  const field = host.querySelector<HTMLInputElement>(selector);
  if (!field) throw new Error(`no ${selector}`);
  field.value = value;
  field.dispatchEvent(new Event(event));
}

async function chooseInMenu(fixture: ComponentFixture<unknown>, line: string): Promise<void> {
  (fixture.nativeElement as HTMLElement).querySelector<HTMLElement>('[aria-label^="More for"]')?.click();
  const find = () =>
    [...document.querySelectorAll<HTMLElement>('.mat-mdc-menu-panel button')].find((each) =>
      each.textContent.trim().startsWith(line),
    );
  await until(() => {
    TestBed.tick();
    return find() !== undefined;
  });
  find()?.click();
  await until(() => {
    TestBed.tick();
    return document.querySelector('.mat-mdc-menu-panel') === null;
  });
}

describe('a piece’s row', () => {
  async function show(row: PieceRow) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(PieceView);
    fixture.componentRef.setInput('row', row);
    fixture.componentRef.setInput('start', 0);
    fixture.componentRef.setInput('block', { ...freshBlock('round', freshId), pieces: [row.piece] });
    fixture.componentRef.setInput('scheme', six);
    const changes: Piece[] = [];
    fixture.componentInstance.changed.subscribe((piece) => changes.push(piece));
    await fixture.whenStable();
    return { fixture, changes, host: fixture.nativeElement as HTMLElement };
  }

  it('shows staff, effort, length and planned strikes', async () => {
    const { host } = await show(rowOf(combo(60_000, '1 2 any 2-4')));
    expect(host.querySelectorAll('.glyph').length).toBe(3);
    expect(host.querySelector('.planned')?.textContent.trim()).toMatch(/^\d+–\d+$/);
    expect(host.querySelector<HTMLSelectElement>('select')?.value).toBe('steady');
  });

  it('changes effort by name or per cent, and non-stop and the breath by its options', async () => {
    const { host, changes, fixture } = await show(rowOf(combo(60_000, '1 2')));
    set(host, 'select', 'all-out', 'change');
    set(host, 'select', '70', 'change');
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    host.querySelector<HTMLInputElement>('kt-piece-options [type=checkbox]')?.click();
    set(host, 'kt-piece-options [type=number]', '1.5', 'change');
    expect(changes.map((piece) => [piece.effort, piece.kind === 'combination' && piece.nonStop])).toEqual([
      ['all-out', undefined],
      [70, undefined],
      ['steady', true],
      ['steady', undefined],
    ]);
    expect(changes[3]).toEqual(jasmine.objectContaining({ gapMs: 1500 }));
  });

  it('asks how it goes on only where a combination ends in the other stance', async () => {
    const { changes, fixture } = await show(rowOf(combo(60_000, '1 2 switch')));
    await chooseInMenu(fixture, 'Change back each time');
    expect(changes).toEqual([jasmine.objectContaining({ otherStance: 'reset' })]);
  });

  it('unfolds a build, and turns it into one stage a round with defences apart', async () => {
    const { host, changes, fixture } = await show(rowOf(freshBuild('1 2 sl 6', freshId), 90_000));
    expect(host.querySelectorAll('ol.stages li').length).toBe(3);
    expect(host.querySelectorAll('.ring').length).toBe(4);
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    set(host, 'kt-build-options [title^="0:30"]', 'round', 'change');
    set(host, 'kt-build-options label:nth-of-type(4) select', 'own', 'change');
    set(host, 'kt-build-options select', 'kick-close', 'change');
    set(host, 'kt-build-options [title^="0:30"]', 'banana', 'change');
    expect(changes).toEqual([
      jasmine.objectContaining({ every: 'round' }),
      jasmine.objectContaining({ defence: 'own' }),
      jasmine.objectContaining({ build: 'kick-close', goal: '1 2 sl 6' }),
    ]);
  });

  it('keeps text that cannot be read in view, with the reason', async () => {
    const { host } = await show(rowOf(combo(60_000, '1 jabb')));
    expect(host.querySelector('.unread')?.textContent).toContain('1 jabb');
    expect(host.querySelector('.unread')?.textContent).toContain('did you mean "jab"?');
  });

  it('says where no time is left for it', async () => {
    const { host } = await show({ piece: combo(60_000, '1 2'), leaves: [], lanes: [] });
    expect(host.querySelector('.at')?.textContent.trim()).toBe('–');
  });
});

describe('a block’s row', () => {
  async function show(row: BlockRow) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(BlockView);
    fixture.componentRef.setInput('row', row);
    fixture.componentRef.setInput('scheme', six);
    const changes: object[] = [];
    fixture.componentInstance.changed.subscribe((change) => changes.push(change));
    await fixture.whenStable();
    return { fixture, changes, host: fixture.nativeElement as HTMLElement };
  }
  const row = (block: Block, round: number | null): BlockRow => ({
    block,
    at: 90_000,
    ms: block.ms ?? 0,
    round,
    pieces: [],
  });

  it('is named by its round, or its rounds', async () => {
    const { host, changes } = await show(
      row({ ...freshBlock('round', freshId), times: 3, restMs: 30_000, goal: 90 }, 2),
    );
    expect(host.querySelector('.name')?.textContent).toBe('Rounds 2 to 4');
    expect(host.querySelector('.clock')?.textContent).toBe('1:30');
    set(host, 'input.title', 'Hands', 'input');
    set(host, 'input.title', '  ', 'input');
    set(host, '.times:not(.goal) input', '1', 'change');
    set(host, '.times:not(.goal) input', '400', 'change');
    expect(changes).toEqual([{ title: 'Hands' }, { title: undefined }, { times: undefined, restMs: undefined }]);
    expect(host.querySelector<HTMLInputElement>('.times:not(.goal) input')?.value).toBe('3');
  });

  it('a rest may be left open, and given a length again', async () => {
    const { fixture, changes } = await show(row(freshBlock('rest', freshId), null));
    await chooseInMenu(fixture, 'Leave it open');
    fixture.componentRef.setInput('row', row({ ...freshBlock('rest', freshId), ms: null }, null));
    await fixture.whenStable();
    expect((fixture.nativeElement as HTMLElement).textContent).toContain('open, until a key is pressed');
    await chooseInMenu(fixture, 'Give it a length');
    expect(changes).toEqual([{ ms: null }, { ms: 60_000 }]);
  });
});

describe('findings and totals beside the sheet', () => {
  const wrong = sheetOf({ ...freshBlock('round', freshId, [combo(45_000, '1 2')]), ms: 60_000 });

  it('findings say what, where and how to mend, and hand over the mend that was pressed', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(FindingsPanel);
    fixture.componentRef.setInput('findings', findings(wrong));
    const mended: { finding: Finding; at: number }[] = [];
    const shown: Finding[] = [];
    fixture.componentInstance.mended.subscribe((each) => mended.push(each));
    fixture.componentInstance.shown.subscribe((each) => shown.push(each));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const [first] = host.querySelectorAll('li');
    expect(first?.textContent).toContain('Error · Round 1');
    expect(first?.textContent).toContain('0:15 too short');
    const [last, whole, show] = first?.querySelectorAll('button') ?? [];
    expect([last?.textContent.trim(), whole?.textContent.trim()]).toEqual([
      'Make the last piece 1:00',
      'Make the round 0:45',
    ]);
    whole?.click();
    show?.click();
    expect(mended.map(({ at }) => at)).toEqual([1]);
    expect(mended[0]?.finding.mends[1]?.edit(wrong).blocks[0]?.ms).toBe(45_000);
    expect(shown[0]?.blockId).toBe(wrong.blocks[0]?.id);
  });

  it('totals tell time with open breaks, rounds, punches and sides', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const sheet = sheetOf(
      { ...freshBlock('round', freshId, [combo(60_000, '1 2 3 bk')]), ms: 60_000 },
      { ...freshBlock('rest', freshId), ms: null },
      { ...freshBlock('rest', freshId), ms: null },
    );
    const timeline = compile(sheet);
    const fixture = TestBed.createComponent(SheetTotals);
    fixture.componentRef.setInput('timeline', timeline);
    fixture.componentRef.setInput('tally', tally(timeline, 'orthodox'));
    await fixture.whenStable();
    const cells = [...(fixture.nativeElement as HTMLElement).querySelectorAll('dl div')].map((each) =>
      each.textContent.trim(),
    );
    expect(cells[0]).toBe('1:00plus 2 open breaks');
    expect(cells[1]).toBe('1round · 1:00 of work');
    // 1.71 s and 3 s of breath fit 13 times into a minute: (60 + 3) / 4.71 = 13.4.
    expect(cells[2]).toBe('39punches planned · 13 other strikes');
    expect(cells[3]).toBe('L 50 · R 50body sides, %');
  });
});
