import type { Call } from './call';
import type { Script } from './script';

/** Everything that is said, what is said at open breaks before what follows them. `allCalls(script)[0].say` → `"bell"` */
export function allCalls({ calls, breaks }: Pick<Script, 'calls' | 'breaks'>): Call[] {
  return [...breaks.flatMap((each) => each.calls), ...calls];
}
