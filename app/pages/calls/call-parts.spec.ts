import { CdkDrag } from '@angular/cdk/drag-drop';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { By } from '@angular/platform-browser';
import { scriptOf, compile, readTempoText, sayClock, type CallEdit, type Sheet } from '../../../core/index';
import { type } from '../../hands.spec';
import { testProviders } from '../../spec-store.spec';
import { CallForm } from './call-form';
import { CallRuler } from './call-ruler';
import { CallSheet } from './call-sheet';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
const sheetOf = (...lines: string[]): Sheet => ({ ...readTempoText(lines.join('\n')).sheet, id: 'calls' });
const press = (fixture: ComponentFixture<unknown>, name: string): void => {
  [...host(fixture).querySelectorAll('button')].find(({ textContent }) => textContent.trim() === name)?.click();
};

describe('parts of the calls', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));
  const sheet = sheetOf('round 11:00: 1 2 3b', 'rest 0:30', 'round 2:00: 1 2');
  const timeline = compile(sheet);
  const track = scriptOf(sheet);

  it('one call is reworded, moved by half a second, locked, and let go', async () => {
    const call = track.calls.find(({ kind }) => kind === 'focus');
    if (!call) throw new Error('no focus');
    const fixture = TestBed.createComponent(CallForm);
    const opens = call.at - 1000;
    fixture.componentRef.setInput('call', { ...call, opens });
    const changes: (CallEdit | null)[] = [];
    fixture.componentInstance.changed.subscribe((edit) => changes.push(edit));
    await fixture.whenStable();
    type(host(fixture), 'Words', 'Elbows down');
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
    press(fixture, 'L Unlock');
    press(fixture, 'Reset');
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
    expect(host(fixture).textContent).toContain('Cue at 0:12.3, left out');
    expect(host(fixture).textContent).toContain('“Chin down”: there is no room.');
    press(fixture, 'Give it priority');
    fixture.componentRef.setInput('edit', { key: 'k', muted: true });
    await fixture.whenStable();
    press(fixture, 'Unmute');
    expect(changes).toEqual([{ key: 'k', atMs: 0 }, null]);
  });

  it('the ruler shows what is not said in its place, and a dragged call stays inside its window', async () => {
    const crowded = sheetOf('round 1:00: 1 2', 'rest 0:10', 'round 1:00 "The long way round": 1 2 3b 2 5 4 1 2 3');
    const made = scriptOf(crowded);
    const fixture = TestBed.createComponent(CallRuler);
    const focus = made.calls.find(({ kind }) => kind === 'focus');
    if (!focus) throw new Error('no focus');
    fixture.componentRef.setInput('timeline', compile(crowded));
    fixture.componentRef.setInput('script', made);
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
    expect(host(fixture).querySelector('input')).toBeNull();
    const move = [...host(fixture).querySelectorAll('button')].find(({ textContent }) => textContent.includes('+ 0.5'));
    expect(move?.disabled).toBeTrue();
  });

  it('the ruler shows which calls are short or the coach’s own, and where the other stance is', async () => {
    const fixture = TestBed.createComponent(CallRuler);
    const mirrored = { ...sheet, stances: { plan: 'each round' as const, settleMs: 3000, firstPace: 0.8 } };
    const own = scriptOf(mirrored);
    const [first] = own.calls.filter(({ kind }) => kind === 'new');
    fixture.componentRef.setInput('timeline', compile(mirrored));
    fixture.componentRef.setInput('script', own);
    fixture.componentRef.setInput('changed', new Set([first?.key]));
    await fixture.whenStable();
    expect(host(fixture).querySelector(`[data-call="${first?.key ?? ''}"]`)?.textContent).toContain('yours');
    expect(host(fixture).querySelectorAll('.leaf.other').length).toBe(1);
    let picked = '';
    fixture.componentInstance.picked.subscribe((key) => (picked = key));
    host(fixture).querySelector<HTMLElement>('[data-call]')?.click();
    expect(picked).toBe(own.calls[0]?.key ?? '');
  });

  it('the ruler shows what is said at an open rest at its one moment, before what follows it', async () => {
    const open = sheetOf('round 1:00: 1 2', 'rest open', 'round 1:00: 1 2');
    const fixture = TestBed.createComponent(CallRuler);
    fixture.componentRef.setInput('timeline', compile(open));
    fixture.componentRef.setInput('script', scriptOf(open));
    await fixture.whenStable();
    const rows = [...host(fixture).querySelectorAll('[data-call]')].map(({ children }) =>
      [...children]
        .map(({ textContent }) => textContent)
        .join(' ')
        .trim(),
    );
    const at = rows.findIndex((row) => row.endsWith('open rest'));
    expect(rows.slice(at, at + 4)).toEqual([
      '1:00.0 bell open rest',
      '1:00.0 Take a break. Start again when ready. open rest',
      '1:00.0 Next, the last round: one, two open rest',
      '1:00.0 bell',
    ]);
  });

  it('the call sheet has a page for every ten minutes, and every call stands on one', async () => {
    const fixture = TestBed.createComponent(CallSheet);
    fixture.componentRef.setInput('title', 'Tower');
    fixture.componentRef.setInput('timeline', timeline);
    fixture.componentRef.setInput('script', track);
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('section').length).toBe(2);
    const paper = [...host(fixture).querySelectorAll('p:not(.head)')].map(({ textContent }) => textContent.trim());
    // Every call with its second; what is counted stands in one paragraph.
    expect(track.calls.length).toBeGreaterThan(0);
    for (const { at, kind, say } of track.calls)
      expect(
        paper.some((line) =>
          line.includes(`${sayClock(Math.floor(at / 1000) * 1000)} ${kind === 'bell' ? '(bell)' : say}`),
        ),
      )
        .withContext(say)
        .toBeTrue();
    expect(paper.some((line) => /three · \d+:\d\d two · \d+:\d\d one/.test(line))).toBeTrue();
    expect(paper.length).toBeLessThan(track.calls.length);
    expect(host(fixture).querySelectorAll('h2')[1]?.textContent).toContain('calls from 10:00');
  });

  it('the call sheet puts a drill’s calls in one paragraph, and writes small where there is much', async () => {
    const drills = sheetOf('round 10:00', '10:00 call go 1 gap 0-1');
    const fixture = TestBed.createComponent(CallSheet);
    const made = scriptOf(drills);
    fixture.componentRef.setInput('timeline', compile(drills));
    fixture.componentRef.setInput('script', made);
    await fixture.whenStable();
    const count = made.calls.filter(({ kind }) => kind === 'drill').length;
    expect(count).toBeGreaterThan(100);
    const lines = [...host(fixture).querySelectorAll('p')].map(({ textContent }) => textContent);
    expect(lines.length).toBeLessThan(count / 2);
    expect(lines.join(' ').match(/\d go\b/g)?.length).toBe(count);
    const busy = { ...made, calls: made.calls.map((call) => ({ ...call, kind: 'time' as const })) };
    fixture.componentRef.setInput('script', busy);
    await fixture.whenStable();
    expect(host(fixture).querySelector('.dense')).not.toBeNull();
  });
});
