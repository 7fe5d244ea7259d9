import { computed, DOCUMENT, effect, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { readSettings, sameFields, type Level, type Schools, type Settings } from '../../core/index';
import type { SpokenWishes } from '../workers/protocol';
import { changeChoice } from '../store/choices';
import { Store } from '../store/store';

const key = 'settings';
const isRecord = (value: unknown): boolean => typeof value === 'object' && value !== null && !Array.isArray(value);

/** Choices that are remembered from visit to visit. */
@Injectable({ providedIn: 'root' })
export class SettingsService {
  private readonly store = inject(Store);
  private readonly document = inject(DOCUMENT);
  private readonly state = signal<Settings>(readSettings(undefined).settings);
  readonly settings = this.state.asReadonly();
  /** Where coaches disagree, by this one's choices. */
  readonly schools = computed((): Schools => {
    const { kickSchool, afterHook, bodyOnDoubleEnd, ballTricks } = this.state();
    return { kick: kickSchool, afterHook, bodyOnDoubleEnd, ballTricks };
  });
  /** Whether names stand under the codes: for those who are still learning them, unless the coach has chosen. */
  namesStrikes(level: Level | undefined): boolean {
    const { strikeNames } = this.settings();
    return strikeNames === 'by level' ? level !== 'advanced' : strikeNames === 'always';
  }

  /** Whose words, and how much of them, as far as the coach has chosen it. */
  readonly wishes = computed((): SpokenWishes => {
    const { wordings, talk, countFrom, leadOut, blockClock, breathHeld } = this.state();
    return { wordings, talk, countFrom, leadOut, blockClock, breathHeld };
  });
  /** Fields that are stored and cannot be read; they have their defaults, and stay as they are until they are chosen anew. */
  readonly unread = signal<readonly string[]>([]);
  private readonly writing = signal(0);
  /** Whether something was chosen that is not written yet. */
  readonly saving = computed(() => this.writing() > 0);
  /** What was chosen here and is not written yet; it wins over what comes from storage. */
  private chosen: Partial<Settings> = {};
  private readonly stored = this.store.watch(({ choices }) => choices.get(key));
  /** Settles when the remembered choices have been read. */
  readonly loaded: Promise<void>;

  constructor() {
    this.loaded = new Promise((read) => {
      this.stored.pipe(takeUntilDestroyed()).subscribe((row) => {
        const { settings, unread } = readSettings(row?.value);
        this.unread.set(unread);
        // What has not changed stays the very same, so that nothing is worked out anew for it.
        this.state.set(sameFields(this.state(), { ...settings, ...this.chosen }));
        read();
      });
    });
    effect(() => {
      const { look, density } = this.state();
      const root = this.document.documentElement;
      root.style.colorScheme = look === 'system' ? 'light dark' : look;
      root.classList.toggle('roomy', density === 'roomy');
    });
  }

  /** Changes some choices; nothing else of what is stored is touched. */
  change(change: Partial<Settings>): void {
    this.state.update((before) => ({ ...before, ...change }));
    this.chosen = { ...this.chosen, ...change };
    void this.write(change);
  }

  private async write(change: Partial<Settings>): Promise<void> {
    this.writing.update((count) => count + 1);
    const { written } = await this.store.write('a setting', key, (database) =>
      changeChoice(database, key, (old) => ({ ...(old as object | undefined), ...change }), isRecord),
    );
    await written;
    this.writing.update((count) => count - 1);
    // Chosen anew meanwhile, it still wins until that is written, too.
    const left = Object.entries(this.chosen).filter(([name, value]) => change[name as keyof Settings] !== value);
    this.chosen = Object.fromEntries(left);
  }
}
