import { DestroyRef, inject, signal, type Signal } from '@angular/core';

/** A clock for drawings that move: seconds since it was started, still while stopped or while motion is not wanted. */
export interface Motion {
  readonly seconds: Signal<number>;
  readonly running: Signal<boolean>;
  readonly toggle: () => void;
  readonly restart: () => void;
}

/** Makes a drawing's clock; stopped with the component. Where reduced motion is asked for it starts only when told to. */
export function useMotion(): Motion {
  const seconds = signal(0);
  const running = signal(!matchMedia('(prefers-reduced-motion: reduce)').matches);
  let frame = 0;
  let last: number | null = null;
  const draw = (now: number): void => {
    if (running() && last !== null) seconds.update((before) => before + Math.min(0.1, (now - (last ?? now)) / 1000));
    last = now;
    frame = requestAnimationFrame(draw);
  };
  frame = requestAnimationFrame(draw);
  inject(DestroyRef).onDestroy(() => {
    cancelAnimationFrame(frame);
  });
  return {
    seconds: seconds.asReadonly(),
    running: running.asReadonly(),
    toggle: () => {
      running.update((before) => !before);
    },
    restart: () => {
      seconds.set(0);
      running.set(true);
    },
  };
}
