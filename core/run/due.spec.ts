import { readTempoText } from '../formats/tempo-text/read';
import { scriptOf } from '../script/script';
import type { SoundCue, SoundKind } from '../script/sounds';
import { dueFrom, latestCue } from './due';
import { ClockWatch, standsAfter } from './standing';

describe('what was missed', () => {
  const cue = (at: number, kind: SoundKind, breaksBefore = 0): SoundCue => ({ at, kind, breaksBefore });

  it('is passed over; the last one that tells how things stand is heard once', () => {
    const cues = [
      cue(0, 'start bell'),
      cue(1000, 'click'),
      cue(2000, 'click'),
      cue(3000, 'change'),
      cue(4000, 'count'),
    ];
    expect(dueFrom(cues, 0, 0, 0)).toEqual({ late: null, next: 0 });
    expect(dueFrom(cues, 0, latestCue, 0)).toEqual({ late: null, next: 0 });
    expect(dueFrom(cues, 0, latestCue + 1, 0)).toEqual({ late: cues[0] as SoundCue, next: 1 });
    expect(dueFrom(cues, 1, 2500, 0)).toEqual({ late: null, next: 3 });
    expect(dueFrom(cues, 1, 60_000, 0)).toEqual({ late: cues[3] as SoundCue, next: 5 });
  });

  it('is never what waits behind an open break', () => {
    const cues = [cue(1000, 'end bell'), cue(1000, 'start bell', 1)];
    expect(dueFrom(cues, 0, 9000, 0)).toEqual({ late: cues[0] as SoundCue, next: 1 });
    expect(dueFrom(cues, 1, 9000, 1)).toEqual({ late: cues[1] as SoundCue, next: 2 });
  });

  it('of ten seconds of clicks at 168 a minute is no click at all', () => {
    const { sheet } = readTempoText('round 1:00\n  1:00 nonstop: 1 2 clicks at 168 bpm');
    const cues = scriptOf(sheet).sounds;
    const missed = cues.filter(({ kind, at }) => kind === 'click' && at < 10_000);
    expect(missed.length).toBe(28);
    const { late, next } = dueFrom(cues, 0, 10_200, 0);
    expect(late?.kind).toBe('start bell');
    expect((cues[next]?.at ?? 0) >= 10_200 - latestCue).toBeTrue();
  });
});

describe('a clock that is watched', () => {
  it('is believed while it moves, and for four tenths of a second after that', () => {
    const watch = new ClockWatch();
    expect(watch.read(1000, 0)).toBe(1000);
    expect(watch.read(1000, standsAfter)).toBe(1000);
    expect(watch.read(1000, standsAfter + 1)).toBeNull();
    expect(watch.read(1001, 900)).toBe(1001);
    expect(watch.read(null, 950)).toBeNull();
    expect(watch.read(1001, 2000)).toBe(1001);
  });
});
