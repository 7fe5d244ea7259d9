import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { sayClock, type CallTrack, type Timeline } from '../../../core/index';

const pageMs = 600_000;

/** The script on paper: a page for every ten minutes, A4 or Letter. */
@Component({
  selector: 'kt-call-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (page of pages(); track page.from) {
      <section class="paper" aria-hidden="true">
        <h2>{{ title() || 'Sheet' }} · calls from {{ page.from }}</h2>
        <div class="lines">
          @for (line of page.lines; track $index) {
            <p [class.head]="line.head">
              <span class="figures">{{ line.at }}</span> {{ line.text }}
            </p>
          }
        </div>
      </section>
    }
  `,
  styles: `
    .paper {
      display: none;
    }
    @media print {
      .paper {
        display: block;
        break-after: page;
        font-size: 8.5pt;
      }
      .paper:last-child {
        break-after: auto;
      }
      .lines {
        columns: 2;
        column-gap: 8mm;
        height: 235mm;
        column-fill: auto;
        overflow: hidden;
      }
      p {
        break-inside: avoid;
        line-height: 1.25;
      }
      .head {
        margin-top: 1.5mm;
        font-weight: 700;
      }
    }
  `,
})
export class CallSheet {
  readonly title = input('');
  readonly timeline = input.required<Timeline>();
  readonly track = input.required<CallTrack>();

  protected readonly pages = computed(() => {
    const { leaves, ms } = this.timeline();
    const firsts = leaves.filter(
      (leaf, at) => leaf.blockId !== leaves[at - 1]?.blockId || leaf.round !== leaves[at - 1]?.round,
    );
    const all = [
      ...firsts.map((leaf) => ({
        at: leaf.at,
        order: 0,
        head: true,
        text: leaf.label.split(' · ').slice(0, 2).join(' · '),
      })),
      ...this.track().calls.map(({ at, kind, say }) => ({
        at,
        order: 1,
        head: false,
        text: kind === 'bell' ? '(bell)' : say,
      })),
      ...this.track().breaks.flatMap(({ at, calls }) =>
        calls.map(({ kind, say }) => ({
          at,
          order: 0.5,
          head: false,
          text: `open break: ${kind === 'bell' ? '(bell)' : say}`,
        })),
      ),
    ].sort((a, b) => a.at - b.at || a.order - b.order);
    return Array.from({ length: Math.max(1, Math.ceil(ms / pageMs)) }, (_, page) => ({
      from: sayClock(page * pageMs),
      lines: all
        .filter(({ at }) => Math.min(Math.floor(at / pageMs), Math.ceil(ms / pageMs) - 1) === page)
        .map(({ at, head, text }) => ({ at: sayClock(Math.floor(at / 1000) * 1000), head, text })),
    }));
  });
}
