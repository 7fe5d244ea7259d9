import type { Press } from '../../core/index';
import { Presses } from './presses';

describe('presses of a remote', () => {
  let done: Press[];
  let presses: Presses;
  const deed = (name: 'forward' | 'toggle' | 'stop'): Press => ({ kind: 'deed', deed: name });

  beforeEach(() => {
    jasmine.clock().install();
    done = [];
    presses = new Presses((press) => done.push(press));
  });
  afterEach(() => jasmine.clock().uninstall());

  it('are done at once, and then four a second', () => {
    for (let each = 0; each < 5; each += 1) presses.add(deed('forward'));
    expect(done.length).toBe(1);
    jasmine.clock().tick(500);
    expect(done.length).toBe(3);
    jasmine.clock().tick(2000);
    expect(done.length).toBe(5);
    presses.add(deed('toggle'));
    expect(done.at(-1)).toEqual(deed('toggle'));
  });

  it('that make it faster or slower become one while they wait', () => {
    presses.add(deed('toggle'));
    for (let each = 0; each < 3; each += 1) presses.add({ kind: 'pace', by: 0.25 });
    presses.add({ kind: 'pace', by: -0.5 });
    jasmine.clock().tick(2000);
    expect(done).toEqual([deed('toggle'), { kind: 'pace', by: 0.25 }]);
  });

  it('stop at once, and nothing that waited is done after it', () => {
    for (let each = 0; each < 30; each += 1) presses.add(deed('forward'));
    presses.add(deed('stop'));
    expect(done).toEqual([deed('forward'), deed('stop')]);
    jasmine.clock().tick(20_000);
    expect(done.length).toBe(2);
  });
});
