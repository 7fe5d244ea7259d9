import { inject, Injectable } from '@angular/core';
import { firstValueFrom, timer } from 'rxjs';
import { dayOf, isoDay, mostBytes, type Backup, type FromFile } from '../../core/index';
import type { RestorePlan, Rows } from '../store/backup-rows';
import { Store } from '../store/store';
import { BackupDueService } from './backup-due.service';
import { FilesService } from './files.service';

/** A backup that was read, with what restoring it will do. */
export interface Restorable {
  readonly madeAt: Date;
  readonly rows: Rows;
  readonly plan: RestorePlan;
  /** Unreadable records without a name: they cannot be put back. */
  readonly nameless: number;
}

/** By a package: browsers have digests of their own on secure addresses only. */
const sha256 = async (pieces: Iterable<string>): Promise<string> => (await import('./digest')).digest.sha256(pieces);

/** Texts compressed one after the other: the file as a whole is never one text. */
function packed(pieces: Iterator<string>): Promise<Blob> {
  const encoder = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    pull: (to) => {
      const { done, value } = pieces.next();
      if (done) to.close();
      else to.enqueue(encoder.encode(value));
    },
  });
  const gzip = new CompressionStream('gzip') as ReadableWritablePair<Uint8Array, Uint8Array>;
  return new Response(stream.pipeThrough(gzip)).blob();
}

/** While something waits to be written, storage that has not answered by then is left out. */
const answerWithinMs = 5000;

/**
 * Text of a file, unpacked where it is packed, as far as it goes: a small file may unpack to more than a device holds. null
 * where it is longer than that.
 */
async function unpacked(file: Blob, most: number): Promise<string | null> {
  const bytes = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  if (!isGzip(bytes)) return file.text();
  const stream = file
    .stream()
    .pipeThrough(new DecompressionStream('gzip') as ReadableWritablePair<Uint8Array, Uint8Array>);
  const parts: string[] = [];
  const decoder = new TextDecoder();
  let length = 0;
  const reader = stream.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return parts.join('') + decoder.decode();
    parts.push(decoder.decode(value, { stream: true }));
    length += value.length;
    if (length > most) {
      await reader.cancel();
      return null;
    }
  }
}

const isGzip = (bytes: Uint8Array): boolean => bytes[0] === 0x1f && bytes[1] === 0x8b;
const refused = (what: string): FromFile<never> => ({ ok: false, problems: [{ path: '', what }] });

/** Everything in one file, and back: sheets, book, room, programmes, log, settings and phrasebook (docs/formats/backup.md). */
@Injectable({ providedIn: 'root' })
export class BackupService {
  private readonly store = inject(Store);
  private readonly files = inject(FilesService);

  private readonly due = inject(BackupDueService);

  /**
   * Hands over everything as one file, what is not written yet with it. Where storage does not answer, that alone: `all` is
   * false then. The file is read back before it is handed over; where it could not be restored, nothing is.
   */
  async backUp(now: Date): Promise<FromFile<{ readonly all: boolean }>> {
    const { backupPieces, contentPieces } = (await import('./formats')).formats;
    const { allRows, contentOf, withHeld } = await import('../store/backup-rows');
    const held = this.store.held();
    const late = firstValueFrom(timer(answerWithinMs)).then(() => null);
    const stored =
      held.length > 0 ? await Promise.race([this.store.read(allRows), late]) : await this.store.read(allRows);
    const content = contentOf(withHeld(stored, held));
    const file = await packed(backupPieces(content, now, await sha256(contentPieces(content))));
    const back = await this.backupIn(file);
    if (!back.ok) return back;
    await this.files.save(`keen-tempo-${isoDay(dayOf(now.getTime()))}.backup.json.gz`, file, 'application/gzip');
    if (stored) await this.due.made(now);
    return { ok: true, value: { all: stored !== null } };
  }

  /** Reads a backup, compressed or not, and compares it with what is there. Nothing is changed. */
  async read(file: Blob): Promise<FromFile<Restorable>> {
    const read = await this.backupIn(file);
    if (!read.ok) return read;
    const { content, madeAt } = read.value;
    const { allRows, namelessIn, planRestore, rowsOf } = await import('../store/backup-rows');
    const rows = rowsOf(content);
    const plan = planRestore(await this.store.read(allRows), rows);
    return { ok: true, value: { madeAt: new Date(madeAt), rows, plan, nameless: namelessIn(content) } };
  }

  /** A file's backup, once it is known to be whole. */
  private async backupIn(file: Blob): Promise<FromFile<Backup>> {
    if (file.size > mostBytes) return refused('this file is too large (over 64 MB)');
    const { contentPieces, mostBackupCharacters, readBackup } = (await import('./formats')).formats;
    let text: string | null;
    try {
      text = await unpacked(file, mostBackupCharacters);
    } catch {
      return refused('this file is damaged and cannot be opened');
    }
    if (text === null) return refused('this file unpacks to more than a backup can be: it is none of ours');
    const read = readBackup(text);
    if (!read.ok) return read;
    if ((await sha256(contentPieces(read.value.stored))) !== read.value.checksum)
      return refused('this backup is damaged (its checksum does not match)');
    return read;
  }

  /** Restores; the returned function puts everything back as it was. */
  async restore({ rows, plan }: Restorable, how: 'merge' | 'replace'): Promise<() => Promise<void>> {
    const { allRows, mergeRows, replaceRows } = await import('../store/backup-rows');
    const before = await this.store.read(allRows);
    const put = (job: Parameters<typeof this.store.write<void>>[2]) =>
      this.store.write('the restored data', 'restore', job);
    await (
      await put((database) => (how === 'merge' ? mergeRows(database, plan) : replaceRows(database, rows)))
    ).written;
    return async () => {
      await (
        await put((database) => replaceRows(database, before))
      ).written;
    };
  }
}
