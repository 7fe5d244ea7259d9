import { TestBed } from '@angular/core/testing';
import { compile, readTempoText, scriptOf } from '../../../core/index';
import { testProviders } from '../../spec-store.spec';
import { StageFigure } from './stage-figure';

describe('the figure on the stage', () => {
  async function shown(text: string, block: string, inputs: Record<string, unknown> = {}) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const { sheet } = readTempoText(text);
    const timeline = compile(sheet);
    const leaf = timeline.leaves.find((each) => each.block === block);
    if (!leaf) throw new Error('no leaf');
    const fixture = TestBed.createComponent(StageFigure);
    const all = { leaf, script: scriptOf(sheet, {}, timeline), position: leaf.at, view: 'three-quarter', ...inputs };
    for (const [name, value] of Object.entries(all)) fixture.componentRef.setInput(name, value);
    await fixture.whenStable();
    const look = fixture.componentInstance as unknown as {
      at: () => number;
      seen: () => { azimuth: number; mirrored: boolean };
      beside: () => unknown;
    };
    return { fixture, leaf, look, host: fixture.nativeElement as HTMLElement };
  }

  it('moves with the session, with the bag of the piece beside it', async () => {
    const { fixture, leaf, look, host } = await shown('bag: heavy\nround 1:00: 1 2', 'round');
    expect(host.querySelector('[role="img"]')?.getAttribute('aria-label')).toBe('The figure shows: jab, cross.');
    expect(look.beside()).not.toBeNull();
    fixture.componentRef.setInput('position', leaf.at + 1234);
    expect(look.at()).toBe(1234);
    expect(look.seen().azimuth).toBe(48);
  });

  it('goes from still to still where motion is to be little', async () => {
    const { fixture, leaf, look } = await shown('round 1:00: 1 2', 'round', { calm: true });
    const stills = new Set<number>();
    for (let at = 0; at < 3000; at += 50) {
      fixture.componentRef.setInput('position', leaf.at + at);
      stills.add(look.at());
    }
    expect(stills.size).toBeGreaterThan(1);
    expect(stills.size).toBeLessThan(6);
  });

  it('chooses where a show is seen from: the side first, then in front, and no bag', async () => {
    const { fixture, leaf, look } = await shown('bag: heavy\nshow 1:30: 1 2 3b 2\nround 1:00: 1 2', 'show');
    const seen = new Set<string>();
    for (let at = 0; at < 90_000; at += 500) {
      fixture.componentRef.setInput('position', leaf.at + at);
      const { azimuth, mirrored } = look.seen();
      seen.add(`${azimuth} ${mirrored}`);
    }
    expect([...seen]).toEqual(jasmine.arrayContaining(['90 false', '0 true']));
    expect(look.beside()).toBeNull();
  });

  it('holds the pose of an exercise that it knows', async () => {
    const { host, look } = await shown('core 1:00\n  1:00 plank', 'core');
    expect(host.querySelector('[role="img"]')?.getAttribute('aria-label')).toBe('The figure shows: plank');
    expect(look.at()).toBeGreaterThan(0);
  });
});
