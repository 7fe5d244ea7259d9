import {
  figureLandings,
  figureOf,
  fitted,
  move,
  moveKinds,
  paperPaints,
  sceneAt,
  sceneSvg,
  views,
  writeMove,
  six,
  type Move,
} from '../core/index';

/** Every move of the catalogue on every side and at every height. */
const everyMove: readonly Move[] = moveKinds.flatMap((kind) =>
  (kind.sides.length > 0 ? kind.sides : [undefined]).flatMap((side) =>
    (kind.targets.length > 0 ? kind.targets : [undefined]).map((target) => move(kind.id, side, target)),
  ),
);

/** Every move at the moment it lands, or in its middle, side by side: to be looked at one by one. */
export function contactSheet(): string {
  const [width, height] = [98, 112];
  const stills = everyMove.map((each) => {
    const figure = figureOf({ items: [each] }, 'orthodox');
    const at = figureLandings(figure)[0]?.at ?? figure.motion.ms * 0.5;
    const { scale, x, y } = fitted(width, height);
    const drawn = sceneSvg(sceneAt(figure, at, views['three-quarter']), paperPaints, scale * 1.04, x - 9, y + 5);
    return `<svg width="${width}" height="${height}" overflow="hidden">${drawn}<text x="4" y="12" font-size="12" font-weight="700" font-family="sans-serif">${writeMove(each, six)}</text></svg>`;
  });
  return `<body style="margin:2px;display:flex;flex-wrap:wrap;background:#f3eee3">${stills.join('')}</body>`;
}
