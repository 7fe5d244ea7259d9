import { TestBed } from '@angular/core/testing';
import { addBlock, emptySheet, freshBlock, removeBlock, type Sheet } from '../../core/index';
import { freshId } from './fresh-id';
import { SheetsService } from './sheets.service';
import { Database } from '../store/database';
import { testProviders, until } from '../spec-store.spec';
import { Editor } from './editor';

describe('the editor', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: [...testProviders(), Editor] });
    const sheets = TestBed.inject(SheetsService);
    const editor = TestBed.inject(Editor);
    const sheet = emptySheet(freshId, 'Spec');
    await sheets.put(sheet);
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
    await sheets.put(other);
    const again = TestBed.runInInjectionContext(() => new Editor());
    await again.open(other.id);
    const { steps } = TestBed.inject(Database);
    expect(await steps.orderBy('sheetId').uniqueKeys()).toEqual([other.id]);
  });

  it('begins anew where the sheet was changed elsewhere', async () => {
    const { editor, sheets, sheet } = await setUp();
    editor.apply(round);
    await until(() => editor.saving() === 'saved');
    await sheets.put({ ...sheet, title: 'Another hand' });
    const again = TestBed.runInInjectionContext(() => new Editor());
    await again.open(sheet.id);
    expect([again.sheet()?.title, again.canUndo()]).toEqual(['Another hand', false]);
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
