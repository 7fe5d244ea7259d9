import { TestBed } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import fc from 'fast-check';
import { bagKinds, roomFormat, roomVersion, type Room } from '../../core/index';
import { demoRoom } from '../../demo/room';
import { fieldOf, type, wrongAt } from '../hands.spec';
import { testProviders, until } from '../spec-store.spec';
import { RoomService } from '../services/room.service';
import { Store } from '../store/store';
import { BenchPage } from './bench/bench-page';
import { RoomElevation } from './room/room-elevation';
import { RoomPage } from './room/room-page';
import { RoomPlan } from './room/room-plan';
import { SettingsPage } from './settings/settings-page';

/** Attributes of a drawing that may not be negative. */
const sizes = ['width', 'height', 'r', 'rx', 'ry'];

/** What of a page is no number, or is drawn with a negative size. */
function wrongIn(host: HTMLElement): string[] {
  const out: string[] = [];
  for (const element of host.querySelectorAll('*'))
    for (const { name, value } of element.attributes) {
      if (/\b(NaN|Infinity|undefined)\b/.test(value)) out.push(`${element.tagName} ${name}="${value}"`);
      if (element instanceof SVGElement && sizes.includes(name) && Number(value) < 0)
        out.push(`${element.tagName} ${name}="${value}"`);
    }
  if (/\b(NaN|Infinity|undefined)\b/.test(host.textContent)) out.push(host.textContent);
  return out;
}

const measure = (least: number, most: number) =>
  fc.oneof(fc.constantFrom(least, most), fc.double({ min: least, max: most, noNaN: true }));
const anyRoom: fc.Arbitrary<Room> = fc.record({
  format: fc.constant(roomFormat),
  version: fc.constant(roomVersion),
  name: fc.constant('Room'),
  width: measure(1, 100),
  depth: measure(1, 100),
  statures: fc.array(measure(0.8, 2.4), { maxLength: 4 }),
  bags: fc
    .array(
      fc.record({
        kind: fc.constantFrom<string>(...bagKinds),
        name: fc.constant(''),
        x: measure(0, 100),
        y: measure(0, 100),
        radius: measure(0.03, 5),
        // Crossing edges, too: rooms of older versions have them.
        bottom: measure(0, 5),
        top: measure(0.1, 6),
        places: fc.nat(50),
      }),
      { maxLength: 4 },
    )
    .map((bags) => bags.map((bag, at) => ({ ...bag, id: `b${at}` }))),
  ownBags: fc.constant([]),
});

describe('numbers', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));
  afterEach(() => TestBed.inject(MatSnackBar).dismiss());

  it('of any room are drawn as numbers, and nothing with a negative size', async () => {
    const [plan, elevation] = [TestBed.createComponent(RoomPlan), TestBed.createComponent(RoomElevation)];
    for (const fixture of [plan, elevation]) fixture.componentRef.setInput('room', demoRoom);
    let drawn = 0;
    await fc.assert(
      fc.asyncProperty(anyRoom, async (room) => {
        for (const fixture of [plan, elevation]) {
          fixture.componentRef.setInput('room', room);
          await fixture.whenStable();
          expect(wrongIn(fixture.nativeElement as HTMLElement)).toEqual([]);
          drawn += 1;
        }
      }),
      { numRuns: 60 },
    );
    expect(drawn).toBeGreaterThanOrEqual(120);
  });

  const typed = ['0', '-1', '-0.0001', '0.000001', '1e308', '-1e308', '1e-308', '', '99999999999', '3', '2.5'];
  for (const page of [RoomPage, BenchPage, SettingsPage])
    it(`typed into every field of ${page.name} leave it whole`, async () => {
      await (await TestBed.inject(Store).database()).choices.put({ key: 'room', value: demoRoom });
      const fixture = TestBed.createComponent<unknown>(page);
      const host = fixture.nativeElement as HTMLElement;
      await until(() => (TestBed.inject(RoomService).room()?.bags.length ?? 0) > 0);
      await fixture.whenStable();
      host.querySelector<HTMLElement>('kt-room-plan g[role=button]')?.dispatchEvent(new FocusEvent('focus'));
      await fixture.whenStable();
      const count = host.querySelectorAll('input[type=number], input[type=range]').length;
      expect(count).toBeGreaterThan(0);
      for (let at = 0; at < count; at += 1)
        for (const value of typed) {
          const field = host.querySelectorAll<HTMLInputElement>('input[type=number], input[type=range]')[at];
          if (!field) continue;
          field.value = value;
          field.dispatchEvent(new Event('input'));
          field.dispatchEvent(new Event('change'));
          await fixture.whenStable();
          expect(wrongIn(host))
            .withContext(`${field.getAttribute('aria-label') ?? at} ${value}`)
            .toEqual([]);
        }
      fixture.destroy();
    });

  it('that cannot be together are said at the field, and change nothing', async () => {
    await (await TestBed.inject(Store).database()).choices.put({ key: 'room', value: demoRoom });
    const fixture = TestBed.createComponent(RoomPage);
    const host = fixture.nativeElement as HTMLElement;
    const rooms = TestBed.inject(RoomService);
    await until(() => (rooms.room()?.bags.length ?? 0) > 0);
    await fixture.whenStable();
    host.querySelector<HTMLElement>('kt-room-plan g[role=button]')?.dispatchEvent(new FocusEvent('focus'));
    await fixture.whenStable();
    const before = rooms.room()?.bags[0];
    if (!before) throw new Error('no bag');
    type(host, 'Top edge', String(before.bottom));
    await fixture.whenStable();
    expect(fieldOf(host, 'Top edge').value).toBe(String(before.bottom));
    expect(wrongAt(host, 'Top edge')).toBe(`Enter ${(before.bottom + 0.02).toFixed(2).replace(/0$/, '')} to 6`);
    expect(rooms.room()?.bags[0]).toEqual(before);
    expect((await rooms.put({ ...demoRoom, bags: [{ ...before, top: before.bottom }] })).refused).toContain(
      'the top edge must be above the bottom edge',
    );
  });
});
