import { moveKind } from '../moves/catalogue';
import { familyOf, isStrike, type Move } from '../moves/move';
import { stop, type Cursor } from './cursor';
import { defaultSide } from './forms';
import type { Token } from './lex';
import { matchName, readMarks, type Named } from './match';
import { suggest } from './suggest';

function unknownWord(cursor: Cursor, token: Token): never {
  const read = cursor.source.slice(token.at, token.end);
  const shown = read.length > 40 ? `${read.slice(0, 40)}…` : read;
  const near = suggest(token.text, cursor.forms);
  const number = /^(\d+)[bh]?$/.exec(token.text);
  if (!near && number && Number(number[1]) > 6)
    stop(
      cursor,
      token,
      `there is no ${shown} in the ${cursor.forms.scheme.name} numbering`,
      'use 1 to 6, a name, or another numbering',
    );
  stop(
    cursor,
    token,
    `"${shown}" is not a move`,
    near ? `did you mean "${near}"?` : 'use a number from 1 to 6, a short form such as bk or sl, or a name',
  );
}

/** Gives a named move its side, and refuses sides written as left and right. */
function settle(cursor: Cursor, named: Named): Move {
  let side = named.meaning.side;
  const kind = moveKind(named.meaning.id);
  let marks = named.marks;
  const after = cursor.tokens[cursor.next];
  if (kind.marked && after?.kind === 'word' && after.joint === 'hyphen' && !marks.written) {
    const letter = readMarks(after.text);
    // Behind feet "-left" is a step of its own, as it always was.
    if (kind.family === 'defence' && (letter?.word === 'left' || letter?.word === 'right')) {
      const short = kind.short.both ?? kind.name;
      stop(
        cursor,
        after,
        `a defence is to the lead or rear side, not ${letter.word}`,
        `write ${short}-l or ${short}-r, or "${short} ${letter.word}" for a step`,
      );
    }
    if (letter && (letter.word === 'l' || letter.word === 'r') && side === null) {
      cursor.next += 1;
      side = letter.word === 'l' ? 'lead' : 'rear';
      marks = letter;
    }
  }
  const move = {
    kind: 'move' as const,
    id: named.meaning.id,
    side: side ?? defaultSide(named.meaning.id, cursor.before),
    target: named.meaning.target,
  };
  const aim = marks.aim ?? named.meaning.aim;
  if (!marks.force && !aim) return move;
  return { ...move, ...(marks.force ? { force: marks.force } : {}), ...(aim ? { aim } : {}) };
}

/** Reads one move in any spelling. */
export function readMove(cursor: Cursor): Move {
  const token = cursor.tokens[cursor.next];
  if (token?.kind !== 'word') stop(cursor, token, 'a move is missing here', 'write a move, for example 1');
  if (token.text === 'ft' || token.text === 'feint') {
    cursor.next += 1;
    const shown = readMove(cursor);
    if (shown.feint || (!isStrike(shown) && familyOf(shown) !== 'feet'))
      stop(
        cursor,
        token,
        'only a strike or a step can be feinted',
        'write ft before a strike or a step, for example ft 1',
      );
    const feint: Move = { ...shown, feint: true };
    cursor.before = feint;
    return feint;
  }
  const named = matchName(cursor.tokens, cursor.next, cursor.forms);
  if (!named) unknownWord(cursor, token);
  cursor.next += named.length;
  const move = settle(cursor, named);
  cursor.before = move;
  return move;
}
