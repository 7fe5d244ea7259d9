import { inject, Injectable, signal } from '@angular/core';
import { SwUpdate } from '@angular/service-worker';
import { filter, interval, merge, fromEvent } from 'rxjs';

/** Whether the product is on the device, so that it works with no server and no network. */
export type Installed =
  | { readonly kind: 'looking' | 'fetching' }
  /** Browsers install nothing from an address that is not secure. */
  | { readonly kind: 'insecure' | 'impossible' }
  | { readonly kind: 'here'; readonly mb: number };

/** What a browser offers where a page can be put beside a device's own applications (W3C Manifest Incubations). */
interface InstallPrompt extends Event {
  prompt(): Promise<unknown>;
}

const megabyte = 1024 * 1024;
const askForUpdatesEveryMs = 30 * 60_000;

/** Past the worker, which begins to fetch everything ahead only once nothing was asked of it for five seconds. */
const tableAt = '/ngsw.json?ngsw-bypass';

/** How many files the served version has, as the worker's own table says; 0 where no server answers. */
async function filesOfVersion(): Promise<number> {
  try {
    const table: unknown = await (await fetch(tableAt)).json();
    const has = typeof table === 'object' && table !== null && 'hashTable' in table ? table.hashTable : null;
    return typeof has === 'object' && has !== null ? Object.keys(has).length : 0;
  } catch {
    return 0;
  }
}

/** The product on the device: how much of it is here, and whether a newer one is ready. */
@Injectable({ providedIn: 'root' })
export class InstalledService {
  private readonly updates = inject(SwUpdate);
  readonly state = signal<Installed>({ kind: 'looking' });
  /** A newer version is on the device; it is taken when somebody asks for it. */
  readonly ready = signal(false);
  /** The browser can put it beside the device's own applications. */
  readonly offer = signal<InstallPrompt | null>(null);

  constructor() {
    addEventListener('beforeinstallprompt', (event) => {
      event.preventDefault();
      this.offer.set(event as InstallPrompt);
    });
    addEventListener('appinstalled', () => this.offer.set(null));
    if (!this.updates.isEnabled) return;
    this.updates.versionUpdates
      .pipe(filter(({ type }) => type === 'VERSION_READY'))
      .subscribe(() => this.ready.set(true));
    merge(interval(askForUpdatesEveryMs), fromEvent(window, 'online')).subscribe(
      () => void this.updates.checkForUpdate().catch(() => false),
    );
  }

  /** Takes the newer version: the page is loaded anew. */
  async take(): Promise<void> {
    await this.updates.activateUpdate();
    location.reload();
  }

  async install(): Promise<void> {
    await this.offer()?.prompt();
  }

  /** Counts what is on the device. */
  async look(): Promise<void> {
    if (!('serviceWorker' in navigator)) {
      this.state.set({ kind: isSecureContext ? 'impossible' : 'insecure' });
      return;
    }
    const registration = await navigator.serviceWorker.getRegistration();
    if (!registration?.active) {
      this.state.set({ kind: registration || this.updates.isEnabled ? 'fetching' : 'impossible' });
      return;
    }
    const names = (await caches.keys()).filter((name) => name.startsWith('ngsw:') && name.includes(':assets:'));
    const wanted = await filesOfVersion();
    let [bytes, files] = [0, 0];
    for (const name of names) {
      const cache = await caches.open(name);
      const requests = await cache.keys();
      files += requests.length;
      for (const request of requests) bytes += (await (await cache.match(request))?.blob())?.size ?? 0;
    }
    this.state.set(files < Math.max(1, wanted) ? { kind: 'fetching' } : { kind: 'here', mb: bytes / megabyte });
  }
}
