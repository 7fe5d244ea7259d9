import { effect, signal, type Signal } from '@angular/core';

/**
 * What takes long to work out, a frame after what it is worked out from: the key that changed that is drawn first, and
 * while keys follow each other fast it waits. null until it has been worked out once. To be called where something is
 * injected.
 * @param changes reads what it depends on
 * @example readonly found = aFrameLater(() => this.sheet(), this.findings);
 */
export function aFrameLater<T>(changes: () => unknown, source: () => T): Signal<T | null> {
  const shown = signal<T | null>(null);
  effect((onCleanup) => {
    changes();
    let drawn: ReturnType<typeof setTimeout> | undefined;
    // A timer that is set in a frame runs when the frame has been drawn.
    const frame = requestAnimationFrame(() => {
      drawn = setTimeout(() => shown.set(source()));
    });
    onCleanup(() => {
      cancelAnimationFrame(frame);
      clearTimeout(drawn);
    });
  });
  return shown.asReadonly();
}
