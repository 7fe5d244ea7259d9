import type { Scheme } from '../moves/scheme';
import type { BuildKind } from '../progressions/build';
import type { Piece, PieceOf } from './schema';
import { goalTexts } from './stages';
import { spell } from './stored';

/** Builds as they are called on the screen. */
export const buildNames: Readonly<Record<BuildKind, string>> = {
  ladder: 'ladder',
  backward: 'backward build',
  chunks: 'chunks',
  pyramid: 'pyramid',
  'kick-close': 'kick close',
  alternator: 'alternator',
  levels: 'levels',
  singles: 'singles first',
  amount: 'build by amount',
  join: 'join',
};

/** `2–6 punches`, `3 punches` */
function amount({ least, most }: PieceOf<'calls'>): string {
  return least === most ? `${most} ${most === 1 ? 'punch' : 'punches'}` : `${least}–${most} punches`;
}

/** What a build works towards, empty for the alternator. `1 2, then 3b 2` */
export function goalsName(build: PieceOf<'build'>, scheme: Scheme): string {
  return goalTexts(build)
    .map((goal) => spell(goal, scheme))
    .join(', then ');
}

/** A piece in a line. `ladder to 1 2 3b`, `count calls, 2–6 punches`, `own time` */
export function pieceName(piece: Piece, scheme: Scheme): string {
  switch (piece.kind) {
    case 'combination':
      return piece.words ? `${piece.words}, ${spell(piece.text, scheme)}` : spell(piece.text, scheme);
    case 'words':
      return piece.words || 'free';
    case 'own-time':
      return 'own time';
    case 'change-over':
      return 'switch stance';
    case 'calls':
      return `${piece.drill} calls, ${amount(piece)}`;
    case 'build': {
      const goals = goalsName(piece, scheme);
      return goals === '' ? buildNames[piece.build] : `${buildNames[piece.build]} to ${goals}`;
    }
  }
}
