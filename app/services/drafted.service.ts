import { inject, Injectable } from '@angular/core';
import * as z from 'zod';
import { draftSheet, type Draft, type Wishes } from '../../core/index';
import { Database } from '../store/database';

/** Drafts of the same wishes that must not come again. */
const mostSeen = 50;
const seenSchema = z.array(z.string().max(1_000_000)).max(mostSeen);

/** Drafts sheets with a seed that was not used before, and remembers what came of it. */
@Injectable({ providedIn: 'root' })
export class DraftedService {
  private readonly database = inject(Database);

  /** A new draft: none of the last fifty from the same wishes comes again. */
  async draft(wishes: Wishes): Promise<Draft> {
    const key = `drafted ${JSON.stringify(wishes)}`;
    const stored = seenSchema.safeParse((await this.database.choices.get(key))?.value);
    const seen = stored.success ? stored.data : [];
    const [seed = 1] = crypto.getRandomValues(new Uint32Array(1));
    const draft = draftSheet(wishes, seed, seen);
    await this.database.choices.put({ key, value: [...seen, draft.fingerprint].slice(-mostSeen) });
    return draft;
  }
}
