import { expose } from 'comlink';
import { Database } from '../store/database';
import type { LookedAt, Unread } from '../store/sound';
import { unreadIn } from '../store/unread';

// Looks through whole stores for records that cannot be read: long work over much data, apart from the page.
const lookout = {
  async unreadIn(name: string, stores: readonly LookedAt[]): Promise<readonly Unread[]> {
    const database = new Database(name);
    try {
      return (await Promise.all(stores.map((store) => unreadIn(database, store)))).flat();
    } finally {
      database.close();
    }
  },
};
export type Lookout = typeof lookout;
expose(lookout);
