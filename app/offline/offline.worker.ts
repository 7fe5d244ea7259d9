/// <reference lib="webworker" />
import { PrecacheController, PrecacheRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute, setCatchHandler } from 'workbox-routing';
import type { ListedFile } from './listed';
import { askedSchema, type Kept } from './messages';
import { dropOtherRecordings, keepRecording, keptRecording } from './recordings';

declare const self: ServiceWorkerGlobalScope;
/** The files of this version, put here by the build (`scripts/offline.mjs`). */
declare const listedFiles: Readonly<Record<'code' | 'recordings' | 'pictures', readonly ListedFile[]>>;

/**
 * Puts everything on the device, and answers from there. No page is controlled by it before everything is there, and then from
 * its next start on: until that, all that a page asks for goes to the network. So it never claims the pages that are open.
 */
const { code, recordings, pictures } = listedFiles;
const cacheName = 'keen-tempo-files';
const controller = new PrecacheController({ cacheName });
controller.addToCacheList([...code]);

/** A page that fetches something is let by for so long after its last word, in milliseconds. */
const quietForMs = 1000;
/** No page keeps a piece waiting for longer than this. */
const waitAtMostMs = 20_000;
let busyUntil = 0;

async function quiet(): Promise<void> {
  const end = Date.now() + waitAtMostMs;
  while (Date.now() < Math.min(busyUntil, end)) await new Promise((done) => setTimeout(done, 100));
}

/** The recordings that this browser plays; all of them where it does not say. */
async function playable(): Promise<readonly ListedFile[]> {
  const plays = async (contentType: string): Promise<boolean> => {
    try {
      const audio = { contentType, channels: '1', bitrate: 24_000, samplerate: 48_000 };
      return (await navigator.mediaCapabilities.decodingInfo({ type: 'file', audio })).supported;
    } catch {
      return false;
    }
  };
  const ending = (await plays('audio/ogg; codecs=opus'))
    ? '.ogg'
    : (await plays('audio/mp4; codecs=mp4a.40.2'))
      ? '.m4a'
      : '';
  return recordings.filter(({ url }) => url.endsWith(ending));
}

self.addEventListener('install', (event) => {
  const installed = async (): Promise<void> => {
    await controller.install(event);
    for (const file of [...(await playable()), ...pictures]) await keepRecording(file, quiet);
  };
  event.waitUntil(installed());
});

self.addEventListener('activate', (event) => {
  event.waitUntil(Promise.all([controller.activate(event), dropOtherRecordings([...recordings, ...pictures])]));
});

/** What is on the device of this version. */
async function howMuch(): Promise<Kept> {
  const cache = await caches.open(cacheName);
  const wanted = [...(await playable()), ...pictures];
  const answers = await Promise.all([
    ...code.map(({ url }) => cache.match(controller.getCacheKeyForURL(url) ?? url)),
    ...wanted.map(keptRecording),
  ]);
  const listed = [...code, ...wanted];
  const here = listed.filter((_, at) => answers[at]);
  return {
    files: here.length,
    missing: listed.length - here.length,
    bytes: here.reduce((sum, { bytes }) => sum + bytes, 0),
  };
}

self.addEventListener('message', (event) => {
  const read = askedSchema.safeParse(event.data);
  if (!read.success) return;
  switch (read.data.ask) {
    case 'take over':
      event.waitUntil(self.skipWaiting());
      break;
    case 'wait':
      busyUntil = Date.now() + quietForMs;
      break;
    case 'how much':
      event.waitUntil(howMuch().then((kept) => event.ports[0]?.postMessage(kept)));
  }
});

// An address of the application is answered by its first page; a file has an ending.
registerRoute(new PrecacheRoute(controller));
registerRoute(new NavigationRoute(controller.createHandlerBoundToURL('/index.html'), { denylist: [/\.[^/]+$/] }));
for (const file of [...recordings, ...pictures])
  registerRoute(
    ({ url, sameOrigin }) => sameOrigin && url.pathname === file.url,
    async ({ request }) => (await keptRecording(file)) ?? fetch(request),
  );
// Where the browser's cache fails, the network answers.
setCatchHandler(({ request }) => fetch(request));
