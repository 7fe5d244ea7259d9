import { CdkDrag } from '@angular/cdk/drag-drop';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { callTrack, compile, readTempoText, type CallEdit, type Sheet, type Wordings } from '../../../core/index';
import { By } from '@angular/platform-browser';
import { SettingsService } from '../../services/settings.service';
import { SheetsService } from '../../services/sheets.service';
import { VoiceService } from '../../services/voice.service';
import { testProviders, until } from '../../spec-store.spec';
import { CallForm } from './call-form';
import { CallRuler } from './call-ruler';
import { CallSheet } from './call-sheet';
import { CallsPage } from './calls-page';
import { WordingsForm } from '../../parts/wordings-form';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
const sheetOf = (...lines: string[]): Sheet => ({ ...readTempoText(lines.join('\n')).sheet, id: 'calls' });
const press = (fixture: ComponentFixture<unknown>, name: string): void => {
  [...host(fixture).querySelectorAll('button')].find(({ textContent }) => textContent.trim() === name)?.click();
};

describe('the calls of a sheet', () => {
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: testProviders() });
    // The speaking rate stands for every voice here.
    TestBed.inject(SettingsService).change({ voice: 'none' });
  });

  async function open(sheet: Sheet): Promise<ComponentFixture<CallsPage>> {
    await TestBed.inject(SheetsService).put(sheet);
    const fixture = TestBed.createComponent(CallsPage);
    fixture.componentRef.setInput('id', sheet.id);
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call]') !== null;
    });
    return fixture;
  }

  it('are made in a worker and stand on the ruler in order', async () => {
    const fixture = await open(sheetOf('round 1:00: 1 2', 'rest 0:30', 'round 1:00: 2 3'));
    const words = [...host(fixture).querySelectorAll('[data-call] .say')].map(({ textContent }) => textContent);
    expect(words.slice(0, 2)).toEqual(['bell', 'One, two.']);
    expect(words.filter((word) => word === 'bell').length).toBe(4);
    expect(words).toContain('ten seconds');
    const tops = [...host(fixture).querySelectorAll<HTMLElement>('ol li')].map(({ style }) => parseFloat(style.top));
    expect([...tops].sort((a, b) => a - b)).toEqual(tops);
    fixture.destroy();
  });

  it('are muted by a key, listed with the reason, and said again; undo takes it back', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2 3'));
    const focus = (): HTMLElement | null => host(fixture).querySelector('[data-call$="focus"]');
    focus()?.dispatchEvent(new KeyboardEvent('keydown', { key: 'm', bubbles: true }));
    await until(() => {
      TestBed.tick();
      return focus() === null;
    });
    expect(host(fixture).textContent).toContain('muted by you');
    press(fixture, 'Say it again');
    await until(() => {
      TestBed.tick();
      return focus() !== null;
    });
    document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, bubbles: true }));
    await until(() => {
      TestBed.tick();
      return focus() === null;
    });
    fixture.destroy();
  });

  it('are moved, locked and muted by keys, also where they are not said', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2 3'));
    const focus = (): HTMLElement | null => host(fixture).querySelector('[data-call$="focus"]');
    const clock = (): string => focus()?.querySelector('.figures')?.textContent ?? '';
    const before = clock();
    const key = (init: KeyboardEventInit): void => {
      focus()?.dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, ...init }));
    };
    key({ key: 'ArrowDown', altKey: true });
    await until(() => {
      TestBed.tick();
      return clock() !== before;
    });
    expect(focus()?.textContent).toContain('yours');
    key({ key: 'l' });
    await until(() => {
      TestBed.tick();
      return clock() === before;
    });
    key({ key: 'm' });
    const unsaid = (): HTMLElement | null => host(fixture).querySelector('[data-unsaid$="focus"]');
    await until(() => {
      TestBed.tick();
      return unsaid() !== null;
    });
    unsaid()?.dispatchEvent(new KeyboardEvent('keydown', { key: 'm', bubbles: true }));
    await until(() => {
      TestBed.tick();
      return focus() !== null;
    });
    fixture.destroy();
  });

  it('follow a stance plan, with the balance beside it', async () => {
    const fixture = await open(sheetOf('round 1:00 x4 rest 0:30: 1 1 2'));
    expect(host(fixture).textContent).toContain('0 changes');
    const plan = [...host(fixture).querySelectorAll('select')].find(({ textContent }) =>
      textContent.includes('each round'),
    );
    if (plan) plan.value = 'each round';
    plan?.dispatchEvent(new Event('change'));
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call$="stance"]') !== null;
    });
    expect(host(fixture).textContent).toContain('3 changes');
    fixture.destroy();
  });

  it('leave whole kinds out', async () => {
    const fixture = await open(sheetOf('round 2:00: 1 2'));
    const tick = [...host(fixture).querySelectorAll('label')].find(({ textContent }) => textContent.trim() === 'time');
    tick?.querySelector('input')?.click();
    await until(() => {
      TestBed.tick();
      return host(fixture).querySelector('[data-call$="time"]') === null;
    });
    fixture.destroy();
  });

  it('say so where there is no such sheet', async () => {
    const fixture = TestBed.createComponent(CallsPage);
    fixture.componentRef.setInput('id', 'nowhere');
    await until(() => {
      TestBed.tick();
      return host(fixture).textContent.includes('This sheet is not here');
    });
    fixture.destroy();
  });
});

describe('parts of the calls', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));
  const sheet = sheetOf('round 11:00: 1 2 3b', 'rest 0:30', 'round 2:00: 1 2');
  const timeline = compile(sheet);
  const track = callTrack(sheet);

  it('one call is reworded, moved by half a second, locked, and let go', async () => {
    const call = track.calls.find(({ kind }) => kind === 'focus');
    if (!call) throw new Error('no focus');
    const fixture = TestBed.createComponent(CallForm);
    const opens = call.at - 1000;
    fixture.componentRef.setInput('call', { ...call, opens });
    const changes: (CallEdit | null)[] = [];
    fixture.componentInstance.changed.subscribe((edit) => changes.push(edit));
    await fixture.whenStable();
    const field = host(fixture).querySelector('input');
    if (field) field.value = 'Elbows down';
    field?.dispatchEvent(new Event('change'));
    press(fixture, '+ 0.5 s');
    press(fixture, 'L Lock here');
    press(fixture, 'M Mute');
    expect(changes).toEqual([
      { key: call.key, say: 'Elbows down' },
      { key: call.key, atMs: 1500 },
      { key: call.key, atMs: 1000 },
      { key: call.key, muted: true },
    ]);
    fixture.componentRef.setInput('edit', { key: call.key, atMs: 1000 });
    await fixture.whenStable();
    press(fixture, 'L Let it move');
    press(fixture, 'As it was');
    expect(changes.slice(4)).toEqual([{ key: call.key, atMs: undefined }, null]);
    // At the end of its window it goes no further.
    fixture.componentRef.setInput('call', { ...call, opens, closes: call.at + call.ms + 200 });
    await fixture.whenStable();
    press(fixture, '+ 0.5 s');
    expect(changes.at(-1)).toEqual({ key: call.key, atMs: 1200 });
  });

  it('one that is not said tells why, and can be put before others', async () => {
    const fixture = TestBed.createComponent(CallForm);
    const unsaid = { key: 'k', kind: 'focus' as const, say: 'Chin down', why: 'there is no room', opens: 12_300 };
    fixture.componentRef.setInput('unsaid', unsaid);
    const changes: (CallEdit | null)[] = [];
    fixture.componentInstance.changed.subscribe((edit) => changes.push(edit));
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('focus at 0:12.3, not said');
    expect(host(fixture).textContent).toContain('“Chin down”: there is no room.');
    press(fixture, 'Say it before others');
    fixture.componentRef.setInput('edit', { key: 'k', muted: true });
    await fixture.whenStable();
    press(fixture, 'Say it again');
    expect(changes).toEqual([{ key: 'k', atMs: 0 }, null]);
  });

  it('the ruler shows what is not said in its place, and a dragged call stays inside its window', async () => {
    const crowded = sheetOf('round 1:00: 1 2', 'rest 0:10', 'round 1:00 "The long way round": 1 2 3b 2 5 4 1 2 3');
    const made = callTrack(crowded);
    const fixture = TestBed.createComponent(CallRuler);
    const focus = made.calls.find(({ kind }) => kind === 'focus');
    if (!focus) throw new Error('no focus');
    fixture.componentRef.setInput('timeline', compile(crowded));
    fixture.componentRef.setInput('track', made);
    fixture.componentRef.setInput('selected', focus.key);
    fixture.componentRef.setInput('scale', 10);
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('[data-unsaid]').length).toBe(made.dropped.length);
    expect(made.dropped.length).toBeGreaterThan(0);
    expect(host(fixture).querySelector('.window')?.getAttribute('height')).toBe(
      String((focus.closes - focus.opens) / 100),
    );
    const moves: number[] = [];
    fixture.componentInstance.moved.subscribe(({ at }) => moves.push(at));
    const drag = (by: number): void => {
      fixture.debugElement
        .query(By.directive(CdkDrag))
        .triggerEventHandler('cdkDragEnded', { distance: { x: 0, y: by }, source: { reset: () => undefined } });
    };
    drag(20);
    drag(-10_000);
    drag(10_000);
    expect(moves).toEqual([focus.at + 2000, focus.opens, focus.closes - focus.ms]);
  });

  it('a bell has its one moment and no words to change', async () => {
    const fixture = TestBed.createComponent(CallForm);
    fixture.componentRef.setInput(
      'call',
      track.calls.find(({ kind }) => kind === 'bell'),
    );
    await fixture.whenStable();
    expect(host(fixture).querySelector('input')?.disabled).toBeTrue();
    const move = [...host(fixture).querySelectorAll('button')].find(({ textContent }) => textContent.includes('+ 0.5'));
    expect(move?.disabled).toBeTrue();
  });

  it('the ruler shows which calls are short or the coach’s own, and where the other stance is', async () => {
    const fixture = TestBed.createComponent(CallRuler);
    const mirrored = { ...sheet, stances: { plan: 'each round' as const, settleMs: 3000, firstPace: 0.8 } };
    const own = callTrack(mirrored);
    const [first] = own.calls.filter(({ kind }) => kind === 'new');
    fixture.componentRef.setInput('timeline', compile(mirrored));
    fixture.componentRef.setInput('track', own);
    fixture.componentRef.setInput('changed', new Set([first?.key]));
    await fixture.whenStable();
    expect(host(fixture).querySelector(`[data-call="${first?.key ?? ''}"]`)?.textContent).toContain('yours');
    expect(host(fixture).querySelectorAll('.leaf.other').length).toBe(1);
    let picked = '';
    fixture.componentInstance.picked.subscribe((key) => (picked = key));
    host(fixture).querySelector<HTMLElement>('[data-call]')?.click();
    expect(picked).toBe(own.calls[0]?.key ?? '');
  });

  it('the call sheet has a page for every ten minutes, and every call stands on one', async () => {
    const fixture = TestBed.createComponent(CallSheet);
    fixture.componentRef.setInput('title', 'Tower');
    fixture.componentRef.setInput('timeline', timeline);
    fixture.componentRef.setInput('track', track);
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('section').length).toBe(2);
    expect(host(fixture).querySelectorAll('p:not(.head)').length).toBe(track.calls.length);
    expect(host(fixture).querySelectorAll('h2')[1]?.textContent).toContain('calls from 10:00');
  });

  it('the call sheet puts a drill’s calls in one paragraph, and writes small where there is much', async () => {
    const drills = sheetOf('round 10:00', '10:00 call go 1 gap 0-1');
    const fixture = TestBed.createComponent(CallSheet);
    const made = callTrack(drills);
    fixture.componentRef.setInput('timeline', compile(drills));
    fixture.componentRef.setInput('track', made);
    await fixture.whenStable();
    const count = made.calls.filter(({ kind }) => kind === 'drill').length;
    expect(count).toBeGreaterThan(100);
    const lines = [...host(fixture).querySelectorAll('p')].map(({ textContent }) => textContent);
    expect(lines.length).toBeLessThan(count / 2);
    expect(lines.join(' ').match(/\d go\b/g)?.length).toBe(count);
    const busy = { ...made, calls: made.calls.map((call) => ({ ...call, kind: 'time' as const })) };
    fixture.componentRef.setInput('track', busy);
    await fixture.whenStable();
    expect(host(fixture).querySelector('.dense')).not.toBeNull();
  });

  it('the phrasebook keeps what is typed, in full and short, and forgets what is emptied', async () => {
    const fixture = TestBed.createComponent(WordingsForm);
    let wordings: Wordings = {};
    fixture.componentRef.setInput('wordings', wordings);
    fixture.componentInstance.changed.subscribe((now) => {
      wordings = now;
      fixture.componentRef.setInput('wordings', now);
    });
    await fixture.whenStable();
    const type = async (at: number, selector: string, value: string): Promise<void> => {
      const field = host(fixture).querySelectorAll<HTMLInputElement>(selector)[at];
      if (!field) throw new Error(selector);
      field.value = value;
      field.dispatchEvent(new Event('change'));
      await fixture.whenStable();
    };
    await type(0, '.row input', 'Change over');
    await type(1, '.row input', 'Change');
    expect(wordings.phrases).toEqual([{ key: 'switch stance', full: 'Change over', short: 'Change' }]);
    await type(0, '.row input', '');
    expect(wordings.phrases?.[0]?.full).toBeUndefined();
    await type(0, 'textarea', 'Elbows in [jab, cross, on heavy, on speed]\nBreathe');
    expect(wordings.focuses).toEqual([
      { words: 'Elbows in', moves: ['jab', 'cross'], bags: ['heavy', 'speed'] },
      { words: 'Breathe', moves: [] },
    ]);
    expect(host(fixture).querySelector('textarea')?.value).toBe('Elbows in [jab, cross, on heavy, on speed]\nBreathe');
    await type(1, 'textarea', ' Good \n\n');
    expect(wordings.cheers).toEqual(['Good']);
    host(fixture).querySelector<HTMLInputElement>('.tick input')?.click();
    expect(wordings.strikesAs).toBe('names');
  });
});

describe('the recorded voices', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  it('without a pack fall back to the speaking rate, and nothing is missing', async () => {
    const voices = TestBed.inject(VoiceService);
    await TestBed.inject(SettingsService).loaded;
    TestBed.tick();
    expect(voices.lengthOf('one two')).toBe(727);
    expect(voices.missing('no such word')).toEqual([]);
    expect(voices.wishes().talk).toBe('all');
    TestBed.inject(SettingsService).change({ talk: 'bells' });
    expect(voices.wishes().talk).toBe('bells');
  });
});
