import { inject, Injectable } from '@angular/core';
import { Database } from '../store/database';

/** Half-typed text, kept so that a reload loses nothing. */
@Injectable({ providedIn: 'root' })
export class DraftService {
  private readonly database = inject(Database);

  async get(place: string): Promise<string> {
    const value = (await this.database.choices.get(`draft ${place}`))?.value;
    return typeof value === 'string' ? value.slice(0, 100_000) : '';
  }

  async put(place: string, text: string): Promise<void> {
    if (text) await this.database.choices.put({ key: `draft ${place}`, value: text });
    else await this.database.choices.delete(`draft ${place}`);
  }
}
