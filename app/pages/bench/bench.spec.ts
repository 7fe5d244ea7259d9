import { TestBed } from '@angular/core/testing';
import { demoRoom } from '../../../demo/room';
import { BallService } from '../../services/ball.service';
import { RoomService } from '../../services/room.service';
import { SoundService } from '../../services/sound.service';
import { Store } from '../../store/store';
import { type, wrongAt } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { BenchPage } from './bench-page';
import { SpeedBench } from './speed-bench';

describe('the bench', () => {
  beforeEach(() => TestBed.configureTestingModule({ providers: testProviders() }));

  it('throws a combination at the ball in a worker, and says what hits', async () => {
    let first: string[] = [];
    TestBed.inject(BallService)
      .drill({
        ball: { mass: 0.3, upper: 1.2, lower: 1.2, tensionUpper: 63, tensionLower: 60 },
        text: '1 2',
        options: { pace: 1 },
      })
      .subscribe((answer) => {
        first = answer.ok ? answer.drill.blows.map(({ name }) => name) : [answer.what];
      });
    await until(() => first.length > 0);
    expect(first).toEqual(['jab', 'cross']);
  });

  it('shows the bench of the room’s bags, and a fault in what is typed', async () => {
    await (await TestBed.inject(Store).database()).choices.put({ key: 'room', value: demoRoom });
    const fixture = TestBed.createComponent(BenchPage);
    const host = fixture.nativeElement as HTMLElement;
    await until(() => (TestBed.inject(RoomService).room()?.bags.length ?? 0) > 0);
    await fixture.whenStable();
    expect(host.querySelector('kt-hung-bench')).not.toBeNull();
    host.querySelectorAll<HTMLElement>('[role=tab]')[1]?.click();
    await until(() => {
      TestBed.tick();
      return host.querySelector('kt-ball-bench') !== null;
    });
    expect(host.textContent).toContain('too light: use 10 kg or more');
    type(host, 'Try a combination on it', '1 zz');
    await fixture.whenStable();
    expect(wrongAt(host, 'Try a combination on it')).toContain('zz');
    fixture.destroy();
  });

  it('is silent once the rhythm of a speed bag is left, also where the sound came late', async () => {
    const sound = TestBed.inject(SoundService);
    let answer: () => void = () => undefined;
    spyOn(sound, 'unlock').and.returnValue(new Promise((done) => (answer = done)));
    const [silence, play] = [spyOn(sound, 'silence'), spyOn(sound, 'playAt')];
    spyOn(sound, 'now').and.returnValue(0);
    const fixture = TestBed.createComponent(SpeedBench);
    await fixture.whenStable();
    (fixture.nativeElement as HTMLElement).querySelector('button')?.click();
    fixture.destroy();
    expect(silence).toHaveBeenCalledTimes(1);
    answer();
    await new Promise((next) => setTimeout(next));
    expect(play).not.toHaveBeenCalled();
  });
});
