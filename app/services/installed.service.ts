import { inject, Injectable, signal } from '@angular/core';
import { fromEvent, interval, merge } from 'rxjs';
import { kept, offlineWorkerAt, type Asked, type Kept } from '../offline/messages';
import { whenIdle } from './when-idle';
import { offlineUse } from './offline-use';

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
/** A worker that does not answer by then is busy fetching. */
const answerWithinMs = 5000;

/** How much the worker says is on the device; null where it does not say. */
function howMuch(worker: ServiceWorker): Promise<Kept | null> {
  return new Promise((done) => {
    const { port1, port2 } = new MessageChannel();
    const close = (answer: Kept | null): void => {
      clearTimeout(late);
      port1.close();
      done(answer);
    };
    const late = setTimeout(() => close(null), answerWithinMs);
    port1.onmessage = ({ data }) => {
      const read = kept.safeParse(data);
      close(read.success ? read.data : null);
    };
    worker.postMessage({ ask: 'how much' } satisfies Asked, [port2]);
  });
}

/** The product on the device: how much of it is here, and whether a newer one is ready. */
@Injectable({ providedIn: 'root' })
export class InstalledService {
  private registration: ServiceWorkerRegistration | null = null;
  /** The browser, or the page's address, lets nothing be put on the device. */
  private refused = false;
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
    // Nobody waits for it: it is begun once the page has nothing else to do.
    if (inject(offlineUse) && 'serviceWorker' in navigator) void whenIdle().then(() => this.register());
  }

  private async register(): Promise<void> {
    try {
      this.registration = await navigator.serviceWorker.register(offlineWorkerAt, { updateViaCache: 'none' });
    } catch {
      this.refused = true;
      return;
    }
    const registration = this.registration;
    // What this page fetches goes before what is fetched ahead.
    new PerformanceObserver(() => registration.installing?.postMessage({ ask: 'wait' } satisfies Asked)).observe({
      type: 'resource',
    });
    if (registration.waiting) this.ready.set(true);
    this.follow(registration.installing);
    fromEvent(registration, 'updatefound').subscribe(() => this.follow(registration.installing));
    merge(interval(askForUpdatesEveryMs), fromEvent(window, 'online')).subscribe(
      () => void registration.update().catch(() => undefined),
    );
  }

  /** Says so when a version that is being fetched is there, beside one that was there before. */
  private follow(worker: ServiceWorker | null): void {
    const newer = this.registration?.active !== null;
    worker?.addEventListener('statechange', () => {
      if (newer && worker.state === 'installed') this.ready.set(true);
    });
  }

  /** Takes the newer version: the page is loaded anew. */
  async take(): Promise<void> {
    const waiting = this.registration?.waiting;
    if (waiting) {
      const active = new Promise((done) =>
        waiting.addEventListener('statechange', () => waiting.state === 'activated' && done(null)),
      );
      waiting.postMessage({ ask: 'take over' } satisfies Asked);
      await active;
    }
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
    const active = this.registration?.active;
    if (!active) {
      this.state.set({ kind: this.refused ? 'impossible' : 'fetching' });
      return;
    }
    const here = await howMuch(active);
    this.state.set(here?.missing === 0 ? { kind: 'here', mb: here.bytes / megabyte } : { kind: 'fetching' });
  }
}
