import { OverlayContainer } from '@angular/cdk/overlay';
import { Injectable } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { testProviders } from '../spec-store.spec';
import { KeysService, sayKey, type Shortcut } from './keys.service';

@Injectable()
class Somebody {}

describe('keys', () => {
  function listen(shortcuts: readonly Shortcut[]): KeysService {
    TestBed.configureTestingModule({ providers: [...testProviders(), Somebody] });
    const keys = TestBed.inject(KeysService);
    TestBed.runInInjectionContext(() => keys.use('Here', shortcuts));
    return keys;
  }
  const press = (target: EventTarget, key: string, more: KeyboardEventInit = {}): boolean =>
    target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));

  it('do what they mean here and now, one key more than one thing, and leave the others to the browser', () => {
    const done: string[] = [];
    let running = false;
    listen([
      {
        keys: ['b'],
        does: 'begin',
        repeats: false,
        when: () => !running,
        press: () => done.push('begin') && (running = true),
      },
      { keys: ['x', 'y'], does: 'end', repeats: false, when: () => running, press: () => done.push('end') },
    ]);
    expect(press(document.body, 'y')).toBeTrue();
    expect(press(document.body, 'b')).toBeFalse();
    expect(press(document.body, 'y')).toBeFalse();
    expect(press(document.body, 'b')).toBeTrue();
    expect(done).toEqual(['begin', 'end']);
  });

  it('are not heard while somebody types, but for those that say so', () => {
    const done: string[] = [];
    listen([
      { keys: ['q'], does: 'quiet', repeats: false, press: () => done.push('quiet') },
      { keys: ['Alt+q'], does: 'loud', repeats: false, typing: true, press: () => done.push('loud') },
    ]);
    const field = document.createElement('input');
    document.body.append(field);
    press(field, 'q');
    press(field, 'q', { altKey: true });
    field.remove();
    expect(done).toEqual(['loud']);
  });

  it('wait while a dialog, a menu or a list lies over the page', () => {
    const done: string[] = [];
    listen([{ keys: ['r'], does: 'run', repeats: false, press: () => done.push('run') }]);
    const overlays = TestBed.inject(OverlayContainer).getContainerElement();
    for (const role of ['dialog', 'menu', 'listbox']) {
      const over = document.createElement('div');
      over.setAttribute('role', role);
      overlays.append(over);
      expect(press(document.body, 'r')).toBeTrue();
      over.remove();
    }
    expect(done).toEqual([]);
    press(document.body, 'r');
    expect(done).toEqual(['run']);
  });

  it('are listed as they are shown, and gone with whoever listens', () => {
    const keys = listen([{ keys: ['$mod+Enter', 'Alt+m'], does: 'run', repeats: false, press: () => undefined }]);
    expect(keys.now()[0]?.shortcuts[0]?.keys.map(sayKey)).toEqual(['Ctrl Enter', 'Alt M']);
    expect(['Shift+?', 'Delete', 'ArrowUp'].map(sayKey)).toEqual(['?', 'Del', '↑']);
    TestBed.resetTestingModule();
    expect(keys.now().map(({ where }) => where)).not.toContain('Here');
  });

  it('that are held down are pressed once, but for those that go on; what goes on is told apart', () => {
    const done: string[] = [];
    const keys = listen([
      { keys: ['t'], does: 'thirty seconds more', repeats: false, press: () => done.push('longer') },
      {
        keys: ['+'],
        does: 'faster',
        repeats: true,
        press: () => done.push(keys.holding ? 'goes on' : 'begins'),
      },
    ]);
    for (const repeat of [false, true, true]) {
      // The key stays this one’s, whether it does something or not.
      expect(press(document.body, 't', { repeat })).toBeFalse();
      press(document.body, '+', { repeat });
    }
    expect(done).toEqual(['longer', 'begins', 'goes on', 'goes on']);
    expect(keys.holding).toBeFalse();
  });
});
