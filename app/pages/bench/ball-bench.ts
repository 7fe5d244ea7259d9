import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatCheckbox } from '@angular/material/checkbox';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import * as z from 'zod/mini';
import { debounceTime, distinctUntilChanged, map, of, startWith, switchMap } from 'rxjs';
import {
  anchorCheck,
  ballRhythm,
  compareTension,
  doubleEndSwing,
  excursion,
  fitToBag,
  headSchema,
  readStored,
  sayLength,
  usualBag,
  type BallDrill,
  type DoubleEnd,
  type RoomBag,
} from '../../../core/index';
import { MeasureField } from '../../parts/fields/measure-field';
import { readFault } from '../../parts/fields/read-fault';
import { useMotion } from '../../parts/motion';
import { BookService } from '../../services/book.service';
import { BallService } from '../../services/ball.service';
import { SettingsService } from '../../services/settings.service';
import type { BallRequest } from '../../workers/protocol';

const usual = usualBag('bench', 'double-end', 0, 0).cords as DoubleEnd;
type Worked =
  { readonly busy: true } | { readonly busy: false; readonly drill: BallDrill | null; readonly what: string };

/** A ball between two cords on the bench: its beat, what meets it, and a typed combination thrown at it step by step. */
@Component({
  selector: 'kt-ball-bench',
  imports: [MatExpansionModule, MatCheckbox, NumberField, TextField, MatButtonModule, MeasureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ball-bench.html',
  styleUrls: ['./bench-page.scss', './bench-drawing.scss'],
})
export class BallBench {
  private readonly settings = inject(SettingsService);
  private readonly balls = inject(BallService);
  private readonly books = inject(BookService);
  protected readonly motion = useMotion();
  readonly measured = input<RoomBag | null>(null);
  /** The figures, to be kept in the room. */
  readonly kept = output<Partial<RoomBag>>();

  protected readonly ball = signal<DoubleEnd>(usual);
  protected readonly anchor = signal<number | null>(null);
  /** Momentum of a blow, kg·m/s. */
  protected readonly momentum = signal(1.2);
  protected readonly text = signal('1 2 3 2');
  protected readonly pace = signal(1);
  /** Whether each strike waits for the ball, or goes by the hands' own rhythm. */
  protected readonly waits = signal(true);

  constructor() {
    effect(() => {
      const { anchor, ...cords } = this.measured()?.cords ?? { ...usual, anchor: undefined };
      this.ball.set(cords);
      this.anchor.set(anchor ?? null);
    });
  }

  protected readonly readFault = readFault;
  protected readonly schemas = {
    momentum: z.number().check(z.gte(0.1), z.lte(10)),
    pace: headSchema.shape.class.def.innerType.shape.pace,
  };
  protected readonly swing = computed(() => doubleEndSwing(this.ball()));
  protected readonly out = computed(() => excursion(this.ball(), this.momentum()));
  protected readonly tempos = computed(() =>
    this.swing().tempos.map((tempo, at) => ({ returns: 2 * at + 1, tempo: Math.round(tempo) })),
  );
  protected readonly tighter = computed(() => {
    const ball = this.ball();
    const twice = { ...ball, tensionUpper: ball.tensionUpper * 2, tensionLower: ball.tensionLower * 2 };
    const { faster, wider } = compareTension(twice, ball);
    return `Doubling the tension makes it ${faster.toFixed(2)} times as fast (harder to time) and swings it ${wider.toFixed(2)} times as far (easier to hit).`;
  });
  protected readonly held = computed(() => {
    const anchor = this.anchor();
    return anchor === null ? null : anchorCheck(this.ball(), anchor, this.out());
  });
  private readonly read = computed(() => readStored(this.text()));
  protected readonly rhythm = computed(() => {
    const read = this.read();
    return read.ok ? ballRhythm(read.value, this.swing().returnInterval) : null;
  });
  protected readonly flows = computed(
    () =>
      this.rhythm()
        ?.flows.map(({ name }) => name)
        .join(', ') ?? '',
  );
  protected readonly meets = computed(
    () =>
      this.rhythm()
        ?.meetings.map(({ returns }) => returns)
        .join(', ') ?? '',
  );

  /** The book's combinations with the paces at which each flows on this ball. */
  protected readonly book = computed(() => {
    const { returnInterval } = this.swing();
    return (this.books.all() ?? []).flatMap(({ id, name, text }) => {
      const read = readStored(text);
      if (!read.ok || fitToBag(read.value, 'double-end').verdict !== 'fits') return [];
      const { flows, pace } = ballRhythm(read.value, returnInterval);
      const paces = flows.map((each) => each.name).join(', ');
      return [{ id, name, paces: paces || `waiting for the ball, at ${pace.toFixed(2)} of steady pace` }];
    });
  });

  private readonly request = computed((): BallRequest | null => {
    const rhythm = this.rhythm();
    if (!rhythm) return null;
    let at = 0;
    const times = [0, ...rhythm.meetings.map(({ ball }) => (at += ball))];
    return {
      ball: this.ball(),
      text: this.text(),
      options: {
        pace: this.pace(),
        speed: this.momentum() / this.ball().mass,
        ...(this.waits() ? { times } : {}),
      },
    };
  });
  protected readonly worked = toSignal(
    toObservable(this.request).pipe(
      debounceTime(150),
      distinctUntilChanged((a, b) => JSON.stringify(a) === JSON.stringify(b)),
      switchMap((request) =>
        request
          ? this.balls.drill(request).pipe(
              map((answer): Worked => ({
                busy: false,
                drill: answer.ok ? answer.drill : null,
                what: answer.ok ? '' : answer.what,
              })),
              startWith<Worked>({ busy: true }),
            )
          : of<Worked>({ busy: false, drill: null, what: '' }),
      ),
    ),
    { initialValue: { busy: true } },
  );
  protected readonly drill = computed(() => {
    const worked = this.worked();
    return worked.busy ? null : worked.drill;
  });
  /** The ball's way from above, in metres; the hitter stands below. */
  protected readonly path = computed(() =>
    (this.drill()?.path ?? []).map(({ x, y }) => `${y.toFixed(3)},${(-x).toFixed(3)}`).join(' '),
  );
  protected readonly now = computed(() => {
    const drill = this.drill();
    if (!drill || drill.path.length === 0) return { x: 0, y: 0, at: 0 };
    const at = Math.floor(this.motion.seconds() / drill.every) % drill.path.length;
    const point = drill.path[at];
    return { x: point?.y ?? 0, y: -(point?.x ?? 0), at: at * drill.every };
  });
  protected readonly view = computed(() => Math.max(0.4, (this.drill()?.farthest ?? 0) * 1.25));

  protected readonly ceil = Math.ceil;

  protected say(length: number): string {
    return sayLength(length, this.settings.settings().units);
  }

  protected keep(): void {
    const anchor = this.anchor();
    this.kept.emit({ cords: { ...this.ball(), ...(anchor === null ? {} : { anchor }) } });
  }

  protected change(change: Partial<DoubleEnd>): void {
    this.ball.update((before) => ({ ...before, ...change }));
  }
}
