import { computed, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { until } from '../spec-store.spec';
import { aFrameLater } from './a-frame-later';

describe('what is shown a frame later', () => {
  it('is worked out when the frame has been drawn, and once where changes follow each other fast', async () => {
    const sheet = signal(1);
    const workedOut: number[] = [];
    const sums = computed(() => {
      workedOut.push(sheet());
      return sheet() * 10;
    });
    const shown = TestBed.runInInjectionContext(() => aFrameLater(sheet, sums));
    TestBed.tick();
    expect(shown()).toBeNull();
    expect(workedOut).toEqual([]);
    await until(() => shown() === 10);
    for (let key = 2; key <= 5; key += 1) {
      sheet.set(key);
      TestBed.tick();
      // The frame is over, and the next key is there before anything else.
      await new Promise(requestAnimationFrame);
    }
    expect(shown()).toBe(10);
    await until(() => shown() === 50);
    expect(workedOut).toEqual([1, 5]);
  });
});
