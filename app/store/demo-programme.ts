import { programmePrefix } from '../../core/index';
import { inSums } from '../workers/in-sums';
import type { Database } from './database';

/** What says that the demo's programme was put in once, or that there was no demo to put it to. */
const programmeKey = 'demo programme';

/** Puts the demo's programme in, once, when programmes are first asked for: no other view has to wait for its plan. */
export async function seedProgramme(database: Database, now: Date): Promise<void> {
  const { log, choices } = database;
  if (!(await choices.get('demo')) || (await choices.get(programmeKey))) return;
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate()).getTime();
  const programme = await inSums((sums) => sums.demoPlan(midnight));
  await database.transaction('rw', [log, choices], async () => {
    if (await choices.get(programmeKey)) return;
    await choices.put({ key: programmeKey, value: 'seeded' });
    // Who has cleared the demo in the meantime wants no more of it.
    if ((await log.where('id').startsWith('demo-').count()) > 0)
      await choices.put({ key: `${programmePrefix}${programme.id}`, value: programme, demo: true });
  });
}
