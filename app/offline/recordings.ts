import type { ListedFile } from './listed';

/** Recordings, and the guide's pictures after them, are kept in a cache of their own, under their address and revision. */
export const recordingsCache = 'keen-tempo-recordings';
/** Bytes that are asked for at once: small enough to make room for what a page asks for in between. */
const pieceBytes = 256 * 1024;

const keyOf = ({ url, revision }: ListedFile): string => `${url}?revision=${revision ?? ''}`;
const pieceOf = (file: ListedFile, from: number): string => `${keyOf(file)}&from=${from}`;

/** A recording as it is kept; undefined where it is not all here. `await keptRecording(file)` */
export async function keptRecording(file: ListedFile): Promise<Response | undefined> {
  return (await caches.open(recordingsCache)).match(keyOf(file));
}

/** Fetches a piece of a recording, from a byte on. Throws where no server answers, or with something else. */
async function fetchPiece({ url }: ListedFile, from: number): Promise<Response> {
  const range = `bytes=${from}-${from + pieceBytes - 1}`;
  // Not from the browser's cache, where an older recording may lie under this address.
  const answer = await fetch(url, { headers: { range }, cache: 'no-store', priority: 'low' });
  if (answer.status !== 206) throw new Error(`${url}: ${answer.status} in place of a part`);
  return new Response(await answer.blob());
}

const hex = (bytes: ArrayBuffer): string =>
  Array.from(new Uint8Array(bytes), (byte) => byte.toString(16).padStart(2, '0')).join('');

/**
 * Puts a recording on the device, piece by piece; `quiet` settles when the next piece may be asked for. Pieces that came
 * before it was interrupted are not fetched again. Throws where the server does not answer, or answers with another revision.
 * @example await keepRecording({ url: '/voice/rms.ogg', revision: '9f…', bytes: 1457476 }, () => Promise.resolve())
 */
export async function keepRecording(file: ListedFile, quiet: () => Promise<void>): Promise<void> {
  if (await keptRecording(file)) return;
  const cache = await caches.open(recordingsCache);
  const starts = Array.from({ length: Math.ceil(file.bytes / pieceBytes) }, (_, at) => at * pieceBytes);
  const pieces: Blob[] = [];
  for (const from of starts) {
    const there = await cache.match(pieceOf(file, from));
    if (!there) await quiet();
    const piece = there ?? (await fetchPiece(file, from));
    if (!there) await cache.put(pieceOf(file, from), piece.clone());
    pieces.push(await piece.blob());
  }
  const whole = new Blob(pieces, { type: pieces[0]?.type ?? '' });
  const same = hex(await crypto.subtle.digest('SHA-256', await whole.arrayBuffer())) === file.revision;
  if (same) await cache.put(keyOf(file), new Response(whole));
  for (const from of starts) await cache.delete(pieceOf(file, from));
  if (!same) throw new Error(`${file.url} is of another version`);
}

/** Deletes recordings of other versions. */
export async function dropOtherRecordings(files: readonly ListedFile[]): Promise<void> {
  const cache = await caches.open(recordingsCache);
  const wanted = new Set(files.map((file) => new URL(keyOf(file), location.origin).href));
  for (const { url } of await cache.keys()) if (!wanted.has(url)) await cache.delete(url);
}
