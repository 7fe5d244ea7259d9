/* global navigator, caches, location */
// Throws away the program that this browser has put away, and no data: the next page comes from the server.
const workers = (await navigator.serviceWorker?.getRegistrations()) ?? [];
await Promise.allSettled(workers.map((worker) => worker.unregister()));
const names = 'caches' in globalThis ? await caches.keys() : [];
await Promise.allSettled(names.map((name) => caches.delete(name)));
location.replace('/');
