import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { MatSnackBar } from '@angular/material/snack-bar';
import { roomSchema, type Room } from '../../../core/index';
import { demoRoom } from '../../../demo/room';
import { RoomService } from '../../services/room.service';
import { SettingsService } from '../../services/settings.service';
import { Store } from '../../store/store';
import { heard, type, wrongAt } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { RoomPage } from './room-page';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;

describe('the room', () => {
  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    await (await TestBed.inject(Store).database()).choices.put({ key: 'room', value: demoRoom });
  });
  afterEach(() => {
    TestBed.inject(MatSnackBar).dismiss();
  });

  const room = (): Room | undefined => TestBed.inject(RoomService).room();

  async function show<T>(component: new () => T): Promise<ComponentFixture<T>> {
    const fixture = TestBed.createComponent(component);
    await until(() => (room()?.bags.length ?? 0) > 0);
    await fixture.whenStable();
    return fixture;
  }

  it('moves a bag by its arrow keys, within the walls', async () => {
    const fixture = await show(RoomPage);
    const bag = host(fixture).querySelector<SVGGElement>('kt-room-plan g[role=button]');
    bag?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
    await until(() => room()?.bags[0]?.x === 3.1);
    await until(() => heard() !== '');
    expect(heard()).toBe('3.10 m from the left, 2.00 m from the front');
    for (let press = 0; press < 2; press += 1) {
      bag?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', shiftKey: true, bubbles: true }));
      const y = 2 - 0.5 * (press + 1);
      await until(() => room()?.bags[0]?.y === y);
      await fixture.whenStable();
    }
    expect(host(fixture).querySelector('kt-room-plan')?.textContent).toContain('too close');
  });

  it('says what the numbers say, takes a bag out and puts it back', async () => {
    const fixture = await show(RoomPage);
    expect(host(fixture).querySelector('.says')?.textContent).toContain('bottom edge is at 0.75 m');
    host(fixture).querySelectorAll<SVGGElement>('kt-room-plan g[role=button]')[1]?.dispatchEvent(new Event('focus'));
    await fixture.whenStable();
    [...host(fixture).querySelectorAll('button')].find(({ textContent }) => textContent.includes('Remove'))?.click();
    await until(() => room()?.bags.length === 4);
    await until(() => document.querySelector('mat-snack-bar-container') !== null);
    document.querySelector<HTMLButtonElement>('mat-snack-bar-container button')?.click();
    await until(() => room()?.bags.length === 5);
  });

  it('takes heights in the coach’s units, and refuses what nobody is', async () => {
    const fixture = await show(RoomPage);
    type(host(fixture), 'Heights in m', '9');
    expect(wrongAt(host(fixture), 'Heights in m')).toContain('for example 1.75');
    expect(room()?.statures.length).toBe(12);
    type(host(fixture), 'Heights in m', '1.7 1.8');
    await until(() => room()?.statures.length === 2);
    TestBed.inject(SettingsService).change({ units: 'imperial' });
    await fixture.whenStable();
    type(host(fixture), 'Heights in in', '70 72 71');
    await until(() => room()?.statures.length === 3);
    expect(room()?.statures[0]).toBeCloseTo(1.778, 3);
    expect(room()?.people).toBe(3);
  });

  it('makes a kind of the coach’s own, and says why one is refused', async () => {
    const fixture = await show(RoomPage);
    const own = host(fixture).querySelector<HTMLElement>('kt-own-bags');
    if (!own) return;
    const form = own.querySelector('form');
    form?.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    expect(wrongAt(own, 'Name')).toBe('Enter a name');
    type(own, 'Name', 'heavy');
    expect(wrongAt(own, 'Name')).not.toBe('');
    type(own, 'Name', 'Rope mat');
    form?.dispatchEvent(new Event('submit'));
    await until(() => room()?.ownBags[0]?.name === 'Rope mat');
    expect(roomSchema.safeParse(room()).success).toBeTrue();
  });

  it('what is not readable is not shown as a room, and a bad room is not written', async () => {
    const rooms = TestBed.inject(RoomService);
    await until(() => room() !== undefined);
    expect((await rooms.put({ ...demoRoom, width: -1 })).refused).toContain('width');
    expect(room()?.width).toBe(9);
    await (await TestBed.inject(Store).database()).choices.put({ key: 'room', value: { width: 'wide' } });
    await until(() => room()?.bags.length === 0);
  });
});
