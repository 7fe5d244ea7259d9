import { TestBed } from '@angular/core/testing';
import { compile, type Sheet } from '../../../core/index';
import { DraftedService } from '../../services/drafted.service';
import { testProviders, until } from '../../spec-store.spec';
import { DraftPanel } from './draft-panel';

describe('draft for me, on the list', () => {
  async function setUp() {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(DraftPanel);
    const made: { sheet: Sheet; seed: number }[] = [];
    fixture.componentInstance.made.subscribe((draft) => made.push(draft));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    const submit = async (minutes: string, goals: string): Promise<void> => {
      const [length, text] = [
        host.querySelector<HTMLInputElement>('[type=number]'),
        host.querySelector<HTMLInputElement>('.goals input'),
      ];
      if (length) length.value = minutes;
      if (text) text.value = goals;
      host.querySelector('form')?.dispatchEvent(new Event('submit', { cancelable: true }));
      await fixture.whenStable();
    };
    return { host, made, submit };
  }

  it('says what is wrong with the wishes, and drafts nothing', async () => {
    const { host, made, submit } = await setUp();
    await submit('5', '');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('10 to 120');
    await submit('20', '1 2; jabb');
    expect(host.querySelector('[role=alert]')?.textContent).toContain('“jabb”');
    expect(made).toEqual([]);
  });

  it('drafts exactly the minutes, with the seed, and never the same again', async () => {
    const { host, made, submit } = await setUp();
    await submit('20', '1 2 3b 2');
    await until(() => made.length === 1);
    expect(host.querySelector('[role=alert]')).toBeNull();
    expect(compile(made[0]?.sheet as Sheet).ms).toBe(20 * 60_000);
    const drafted = TestBed.inject(DraftedService);
    const wishes = { minutes: 12, level: 'beginner', kind: 'technique', bag: 'heavy', goals: ['1 2'] } as const;
    const prints: string[] = [];
    for (let time = 0; time < 8; time += 1) prints.push((await drafted.draft(wishes)).fingerprint);
    expect(new Set(prints).size).toBe(8);
  });
});
