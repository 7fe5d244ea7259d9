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
      'Pause, go on',
      (event) => running() && free(event),
      () => runner.toggle(),
    ),
    key(['ArrowLeft', 'PageUp'], 'A piece back', running, () => runner.go('back')),
    key(['ArrowRight', 'PageDown'], 'A piece on', running, () => runner.go('forward')),
    key(['r'], 'The piece once more', running, () => runner.go('repeat')),
    key(['s'], 'Stop now', running, () => runner.stopNow()),
    key(['x'], 'End the run, once it is stopped', stopped, () => runner.end()),
    key(['o'], 'Alone: it sits, one more', alone, hands.sits),
    key(['b'], 'Alone: it broke', alone, hands.broke),
    key(['c'], 'What can be changed', running, () => hands.toggle('changes')),
    key(
      ['v'],
      'Walls and remotes',
      () => !hands.over(),
      () => hands.toggle('walls'),
    ),
    key(['h'], 'Everyone with me: hold', running, () => runner.hold()),
    pace('+', 'Faster', 0.1),
    pace('-', 'Slower', -0.1),
    key(['t'], 'Thirty seconds more', running, () => runner.alter({ kind: 'longer', ms: addedMs })),
    key(['e'], 'End this piece now', running, () => runner.alter({ kind: 'end piece' })),
    key(['w'], 'Switch the stance of the class', running, () => runner.alter({ kind: 'switch stance' })),
    key(['u'], 'Take the last change back', running, () => runner.undo()),
    key(['l'], 'Lock the controls, or unlock them', running, hands.lock),
    { keys: ['f'], does: 'Fill the screen', repeats: false, press: hands.fullScreen },
    { ...key(['Escape'], 'Close what stands at the side', hands.sideOpen, hands.closeSide), typing: true },
    key(
      ['Escape'],
      'Back to the sheet, before it starts',
      () => !running() && !hands.over() && !hands.sideOpen(),
      hands.leave,
    ),
  ];
}
