import { TestBed } from '@angular/core/testing';
import { testProviders, until } from '../spec-store.spec';
import { firstRows } from './first-rows';
import { Store } from './store';

describe('storage that is refused', () => {
  it('is said before what stands in for it is filled, however long that takes', async () => {
    spyOn(IDBFactory.prototype, 'open').and.throwError(new DOMException('no', 'SecurityError'));
    let fill = (): void => undefined;
    const filled = new Promise<void>((done) => (fill = done));
    const asked = jasmine.createSpy('firstRows').and.returnValue(filled);
    TestBed.configureTestingModule({ providers: [...testProviders(), { provide: firstRows, useValue: asked }] });
    const store = TestBed.inject(Store);
    await until(() => asked.calls.count() > 0);
    expect(store.keeping()).toEqual({ where: 'tab', why: jasmine.stringContaining('keeps nothing for this page') });
    let open = false;
    void store.database().then(() => (open = true));
    await Promise.resolve();
    expect(open).toBeFalse();
    fill();
    await until(() => open);
    expect(store.keeping().where).toBe('tab');
  });
});

describe('storage that has ended with its page', () => {
  it('neither answers nor fails: whoever asked is gone', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const store = TestBed.inject(Store);
    await store.database();
    let told = 'nothing';
    void store
      .read(({ sheets }) => {
        TestBed.resetTestingModule();
        return sheets.toArray();
      })
      .then(
        () => (told = 'an answer'),
        () => (told = 'a failure'),
      );
    await new Promise((next) => setTimeout(next, 200));
    expect(told).toBe('nothing');
  });
});
