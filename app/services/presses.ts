import type { Press } from '../../core/index';

/** A remote's presses a second: as many as the server passes on (house value). */
const betweenMs = 250;
/** Presses that wait; further ones are dropped. */
const mostWaiting = 8;

const isStop = (press: Press): boolean => press.kind === 'deed' && press.deed === 'stop';

/**
 * Presses of a remote, done one after another with time between them. Steps of pace that wait become one; Stop is done at once
 * and drops whatever waits.
 * @example new Presses((press) => line.say(press)).add({ kind: 'deed', deed: 'toggle' })
 */
export class Presses {
  private waiting: Press[] = [];
  private timer: ReturnType<typeof setTimeout> | null = null;

  /** `perform` does one press. */
  constructor(
    private readonly perform: (press: Press) => void,
    private readonly everyMs = betweenMs,
  ) {}

  add(press: Press): void {
    if (isStop(press)) {
      this.clear();
      this.perform(press);
    } else if (this.timer === null) this.do(press);
    else this.queue(press);
  }

  clear(): void {
    this.waiting = [];
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = null;
  }

  private queue(press: Press): void {
    const last = this.waiting.at(-1);
    if (press.kind === 'pace' && last?.kind === 'pace') {
      const by = Math.min(1, Math.max(-1, last.by + press.by));
      this.waiting = [...this.waiting.slice(0, -1), { kind: 'pace', by }];
    } else if (this.waiting.length < mostWaiting) this.waiting.push(press);
  }

  private do(press: Press): void {
    this.timer = setTimeout(() => {
      this.timer = null;
      const next = this.waiting.shift();
      if (next) this.do(next);
    }, this.everyMs);
    this.perform(press);
  }
}
