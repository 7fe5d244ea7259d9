import { computed, DOCUMENT, effect, inject, Injectable, signal } from '@angular/core';
import * as z from 'zod';
import { measureSystems, ownNumbersSchema, talks, wordingsSchema, type Schools } from '../../core/index';
import { Database } from '../store/database';

const settingsSchema = z.object({
  look: z.enum(['system', 'light', 'dark']).default('system'),
  /** Seconds of getting ready before second zero (house value 10). */
  countIn: z.union([z.literal(0), z.literal(5), z.literal(10), z.literal(20)]).default(10),
  countFrom: z.union([z.literal(3), z.literal(5)]).default(5),
  volume: z.number().min(0).max(1).default(0.8),
  /** Who speaks: a voice of the pack, the device's own, or nobody. */
  voice: z.enum(['rms', 'slt', 'device', 'none']).default('rms'),
  /** Whether the device is asked to turn music down while calls sound. */
  duckMusic: z.boolean().default(true),
  talk: z.enum(talks).default('all'),
  /** The coach's own words for calls. */
  wordings: wordingsSchema.default({}),
  /** The coach's own numbering beyond six. */
  ownNumbers: ownNumbersSchema.nullable().default(null),
  /** Which leg is drilled after a hand. */
  kickSchool: z.enum(['opposite', 'same']).default('opposite'),
  /** What brings a ball back after a hook, and whether the body is hit on a double-end. */
  afterHook: z.enum(['rear straight', 'same hand']).default('rear straight'),
  bodyOnDoubleEnd: z.enum(['none', 'lower cord']).default('none'),
  units: z.enum(measureSystems).default('metric'),
  cautionSeen: z.boolean().default(false),
});
export type Settings = z.infer<typeof settingsSchema>;

/** Choices that are remembered from visit to visit. */
@Injectable({ providedIn: 'root' })
export class SettingsService {
  private readonly database = inject(Database);
  private readonly document = inject(DOCUMENT);
  private readonly state = signal<Settings>(settingsSchema.parse({}));
  readonly settings = this.state.asReadonly();
  /** Where coaches disagree about bags, by this one's choices. */
  readonly schools = computed((): Schools => {
    const { afterHook, bodyOnDoubleEnd } = this.state();
    return { afterHook, bodyOnDoubleEnd };
  });
  /** What was chosen before the remembered choices had been read; it wins over them. */
  private early: Partial<Settings> = {};
  /** Settles when the remembered choices have been read. */
  readonly loaded: Promise<void>;

  constructor() {
    this.loaded = this.load();
    effect(() => {
      const { look } = this.state();
      this.document.documentElement.style.colorScheme = look === 'system' ? 'light dark' : look;
    });
  }

  private async load(): Promise<void> {
    const stored = await this.database.choices.get('settings');
    const parsed = settingsSchema.safeParse(stored?.value);
    if (parsed.success) this.state.set({ ...parsed.data, ...this.early });
  }

  change(change: Partial<Settings>): void {
    this.state.update((before) => ({ ...before, ...change }));
    this.early = { ...this.early, ...change };
    void this.loaded.then(() => this.database.choices.put({ key: 'settings', value: this.state() }));
  }
}
