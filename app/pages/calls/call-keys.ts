import type { Milliseconds } from '../../../core/index';
import type { Shortcut } from '../../services/keys.service';

/** What the keys of a call can do; the call is the one whose row has the focus, by its key in the script. */
export interface CallHands {
  readonly go: (row: HTMLElement, by: -1 | 1) => void;
  readonly shift: (call: string, by: Milliseconds) => void;
  readonly mute: (call: string) => void;
  readonly lock: (call: string) => void;
  readonly listen: (call: string) => void;
}

const step: Milliseconds = 500;
const rows = '[data-call], [data-unsaid]';

/** Every row of a call, said or not, as they stand. `callRows()[0]?.focus()` */
export function callRows(): HTMLElement[] {
  return [...document.querySelectorAll<HTMLElement>(rows)];
}

/** The call that a row stands for, by its key in the script. */
export function callOf({ dataset }: HTMLElement): string | null {
  return dataset['call'] ?? dataset['unsaid'] ?? null;
}

/** The keys of a call. `keys.use('A call', callShortcuts(hands))` */
export function callShortcuts({ go, shift, mute, lock, listen }: CallHands): readonly Shortcut[] {
  const rowOf = ({ target }: Event): HTMLElement | null =>
    target instanceof Element ? target.closest<HTMLElement>(rows) : null;
  const on = (key: string, does: string, press: (call: string, row: HTMLElement) => void): Shortcut => ({
    keys: [key],
    does,
    when: (event) => rowOf(event) !== null,
    press: (event) => {
      const row = rowOf(event);
      const call = row && callOf(row);
      if (row && call !== null) press(call, row);
    },
  });
  return [
    on('ArrowUp', 'The call above', (_, row) => go(row, -1)),
    on('ArrowDown', 'The call below', (_, row) => go(row, 1)),
    on('Alt+ArrowUp', 'Half a second earlier', (call) => shift(call, -step)),
    on('Alt+ArrowDown', 'Half a second later', (call) => shift(call, step)),
    on('l', 'Lock it where it is, let it go', lock),
    on('m', 'Mute it, say it again', mute),
    on('p', 'Listen from here', listen),
  ];
}
