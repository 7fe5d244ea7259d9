import { inject, Injectable } from '@angular/core';
import { unfinishedRunSchema, type UnfinishedRun } from '../../core/index';
import { Database } from '../store/database';

/** The run that is not over yet, so that a reload can take it up at the right second. */
@Injectable({ providedIn: 'root' })
export class UnfinishedRunService {
  private readonly database = inject(Database);

  async get(): Promise<UnfinishedRun | null> {
    const stored = await this.database.runs.get('current');
    if (!stored) return null;
    const { key, ...run } = stored;
    const parsed = unfinishedRunSchema.safeParse(run);
    return parsed.success ? parsed.data : null;
  }

  async put(run: UnfinishedRun): Promise<void> {
    await this.database.runs.put({ key: 'current', ...run });
  }

  async clear(): Promise<void> {
    await this.database.runs.delete('current');
  }
}
