import { TestBed } from '@angular/core/testing';
import { emptySheet, type UnfinishedRun } from '../../../core/index';
import { freshId } from '../../services/fresh-id';
import { UnfinishedRunService } from '../../services/unfinished-run.service';
import { testProviders } from '../../spec-store.spec';
import { RunKeeper } from './run-keeper';

describe('keeping where a run stands', () => {
  it('goes on where the system’s clock is set back, at the second that it has reached', () => {
    TestBed.configureTestingModule({ providers: [...testProviders(), RunKeeper] });
    const put = spyOn(TestBed.inject(UnfinishedRunService), 'put').and.resolveTo();
    const page = spyOn(performance, 'now').and.returnValue(10_000);
    const system = spyOn(Date, 'now').and.returnValue(Date.UTC(2026, 10, 27, 12));
    const keeper = TestBed.inject(RunKeeper);
    keeper.key = 'run';
    const sheet = emptySheet(freshId);
    const standing = (at: number) => (): UnfinishedRun => ({
      ...{ sheet, at, breaksPassed: 0, deeds: [], rate: 1 },
      seen: Date.now(),
    });
    keeper.keep(false, standing(1000));
    // Too early for another.
    page.and.returnValue(10_399);
    keeper.keep(false, standing(1399));
    page.and.returnValue(10_400);
    system.and.returnValue(Date.UTC(2026, 10, 27, 11));
    keeper.keep(false, standing(1400));
    expect(put.calls.allArgs().map(([, { at }]) => at)).toEqual([1000, 1400]);
  });
});
