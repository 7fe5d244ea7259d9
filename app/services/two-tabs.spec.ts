import { TestBed } from '@angular/core/testing';
import fc from 'fast-check';
import { addBlock, emptySheet, freshBlock, type Sheet } from '../../core/index';
import { testProviders, until } from '../spec-store.spec';
import { Editor } from './editor';
import { freshId } from './fresh-id';
import { SheetsService } from './sheets.service';

/** What a coach with two tabs may rely on. */
interface Model {
  /** Blocks that were put in and not taken out by anybody. */
  readonly blocks: Set<string>;
  readonly titles: Set<string>;
}

interface Real {
  readonly tabs: readonly Editor[];
}

const settled = ({ tabs }: Real): Promise<void> =>
  until(() => tabs.every((tab) => tab.saving() === 'saved') && same(tabs[0]?.sheet(), tabs[1]?.sheet()));
const same = (a: Sheet | null | undefined, b: Sheet | null | undefined): boolean =>
  JSON.stringify(a?.blocks) === JSON.stringify(b?.blocks) && a?.title === b?.title;
const editor = ({ tabs }: Real, tab: number): Editor => tabs[tab] as Editor;

type Command = fc.AsyncCommand<Model, Real>;

/** Puts a block in, in one tab; the other may be writing. */
class Put implements Command {
  constructor(private readonly tab: number) {}
  check = (): boolean => true;
  run(model: Model, real: Real): Promise<void> {
    const block = freshBlock('round', freshId);
    editor(real, this.tab).apply((sheet) => addBlock(sheet, block));
    model.blocks.add(block.id);
    return Promise.resolve();
  }
  toString = (): string => `put in tab ${this.tab}`;
}

/** Takes a block out that both tabs show. */
class TakeOut implements Command {
  constructor(private readonly tab: number) {}
  check = ({ blocks }: Readonly<Model>): boolean => blocks.size > 0;
  async run(model: Model, real: Real): Promise<void> {
    await settled(real);
    const [id = ''] = model.blocks;
    editor(real, this.tab).apply((sheet) => ({ ...sheet, blocks: sheet.blocks.filter((block) => block.id !== id) }));
    model.blocks.delete(id);
  }
  toString = (): string => `take out in tab ${this.tab}`;
}

class Title implements Command {
  constructor(
    private readonly tab: number,
    private readonly title: string,
  ) {}
  check = (): boolean => true;
  run(model: Model, real: Real): Promise<void> {
    editor(real, this.tab).apply((sheet) => ({ ...sheet, title: this.title }), 'title');
    model.titles.add(this.title);
    return Promise.resolve();
  }
  toString = (): string => `title ${this.title} in tab ${this.tab}`;
}

/** Undo and redo of what both tabs show lead back to the very same. */
class ThereAndBack implements Command {
  constructor(private readonly tab: number) {}
  check = ({ blocks }: Readonly<Model>): boolean => blocks.size > 0;
  async run(_model: Model, real: Real): Promise<void> {
    await settled(real);
    const tab = editor(real, this.tab);
    const before = JSON.stringify(tab.sheet());
    if (!tab.canUndo()) return;
    // A press that the other tab's last step overtakes does nothing, and is pressed again.
    for (let presses = 0; presses < 5 && !tab.canRedo(); presses += 1) {
      tab.undo();
      await settled(real);
    }
    expect(tab.canRedo()).toBeTrue();
    tab.redo();
    await settled(real);
    expect(JSON.stringify(tab.sheet())).toBe(before);
  }
  toString = (): string => `undo and redo in tab ${this.tab}`;
}

class Wait implements Command {
  check = (): boolean => true;
  run = (_model: Model, real: Real): Promise<void> => settled(real);
  toString = (): string => 'wait';
}

describe('two tabs over one store', () => {
  it('lose nothing that either has put in, whatever they do and however their writes meet', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const sheets = TestBed.inject(SheetsService);
    const tab = fc.constantFrom(0, 1);
    let compared = 0;
    await fc.assert(
      fc.asyncProperty(
        fc.commands<Model, Real, false>(
          [
            tab.map((each) => new Put(each)),
            tab.map((each) => new Put(each)),
            tab.map((each) => new TakeOut(each)),
            fc.tuple(tab, fc.constantFrom('A', 'B', 'C')).map(([each, title]) => new Title(each, title)),
            tab.map((each) => new ThereAndBack(each)),
            fc.constant(new Wait()),
          ],
          { maxCommands: 14 },
        ),
        async (commands) => {
          const sheet = emptySheet(freshId, 'Begin');
          await sheets.add(sheet);
          const tabs = [0, 1].map(() => TestBed.runInInjectionContext(() => new Editor()));
          for (const each of tabs) await each.open(sheet.id);
          const model: Model = { blocks: new Set(), titles: new Set(['Begin']) };
          const real: Real = { tabs };
          await fc.asyncModelRun(() => ({ model, real }), commands);
          await settled(real);
          const stored = await sheets.get(sheet.id);
          expect(new Set(stored?.blocks.map(({ id }) => id))).toEqual(model.blocks);
          expect(model.titles).toContain(stored?.title ?? '');
          for (const each of tabs) expect(JSON.stringify(each.sheet()?.blocks)).toBe(JSON.stringify(stored?.blocks));
          compared += 1;
        },
      ),
      { numRuns: 25 },
    );
    expect(compared).toBeGreaterThanOrEqual(25);
  }, 60_000);
});
