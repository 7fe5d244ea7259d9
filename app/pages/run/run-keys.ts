import { addedMs } from '../../../core/index';
import type { Shortcut } from '../../services/keys.service';
import type { Runner } from './runner';

/** What the keys of a run can do beside what the runner does, and how the run stands. */
export interface RunHands {
  /** Before it starts, with something to run. */
  readonly waiting: () => boolean;
  readonly running: () => boolean;
  readonly stopped: () => boolean;
  readonly over: () => boolean;
  /** Somebody trains alone, and it goes on. */
  readonly alone: () => boolean;
  readonly sideOpen: () => boolean;
  readonly begin: () => void;
  readonly sits: () => void;
  readonly broke: () => void;
  readonly toggle: (side: 'changes' | 'walls') => void;
  readonly closeSide: () => void;
  readonly lock: () => void;
  readonly fullScreen: () => void;
  readonly leave: () => void;
}

/** A button or link that has the focus takes space and Enter for itself. */
const free = ({ target }: KeyboardEvent): boolean => !(target instanceof Element && target.closest('button, a'));

/**
 * The keys of a run. A key that is held down is one press: only the pace goes on, as one change.
 * @example keys.use('A run', runShortcuts(runner, hands))
 */
export function runShortcuts(runner: Runner, hands: RunHands): readonly Shortcut[] {
  const { waiting, running, stopped, alone } = hands;
  const key = (
    keys: readonly string[],
    does: string,
    when: (event: KeyboardEvent) => boolean,
    press: () => unknown,
  ): Shortcut => ({ keys, does, repeats: false, when, press: () => void press() });
  const pace = (name: string, does: string, by: number): Shortcut => ({
    ...{ keys: [name], does, repeats: true, when: running },
    press: (event) => runner.pace(by, event.repeat),
  });
  return [
    key(['Space', 'Enter'], 'Start', (event) => waiting() && free(event), hands.begin),
    key(
      ['Space'],
      'Pause or resume',
      (event) => running() && free(event),
      () => runner.toggle(),
    ),
    key(['ArrowLeft', 'PageUp'], 'Previous drill', running, () => runner.go('back')),
    key(['ArrowRight', 'PageDown'], 'Next drill', running, () => runner.go('forward')),
    key(['r'], 'Repeat this drill', running, () => runner.go('repeat')),
    key(['s'], 'Stop now', running, () => runner.stopNow()),
    key(['x'], 'End the session (when stopped)', stopped, () => runner.end()),
    key(['o'], 'Solo: got it, add a move', alone, hands.sits),
    key(['b'], 'Solo: lost it', alone, hands.broke),
    key(['c'], 'Adjust the session', running, () => hands.toggle('changes')),
    key(
      ['v'],
      'Screens and remotes',
      () => !hands.over(),
      () => hands.toggle('walls'),
    ),
    key(['h'], 'Hold the class', running, () => runner.hold()),
    pace('+', 'Faster', 0.1),
    pace('-', 'Slower', -0.1),
    key(['t'], 'Add thirty seconds', running, () => runner.alter({ kind: 'longer', ms: addedMs })),
    key(['e'], 'End this drill now', running, () => runner.alter({ kind: 'end piece' })),
    key(['w'], 'Switch stance', running, () => runner.alter({ kind: 'switch stance' })),
    key(['u'], 'Undo the last change', running, () => runner.undo()),
    key(['l'], 'Lock or unlock the controls', running, hands.lock),
    { keys: ['f'], does: 'Full screen', repeats: false, press: hands.fullScreen },
    { ...key(['Escape'], 'Close the side panel', hands.sideOpen, hands.closeSide), typing: true },
    key(
      ['Escape'],
      'Back to the sheet (before the start)',
      () => !running() && !hands.over() && !hands.sideOpen(),
      hands.leave,
    ),
  ];
}
