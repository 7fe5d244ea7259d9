import { inject, Injectable, DOCUMENT } from '@angular/core';

/** Keeps the screen on: by the browser's own lock, else by the package that plays a picture nobody sees. */
@Injectable({ providedIn: 'root' })
export class AwakeService {
  private readonly document = inject(DOCUMENT);
  private wanted = false;
  private lock: WakeLockSentinel | null = null;
  private instead: { enable(): Promise<unknown>; disable(): void } | null = null;

  constructor() {
    // A page that was hidden has lost its lock.
    this.document.addEventListener('visibilitychange', () => {
      if (this.wanted && this.document.visibilityState === 'visible') void this.take();
    });
  }

  /** From a press on; until `letGo`. */
  async keep(): Promise<void> {
    this.wanted = true;
    await this.take();
  }

  letGo(): void {
    this.wanted = false;
    void this.lock?.release();
    this.lock = null;
    this.instead?.disable();
  }

  private async take(): Promise<void> {
    // A browser gives none to an address that is not secure, and none where the battery is low.
    try {
      this.lock = await navigator.wakeLock.request('screen');
      if (!this.wanted) this.letGo();
    } catch {
      await this.playInstead();
    }
  }

  private async playInstead(): Promise<void> {
    try {
      const { default: NoSleep } = await import('nosleep.js');
      this.instead ??= new NoSleep();
      if (this.wanted) await this.instead.enable();
    } catch {
      // A browser plays nothing before a press: it is tried again with the next one. Until then the screen may go dark.
      this.document.addEventListener('pointerdown', () => void (this.wanted && this.take()), { once: true });
    }
  }
}
