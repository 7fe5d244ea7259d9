import type { Scheme } from '../moves/scheme';
import { drillNames, type BuildKind } from '../progressions/kinds';
import type { Piece, PieceOf } from '../sheet/schema';
import { goalTexts } from './stages';
import { spell } from '../notation/stored';

/** Builds as they are called on the screen. */
export const buildNames: Readonly<Record<BuildKind, string>> = {
  ladder: 'ladder',
  backward: 'back-to-front build',
  chunks: 'chunks',
  pyramid: 'pyramid',
  'kick-close': 'kick finish',
  alternator: 'alternator',
  levels: 'levels',
  singles: 'one at a time',
  amount: 'growing number',
  join: 'join',
  effort: 'effort build',
};

/** `2–6 punches`, `3 punches` */
function amount({ least, most }: PieceOf<'calls'>): string {
  return least === most ? `${most} ${most === 1 ? 'punch' : 'punches'}` : `${least}–${most} punches`;
}

/** `rhythm 3, 1, turns, the last 1 to 5 times` */
function rhythmName({ row, hand, elbow, growFrom, growTo }: PieceOf<'rhythm'>): string {
  const more = [
    ...(hand === undefined || hand === 'lead' ? [] : [hand]),
    ...(elbow ? ['elbow'] : []),
    ...(growTo === undefined ? [] : [`the last ${growFrom ?? 1}–${growTo} times`]),
  ];
  return [`rhythm ${row.join(', ')}`, ...more].join(', ');
}

/** What a build works towards, empty for the alternator. `1 2, then 3b 2` */
export function goalsName(build: PieceOf<'build'>, scheme: Scheme): string {
  return goalTexts(build)
    .map((goal) => spell(goal, scheme))
    .join(', then ');
}

/** A piece in a line. `ladder to 1 2 3b`, `number drill, 2–6 punches`, `free work` */
export function pieceName(piece: Piece, scheme: Scheme): string {
  switch (piece.kind) {
    case 'combination':
      return piece.words ? `${piece.words}, ${spell(piece.text, scheme)}` : spell(piece.text, scheme);
    case 'words':
      return piece.words || 'free';
    case 'own-time':
      return 'free work';
    case 'change-over':
      return 'switch stance';
    case 'pause':
      return 'pause';
    case 'rhythm':
      return rhythmName(piece);
    case 'calls':
      return `${drillNames[piece.drill]}, ${amount(piece)}`;
    case 'build': {
      const goals = goalsName(piece, scheme);
      return goals === '' ? buildNames[piece.build] : `${buildNames[piece.build]} to ${goals}`;
    }
  }
}
