import { DOCUMENT, inject, Injectable } from '@angular/core';

/** Files to and from the person's own disk. */
@Injectable({ providedIn: 'root' })
export class FilesService {
  private readonly document = inject(DOCUMENT);

  /** Hands over a file for saving. */
  save(name: string, content: string | Blob, type: string): void {
    const url = URL.createObjectURL(typeof content === 'string' ? new Blob([content], { type }) : content);
    const link = this.document.createElement('a');
    link.href = url;
    link.download = name;
    link.click();
    URL.revokeObjectURL(url);
  }

  /** A file name made of a title. `fileName('Tower, first watch', 'json')` → `tower-first-watch.json` */
  fileName(title: string, ending: string): string {
    const plain = title
      .toLowerCase()
      .replace(/[^\p{Letter}\p{Number}]+/gu, '-')
      .replace(/^-+|-+$/g, '');
    return `${plain || 'sheet'}.${ending}`;
  }
}
