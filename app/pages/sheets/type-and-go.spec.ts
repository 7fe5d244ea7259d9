import { TestBed } from '@angular/core/testing';
import { compile, type Sheet } from '../../../core/index';
import { DraftedService } from '../../services/drafted.service';
import { SettingsService } from '../../services/settings.service';
import { testProviders, until } from '../../spec-store.spec';
import { TypeAndGo } from './type-and-go';

describe('type and go, on the list', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(TypeAndGo);
    const made: { sheet: Sheet; seed: number; run: boolean }[] = [];
    fixture.componentInstance.made.subscribe((draft) => made.push(draft));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const type = (selector: string, text: string): void => {
      const field = host.querySelector<HTMLInputElement>(selector);
      if (!field) return;
      field.value = text;
      field.dispatchEvent(new Event('input'));
    };
    const submit = async (minutes: string, goals: string, event = new Event('submit', { cancelable: true })) => {
      type('[type=number]', minutes);
      type('.goals input', goals);
      host.querySelector('form')?.dispatchEvent(event);
      await fixture.whenStable();
    };
    return { host, made, submit };
  }

  it('says what is wrong with the wishes, and drafts nothing', async () => {
    const { host, made, submit } = await setUp();
    await submit('5', '');
    expect(host.querySelector('mat-error')?.textContent).toContain('10 to 120');
    await submit('20', '1 2; jabb');
    expect(host.querySelector('mat-error')?.textContent).toContain('“jabb”');
    expect(made).toEqual([]);
  });

  it('drafts exactly the minutes, with the seed, and never the same again', async () => {
    const { host, made, submit } = await setUp();
    await submit('20', '1 2 3b 2');
    await until(() => made.length === 1);
    expect(host.querySelector('mat-error')).toBeNull();
    expect(made[0]?.run).toBeFalse();
    expect(compile(made[0]?.sheet as Sheet).ms).toBe(20 * 60_000);
    const drafted = TestBed.inject(DraftedService);
    const wishes = { minutes: 12, level: 'beginner', kind: 'technique', bag: 'heavy', goals: ['1 2'] } as const;
    const prints: string[] = [];
    for (let time = 0; time < 8; time += 1) prints.push((await drafted.draft(wishes)).fingerprint);
    expect(new Set(prints).size).toBe(8);
  });

  it('runs at once on Ctrl Enter, and remembers what was wished for', async () => {
    const { made, submit } = await setUp();
    await submit('25', '', new KeyboardEvent('keydown', { key: 'Enter', ctrlKey: true, bubbles: true }));
    await until(() => made.length === 1);
    expect(made[0]?.run).toBeTrue();
    expect(TestBed.inject(SettingsService).settings().draft.minutes).toBe(25);
  });
});
