import { inject, Injectable } from '@angular/core';
import * as z from 'zod/mini';
import type { Draft, Wishes } from '../../core/index';
import { Store } from '../store/store';

/** Drafts of the same wishes that must not come again. */
const mostSeen = 50;
const seenSchema = z.array(z.string().check(z.maxLength(1_000_000))).check(z.maxLength(mostSeen));

/** Drafts sheets with a seed that was not used before, and remembers what came of it. */
@Injectable({ providedIn: 'root' })
export class DraftedService {
  private readonly store = inject(Store);

  /** A new draft: none of the last fifty from the same wishes comes again. */
  async draft(wishes: Wishes): Promise<Draft> {
    const key = `drafted ${JSON.stringify(wishes)}`;
    const stored = seenSchema.safeParse((await this.store.read(({ choices }) => choices.get(key)))?.value);
    const seen = stored.success ? stored.data : [];
    const [seed = 1] = crypto.getRandomValues(new Uint32Array(1));
    const { draftSheet } = (await import('./drafting')).drafting;
    const draft = draftSheet(wishes, seed, seen);
    await this.store.write('the list of drafts', key, ({ choices }) =>
      choices.put({ key, value: [...seen, draft.fingerprint].slice(-mostSeen) }),
    );
    return draft;
  }
}
