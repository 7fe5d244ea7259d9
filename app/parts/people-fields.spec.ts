import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { choose, chosen, fieldOf, type, wrongAt } from '../hands.spec';
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

  const host = (): HTMLElement => fixture.nativeElement as HTMLElement;

  it('show who comes and say what changes', async () => {
    expect([fieldOf(host(), 'People').value, fieldOf(host(), 'Left-handers').value]).toEqual(['12', '']);
    expect(chosen(host(), 'Level')).toBe('beginner');
    type(host(), 'People', '14');
    type(host(), 'Left-handers', '3');
    await choose(host(), 'Level', 'advanced');
    expect(changes).toEqual([{ people: 14 }, { leftHanded: 3 }, { level: 'advanced' }]);
  });

  it('take what is emptied as not set, and keep what cannot be in view with its mend', async () => {
    type(host(), 'People', '');
    await choose(host(), 'Level', 'not set');
    expect(changes).toEqual([{ people: undefined }, { level: undefined }]);
    for (const wrong of ['-3', '900', '14.4']) {
      type(host(), 'People', wrong);
      expect(fieldOf(host(), 'People').value).toBe(wrong);
      expect(wrongAt(host(), 'People')).toContain(wrong === '14.4' ? 'whole' : '0 to 500');
    }
    expect(changes.length).toBe(2);
  });
});
