import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { testProviders } from '../spec-store.spec';
import { PeopleFields, type People } from './people-fields';

describe('the fields for who comes', () => {
  let fixture: ComponentFixture<PeopleFields>;
  let changes: People[];

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    fixture = TestBed.createComponent(PeopleFields);
    fixture.componentRef.setInput('people', { people: 12, level: 'beginner' });
    changes = [];
    fixture.componentInstance.changed.subscribe((change) => changes.push(change));
    await fixture.whenStable();
  });

  function type(at: number, value: string): HTMLInputElement {
    const field = (fixture.nativeElement as HTMLElement).querySelectorAll<HTMLInputElement>('input, select')[at];
    if (!field) throw new Error(`no field ${at}`);
    field.value = value;
    field.dispatchEvent(new Event('change'));
    return field;
  }

  it('show who comes and say what changes', () => {
    const values = [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLInputElement>('input, select')].map(
      ({ value }) => value,
    );
    expect(values).toEqual(['12', '', 'beginner']);
    type(0, '14.4');
    type(1, '3');
    type(2, 'advanced');
    expect(changes).toEqual([{ people: 14 }, { leftHanded: 3 }, { level: 'advanced' }]);
  });

  it('take what is emptied as not said, and put back what cannot be', () => {
    type(0, '');
    type(2, '');
    expect(changes).toEqual([{ people: undefined }, { level: undefined }]);
    expect(type(0, '-3').value).toBe('12');
    expect(type(0, '900').value).toBe('12');
    expect(changes.length).toBe(2);
  });
});
