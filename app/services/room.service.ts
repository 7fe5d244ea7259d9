import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map, type Observable } from 'rxjs';
import { emptyRoom, merge3, roomFault, roomSchema, sayPath, type Room } from '../../core/index';
import { changeChoice } from '../store/choices';
import { Store } from '../store/store';

const key = 'room';
const isRoom = (value: unknown): boolean => roomSchema.safeParse(value).success;

/** How a change of the room went. */
export interface RoomWritten {
  /** Why it was not made; null where it was. */
  readonly refused: string | null;
  readonly putBack: () => Promise<void>;
}

/** The coach's room: who comes and what hangs in it. Written, then shown. */
@Injectable({ providedIn: 'root' })
export class RoomService {
  private readonly store = inject(Store);

  /** The room; an empty one where nothing, or nothing readable, is kept. */
  readonly room$: Observable<Room> = this.store
    .watch(({ choices }) => choices.get(key))
    .pipe(
      map((stored) => {
        const read = roomSchema.safeParse(stored?.value);
        return read.success ? read.data : emptyRoom();
      }),
    );
  /** undefined until storage has answered. */
  readonly room = toSignal(this.room$);

  /**
   * Writes a changed room, brought together with what another hand has changed since; one that would not be read again is
   * refused with the reason, and one that is stored and cannot be read is put aside first. `putBack` makes the change undone.
   */
  async put(room: Room): Promise<RoomWritten> {
    const base = this.room() ?? emptyRoom();
    const read = roomSchema.safeParse(room);
    if (!read.success) {
      const [issue] = read.error.issues;
      const place = sayPath(issue?.path ?? []);
      return { refused: `${place ? `${place}: ` : ''}${issue?.message ?? ''}`, putBack: () => Promise.resolve() };
    }
    const fault = roomFault(room, base);
    if (fault) return { refused: fault, putBack: () => Promise.resolve() };
    await this.write(base, read.data);
    return { refused: null, putBack: () => this.write(read.data, base) };
  }

  private async write(base: Room, mine: Room): Promise<void> {
    await this.store.write('the room', key, (database) =>
      changeChoice(
        database,
        key,
        (old) => {
          const theirs = roomSchema.safeParse(old);
          const merged = theirs.success ? merge3(base, mine, theirs.data).value : mine;
          return isRoom(merged) ? merged : mine;
        },
        isRoom,
      ),
    );
  }
}
