import { LiveAnnouncer } from '@angular/cdk/a11y';
import { TestBed } from '@angular/core/testing';
import { emptySheet, freshBlock, nudgeTimes } from '../../core/index';
import { Rows } from '../pages/sheet/rows';
import { heard } from '../hands.spec';
import { testProviders, until } from '../spec-store.spec';
import { Editor } from './editor';
import { freshId } from './fresh-id';
import { SheetsService } from './sheets.service';
import { Told } from './told';

describe('what is told of a change', () => {
  const says = (words: string): Promise<void> => until(() => heard() === words);

  async function setUp() {
    TestBed.configureTestingModule({ providers: [...testProviders(), Editor, Rows, Told] });
    const [editor, rows, told] = [TestBed.inject(Editor), TestBed.inject(Rows), TestBed.inject(Told)];
    const blocks = (['warm-up', 'round', 'rest'] as const).map((kind) => freshBlock(kind, freshId));
    const sheet = { ...emptySheet(freshId, 'Spec'), blocks };
    await TestBed.inject(SheetsService).add(sheet);
    await editor.open(sheet.id);
    const [warmUp, round] = blocks;
    if (!warmUp || !round) throw new Error('no blocks');
    return { editor, rows, told, warmUp, round };
  }

  it('is what undo took back, in the words of the change', async () => {
    const { editor, told } = await setUp();
    editor.apply((sheet) => ({ ...sheet, bag: 'heavy' }));
    told.step(-1);
    await says('Bag: heavy bag → shadow boxing');
    told.step(1);
    await says('Bag: shadow boxing → heavy bag');
  });

  it('is one change where keys follow each other', async () => {
    const { rows, round } = await setUp();
    for (let press = 0; press < 3; press += 1) rows.nudge(round.id, 5000);
    await says('Round 1: 3:00 → 3:15');
  });

  it('is where a moved row stands, which has its name already', async () => {
    const { editor, rows, warmUp, round } = await setUp();
    rows.move(warmUp.id, 1);
    await says('Moved to 2 of 3');
    rows.select(round.id, false);
    for (const text of ['1 2', '2 3']) rows.addTyped({ what: 'combination', text, ms: 10_000 });
    const [first] = editor.selectedBlock()?.pieces ?? [];
    rows.move(first?.id ?? '', 1);
    await says('Moved to 2 of 2');
  });

  it('is what was put in, and what was done to marked rows', async () => {
    const { editor, rows, round } = await setUp();
    rows.addBlock('core');
    await until(() => heard().startsWith('Core added'));
    editor.marked.set(new Set([round.id]));
    rows.doMarked({ what: 'nudge', ms: -5000 });
    await says('Round 1: 3:00 → 2:55');
  });

  it('is nothing where nothing changed', async () => {
    const { rows, told, warmUp } = await setUp();
    const announce = spyOn(TestBed.inject(LiveAnnouncer), 'announce');
    told.apply((sheet) => nudgeTimes(sheet, new Set(), 5000));
    rows.move(warmUp.id, -1);
    // Longer than keys that follow each other.
    await new Promise((over) => setTimeout(over, 500));
    expect(announce).not.toHaveBeenCalled();
    told.apply((sheet) => ({ ...sheet, bag: 'reflex' }));
    await until(() => announce.calls.count() > 0);
    expect(announce.calls.allArgs()).toEqual([['Bag: shadow boxing → reflex bag']]);
  });
});
