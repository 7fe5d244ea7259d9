import { TestBed } from '@angular/core/testing';
import { addBlock, emptySheet, freshBlock, nudgeTimes, removeBlock, type Sheet } from '../../core/index';
import { freshId } from './fresh-id';
import { SheetsService } from './sheets.service';
import { Store } from '../store/store';
import { testProviders, until } from '../spec-store.spec';
import { Editor } from './editor';
import { Rows } from '../pages/sheet/rows';
import { Told } from './told';

describe('the editor', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: [...testProviders(), Editor, Told] });
    const sheets = TestBed.inject(SheetsService);
    const editor = TestBed.inject(Editor);
    const sheet = emptySheet(freshId, 'Spec');
    await sheets.add(sheet);
    await editor.open(sheet.id);
    return { editor, sheets, sheet };
  }
  const round = (sheet: Sheet): Sheet => addBlock(sheet, freshBlock('round', freshId));

  it('writes every change, and says so only when it is written', async () => {
    const { editor, sheets, sheet } = await setUp();
    editor.apply(round);
    expect(editor.saving()).toBe('saving');
    await until(() => editor.saving() === 'saved');
    expect((await sheets.get(sheet.id))?.blocks.length).toBe(1);
    expect(editor.timeline()?.ms).toBe(180_000);
  });

  it('shows the sheet that was asked for last, whichever storage answers last, and follows no other', async () => {
    const { editor, sheets, sheet } = await setUp();
    const other = emptySheet(freshId, 'Other');
    await sheets.add(other);
    const open = sheets.open.bind(sheets);
    let answerFirst: () => void = () => undefined;
    const late = new Promise<void>((done) => (answerFirst = done));
    spyOn(sheets, 'open').and.callFake(async (id) => {
      const history = await open(id);
      if (id === sheet.id) await late;
      return history;
    });
    const first = editor.open(sheet.id);
    await editor.open(other.id);
    answerFirst();
    await first;
    expect(editor.sheet()?.title).toBe('Other');
    // What changes the first sheet elsewhere does not reach the one that is shown; what changes the second does.
    const write = async (id: string, title: string): Promise<void> => {
      const database = await TestBed.inject(Store).database();
      const row = await database.sheets.get(id);
      if (!row) throw new Error(`no row ${id}`);
      await database.sheets.put({ ...row, rev: (row.rev ?? 0) + 1, sheet: { ...row.sheet, title } });
    };
    await write(sheet.id, 'First, changed');
    await write(other.id, 'Other, changed');
    await until(() => editor.sheet()?.title !== 'Other');
    expect(editor.sheet()?.title).toBe('Other, changed');
  });

  it('undoes and redoes, two hundred steps and more', async () => {
    const { editor } = await setUp();
    for (let step = 0; step < 220; step += 1) editor.apply(round);
    for (let step = 0; step < 220; step += 1) editor.undo();
    expect(editor.sheet()?.blocks.length).toBe(0);
    expect(editor.canUndo()).toBeFalse();
    for (let step = 0; step < 220; step += 1) editor.redo();
    expect(editor.sheet()?.blocks.length).toBe(220);
    editor.undo();
    editor.apply(round);
    expect(editor.canRedo()).toBeFalse();
  });

  it('keeps what every row is drawn by the very same until it changes', async () => {
    const { editor } = await setUp();
    const rows = TestBed.runInInjectionContext(() => new Rows());
    const numbers = { name: 'ours', beyondSix: [{ number: 7, move: 'lk' }] };
    editor.apply((sheet) => round({ ...sheet, numbers }));
    const [scheme, lists] = [editor.scheme(), rows.pieceLists()];
    expect([scheme.name, lists.length]).toEqual(['ours', 1]);
    editor.apply((sheet) => nudgeTimes(sheet, new Set(sheet.blocks.map(({ id }) => id)), 5000));
    expect(editor.scheme()).toBe(scheme);
    expect(rows.pieceLists()).toBe(lists);
    editor.apply((sheet) => round({ ...sheet, numbers: 'six' }));
    expect(editor.scheme().name).toBe('six');
    expect(rows.pieceLists().length).toBe(2);
  });

  it('undoes typing in one field as one step', async () => {
    const { editor } = await setUp();
    for (const title of ['T', 'To', 'Tow']) editor.apply((sheet) => ({ ...sheet, title }), 'title');
    editor.apply(round);
    editor.undo();
    editor.undo();
    expect(editor.sheet()?.title).toBe('Spec');
    expect(editor.canUndo()).toBeFalse();
  });

  it('undoes and redoes after a reload, as far as before', async () => {
    const { editor, sheet } = await setUp();
    for (let step = 0; step < 5; step += 1) editor.apply(round);
    editor.undo();
    editor.undo();
    await until(() => editor.saving() === 'saved');
    const again = TestBed.runInInjectionContext(() => new Editor());
    await again.open(sheet.id);
    expect(again.sheet()?.blocks.length).toBe(3);
    again.redo();
    expect(again.sheet()?.blocks.length).toBe(4);
    for (let step = 0; step < 4; step += 1) again.undo();
    expect(again.sheet()?.blocks.length).toBe(0);
    expect(again.canUndo()).toBeFalse();
    await until(() => again.saving() === 'saved');
  });

  it('lets go of the steps of a sheet that is gone', async () => {
    const { editor, sheets, sheet } = await setUp();
    editor.apply(round);
    await until(() => editor.saving() === 'saved');
    await sheets.remove(sheet.id);
    const other = emptySheet(freshId, 'Other');
    await sheets.add(other);
    const again = TestBed.runInInjectionContext(() => new Editor());
    await again.open(other.id);
    const { steps } = await TestBed.inject(Store).database();
    expect(await steps.orderBy('sheetId').uniqueKeys()).toEqual([other.id]);
  });

  it('keeps every step where a sheet and its steps do not agree: the sheet is one step more', async () => {
    const { editor, sheet } = await setUp();
    editor.apply(round);
    await until(() => editor.saving() === 'saved');
    const database = await TestBed.inject(Store).database();
    const row = await database.sheets.get(sheet.id);
    if (row) await database.sheets.put({ ...row, sheet: { ...sheet, title: 'Another hand' } });
    const again = TestBed.runInInjectionContext(() => new Editor());
    await again.open(sheet.id);
    expect([again.sheet()?.title, again.canUndo()]).toEqual(['Another hand', true]);
    again.undo();
    expect(again.sheet()?.blocks.length).toBe(1);
    again.undo();
    expect([again.sheet()?.title, again.sheet()?.blocks.length]).toEqual(['Spec', 0]);
    await until(() => again.saving() === 'saved');
  });

  it('refuses what is beyond a limit, says so, and changes nothing', async () => {
    const { editor } = await setUp();
    editor.apply(round);
    const before = editor.sheet();
    editor.apply((sheet) => ({
      ...sheet,
      blocks: sheet.blocks.map((block) => ({ ...block, ms: 24 * 3600 * 1000 + 5000 })),
    }));
    expect([editor.sheet(), editor.refused()]).toEqual([before, 'length: at most 24:00:00']);
    editor.apply(round);
    expect(editor.refused()).toBe('');
  });

  describe('with another tab', () => {
    async function two() {
      const { editor: here, sheet, sheets } = await setUp();
      here.apply(round);
      await until(() => here.saving() === 'saved');
      const there = TestBed.runInInjectionContext(() => new Editor());
      await there.open(sheet.id);
      const settle = () => until(() => here.saving() === 'saved' && there.saving() === 'saved');
      return { here, there, sheet, sheets, settle };
    }
    const piece = (id: string) => (sheet: Sheet) => ({
      ...sheet,
      blocks: sheet.blocks.map((block) => ({
        ...block,
        pieces: [...block.pieces, { kind: 'own-time' as const, id, ms: 1000, effort: 'steady' as const }],
      })),
    });

    it('loses nothing: pieces put in here, the title changed there, both at once', async () => {
      const { here, there, settle } = await two();
      for (const id of ['a', 'b', 'c']) here.apply(piece(id));
      there.apply((sheet) => ({ ...sheet, title: 'There' }));
      await settle();
      await until(() => here.sheet()?.title === 'There' && there.sheet()?.blocks[0]?.pieces.length === 3);
      expect(here.sheet()).toEqual(there.sheet() as Sheet);
      expect(here.clashes().length + there.clashes().length).toBe(0);
    });

    it('follows: what is written there is shown here, and the history is one', async () => {
      const { here, there, settle } = await two();
      there.apply((sheet) => ({ ...sheet, title: 'There' }));
      await settle();
      await until(() => here.sheet()?.title === 'There' && here.canUndo());
      here.undo();
      await settle();
      await until(() => there.sheet()?.title === 'Spec' && there.canRedo());
      there.redo();
      await settle();
      await until(() => here.sheet()?.title === 'There');
    });

    it('tells the later one of the same part, who can take the other', async () => {
      const { here, there, settle } = await two();
      here.apply((sheet) => ({ ...sheet, title: 'Here' }));
      there.apply((sheet) => ({ ...sheet, title: 'There' }));
      await settle();
      await until(() => here.clashes().length + there.clashes().length === 1);
      const late = here.clashes().length > 0 ? here : there;
      const [clash] = late.clashes();
      const [mine, theirs] = late === here ? ['Here', 'There'] : ['There', 'Here'];
      expect([clash?.mine, clash?.theirs, late.sheet()?.title]).toEqual([mine, theirs, mine]);
      if (clash) late.settle(clash, 'both');
      await settle();
      await until(
        () => here.sheet()?.title === `${theirs} / ${mine}` && there.sheet()?.title === `${theirs} / ${mine}`,
      );
    });

    it('says that the sheet was deleted there, and brings it back', async () => {
      const { here, there, sheet, sheets } = await two();
      await sheets.remove(sheet.id);
      await until(() => here.gone() && there.gone());
      await here.bringBack();
      expect([here.gone(), (await sheets.get(sheet.id))?.blocks.length]).toEqual([false, 1]);
      expect(here.canUndo()).toBeTrue();
    });
  });

  it('keeps a selection that is there', async () => {
    const { editor } = await setUp();
    editor.apply(round);
    editor.apply(round);
    const [first, second] = editor.sheet()?.blocks ?? [];
    editor.selected.set(second?.id ?? null);
    editor.apply((sheet) => removeBlock(sheet, second?.id ?? ''));
    expect(editor.selected()).toBe(first?.id ?? '');
    expect(editor.selectedBlock()?.id).toBe(first?.id ?? '');
  });

  it('says when there is no such sheet', async () => {
    const { editor } = await setUp();
    await editor.open('nowhere');
    expect(editor.missing()).toBeTrue();
  });
});
