import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { liveQuery } from 'dexie';
import { from, map, type Observable } from 'rxjs';
import { emptyRoom, roomSchema, type Room } from '../../core/index';
import { Database } from '../store/database';

const key = 'room';

/** The coach's room: who comes and what hangs in it. Written, then shown. */
@Injectable({ providedIn: 'root' })
export class RoomService {
  private readonly database = inject(Database);

  /** The room; an empty one where nothing, or nothing readable, is kept. */
  readonly room$: Observable<Room> = from(liveQuery(() => this.database.choices.get(key))).pipe(
    map((stored) => {
      const read = roomSchema.safeParse(stored?.value);
      return read.success ? read.data : emptyRoom();
    }),
  );
  /** undefined until storage has answered. */
  readonly room = toSignal(this.room$);

  /** Writes a changed room; one that would not be read again is refused with the reason. The returned function puts the old one back. */
  async put(room: Room): Promise<{ readonly refused: string | null; readonly putBack: () => Promise<void> }> {
    const before = await this.database.choices.get(key);
    const read = roomSchema.safeParse(room);
    const putBack = async (): Promise<void> => {
      if (before) await this.database.choices.put(before);
      else await this.database.choices.delete(key);
    };
    if (!read.success) {
      const [issue] = read.error.issues;
      return { refused: `${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`, putBack };
    }
    await this.database.choices.put({ key, value: read.data });
    return { refused: null, putBack };
  }
}
