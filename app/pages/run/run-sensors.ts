import { computed, inject, Injectable, signal } from '@angular/core';
import {
  mostPulse,
  pulseBand,
  simulatedCounter,
  simulatedStrap,
  whatWasDone,
  type LogEntry,
  type RunState,
  type Sensor,
  type SessionTime,
  type Timeline,
} from '../../../core/index';
import { SettingsService } from '../../services/settings.service';

/** A longer step is none of a clock that runs: nothing is read for it. */
const longestStepMs = 10_000;
const seed = 1;

interface Heard {
  readonly punches: number;
  readonly pulses: number;
  readonly pulseSum: number;
  readonly mostPulse: number;
  readonly bpm: number | null;
}
const nothing: Heard = { punches: 0, pulses: 0, pulseSum: 0, mostPulse: 0, bpm: null };

/** What the sensors have told of this run so far. Those that ship are simulated, and it says so wherever it is shown. */
@Injectable()
export class RunSensors {
  private readonly settings = inject(SettingsService);
  private readonly heard = signal<Heard>(nothing);
  private readonly planned = signal(0);
  private readonly off = signal(false);
  private readonly battery = signal(1);
  private sensors: readonly Sensor[] = [];
  private of: Timeline | null = null;
  private last: SessionTime | null = null;

  /** What is shown beside the clock; null where no sensor is worn. */
  readonly words = computed((): string | null => {
    const { counter, strap, age, rest } = this.settings.settings().sensors;
    if (!counter && !strap) return null;
    const { punches, bpm } = this.heard();
    const parts = [
      ...(counter ? [`${punches} of ${this.planned()} punches planned so far`] : []),
      ...(strap && bpm !== null ? [`${bpm} bpm, ${pulseBand(bpm, rest, mostPulse(age))}`] : []),
      ...(this.off() ? ['disconnected, reconnecting'] : []),
      `battery ${Math.round(this.battery() * 100)}%`,
    ];
    return `Simulated sensors: ${parts.join(' · ')}`;
  });

  /** Begins anew. */
  begin(): void {
    this.heard.set(nothing);
    this.last = null;
  }

  /** Takes in what has been told since the last look. */
  look(state: RunState, timeline: Timeline, at: SessionTime): void {
    const { counter, strap, age, rest } = this.settings.settings().sensors;
    if (!counter && !strap) return;
    if (this.of !== timeline) {
      this.of = timeline;
      this.sensors = [
        ...(counter ? [simulatedCounter(timeline, seed)] : []),
        ...(strap ? [simulatedStrap(timeline, seed, { age, rest })] : []),
      ];
    }
    const from = this.last;
    // Sensors tell once a second.
    if (from !== null && Math.floor(at / 1000) === Math.floor(from / 1000)) return;
    this.last = at;
    if (from === null || at < from || at - from > longestStepMs || state.phase !== 'running') return;
    for (const sensor of this.sensors)
      for (const reading of sensor.readings(from, at))
        this.heard.update((heard) =>
          reading.kind === 'punches'
            ? { ...heard, punches: heard.punches + reading.count }
            : {
                ...heard,
                bpm: reading.bpm,
                pulses: heard.pulses + 1,
                pulseSum: heard.pulseSum + reading.bpm,
                mostPulse: Math.max(heard.mostPulse, reading.bpm),
              },
        );
    const states = this.sensors.map((sensor) => sensor.stateAt(at));
    this.off.set(states.some(({ connected }) => !connected));
    this.battery.set(Math.min(1, ...states.map(({ battery }) => battery)));
    const deeds = [...state.deeds, { what: 'pause' as const, from: at, to: at, wall: 0 }];
    this.planned.set(whatWasDone(deeds, timeline).punches);
  }

  /** What goes into the log. */
  figures(): Pick<LogEntry, 'sensed'> {
    const { counter, strap } = this.settings.settings().sensors;
    if (!counter && !strap) return {};
    const { punches, pulses, pulseSum, mostPulse: most } = this.heard();
    return {
      sensed: {
        simulated: true,
        punches: counter ? punches : null,
        meanPulse: strap && pulses > 0 ? Math.round(pulseSum / pulses) : null,
        mostPulse: strap && pulses > 0 ? most : null,
      },
    };
  }
}
