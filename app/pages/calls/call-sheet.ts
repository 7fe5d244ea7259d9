import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { blockName, sayClock, type CallKind, type Script, type SessionTime, type Timeline } from '../../../core/index';

const pageMs = 600_000;
/** Lines that two columns hold in large letters, and at the usual size; and letters in a line of one. */
const largeLines = 60;
const roomyLines = 105;
const lineLetters = 54;

/** Calls that come one after the other every few seconds, and so share a paragraph. */
const runOn: readonly CallKind[] = ['count', 'drill', 'strikes'];

interface Line {
  readonly at: SessionTime;
  readonly order: number;
  readonly kind: CallKind | null;
  readonly text: string;
}

/** Lines with what runs on put behind the one before: `0:12 three · 0:16 two`. */
function paragraphs(lines: readonly Line[]): { readonly at: string; readonly head: boolean; readonly text: string }[] {
  const out: { at: string; head: boolean; kind: CallKind | null; text: string }[] = [];
  for (const { at, kind, text } of lines) {
    const clock = sayClock(Math.floor(at / 1000) * 1000);
    const last = out.at(-1);
    if (last && kind && runOn.includes(kind) && last.kind === kind) last.text += ` · ${clock} ${text}`;
    else out.push({ at: clock, head: kind === null, kind, text });
  }
  return out;
}

/** The script on paper: a page for every ten minutes, A4 or Letter. */
@Component({
  selector: 'kt-call-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (page of pages(); track page.from) {
      <section class="paper" aria-hidden="true">
        <h2>{{ title() || 'Sheet' }} · calls from {{ page.from }}</h2>
        <div [class]="'lines ' + page.size">
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
      }
      .large {
        font-size: 11.5pt;
      }
      .dense {
        columns: 3;
        column-gap: 5mm;
        font-size: 6.5pt;
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
  readonly script = input.required<Script>();

  protected readonly pages = computed(() => {
    const { leaves, ms } = this.timeline();
    const firsts = leaves.filter(
      (leaf, at) => leaf.blockId !== leaves[at - 1]?.blockId || leaf.round !== leaves[at - 1]?.round,
    );
    const all: Line[] = [
      ...firsts.map((leaf) => ({
        at: leaf.at,
        order: 0,
        kind: null,
        text: blockName(leaf),
      })),
      ...this.script().calls.map(({ at, kind, say }) => ({
        at,
        order: 1,
        kind,
        text: kind === 'bell' ? '(bell)' : say,
      })),
      ...this.script().breaks.flatMap(({ at, calls }) =>
        calls.map(({ kind, say }) => ({
          at,
          order: 0.5,
          kind,
          text: `open rest: ${kind === 'bell' ? '(bell)' : say}`,
        })),
      ),
    ].sort((a, b) => a.at - b.at || a.order - b.order);
    const count = Math.max(1, Math.ceil(ms / pageMs));
    return Array.from({ length: count }, (_, page) => {
      const lines = paragraphs(all.filter(({ at }) => Math.min(Math.floor(at / pageMs), count - 1) === page));
      const long = lines.reduce((sum, { text }) => sum + Math.ceil((text.length + 6) / lineLetters), 0);
      const size = long > roomyLines ? 'dense' : long > largeLines ? 'usual' : 'large';
      return { from: sayClock(page * pageMs), lines, size };
    });
  });
}
