import { inject, Injectable } from '@angular/core';
import { Store } from '../store/store';

/** Half-typed text, kept so that a reload loses nothing. */
@Injectable({ providedIn: 'root' })
export class DraftService {
  private readonly store = inject(Store);

  async get(place: string): Promise<string> {
    const value = (await this.store.read(({ choices }) => choices.get(`draft ${place}`)))?.value;
    return typeof value === 'string' ? value.slice(0, 100_000) : '';
  }

  async put(place: string, text: string): Promise<void> {
    const key = `draft ${place}`;
    await this.store.write('your half-typed text', key, ({ choices }): Promise<unknown> =>
      text ? choices.put({ key, value: text }) : choices.delete(key),
    );
  }
}
