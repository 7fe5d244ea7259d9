import {
  fitted,
  outlineOf,
  type Disc,
  type Paints,
  type PicturePart,
  type Scene,
  type Trail,
} from '../../../core/index';

/** What is needed of a canvas, a page's or a worker's. */
export type Pen = Pick<
  OffscreenCanvasRenderingContext2D,
  | 'arc'
  | 'beginPath'
  | 'closePath'
  | 'ellipse'
  | 'fill'
  | 'fillStyle'
  | 'globalAlpha'
  | 'lineCap'
  | 'lineJoin'
  | 'lineTo'
  | 'lineWidth'
  | 'moveTo'
  | 'stroke'
  | 'strokeStyle'
>;

/** Where the picture lies on a canvas: a stature in pixels, and its middle. */
interface Place {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

function traceHull(context: Pen, discs: readonly Disc[], { scale, x, y }: Place): void {
  context.beginPath();
  for (const { disc, from, to } of outlineOf(discs))
    context.arc(x + disc.x * scale, y + disc.y * scale, disc.r * scale, from, to);
  context.closePath();
}

function paintPart(context: Pen, part: PicturePart, paints: Paints, place: Place): void {
  if (part.kind === 'line') {
    context.beginPath();
    part.points.forEach(([x, y], index) => {
      if (index === 0) context.moveTo(place.x + x * place.scale, place.y + y * place.scale);
      else context.lineTo(place.x + x * place.scale, place.y + y * place.scale);
    });
    context.strokeStyle = paints[part.paint];
    context.lineWidth = part.width * place.scale;
    context.stroke();
    return;
  }
  traceHull(context, part.discs, place);
  context.fillStyle = paints[part.paint];
  context.fill();
  context.strokeStyle = paints.ink;
  context.lineWidth = Math.max(1, place.scale * 0.0062);
  context.stroke();
}

/** A path that grows wider toward where it has come to, as one shape. */
function paintTrail(context: Pen, { points, paint }: Trail, paints: Paints, place: Place): void {
  const on = points.map(([x, y]) => [place.x + x * place.scale, place.y + y * place.scale] as const);
  const edge = (way: 1 | -1): (readonly [number, number])[] =>
    on.map(([x, y], index) => {
      const [before, after] = [on[Math.max(0, index - 1)] ?? [x, y], on[Math.min(on.length - 1, index + 1)] ?? [x, y]];
      const [dx, dy] = [after[0] - before[0], after[1] - before[1]];
      const half = (way * place.scale * 0.03 * index) / (on.length - 1) / (Math.hypot(dx, dy) || 1);
      return [x - dy * half, y + dx * half];
    });
  context.beginPath();
  [...edge(1), ...edge(-1).reverse()].forEach(([x, y], index) =>
    index === 0 ? context.moveTo(x, y) : context.lineTo(x, y),
  );
  context.closePath();
  context.globalAlpha = 0.4;
  context.fillStyle = paints[paint];
  context.fill();
}

/**
 * Paints a scene into a box of a canvas. Of the browser it needs nothing but the context, so that a page, a worker and a
 * file that was taken home paint alike.
 * @example paintScene(context, sceneAt(figure, 150, views.side), paints, { left: 0, top: 0, width: 640, height: 480 })
 */
export function paintScene(
  context: Pen,
  scene: Scene,
  paints: Paints,
  box: { readonly left: number; readonly top: number; readonly width: number; readonly height: number },
): void {
  const fit = fitted(box.width, box.height);
  const place: Place = { scale: fit.scale, x: box.left + fit.x, y: box.top + fit.y };
  context.lineCap = 'round';
  context.lineJoin = 'round';
  context.fillStyle = paints.floor;
  for (const { x, y, rx, ry } of scene.shadows) {
    context.beginPath();
    context.ellipse(
      place.x + x * place.scale,
      place.y + y * place.scale,
      rx * place.scale,
      ry * place.scale,
      0,
      0,
      2 * Math.PI,
    );
    context.fill();
  }
  for (const part of scene.parts) paintPart(context, part, paints, place);
  for (const trail of scene.trails) paintTrail(context, trail, paints, place);
  context.globalAlpha = 1;
  if (!scene.ring) return;
  context.globalAlpha = scene.ring.strength;
  context.strokeStyle = paints.ink;
  context.lineWidth = place.scale * 0.012;
  context.beginPath();
  context.arc(
    place.x + scene.ring.x * place.scale,
    place.y + scene.ring.y * place.scale,
    scene.ring.r * place.scale,
    0,
    2 * Math.PI,
  );
  context.stroke();
  context.globalAlpha = 1;
}
