import { TestBed } from '@angular/core/testing';
import { testProviders } from '../../spec-store.spec';
import { ClockField } from './clock-field';

describe('a length that is typed over', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(ClockField);
    fixture.componentRef.setInput('ms', 60_000);
    fixture.componentRef.setInput('label', 'Length');
    const changes: number[] = [];
    fixture.componentInstance.changed.subscribe((ms) => changes.push(ms));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const button = (): HTMLButtonElement | null => host.querySelector('button');
    const field = (): HTMLInputElement => host.querySelector('input') as HTMLInputElement;
    const open = async (): Promise<void> => {
      button()?.click();
      await fixture.whenStable();
    };
    const type = async (text: string, key?: string): Promise<void> => {
      field().value = text;
      field().dispatchEvent(new Event('input'));
      if (key) field().dispatchEvent(new KeyboardEvent('keydown', { key }));
      await fixture.whenStable();
    };
    return { host, button, field, changes, open, type };
  }

  it('is text until it is pressed, takes a length on Enter, and is text again', async () => {
    const { changes, type, field, open, button } = await setUp();
    expect(button()?.textContent?.trim()).toBe('1:00');
    expect(button()?.getAttribute('aria-label')).toBe('Length');
    await open();
    expect(field().value).toBe('1:00');
    expect(field().getAttribute('aria-label')).toBe('Length');
    await type('1:30', 'Enter');
    expect(changes).toEqual([90_000]);
    expect(button()).not.toBeNull();
  });

  it('says how to mend what it cannot read, keeps it, and changes nothing', async () => {
    const { changes, type, field, host, open, button } = await setUp();
    await open();
    await type('soon', 'Enter');
    field().dispatchEvent(new Event('blur'));
    await type('soon');
    expect(host.textContent).toContain('m:ss');
    expect(field().value).toBe('soon');
    await type('soon', 'Escape');
    expect(button()?.textContent?.trim()).toBe('1:00');
    expect(changes).toEqual([]);
  });

  it('is nudged by the arrow keys', async () => {
    const { changes, field, open } = await setUp();
    await open();
    field().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }));
    field().dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', shiftKey: true }));
    expect(changes).toEqual([65_000, 30_000]);
  });
});
