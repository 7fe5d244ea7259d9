import { TestBed } from '@angular/core/testing';
import { dayOf } from '../../core/index';
import { TodayService } from './today.service';

describe('today', () => {
  it('is the next day for a page that stands open over midnight, as soon as somebody looks at it', () => {
    jasmine.clock().install();
    try {
      jasmine.clock().mockDate(new Date(2026, 11, 1, 23, 59, 50));
      const today = TestBed.inject(TodayService).day;
      const yesterday = today();
      expect(yesterday).toBe(dayOf(new Date(2026, 11, 1, 12).getTime()));
      jasmine.clock().tick(20_000);
      document.dispatchEvent(new Event('visibilitychange'));
      expect(today() - yesterday).toBe(1);
    } finally {
      jasmine.clock().uninstall();
    }
  });
});
