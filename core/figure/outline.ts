import type { Disc } from './picture';

/** A piece of an outline: a straight line to a point, then round a disc to where the next line leaves it. */
export interface Arc {
  readonly disc: Disc;
  readonly from: number;
  readonly to: number;
}

/** Smallest turn from one angle to another, the way round that y-down pictures call clockwise. */
function forwardTurn(from: number, to: number): number {
  const turn = (to - from) % (2 * Math.PI);
  return turn < 0 ? turn + 2 * Math.PI : turn;
}

/** The angle at which a line that touches two discs on the outside leaves the first; null where one holds the other. */
function tangent(a: Disc, b: Disc): number | null {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const apart = Math.hypot(dx, dy);
  if (apart <= Math.abs(a.r - b.r) + 1e-9) return null;
  return Math.atan2(dy, dx) - Math.acos((a.r - b.r) / apart);
}

/**
 * The outline around discs, as arcs in order, joined by straight lines: what a band stretched around them would touch.
 * @example outlineOf([{ x: 0, y: 0, r: 1 }, { x: 4, y: 0, r: 1 }]).length // 2
 */
export function outlineOf(discs: readonly Disc[]): Arc[] {
  const first = discs.reduce<Disc | null>(
    (best, each) => (!best || each.y - each.r < best.y - best.r ? each : best),
    null,
  );
  if (!first) return [];
  const arcs: Arc[] = [];
  // The topmost point is on the outline; from there the band is followed round by least turn.
  let at = first;
  let angle = -Math.PI / 2;
  let gone = 0;
  for (let step = 0; step <= discs.length * 2; step += 1) {
    let next: { disc: Disc; angle: number; turn: number } | null = null;
    for (const each of discs) {
      if (each === at) continue;
      const leaves = tangent(at, each);
      if (leaves === null) continue;
      const turn = forwardTurn(angle, leaves);
      if (turn < 2 * Math.PI - 1e-9 && (!next || turn < next.turn)) next = { disc: each, angle: leaves, turn };
    }
    const turn = next ? next.turn : 2 * Math.PI;
    if (!next || gone + turn >= 2 * Math.PI - 1e-9) {
      arcs.push({ disc: at, from: angle, to: angle + (2 * Math.PI - gone) });
      return arcs;
    }
    arcs.push({ disc: at, from: angle, to: angle + turn });
    gone += turn;
    at = next.disc;
    angle = next.angle;
  }
  return arcs;
}
