import { TestBed } from '@angular/core/testing';
import { readCombination, type Combination } from '../../../core/index';
import { press } from '../../hands.spec';
import { testProviders } from '../../spec-store.spec';
import { FilesService } from '../../services/files.service';
import { FigurePlayer } from './figure-player';

const combinationOf = (text: string): Combination => {
  const read = readCombination(text);
  if (!read.ok) throw new Error(text);
  return read.value;
};

describe('the player of the figure', () => {
  async function opened(text: string, chosen: number | null = null) {
    const saved: { name: string; type: string }[] = [];
    const files = {
      fileName: (title: string, ending: string) => `${title.replaceAll(' ', '-')}.${ending}`,
      save: (name: string, _: unknown, type: string) => Promise.resolve(void saved.push({ name, type })),
    };
    TestBed.configureTestingModule({ providers: [...testProviders(), { provide: FilesService, useValue: files }] });
    const fixture = TestBed.createComponent(FigurePlayer);
    fixture.componentRef.setInput('combination', combinationOf(text));
    fixture.componentRef.setInput('chosen', chosen);
    const host = fixture.nativeElement as HTMLElement;
    host.style.width = '400px';
    document.body.append(host);
    await fixture.whenStable();
    /** The moment that is shown, as the picture has it. */
    const at = (): number => (fixture.componentInstance as unknown as { at: () => number }).at();
    return { fixture, host, at, saved };
  }

  it('says in words what it shows, and what it is not', async () => {
    const { host } = await opened('1 2 3b');
    expect(host.querySelector('.picture')?.getAttribute('aria-label')).toBe(
      'The figure shows, orthodox: jab, cross, lead hook to the body.',
    );
    expect(host.textContent).toContain('it is not an instructor');
  });

  it('is held at each telling moment in turn, from the last back to the first', async () => {
    const { host, at, fixture } = await opened('1 2', 0);
    // The jab lands at 0.15 s, the cross at 0.30 + 0.15 (trade page, section 4; half of its length).
    expect(at()).toBe(150);
    host.querySelector<HTMLElement>('[aria-label="Next move"]')?.click();
    expect(at()).toBe(450);
    host.querySelector<HTMLElement>('[aria-label="Next move"]')?.click();
    expect(at()).toBe(150);
    host.querySelector<HTMLElement>('[aria-label="Previous move"]')?.click();
    expect(at()).toBe(450);
    await fixture.whenStable();
    expect(host.textContent).toContain('Play');
  });

  it('goes to and fro over one seam when it is told to, and through everything again', async () => {
    const { host, at, fixture } = await opened('1 2 3', 1);
    expect(at()).toBe(450);
    press(host, 'Repeat this transition');
    await fixture.whenStable();
    expect(host.textContent).toContain('Play it all');
    const seen: number[] = [];
    for (let look = 0; look < 30; look += 1) {
      await new Promise((done) => requestAnimationFrame(done));
      seen.push(at());
    }
    // From a little before the cross lands to a little after the hook does.
    expect(Math.min(...seen)).toBeGreaterThanOrEqual(250);
    expect(Math.max(...seen)).toBeLessThanOrEqual(450 + 330 + 200);
    press(host, 'Play it all');
    await fixture.whenStable();
    expect(host.textContent).toContain('Repeat this transition');
  });

  it('draws something, and something else at another moment and from another side', async () => {
    const { host, fixture } = await opened('1 bk', 0);
    const canvas = host.querySelector('canvas') as HTMLCanvasElement;
    const picture = async (): Promise<string> => {
      await fixture.whenStable();
      await new Promise((done) => setTimeout(done, 60));
      return canvas.toDataURL();
    };
    const jab = await picture();
    expect(canvas.width).toBeGreaterThan(100);
    host.querySelector<HTMLElement>('[aria-label="Next move"]')?.click();
    const kick = await picture();
    expect(kick).not.toBe(jab);
    (fixture.componentInstance as unknown as { turn: (degrees: number) => void }).turn(90);
    expect(await picture()).not.toBe(kick);
  });

  it('saves its moments as SVG and as PNG', async () => {
    const { host, saved } = await opened('1 2');
    press(host, 'Save as SVG');
    press(host, 'Save as PNG');
    for (let wait = 0; saved.length < 2 && wait < 50; wait += 1) await new Promise((done) => setTimeout(done, 20));
    expect(saved).toEqual([
      { name: '1-2.svg', type: 'image/svg+xml' },
      { name: '1-2.png', type: 'image/png' },
    ]);
  });
});
