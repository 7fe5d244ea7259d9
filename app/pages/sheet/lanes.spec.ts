import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { lanesOf, pieceLanes, readTempoText, six, type Piece, type Sheet } from '../../../core/index';
import { demoRoom } from '../../../demo/room';
import { RoomService } from '../../services/room.service';
import { SheetsService } from '../../services/sheets.service';
import { Store } from '../../store/store';
import { type, wrongAt } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { Editor } from '../../services/editor';
import { LaneVersions } from './lane-versions';
import { LanesPanel } from './lanes-panel';
import { TodayForm } from './today-form';

const host = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
const press = (fixture: ComponentFixture<unknown>, text: string, at = 0): void => {
  [...host(fixture).querySelectorAll('button')].filter(({ textContent }) => textContent.trim() === text)[at]?.click();
};
const sheetOf = (text: string): Sheet => readTempoText(text).sheet;

describe('lanes on the sheet', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: [...testProviders(), Editor] }));

  it('are accepted, overruled, edited and let go', async () => {
    const sheet = sheetOf('lane: heavy, 2 places\nlane: double-end, 2 places\nround 1:00: 1 2 3b');
    const [block] = sheet.blocks;
    const [piece] = block?.pieces ?? [];
    if (!block || !piece) throw new Error('no piece');
    const fixture = TestBed.createComponent(LaneVersions);
    const set = (now: Piece): void => {
      fixture.componentRef.setInput('piece', now);
      fixture.componentRef.setInput('versions', pieceLanes(now, block, lanesOf(sheet)));
    };
    fixture.componentRef.setInput('scheme', six);
    set(piece);
    let changed: Piece = piece;
    fixture.componentInstance.changed.subscribe((now) => {
      changed = now;
      set(now);
    });
    await fixture.whenStable();
    expect(host(fixture).querySelector('.sum')?.textContent).toContain('double-end bag 1 2 3 2');
    host(fixture).querySelector<HTMLButtonElement>('.sum')?.click();
    await fixture.whenStable();
    expect(host(fixture).querySelectorAll('li kt-strike-staff').length).toBe(2);
    press(fixture, 'Keep as written');
    await fixture.whenStable();
    expect(changed).toEqual(jasmine.objectContaining({ lanes: [{ bag: 'double-end', text: '1 2 3b' }] }));
    expect(host(fixture).textContent).toContain('although it does not suit the bag');
    press(fixture, 'Edit', 1);
    await fixture.whenStable();
    type(host(fixture), 'Combination for the double-end bag station', '1 zz');
    await fixture.whenStable();
    expect(wrongAt(host(fixture), 'Combination for the double-end bag station')).toContain('zz');
    type(host(fixture), 'Combination for the double-end bag station', '1 2');
    await fixture.whenStable();
    expect(changed).toEqual(jasmine.objectContaining({ lanes: [{ bag: 'double-end', text: '1 2' }] }));
    press(fixture, 'Adapt automatically');
    await fixture.whenStable();
    press(fixture, 'Accept');
    expect(changed).toEqual(jasmine.objectContaining({ lanes: [{ bag: 'double-end', text: '1 2 3 2' }] }));
  });

  it('come from the room, with the rotation of its groups', async () => {
    await (await TestBed.inject(Store).database()).choices.put({ key: 'room', value: demoRoom });
    const sheet = { ...sheetOf('round 1:00 x4 rest 0:30: 1 2 3b'), id: 'lanes' };
    await TestBed.inject(SheetsService).add(sheet);
    const editor = TestBed.inject(Editor);
    await editor.open('lanes');
    const fixture = TestBed.createComponent(LanesPanel);
    fixture.componentRef.setInput('sheet', sheet);
    const { componentInstance: panel } = fixture;
    panel.applied.subscribe((now) => {
      editor.apply(() => now);
      fixture.componentRef.setInput('sheet', now);
    });
    panel.changed.subscribe((change) => {
      editor.apply((now) => ({ ...now, ...change }));
      fixture.componentRef.setInput('sheet', editor.sheet());
    });
    await until(() => TestBed.inject(RoomService).room() !== undefined);
    await fixture.whenStable();
    press(fixture, 'Use the room’s bags');
    await fixture.whenStable();
    expect(editor.sheet()?.lanes?.map(({ bag }) => bag)).toEqual(['heavy', 'double-end', 'standing', 'shadow']);
    expect(host(fixture).querySelectorAll('tbody tr').length).toBe(4);
    expect(host(fixture).querySelector('thead')?.textContent).toContain('Group 4 (3)');
    press(fixture, 'pads');
    await fixture.whenStable();
    editor.selected.set(editor.sheet()?.blocks[0]?.pieces[0]?.id ?? null);
    await fixture.whenStable();
    expect(host(fixture).textContent).toContain('jab: lead side pad');
    expect(host(fixture).textContent).toContain('A group of 3: 1 pair');
    await until(() => editor.saving() === 'saved');
  });

  it('follow what is different today, shown before it is done', async () => {
    const sheet = sheetOf(
      'class: 12 people\nlane: heavy, 6 places\nlane: double-end, 6 places\nwarm-up 6:00\nround 3:00 x4 rest 1:00: 1 2',
    );
    const fixture = TestBed.createComponent(TodayForm);
    fixture.componentRef.setInput('sheet', sheet);
    let applied: Sheet | null = null;
    fixture.componentInstance.applied.subscribe((now) => (applied = now));
    await fixture.whenStable();
    type(host(fixture), 'People here today', '9');
    type(host(fixture), 'Finish earlier by (min)', '4');
    type(host(fixture), 'heavy bag, places available', '0');
    host(fixture).querySelector('form')?.dispatchEvent(new Event('submit'));
    await fixture.whenStable();
    const said = host(fixture).querySelector('.card')?.textContent ?? '';
    expect(said).toContain('people: 12 → 9');
    expect(said).toContain('heavy bag is out of use');
    press(fixture, 'Use for today');
    expect((applied as Sheet | null)?.class.people).toBe(9);
    fixture.componentRef.setInput('sheet', { ...sheet, title: 'other' });
    await fixture.whenStable();
    expect(host(fixture).querySelector('.card')).toBeNull();
  });
});
