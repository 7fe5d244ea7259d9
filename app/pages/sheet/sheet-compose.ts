import { inject } from '@angular/core';
import { spell, themeBlocks } from '../../../core/index';
import type { ComposeActions } from '../../parts/compose/compose-actions';
import { Editor } from '../../services/editor';
import { freshId } from '../../services/fresh-id';
import { NoticeService } from '../../services/notice.service';
import { keepInBook } from '../../parts/compose/keep-in-book';
import { Rows } from './rows';

/** What can be done beside a sheet: put it in, as it is or built up, as if it were typed; undone like any edit. For injection. */
export function sheetComposeActions(): ComposeActions {
  const [editor, rows, notices] = [inject(Editor), inject(Rows), inject(NoticeService)];
  const said = (what: string): void => notices.undoable(what, () => editor.undo());
  return {
    each: [
      {
        label: 'Add',
        main: true,
        press: (text) => {
          rows.addTyped({ what: 'combination', text, ms: null });
          said(`${spell(text, editor.scheme())} added to the sheet`);
        },
      },
      {
        label: 'Build up',
        main: false,
        press: (text) => {
          rows.addTyped({ what: 'build', text, ms: null });
          said(`Build to ${spell(text, editor.scheme())} added to the sheet`);
        },
      },
      { label: 'Save to combinations', main: false, press: keepInBook() },
    ],
    rounds: {
      label: 'Add as rounds',
      press: (texts) => {
        rows.insertBlocks(themeBlocks(texts, freshId));
        said(`${texts.length} rounds added to the sheet`);
      },
    },
  };
}
