import type { Milliseconds } from '../../../core/index';
import type { Shortcut } from '../../services/keys.service';

/** What the keys of a call can do; the call is the one whose row has the focus, by its key in the script. */
export interface CallHands {
  readonly go: (call: string, by: -1 | 1) => void;
  readonly shift: (call: string, by: Milliseconds) => void;
  readonly mute: (call: string) => void;
  readonly lock: (call: string) => void;
  readonly listen: (call: string) => void;
}

const step: Milliseconds = 500;
const rows = '[data-call], [data-unsaid]';

/** The keys of a call. `keys.use('A call', callShortcuts(hands))` */
export function callShortcuts({ go, shift, mute, lock, listen }: CallHands): readonly Shortcut[] {
  const callAt = ({ target }: Event): string | null => {
    const row = target instanceof Element ? target.closest<HTMLElement>(rows) : null;
    return row?.dataset['call'] ?? row?.dataset['unsaid'] ?? null;
  };
  const on = (key: string, does: string, press: (call: string) => void, repeats = false): Shortcut => ({
    keys: [key],
    does,
    repeats,
    when: (event) => callAt(event) !== null,
    press: (event) => {
      const call = callAt(event);
      if (call !== null) press(call);
    },
  });
  return [
    on('ArrowUp', 'Previous call', (call) => go(call, -1), true),
    on('ArrowDown', 'Next call', (call) => go(call, 1), true),
    on('Alt+ArrowUp', 'Half a second earlier', (call) => shift(call, -step), true),
    on('Alt+ArrowDown', 'Half a second later', (call) => shift(call, step), true),
    on('l', 'Lock or unlock', lock),
    on('m', 'Mute or unmute', mute),
    on('p', 'Listen from here', listen),
  ];
}
