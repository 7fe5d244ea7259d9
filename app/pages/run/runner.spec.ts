import { TestBed } from '@angular/core/testing';
import { emptySheet, freshBlock, type SoundKind, type Sheet } from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { SettingsService } from '../../services/settings.service';
import { SoundService } from '../../services/sound.service';
import { Store } from '../../store/store';
import { logHere, testProviders, until } from '../../spec-store.spec';
import { Live } from './live';
import { RunEntry } from './run-entry';
import { RunKeeper } from './run-keeper';
import { RunSensors } from './run-sensors';
import { RunSounds } from './run-sounds';
import { RunSource } from './run-source';
import { Runner } from './runner';
import { Speaker } from './speaker';

/** A stand-in for the audio clock that a test can set, block and listen to. */
class FakeSound {
  at: number | null = 0;
  readonly played: { kind: SoundKind; at: number }[] = [];
  silenced = 0;
  unlock(): Promise<void> {
    return Promise.resolve();
  }
  now(): number | null {
    return this.at;
  }
  playAt(kind: SoundKind, at: number): void {
    this.played.push({ kind, at });
  }
  say(): void {
    // Nothing is said in a spec.
  }
  canSay(): boolean {
    return false;
  }
  speakAt(): void {
    // Nor played.
  }
  silence(): void {
    this.silenced += 1;
  }
}

describe('the runner', () => {
  async function setUp() {
    const sound = new FakeSound();
    TestBed.configureTestingModule({
      providers: [
        ...testProviders(),
        Runner,
        RunEntry,
        RunKeeper,
        RunSensors,
        RunSounds,
        RunSource,
        Live,
        Speaker,
        { provide: SoundService, useValue: sound },
      ],
    });
    const settings = TestBed.inject(SettingsService);
    await settings.loaded;
    settings.change({ countIn: 0, countFrom: 3 });
    const sheet: Sheet = {
      ...emptySheet(freshId, 'Rounds'),
      blocks: [
        { ...freshBlock('round', freshId), ms: 20_000 },
        { ...freshBlock('round', freshId), ms: 10_000 },
      ],
    };
    const runner = TestBed.inject(Runner);
    /** The audio clock goes on, in steps too small to be taken for a jump. */
    const go = async (ms: number): Promise<void> => {
      for (let left = ms; left > 0; left -= 400) await jump(Math.min(400, left));
    };
    const jump = async (ms: number): Promise<void> => {
      sound.at = (sound.at ?? 0) + ms;
      // The runner looks on every frame; wait until it has seen the new time.
      const seen = runner.position();
      await until(() => runner.position() !== seen || runner.state()?.phase !== 'running');
    };
    return { runner, sound, sheet, go, jump };
  }

  it('begins once, however often Start is pressed before the sound has answered', async () => {
    const { runner, sheet, sound } = await setUp();
    let answer = (): void => undefined;
    spyOn(sound, 'unlock').and.returnValue(new Promise((done) => (answer = () => done(undefined))));
    const starts = [runner.start(sheet, 1), runner.start(sheet, 1)];
    answer();
    expect(await Promise.all(starts)).toEqual([true, false]);
    expect(await runner.start(sheet, 1)).toBeFalse();
    const unfinished = await TestBed.inject(Store).read(({ runs }) => runs.count());
    expect(unfinished).toBeLessThanOrEqual(1);
  });

  it('goes on silently where the device gives no sound, says so, and sounds the bell that it was late for by a moment', async () => {
    const { runner, sheet, sound } = await setUp();
    sound.at = null;
    await runner.start(sheet, 1);
    expect(runner.state()?.phase).toBe('running');
    expect(sound.played).toEqual([]);
    sound.at = 5000;
    await until(() => sound.played.length > 0);
    expect(sound.played[0]?.kind).toBe('start bell');
    expect(TestBed.inject(RunSource).silent()).toBeFalse();
    sound.at = null;
    await until(() => TestBed.inject(RunSource).silent());
  });

  it('is held by one change of pace while its key is held down, taken back at once', async () => {
    const { runner, sheet } = await setUp();
    await runner.start(sheet, 1);
    for (const repeat of [false, true, true]) runner.pace(0.1, repeat);
    expect(TestBed.inject(Live).pace()).toBeCloseTo(1.3);
    runner.undo();
    expect(TestBed.inject(Live).pace()).toBe(1);
  });

  it('goes by the audio clock and puts bells on it ahead, exactly', async () => {
    const { runner, sound, sheet, go } = await setUp();
    sound.at = 5000;
    await runner.start(sheet, 1);
    await until(() => sound.played.length > 0);
    expect(sound.played[0]).toEqual({ kind: 'start bell', at: 5000 });
    await go(8000);
    await until(() => sound.played.some((cue) => cue.kind === 'ten'));
    expect(sound.played.find((cue) => cue.kind === 'ten')?.at).toBe(15_000);
    await go(12_100);
    expect(runner.leaf()?.round).toBe(2);
  });

  it('puts more than a minute ahead, since a hidden page may look at the clock no more often', async () => {
    const { runner, sound, sheet } = await setUp();
    const [first] = sheet.blocks;
    if (!first) throw new Error('no block');
    await runner.start({ ...sheet, blocks: [{ ...first, ms: 80_000 }] }, 1);
    await until(() => sound.played.some((cue) => cue.kind === 'end bell'));
    expect(sound.played.find((cue) => cue.kind === 'end bell')?.at).toBe(80_000);
  });

  it('silences everything on a pause, and schedules anew when it goes on', async () => {
    const { runner, sound, sheet, go } = await setUp();
    await runner.start(sheet, 1);
    await go(8500);
    const before = sound.silenced;
    runner.toggle();
    expect(sound.silenced).toBe(before + 1);
    expect(runner.state()?.phase).toBe('paused');
    sound.at = 60_000;
    expect(Math.round(runner.position())).toBe(8500);
    sound.played.length = 0;
    runner.toggle();
    await until(() => sound.played.some((cue) => cue.kind === 'ten'));
    expect(sound.played.find((cue) => cue.kind === 'ten')?.at).toBe(61_500);
  });

  it('hands over to the page’s clock when audio is blocked, without a jump', async () => {
    const { runner, sound, sheet, go } = await setUp();
    await runner.start(sheet, 1);
    await go(4000);
    const before = runner.position();
    const blocked = performance.now();
    sound.at = null;
    await new Promise((next) => setTimeout(next, 150));
    // The page's clock has run on since the last look: nothing lost, nothing doubled.
    expect(runner.position() - before - (performance.now() - blocked)).toBeGreaterThan(-60);
    expect(runner.position() - before - (performance.now() - blocked)).toBeLessThan(60);
  });

  it('keeps the run as it goes, and writes the entry before it shows it', async () => {
    const { runner, sheet, go } = await setUp();
    const kept = async () => (await (await TestBed.inject(Store).database()).runs.toArray())[0];
    await runner.start(sheet, 1);
    await go(6000);
    runner.toggle();
    await until(() => runner.state()?.phase === 'paused');
    await new Promise((next) => setTimeout(next, 50));
    expect((await kept())?.at).toBeCloseTo(6000, -2);
    runner.stopNow();
    expect(runner.state()?.phase).toBe('stopped');
    await until(() => runner.entry() !== null);
    TestBed.inject(RunEntry).amend({ note: 'Left early' });
    runner.end();
    await until(() => runner.entry()?.deeds.at(-1)?.what === 'end');
    const log = logHere();
    await until(() => log()?.length === 1);
    const [entry] = log() ?? [];
    expect([entry?.done.ms, entry?.done.finished, entry?.note]).toEqual([6000, false, 'Left early']);
    await TestBed.inject(Store).database();
    expect(await kept()).toBeUndefined();
  });

  it('lets the bell at an open break ring out, and rings the next one only when the break is over', async () => {
    const { runner, sound, sheet, go } = await setUp();
    const [first, last] = sheet.blocks;
    if (!first || !last) throw new Error('no blocks');
    await runner.start({ ...sheet, blocks: [first, { ...freshBlock('rest', freshId), ms: null }, last] }, 1);
    await go(18_500);
    await until(() => sound.played.some((cue) => cue.kind === 'end bell'));
    const bells = () => sound.played.filter((cue) => cue.kind.endsWith('bell')).map((cue) => `${cue.kind} ${cue.at}`);
    expect(bells()).toEqual(['start bell 0', 'end bell 20000']);
    const silenced = sound.silenced;
    await go(2000);
    expect(runner.state()?.phase).toBe('break');
    expect(sound.silenced).toBe(silenced);
    sound.at = 50_000;
    runner.toggle();
    await until(() => bells().length >= 3);
    expect(bells()[2]).toBe('start bell 50000');
    await go(9000);
    await until(() => bells().length >= 4);
    const before = sound.silenced;
    await go(1500);
    await until(() => runner.state()?.phase === 'over');
    // The last bell too.
    expect([bells()[3], sound.silenced]).toEqual(['end bell 60000', before]);
  });

  it('after a stall drops what was missed, tells once how things stand, and plans the rest anew', async () => {
    const { runner, sound, sheet, go, jump } = await setUp();
    await runner.start(sheet, 1);
    await go(4000);
    const { silenced } = sound;
    sound.played.length = 0;
    await jump(17_500);
    expect(sound.silenced).toBe(silenced + 1);
    // Ten seconds, the count and the bell of the first round went by; the second one has begun a second and a half ago.
    const late = sound.played.filter(({ at }) => at <= 21_500);
    expect(late).toEqual(
      [
        { kind: 'end bell', at: 21_500 },
        { kind: 'start bell', at: 21_500 },
      ].slice(-1) as typeof late,
    );
    expect(sound.played.some(({ kind, at }) => kind === 'end bell' && at === 30_000)).toBeTrue();
  });

  it('an hour of the device’s sleep is no hour of the class: it stands at the last second that was seen, and goes on from there', async () => {
    const { runner, sheet, go, jump } = await setUp();
    await runner.start(sheet, 1);
    await go(4000);
    await jump(3_600_000);
    expect(runner.state()?.phase).toBe('paused');
    expect(runner.position()).toBe(4000);
    expect(TestBed.inject(RunSource).slept()).toBeGreaterThanOrEqual(3_599_000);
    runner.toggle();
    await go(2000);
    expect([runner.state()?.phase, runner.position(), TestBed.inject(RunSource).slept()]).toEqual(['running', 6000, 0]);
  });

  it('takes back what was pressed last: a change made in a hold, then the hold by going on, and a jump', async () => {
    const { runner, sheet, go } = await setUp();
    await runner.start(sheet, 1);
    await go(2000);
    runner.hold();
    expect(runner.last()).toBe('class on hold');
    runner.alter({ kind: 'longer', ms: 30_000 });
    expect(runner.last()).toBe('30 s added');
    runner.undo();
    expect([runner.last(), runner.state()?.phase]).toEqual([null, 'held']);
    runner.toggle();
    runner.hold();
    runner.undo();
    expect(runner.state()?.phase).toBe('running');
    const before = Math.round(runner.position());
    runner.go('forward');
    expect([runner.last(), runner.position()]).toEqual(['skipped ahead', 20_000]);
    runner.undo();
    expect(Math.round(runner.position())).toBe(before);
    expect(runner.last()).toBeNull();
  });

  it('takes a broken-off run up, paused at its second', async () => {
    const { runner, sheet } = await setUp();
    await runner.takeUp('a-run', { sheet, at: 12_345, breaksPassed: 0, deeds: [], rate: 1, seen: 0 });
    expect([runner.state()?.phase, runner.position()]).toEqual(['paused', 12_345]);
    runner.go('forward');
    expect(runner.position()).toBe(20_000);
    expect(runner.state()?.phase).toBe('paused');
  });
});
