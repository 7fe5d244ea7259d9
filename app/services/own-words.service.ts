import { computed, inject, Injectable, signal } from '@angular/core';
import { clipWords, pronounced, wordingsFor, type Script, type Voice } from '../../core/index';
import { Store } from '../store/store';
import { startHelper, type Helper } from '../workers/in-worker';
import { keepSynthesiser, keptSynthesiser, synthesiserAt } from '../workers/kept-synthesiser';
import type { Words } from '../workers/words.worker';
import { SettingsService } from './settings.service';

/** The synthesiser's size, to be told before it is fetched: bytes of the file, and about what goes over the line. */
export const synthesiserBytes = { file: 21_530_456, line: 14_500_000 } as const;

/** Words that were spoken once, by how clips are named. */
export interface SpokenWords {
  readonly voice: string;
  readonly words: string;
  readonly samples: Float32Array;
}

const wholeNumber = 32_767;

/** A voice is made anew only where it can say something else. `sameClips([], [])` → `true` */
export const sameClips = (a: readonly SpokenWords[], b: readonly SpokenWords[]): boolean =>
  a.length === b.length && a.every((clip, at) => clip === b[at]);

/**
 * A coach's own words in the pack's voices: fetched once when somebody wants it, each wording rendered once, when it is
 * written, and kept. Whoever does not want it has everything as before.
 */
@Injectable({ providedIn: 'root' })
export class OwnWordsService {
  private readonly settings = inject(SettingsService);
  private readonly store = inject(Store);
  /** Share of the synthesiser that has come; null where it is not being fetched. */
  readonly fetching = signal<number | null>(null);
  readonly fault = signal('');
  readonly on = computed(() => this.settings.settings().ownWords);
  /** Everything that was rendered or read so far; clips of a wording that is said otherwise now are left aside. */
  private readonly known = signal<readonly (SpokenWords & { readonly key: string })[]>([]);
  readonly spoken = computed(
    (): readonly SpokenWords[] =>
      this.on() ? this.known().filter(({ key, voice, words }) => key === this.keyOf(voice, words)) : [],
    { equal: sameClips },
  );
  /** Wordings that are waited for. */
  readonly left = signal(0);
  private helper: Helper<Words> | null = null;
  private work: Promise<void> = Promise.resolve();
  private readonly asked = new Set<string>();
  private stopped = new AbortController();

  /** Fetches the synthesiser, keeps it for times without a network, and has own words spoken from now on. */
  async turnOn(): Promise<void> {
    this.fault.set('');
    try {
      if (!(await keptSynthesiser())) await this.fetch();
      this.settings.change({ ownWords: true });
    } catch (thrown) {
      if (!this.stopped.signal.aborted)
        this.fault.set(`The download failed (${thrown instanceof Error ? thrown.message : 'no answer'}): try again.`);
    }
    this.fetching.set(null);
  }

  turnOff(): void {
    this.settings.change({ ownWords: false });
    this.end();
  }

  /** Stops fetching; nothing is kept of a part. */
  stop(): void {
    this.stopped.abort();
  }

  private async fetch(): Promise<void> {
    this.stopped = new AbortController();
    this.fetching.set(0);
    const answer = await fetch(synthesiserAt, { signal: this.stopped.signal });
    if (!answer.ok || !answer.body) throw new Error(`the server says ${answer.status}`);
    const parts: Uint8Array<ArrayBuffer>[] = [];
    let bytes = 0;
    const reader = answer.body.getReader();
    for (let next = await reader.read(); !next.done; next = await reader.read()) {
      parts.push(next.value);
      bytes += next.value.length;
      this.fetching.set(Math.min(1, bytes / synthesiserBytes.file));
    }
    await keepSynthesiser(await new Blob(parts).arrayBuffer());
  }

  /** What of a script a voice lacks is rendered, each wording once. */
  want(script: Script, voice: Voice): void {
    if (this.on()) this.render(voice.id, wordingsFor(script, voice));
  }

  /** Renders words in a voice, so that they are heard at once. */
  say(voice: string, words: string): void {
    if (this.on()) this.render(voice, [clipWords(words).join(' ')]);
  }

  /** Settles when everything that was wanted so far is there. */
  settled(): Promise<void> {
    return this.work;
  }

  private keyOf(voice: string, words: string): string {
    return `${voice} ${pronounced(words, this.settings.settings().pronunciations)}`;
  }

  /** Two wordings may come to be said alike: each is asked for, and one rendering serves both. */
  private askedAs(voice: string, words: string): string {
    return `${words}: ${this.keyOf(voice, words)}`;
  }

  private render(voice: string, all: readonly string[]): void {
    const fresh = all.filter((words) => words !== '' && !this.asked.has(this.askedAs(voice, words)));
    if (fresh.length === 0) return;
    for (const words of fresh) this.asked.add(this.askedAs(voice, words));
    this.left.update((left) => left + fresh.length);
    this.work = this.work.then(() => this.renderAll(voice, fresh));
  }

  private async renderAll(voice: string, all: readonly string[]): Promise<void> {
    const made: (SpokenWords & { key: string })[] = [];
    for (const words of all) {
      const key = this.keyOf(voice, words);
      try {
        const samples = (await this.stored(key)) ?? (await this.made(voice, key));
        if (samples.length > 0) made.push({ voice, words, samples, key });
      } catch (thrown) {
        // As before then: the device's voice, or the screen. Asked for again with the next change.
        this.asked.delete(this.askedAs(voice, words));
        this.fault.set(
          `“${words}” could not be recorded: ${thrown instanceof Error ? thrown.message : 'unknown error'}.`,
        );
      }
      this.left.update((left) => left - 1);
    }
    // Said together: each change of what a voice can say has the script made anew.
    if (made.length > 0) this.known.update((known) => [...known, ...made]);
  }

  private async stored(key: string): Promise<Float32Array | null> {
    const row = await this.store.read(({ clips }) => clips.get(key));
    return row ? Float32Array.from(row.samples, (value) => value / wholeNumber) : null;
  }

  private async made(voice: string, key: string): Promise<Float32Array> {
    this.helper ??= startHelper<Words>(
      new Worker(new URL('../workers/words.worker', import.meta.url), { type: 'module' }),
    );
    const samples = await this.helper.ask((words) => words.say(voice, key.slice(voice.length + 1)));
    const kept = Int16Array.from(samples, (value) => Math.round(value * wholeNumber));
    void this.store.write('your own words', `clip ${key}`, async ({ clips }) => {
      await clips.put({ key, samples: kept });
    });
    return samples;
  }

  private end(): void {
    this.helper?.end();
    this.helper = null;
    // What was asked of it is answered no more: nobody waits for that.
    this.work = Promise.resolve();
    this.left.set(0);
    this.asked.clear();
    this.known.set([]);
  }
}
