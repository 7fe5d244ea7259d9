import { TestBed, type ComponentFixture } from '@angular/core/testing';
import {
  buildNames,
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
import { choose, chosen, fieldOf, tick, type, wrongAt } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { BlockView } from './block-view';
import type { BlockRow, PieceRow } from '../../services/block-rows';
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
    fixture.componentRef.setInput('scheme', six);
    fixture.componentRef.setInput('selected', true);
    const block = { ...freshBlock('round', freshId), pieces: [row.piece] };
    fixture.componentInstance.optionsToggled.subscribe(() => {
      fixture.componentRef.setInput('optionsIn', fixture.componentInstance.optionsIn() ? null : block);
    });
    const changes: Piece[] = [];
    fixture.componentInstance.changed.subscribe((piece) => changes.push(piece));
    await fixture.whenStable();
    return { fixture, changes, host: fixture.nativeElement as HTMLElement };
  }

  it('shows staff, effort, length and planned strikes', async () => {
    const { host } = await show(rowOf(combo(60_000, '1 2 any 2-4')));
    expect(host.querySelectorAll('.glyph').length).toBe(3);
    expect(host.querySelector('.planned')?.textContent.trim()).toMatch(/^\d+–\d+$/);
    expect(chosen(host, 'Effort of')).toBe('steady');
  });

  it('changes effort by name or per cent, and non-stop and the breath by its options', async () => {
    const { host, changes, fixture } = await show(rowOf(combo(60_000, '1 2')));
    await choose(host, 'Effort of', 'all-out');
    await choose(host, 'Effort of', '70%');
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    tick(host, 'non-stop');
    type(host, 'Gap between repetitions', '1.5');
    expect(changes.map((piece) => [piece.effort, piece.kind === 'combination' && piece.nonStop])).toEqual([
      ['all-out', undefined],
      [70, undefined],
      ['steady', true],
      ['steady', undefined],
    ]);
    expect(changes[3]).toEqual(jasmine.objectContaining({ gapMs: 1500 }));
  });

  it('is text until it is touched', async () => {
    const { host, fixture } = await show(rowOf(combo(60_000, '1 2')));
    const controls = () => host.querySelectorAll('mat-select, [aria-label^="More for"], [aria-label^="Edit"]').length;
    expect(controls()).toBe(3);
    fixture.componentRef.setInput('selected', false);
    await fixture.whenStable();
    expect(controls()).toBe(0);
  });

  it('is changed in the entry line from its menu, too', async () => {
    const { fixture } = await show(rowOf(combo(60_000, '1 2')));
    let edited = 0;
    fixture.componentInstance.edited.subscribe(() => (edited += 1));
    await chooseInMenu(fixture, 'Edit');
    expect(edited).toBe(1);
  });

  it('asks how it goes on only where a combination ends in the other stance', async () => {
    const { changes, fixture } = await show(rowOf(combo(60_000, '1 2 switch')));
    await chooseInMenu(fixture, 'Switch back every time');
    expect(changes).toEqual([jasmine.objectContaining({ otherStance: 'reset' })]);
  });

  it('shows a ladder on one staff with its moments, unfolds it, and turns it into one stage a round with defences apart', async () => {
    const { host, changes, fixture } = await show(rowOf(freshBuild('1 2 sl 6', freshId), 90_000));
    expect([...host.querySelectorAll('text.moment')].map((each) => each.textContent)).toEqual(['0:00', '0:30', '1:00']);
    expect(host.querySelectorAll('.stage').length).toBe(0);
    host.querySelector<HTMLElement>('[aria-label^="Expand"]')?.click();
    await fixture.whenStable();
    expect(host.querySelectorAll('.stage').length).toBe(3);
    expect(host.querySelectorAll('.ring').length).toBe(4);
    fixture.componentRef.setInput('stagesFrom', 60_000);
    await fixture.whenStable();
    expect([...host.querySelectorAll('text.moment')].map((each) => each.textContent)).toEqual(['1:00', '1:30', '2:00']);
    expect([...host.querySelectorAll('.stage .at')].map((each) => each.textContent)).toEqual(['1:00', '1:30', '2:00']);
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    type(host, 'Every', 'round');
    await choose(host, 'Defences', 'as separate stages');
    await choose(host, 'Kind', buildNames['kick-close']);
    type(host, 'Every', 'banana');
    expect(wrongAt(host, 'Every')).toContain('0:30');
    expect(changes).toEqual([
      jasmine.objectContaining({ every: 'round' }),
      jasmine.objectContaining({ defence: 'own' }),
      jasmine.objectContaining({ build: 'kick-close', goal: '1 2 sl 6' }),
    ]);
  });

  it('takes the power of each strike', async () => {
    const { host, changes, fixture } = await show(rowOf(combo(60_000, '1 2')));
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    type(host, 'Power', '80');
    expect(changes).toEqual([jasmine.objectContaining({ power: 80 })]);
  });

  it('takes two efforts or more of a build of effort', async () => {
    const build: Piece = { ...freshBuild('1 2', freshId), build: 'effort' };
    const { host, changes, fixture } = await show(rowOf(build, 90_000));
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    type(host, 'Efforts, in per cent', '50, 70, 100');
    type(host, 'Efforts, in per cent', '50');
    expect(wrongAt(host, 'Efforts, in per cent')).toContain('two or more');
    expect(changes).toEqual([jasmine.objectContaining({ efforts: [50, 70, 100] })]);
  });

  it('takes the coach’s words for a drill of calls', async () => {
    const drill: Piece = { kind: 'calls', id: 'p', ms: 60_000, effort: 'steady', drill: 'go', least: 2, most: 2 };
    const { host, changes, fixture } = await show(rowOf(drill));
    await chooseInMenu(fixture, 'Options');
    await fixture.whenStable();
    type(host, 'Label (called with the drill)', 'stand on the spot');
    expect(changes).toEqual([jasmine.objectContaining({ words: 'stand on the spot' })]);
  });

  it('keeps text that cannot be read in view, with the reason', async () => {
    const { host } = await show(rowOf(combo(60_000, '1 jabb')));
    expect(host.querySelector('.content .wrong')?.textContent).toContain('1 jabb');
    expect(host.querySelector('.content .wrong')?.textContent).toContain('did you mean "jab"?');
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

  it('tells of each piece where it begins, and where no time is left for it', async () => {
    const rows = [combo(60_000, '1 2'), combo(60_000, '2 3'), combo(60_000, '1 1')].map((piece) => rowOf(piece));
    const pieces = rows.map((each, nth) => ({ row: each, at: nth === 2 ? null : nth * 60_000 }));
    const { host } = await show({ ...row(freshBlock('round', freshId), 1), pieces });
    expect([...host.querySelectorAll('.piece .at')].map((at) => at.textContent.trim())).toEqual(['0:00', '1:00', '–']);
  });

  it('is named by its round, or its rounds', async () => {
    const block = { ...freshBlock('round', freshId), times: 3, restMs: 30_000, goal: 90 };
    const { host, changes, fixture } = await show(row(block, 2));
    expect(host.querySelector('.name')?.textContent).toBe('Rounds 2–4');
    expect(host.querySelector('.clock')?.textContent).toBe('1:30');
    expect(host.textContent).toContain('goal');
    expect(host.querySelector('input')).toBeNull();
    fixture.componentRef.setInput('selected', block.id);
    await fixture.whenStable();
    type(host, 'Title of Rounds 2–4', 'Hands');
    type(host, 'Title of Rounds 2–4', '  ');
    type(host, 'Repeats of Rounds 2–4', '1');
    type(host, 'Repeats of Rounds 2–4', '400');
    expect(changes).toEqual([{ title: 'Hands' }, { title: undefined }, { times: undefined, restMs: undefined }]);
    expect(wrongAt(host, 'Repeats of Rounds 2–4')).toBe('Enter 1 to 99');
    expect(fieldOf(host, 'Punch goal for Rounds 2–4').value).toBe('90');
  });

  it('a rest may be left open, and given a length again', async () => {
    const rest = freshBlock('rest', freshId);
    const { fixture, changes, host } = await show(row(rest, null));
    // What can be done comes when the row is touched.
    expect(host.querySelector('[aria-label^="More for"]')).toBeNull();
    fixture.componentRef.setInput('selected', rest.id);
    await fixture.whenStable();
    await chooseInMenu(fixture, 'Make it open-ended');
    fixture.componentRef.setInput('row', row({ ...rest, ms: null }, null));
    await fixture.whenStable();
    expect((fixture.nativeElement as HTMLElement).textContent).toContain('open-ended: until you press space');
    await chooseInMenu(fixture, 'Set a length');
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
    expect(first?.textContent).toContain('Problem · Round 1');
    expect(first?.textContent).toContain('0:15 too short');
    const [last, whole, show] = first?.querySelectorAll('button') ?? [];
    expect([last?.textContent.trim(), whole?.textContent.trim()]).toEqual([
      'Make the last drill 1:00',
      'Make the round 0:45',
    ]);
    whole?.click();
    show?.click();
    expect(mended.map(({ at }) => at)).toEqual([1]);
    expect(mended[0]?.finding.mends[1]?.edit(wrong).blocks[0]?.ms).toBe(45_000);
    expect(shown[0]?.blockId).toBe(wrong.blocks[0]?.id);
  });

  it('findings that a change leaves keep their place and the button that has the focus', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(FindingsPanel);
    const [block] = wrong.blocks;
    const first = findings(wrong);
    fixture.componentRef.setInput('findings', first);
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const short = host.querySelector('li');
    const now: Finding = { level: 'error', kind: 'numbers', where: 'Numbers', what: 'no', mend: 'mend it', mends: [] };
    const after = findings({ ...wrong, blocks: block ? [{ ...block, ms: 70_000 }] : [] });
    fixture.componentRef.setInput('findings', [now, now, ...after]);
    await fixture.whenStable();
    const rows = [...host.querySelectorAll('li')];
    expect(rows.length).toBe(after.length + 2);
    expect(rows[2]).toBe(short ?? undefined);
    expect(short?.textContent).toContain('0:25 too short');
    expect(short?.querySelector('button')?.textContent.trim()).toBe('Make the last drill 1:10');
  });

  it('totals tell time with open rests, rounds, punches and sides', async () => {
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
      each.textContent.replace(/\s+/g, ' ').trim(),
    );
    expect(cells[0]).toBe('1:00 total, plus 2 open rests');
    expect(cells[1]).toBe('1 round · 1:00 work time');
    // 1.71 s and 3 s of breath fit 13 times into a minute: (60 + 3) / 4.71 = 13.4.
    expect(cells[2]).toBe('39 punches · 13 other strikes');
    expect(cells[3]).toBe('L 50 · R 50 left / right, %');
  });
});
