import { TestBed } from '@angular/core/testing';
import { button, type } from '../../hands.spec';
import { testProviders, until } from '../../spec-store.spec';
import { DayField } from '../fields/day-field';
import { isToBeAsked } from '../../services/ask-again.service';
import { dayFromIso, type Day } from '../../../core/index';
import { demoLog } from '../../../demo/log';
import { FilesService } from '../../services/files.service';
import type { Chart } from './chart';
import { ChartCard } from './chart-card';

const chart: Chart = {
  ...{ title: 'Two bars', sentence: 'The second is higher: go on.', height: 120, columns: ['Week of', 'Load'] },
  rows: [
    ['2026-11-16', 3],
    ['=2+2', null],
  ],
  option: ({ lead }) => ({
    animation: false,
    xAxis: { type: 'category', data: ['a', 'b'] },
    yAxis: {},
    series: [{ type: 'bar', itemStyle: { color: lead }, data: [3, 4] }],
  }),
};

describe('a chart', () => {
  async function setUp(shown: Chart) {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(ChartCard);
    fixture.componentRef.setInput('chart', shown);
    const host = fixture.nativeElement as HTMLElement;
    host.style.width = '400px';
    document.body.append(host);
    await fixture.whenStable();
    return { fixture, host };
  }

  it('is drawn, is described, and is followed by its table', async () => {
    const { host, fixture } = await setUp(chart);
    await until(() => host.querySelectorAll('svg path').length > 2);
    expect(host.querySelector('[role=img]')?.getAttribute('aria-label')).toBe('Two bars. The second is higher: go on.');
    button(host, 'Table').click();
    await fixture.whenStable();
    const cells = [...host.querySelectorAll('td')].map((cell) => cell.textContent);
    expect(cells).toEqual(['2026-11-16', '3', '=2+2', 'unknown']);
  });

  it('goes out as CSV that no spreadsheet runs, and as PNG', async () => {
    const { host } = await setUp(chart);
    const saved: (string | Blob)[] = [];
    spyOn(TestBed.inject(FilesService), 'save').and.callFake(async (_name, content) => void saved.push(content));
    await until(() => host.querySelectorAll('svg path').length > 2);
    button(host, 'Save as CSV: Two bars').click();
    await until(() => saved.length === 1);
    expect(saved[0]).toBe("Week of,Load\r\n2026-11-16,3\r\n'=2+2,\r\n");
    button(host, 'Save as PNG: Two bars').click();
    await until(() => saved.length === 2);
    expect((saved[1] as Blob).type).toBe('image/png');
  });

  it('of nothing has its sentence and no picture', async () => {
    const { host, fixture } = await setUp({ ...chart, option: null, rows: [] });
    expect(host.querySelector<HTMLElement>('[role=img]')?.hidden).toBeTrue();
    button(host, 'Table').click();
    await fixture.whenStable();
    expect(host.textContent).toContain('No data yet.');
  });
});

describe('a day', () => {
  it('is typed as ISO 8601 has it; what is no day is refused with the way it is written', async () => {
    TestBed.configureTestingModule({ providers: testProviders() });
    const fixture = TestBed.createComponent(DayField);
    fixture.componentRef.setInput('label', 'From');
    fixture.componentRef.setInput('value', dayFromIso('2026-11-23'));
    const days: (Day | null)[] = [];
    fixture.componentInstance.put.subscribe((day) => days.push(day));
    await fixture.whenStable();
    const host = fixture.nativeElement as HTMLElement;
    expect(host.querySelector('input')?.value).toBe('2026-11-23');
    type(host, 'From', '2026-02-28');
    type(host, 'From', '2026-02-30');
    await fixture.whenStable();
    expect(host.textContent).toContain('Enter a date such as 2026-11-26');
    type(host, 'From', '');
    expect(days).toEqual([dayFromIso('2026-02-28'), null]);
  });
});

describe('how hard a run was', () => {
  it('is asked again half an hour after it, and not half a day later', () => {
    const [entry] = demoLog(new Date(2026, 10, 23).getTime());
    if (!entry) throw new Error('the demo has entries');
    const end = entry.startedAt + entry.done.ms;
    const asked = (minutes: number): boolean => isToBeAsked(entry, end + minutes * 60_000);
    expect([asked(29), asked(30), asked(12 * 60 - 1), asked(12 * 60)]).toEqual([false, true, true, false]);
    expect(isToBeAsked({ ...entry, rehearsal: true }, end + 40 * 60_000)).toBeFalse();
    expect(isToBeAsked({ ...entry, byHand: true }, end + 40 * 60_000)).toBeFalse();
    expect(isToBeAsked(null, end)).toBeFalse();
  });
});
