import { Injectable } from '@angular/core';
import { mostBytes, type Incoming, type Sheet } from '../../core/index';

/** Bytes at the beginning of a file by which one that is no text is known: no text has a nought among them. */
const looksAt = 8192;

const refused = (what: string): Incoming => ({ kind: 'refused', problems: [{ path: '', what }] });

/** Files to and from the person's own disk. */
@Injectable({ providedIn: 'root' })
export class FilesService {
  /** Hands over a file for saving. */
  async save(name: string, content: string | Blob, type: string): Promise<void> {
    const { default: saveAs } = await import('file-saver');
    saveAs(typeof content === 'string' ? new Blob([content], { type }) : content, name);
  }

  /** Hands over a sheet, exactly as JSON or to be read as text. */
  async saveSheet(sheet: Sheet, as: 'json' | 'tempo.txt'): Promise<void> {
    const { writeSheetJson, writeTempoText } = (await import('./formats')).formats;
    const [text, type] =
      as === 'json' ? [writeSheetJson(sheet), 'application/json'] : [writeTempoText(sheet), 'text/plain'];
    await this.save(this.fileName(sheet.title, as), text, type);
  }

  /** What some text is: a sheet, a book, a backup, a session written down. */
  async readText(text: string): Promise<Incoming> {
    const { readIncomingText } = (await import('./formats')).formats;
    return readIncomingText(text);
  }

  /** What a file is, by its content, whatever its name says; what is too large or no text is refused before it is read whole. */
  async read(file: Blob): Promise<Incoming> {
    if (file.size > mostBytes) return refused('this file is too large (over 64 MB)');
    const first = new Uint8Array(await file.slice(0, looksAt).arrayBuffer());
    const noText = refused('this file is neither a sheet (JSON) nor a session as text');
    if (first.includes(0)) return noText;
    try {
      return await this.readText(new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer()));
    } catch {
      return noText;
    }
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
