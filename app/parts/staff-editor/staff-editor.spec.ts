import { TestBed } from '@angular/core/testing';
import { readCombination, writeCombination, type Combination } from '../../../core/index';
import { heard } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { StaffEditor } from './staff-editor';

describe('placing moves on the staff', () => {
  async function setUp(text: string) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(StaffEditor);
    const show = (combination: Combination | null): void => fixture.componentRef.setInput('combination', combination);
    const read = readCombination(text);
    show(read.ok ? read.value : null);
    let now = text;
    fixture.componentInstance.changed.subscribe((combination) => {
      now = writeCombination(combination);
      show(combination);
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    document.body.append(host);
    const boxes = () => [...host.querySelectorAll<HTMLElement>('.box')];
    const press = async (at: number, key: string, more: KeyboardEventInit = {}): Promise<string> => {
      boxes()[at]?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }));
      await fixture.whenStable();
      return now;
    };
    return { fixture, host, boxes, press, now: () => now };
  }

  it('has a box for each item, named in words', async () => {
    const { boxes } = await setUp('1 (2 3)x2 ro any 2');
    expect(boxes().map((box) => box.getAttribute('aria-label'))).toEqual([
      '1: jab',
      '2: 2 times: cross, lead hook; end of repeat',
      '3: rear roll',
      '4: any 2, athlete’s choice',
    ]);
  });

  it('moves, puts in and takes out by keys; defences keep the side they had', async () => {
    const { press } = await setUp('sl sl 3');
    expect(await press(0, 'Delete')).toBe('sl-l 3');
    expect(await press(0, 'ArrowRight', { altKey: true })).toBe('3 sl-l');
    expect(await press(0, '2')).toBe('3 2 sl-l');
    expect(await press(2, 'ArrowDown')).toBe('3 2 sl');
    expect(await press(1, 'ArrowUp')).toBe('3 1b sl');
    await until(() => heard() === 'jab to the body');
    expect(await press(0, 'ArrowLeft', { altKey: true })).toBe('3 1b sl');
  });

  it('says of a key that is held that its changes go on, so that one undo takes them all back', async () => {
    const { fixture, press } = await setUp('1 2 3');
    const went: boolean[] = [];
    fixture.componentInstance.changed.subscribe(() => went.push(fixture.componentInstance.goesOn));
    await press(0, 'ArrowDown');
    await press(0, 'ArrowDown', { repeat: true });
    await press(1, 'ArrowDown');
    expect(went).toEqual([false, true, false]);
    // A held key deletes and inserts once.
    expect(await press(0, 'Delete', { repeat: true })).toBe(await press(0, '2', { repeat: true }));
    expect(went.length).toBe(3);
  });

  it('is gone through by arrow keys, to its ends by Home and End', async () => {
    const { boxes, press, host } = await setUp('1 2 3');
    const at = (): number => boxes().findIndex((box) => box === document.activeElement);
    for (const [from, key, to] of [
      [0, 'ArrowRight', 1],
      [1, 'End', 2],
      [2, 'ArrowLeft', 1],
      [1, 'Home', 0],
      [0, 'ArrowLeft', 0],
    ] as const) {
      boxes()[from]?.focus();
      await press(from, key);
      expect(at()).withContext(`${key} at ${from}`).toBe(to);
    }
    host.remove();
  });

  it('never empties the combination', async () => {
    const { press } = await setUp('1');
    expect(await press(0, 'Delete')).toBe('1');
  });

  it('puts offered moves in after the chosen one, and begins an empty one', async () => {
    const { host, now, fixture } = await setUp('1 2');
    const offer = (name: string) => host.querySelector<HTMLElement>(`[aria-label="Insert ${name}"]`)?.click();
    offer('rear roll');
    await fixture.whenStable();
    expect(now()).toBe('1 ro 2');
    fixture.componentRef.setInput('combination', null);
    await fixture.whenStable();
    offer('lead hook');
    expect(now()).toBe('3');
  });

  it('offers steps to either side, holds and what is the athlete’s choice', async () => {
    const { host, now, fixture } = await setUp('1');
    for (const name of [
      'angle out to the lead side',
      'post',
      'any 1!, athlete’s choice',
      'any 1 defences, athlete’s choice',
    ]) {
      const [button] = [...host.querySelectorAll<HTMLElement>('.offer')].filter((each) =>
        each.getAttribute('aria-label')?.endsWith(name),
      );
      button?.click();
      await fixture.whenStable();
    }
    expect(now()).toBe('1 ang-l po any 1! any 1 defences');
  });

  it('says the seam after the chosen move', async () => {
    const { host, boxes, fixture } = await setUp('1 2 4');
    boxes()[1]?.dispatchEvent(new FocusEvent('focus'));
    await fixture.whenStable();
    expect(host.querySelector('p.seam')?.textContent).toContain('the rear side has not reloaded');
  });
});
