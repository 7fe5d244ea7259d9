import { Component } from '@angular/core';
import { Store } from './store/store';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { MatSnackBar } from '@angular/material/snack-bar';
import { DemoService } from './services/demo.service';
import { seedDemo } from './store/demo-rows';
import { Shell } from './shell';
import { builtDemo, testProviders, until } from './spec-store.spec';

@Component({ selector: 'kt-blank', template: '' })
class Blank {}

describe('the frame', () => {
  async function setUp(at: string) {
    const paths = ['sheets', 'combos', 'log', 'settings', 'run/:id'];
    TestBed.configureTestingModule({
      providers: [...testProviders(), provideRouter(paths.map((path) => ({ path, component: Blank })))],
    });
    await TestBed.inject(Store).write('the demo', 'demo', (database) =>
      seedDemo(database, new Date(2026, 10, 23), builtDemo),
    );
    const fixture = TestBed.createComponent(Shell);
    const router = TestBed.inject(Router);
    await router.navigateByUrl(at);
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const press = async (key: string, more: KeyboardEventInit = { altKey: true }): Promise<void> => {
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...more }));
      await fixture.whenStable();
    };
    return { fixture, router, host, press };
  }

  it('names its views and the one that is open', async () => {
    const { host } = await setUp('/sheets');
    expect([...host.querySelectorAll('.rail .name')].map((each) => each.textContent)).toEqual([
      'Sheets',
      'Combinations',
      'Combos',
      'Programme',
      'Gym',
      'Log',
      'Settings',
      'More',
    ]);
    expect(host.querySelector('[aria-current=page]')?.textContent).toContain('Sheets');
  });

  it('goes to views by Alt and a digit, but not out of a run', async () => {
    const { router, press } = await setUp('/sheets');
    await press('5');
    expect(router.url).toBe('/log');
    await press('2', { altKey: true, ctrlKey: true });
    await press('9');
    expect(router.url).toBe('/log');
    await router.navigateByUrl('/run/some');
    await press('1');
    expect(router.url).toBe('/run/some');
  });

  it('leaves the whole screen to a run', async () => {
    const { host } = await setUp('/run/some');
    expect(host.querySelector('.rail')).toBeNull();
    expect(host.querySelector('main.bare')).not.toBeNull();
  });

  it('tells of the demo on the lists only, until it is cleared', async () => {
    const { host, router, fixture } = await setUp('/combos');
    await until(() => {
      TestBed.tick();
      return host.querySelector('.demo') !== null;
    });
    await router.navigateByUrl('/settings');
    await fixture.whenStable();
    expect(host.querySelector('.demo')).toBeNull();
    await router.navigateByUrl('/log');
    await fixture.whenStable();
    host.querySelector<HTMLElement>('.demo button')?.click();
    await until(() => {
      TestBed.tick();
      return host.querySelector('.demo') === null;
    });
    expect(TestBed.inject(DemoService).left()).toBe(0);
    // Shown last, so that nothing runs on into the next spec.
    await until(() => document.querySelector('mat-snack-bar-container') !== null);
    TestBed.inject(MatSnackBar).dismiss();
  });

  it('lets the keyboard skip to the page', async () => {
    const { host } = await setUp('/sheets');
    document.body.append(host);
    host.querySelector<HTMLElement>('.skip')?.click();
    expect(document.activeElement?.id).toBe('main');
    host.remove();
  });
});
