import { inject } from '@angular/core';
import { BookService } from '../../services/book.service';
import { ComposeService } from '../../services/compose.service';
import { freshId } from '../../services/fresh-id';
import { NoticeService } from '../../services/notice.service';

/** Puts a combination that was composed into the book, with the wishes that it met; it can be undone. For injection. */
export function keepInBook(): (text: string) => void {
  const [book, composer, notices] = [inject(BookService), inject(ComposeService), inject(NoticeService)];
  return (text) => {
    const id = freshId();
    const note = `Criteria: ${composer.wishes()}`.slice(0, 1000);
    void book
      .put({ id, name: '', text, tags: ['composed'], note })
      .then(() => notices.undoable(`${text} saved to your combinations`, () => book.remove(id)));
  };
}
