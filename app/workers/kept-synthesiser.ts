// Kept in a cache of its own: the service worker, which fetches everything ahead, leaves it to those who want it.
const cacheName = 'keen-tempo-words';
export const synthesiserAt = '/words/flite.wasm';

/** The synthesiser as it was kept when it was first fetched; undefined where it was not, or where the browser keeps nothing. `await keptSynthesiser()` */
export async function keptSynthesiser(): Promise<Response | undefined> {
  return 'caches' in globalThis ? (await caches.open(cacheName)).match(synthesiserAt) : undefined;
}

/** Keeps its bytes for times without a network; fails as the browser's cache does where there is no room. `await keepSynthesiser(bytes)` */
export async function keepSynthesiser(bytes: BlobPart): Promise<void> {
  if (!('caches' in globalThis)) return;
  const headers = { 'content-type': 'application/wasm' };
  await (await caches.open(cacheName)).put(synthesiserAt, new Response(new Blob([bytes]), { headers }));
}
