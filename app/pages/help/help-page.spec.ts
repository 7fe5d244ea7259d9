import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { GuideService } from '../../services/guide.service';
import { testProviders, until } from '../../spec-store.spec';
import { HelpPage } from './help-page';

const pages = [
  { id: 'plan', title: 'Plan a class', html: '<h1 id="plan">Plan a class</h1>', words: 'Plan a class sheet' },
  {
    id: 'run',
    title: 'Run a class',
    html: '<h1>Run a class</h1><a href="/help/plan#plan">plan</a>',
    words: 'Run bell',
  },
];

describe('help', () => {
  async function show(page: string | undefined, guide: Pick<GuideService, 'pages'>) {
    TestBed.configureTestingModule({
      providers: [...testProviders(), provideRouter([]), { provide: GuideService, useValue: guide }],
    });
    const fixture = TestBed.createComponent(HelpPage);
    if (page !== undefined) fixture.componentRef.setInput('page', page);
    const host = fixture.nativeElement as HTMLElement;
    const shows = (words: string) =>
      until(() => {
        TestBed.tick();
        return host.textContent.includes(words);
      });
    return { host, shows };
  }
  const whole = { pages: () => Promise.resolve(pages) };

  it('opens the first page, or the one that is named, and follows links inside the application', async () => {
    const { host, shows } = await show('run', whole);
    await shows('plan');
    expect(host.querySelector('article h1')?.textContent).toBe('Run a class');
    const go = spyOn(TestBed.inject(Router), 'navigateByUrl').and.resolveTo(true);
    host.querySelector<HTMLElement>('article a')?.click();
    expect(go).toHaveBeenCalledWith('/help/plan#plan');
  });

  it('is searched by the words of its pages', async () => {
    const { host, shows } = await show(undefined, whole);
    await shows('Plan a class');
    const field = host.querySelector('input');
    if (field) field.value = 'bell';
    field?.dispatchEvent(new Event('input'));
    TestBed.tick();
    expect([...host.querySelectorAll('section a')].map((each) => each.textContent.trim())).toEqual(['Run a class']);
  });

  it('says so where the guide cannot be loaded, or has no such page', async () => {
    await (await show(undefined, { pages: () => Promise.reject(new Error('gone')) })).shows('could not be loaded');
    TestBed.resetTestingModule();
    await (await show('nothing', whole)).shows('Help page not found');
  });
});
