import { TestBed } from '@angular/core/testing';
import { testProviders } from '../spec-store.spec';
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
    const field = (fixture.nativeElement as HTMLElement).querySelector('input') as HTMLInputElement;
    const type = async (text: string, key?: string): Promise<void> => {
      field.value = text;
      field.dispatchEvent(new Event('input'));
      if (key) field.dispatchEvent(new KeyboardEvent('keydown', { key }));
      await fixture.whenStable();
    };
    return { fixture, field, changes, type };
  }

  it('takes a length on Enter and shows it', async () => {
    const { changes, type, field } = await setUp();
    expect(field.value).toBe('1:00');
    await type('1:30', 'Enter');
    expect(changes).toEqual([90_000]);
  });

  it('says how to mend what it cannot read, and changes nothing', async () => {
    const { changes, type, field, fixture } = await setUp();
    await type('soon', 'Enter');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect((fixture.nativeElement as HTMLElement).textContent).toContain('m:ss');
    await type('soon', 'Escape');
    expect(field.value).toBe('1:00');
    expect(changes).toEqual([]);
  });

  it('is nudged by the arrow keys', async () => {
    const { changes, field } = await setUp();
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }));
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', shiftKey: true }));
    expect(changes).toEqual([65_000, 30_000]);
  });
});
