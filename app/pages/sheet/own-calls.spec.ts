import { TestBed } from '@angular/core/testing';
import { freshBlock, type Block } from '../../../core/index';
import { press, type } from '../../hands.spec';
import { freshId } from '../../services/fresh-id';
import { testProviders } from '../../spec-store.spec';
import { OwnCalls } from './own-calls';

describe('the coach’s own calls of a block', () => {
  async function setUp(says: Block['says']) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(OwnCalls);
    let block: Block = { ...freshBlock('round', freshId), says };
    const show = (): void => fixture.componentRef.setInput('block', block);
    show();
    fixture.componentInstance.changed.subscribe((now) => {
      block = { ...block, says: now };
      show();
    });
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    document.body.append(host);
    const said = (): string[] => (block.says ?? []).map(({ words, atMs }) => `${atMs / 1000} ${words}`);
    return { fixture, host, said };
  }

  it('are added behind each other, reworded, moved by their time, and removed', async () => {
    const { fixture, host, said } = await setUp([{ words: 'Hands up', atMs: 20_000 }]);
    press(host, 'Add a call');
    await fixture.whenStable();
    expect(said()).toEqual(['20 Hands up', '35 Your words']);
    type(host, 'Call 2', 'Last ones, sharp');
    await fixture.whenStable();
    expect(said()).toEqual(['20 Hands up', '35 Last ones, sharp']);
    host.querySelector<HTMLElement>('[aria-label="When call 2 is made"]')?.click();
    await fixture.whenStable();
    type(host, 'When call 2 is made', '0:10');
    await fixture.whenStable();
    expect(said()).toEqual(['10 Last ones, sharp', '20 Hands up']);
    host.querySelector<HTMLElement>('[aria-label="When call 1 is made"]')?.click();
    await fixture.whenStable();
    // At the very beginning, too.
    type(host, 'When call 1 is made', '0:00');
    await fixture.whenStable();
    expect(said()).toEqual(['0 Last ones, sharp', '20 Hands up']);
    host.querySelector<HTMLElement>('[aria-label="Remove call 1"]')?.click();
    await fixture.whenStable();
    expect(said()).toEqual(['20 Hands up']);
    fixture.destroy();
  });

  it('whose words are taken out are gone, and no call is left behind the end of its block', async () => {
    const { fixture, host, said } = await setUp([{ words: 'Nearly there', atMs: 178_000 }]);
    press(host, 'Add a call');
    await fixture.whenStable();
    expect(said()).toEqual(['178 Nearly there', '179 Your words']);
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Call 2');
    type(host, 'Call 1', ' ');
    await fixture.whenStable();
    expect(said()).toEqual(['179 Your words']);
    fixture.destroy();
  });

  it('take the keys where they come to stand, before one that lies beyond the end of its block', async () => {
    const { fixture, host, said } = await setUp([{ words: 'Too late', atMs: 400_000 }]);
    press(host, 'Add a call');
    await fixture.whenStable();
    expect(said()).toEqual(['179 Your words', '400 Too late']);
    expect(document.activeElement?.getAttribute('aria-label')).toBe('Call 1');
    fixture.destroy();
  });
});
