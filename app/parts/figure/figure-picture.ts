import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  effect,
  ElementRef,
  inject,
  input,
  signal,
  viewChild,
} from '@angular/core';
import {
  sceneAt,
  type Beside,
  type Figure,
  type Milliseconds,
  type Paint,
  type Paints,
  type View,
} from '../../../core/index';
import { paintScene } from './paint';

const variables: Readonly<Record<Paint | 'ink' | 'floor', string>> = {
  'lead limb': '--figure-lead-limb',
  'rear limb': '--figure-rear-limb',
  'lead glove': '--figure-lead',
  'rear glove': '--figure-rear',
  trunk: '--figure-skin',
  skin: '--figure-skin',
  shorts: '--figure-shorts',
  band: '--figure-ink',
  line: '--figure-ink',
  bag: '--figure-bag',
  ink: '--figure-ink',
  floor: '--figure-floor',
};

/** The theme's colours as a canvas takes them: it knows no `light-dark`. */
function paintsOf(host: HTMLElement): Paints {
  const probe = document.createElement('span');
  host.append(probe);
  const paints = Object.fromEntries(
    Object.entries(variables).map(([paint, variable]) => {
      probe.style.color = `var(${variable})`;
      return [paint, getComputedStyle(probe).color];
    }),
  );
  probe.remove();
  return paints as Paints;
}

/** A figure at a moment, drawn as large as its place. What it shows is said by whoever has it. */
@Component({
  selector: 'kt-figure-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<canvas #canvas aria-hidden="true"></canvas>',
  styles: `
    :host {
      display: block;
      position: relative;
      min-height: 0;
      overflow: hidden;
    }

    canvas {
      position: absolute;
      inset: 0;
      width: 100%;
      height: 100%;
    }
  `,
})
export class FigurePicture {
  readonly figure = input.required<Figure>();
  readonly at = input.required<Milliseconds>();
  readonly view = input.required<View>();
  readonly beside = input<Beside | null>(null);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly canvas = viewChild.required<ElementRef<HTMLCanvasElement>>('canvas');
  private readonly size = signal({ width: 0, height: 0 });
  /** Counts up when the colours may be others. */
  private readonly look = signal(0);
  private paints: Paints | null = null;

  constructor() {
    const sizes = new ResizeObserver(([entry]) => {
      if (entry) this.size.set({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    sizes.observe(this.host);
    const looks = new MutationObserver(() => this.look.update((count) => count + 1));
    looks.observe(document.documentElement, { attributes: true });
    const dark = matchMedia('(prefers-color-scheme: dark)');
    const changed = (): void => this.look.update((count) => count + 1);
    dark.addEventListener('change', changed);
    inject(DestroyRef).onDestroy(() => {
      sizes.disconnect();
      looks.disconnect();
      dark.removeEventListener('change', changed);
    });
    effect(() => {
      this.look();
      this.paints = null;
    });
    effect(() => {
      this.look();
      const { width, height } = this.size();
      if (width > 0 && height > 0) this.draw(width, height);
    });
  }

  private draw(width: number, height: number): void {
    const canvas = this.canvas().nativeElement;
    const ratio = Math.min(2, devicePixelRatio);
    if (canvas.width !== Math.round(width * ratio) || canvas.height !== Math.round(height * ratio)) {
      canvas.width = Math.round(width * ratio);
      canvas.height = Math.round(height * ratio);
    }
    const context = canvas.getContext('2d');
    if (!context) return;
    this.paints ??= paintsOf(this.host);
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    context.clearRect(0, 0, width, height);
    const scene = sceneAt(this.figure(), this.at(), this.view(), this.beside());
    paintScene(context, scene, this.paints, { left: 0, top: 0, width, height });
  }
}
