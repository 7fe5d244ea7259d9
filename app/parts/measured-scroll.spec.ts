import { CdkVirtualScrollViewport, ScrollingModule } from '@angular/cdk/scrolling';
import { ChangeDetectionStrategy, Component, signal, viewChild } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MeasuredScroll } from './measured-scroll';

@Component({
  imports: [ScrollingModule, MeasuredScroll],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div [hidden]="rows().length === 0">
      <cdk-virtual-scroll-viewport
        ktMeasured
        itemSize="20"
        minBufferPx="20"
        maxBufferPx="20"
        style="height: 400px"
        [style.max-height.px]="rows().length * 20"
      >
        <p *cdkVirtualFor="let row of rows()" style="height: 20px; margin: 0">{{ row }}</p>
      </cdk-virtual-scroll-viewport>
    </div>
  `,
})
class List {
  readonly rows = signal<readonly number[]>([]);
  readonly viewport = viewChild.required(CdkVirtualScrollViewport);
}

describe('a virtual list in a place that grows', () => {
  const row = (_: unknown, at: number): number => at;
  const until = async (holds: () => boolean): Promise<void> => {
    for (let wait = 0; wait < 100 && !holds(); wait += 1) await new Promise((next) => setTimeout(next, 20));
  };

  it('is measured when it is shown, and when more comes into it', async () => {
    const made = TestBed.createComponent(List);
    made.autoDetectChanges();
    await made.whenStable();
    const drawn = (): number => (made.nativeElement as HTMLElement).querySelectorAll('p').length;
    made.componentInstance.rows.set([1]);
    await until(() => drawn() === 1);
    expect(drawn()).toBe(1);
    made.componentInstance.rows.set(Array.from({ length: 500 }, row));
    // Twenty rows fill its place; a few more stand ready.
    await until(() => drawn() >= 20);
    expect(made.componentInstance.viewport().getViewportSize()).toBe(400);
    expect(drawn()).toBeGreaterThanOrEqual(20);
    expect(drawn()).toBeLessThan(30);
  });
});
