import { freeFloor } from '../bags/kind-names';
import { natureOf, shownBag } from '../bags/kinds';
import { bagFindings } from './bags';
import { usualSchools, type Schools } from '../bags/conditions';
import { lanesOf, pieceLanes } from '../lanes/lanes';
import { rotationBoard } from '../lanes/board';
import { sayClock } from '../clock-text';
import { changeBlock } from '../sheet/edit';
import type { Sheet } from '../sheet/schema';
import type { Checked, Finding, Place } from './finding';

/** What the coach has put on a lane although it does not fit there. */
function overruledFindings({ sheet }: Checked, places: readonly Place[], schools: Schools): Finding[] {
  const lanes = lanesOf(sheet, schools);
  return places.flatMap(({ block, name }) =>
    block.pieces.flatMap((piece) =>
      pieceLanes(piece, block, lanes)
        .filter(({ how }) => how === 'overruled')
        .map(({ bag, text, reasons }): Finding => ({
          level: 'note',
          kind: 'overruled',
          where: `${name}, ${shownBag(bag)} station`,
          what: `you chose to keep ${text}: ${reasons.join('; ')}`,
          mend: 'keep it, or choose the adapted version under Stations',
          blockId: block.id,
          pieceId: piece.id,
          mends: [],
        })),
    ),
  );
}

function longerRest(sheet: Sheet, blockId: string, ms: number): Sheet {
  const at = sheet.blocks.findIndex(({ id }) => id === blockId);
  const [block, before] = [sheet.blocks[at], sheet.blocks[at - 1]];
  if (block?.restMs !== undefined && block.restMs < ms) return changeBlock(sheet, blockId, { restMs: ms });
  if (before?.kind === 'rest' && before.ms !== null) return changeBlock(sheet, before.id, { ms });
  return sheet;
}

function rotationFindings({ sheet, timeline }: Checked): Finding[] {
  const board = rotationBoard(sheet, timeline);
  if (!board) return [];
  const places = lanesOf(sheet).reduce((sum, lane) => sum + lane.places, 0);
  const people = sheet.class.people ?? 0;
  const sheetWide = { where: 'Stations', mends: [] } as const;
  const found: Finding[] = board.crowded.map(({ bag, people: group, places: there }) => ({
    ...sheetWide,
    level: 'warning',
    kind: 'places',
    what: `${shownBag(bag)}: groups of ${group}, but only ${there} ${there === 1 ? 'place' : 'places'}`,
    mend: 'add a shadow station, or have the rest of the group shadow box',
    mends: sheet.lanes?.some((lane) => lane.bag === freeFloor)
      ? []
      : [
          {
            label: 'Add a shadow station',
            edit: (now) => ({
              ...now,
              lanes: [...(now.lanes ?? []), { bag: freeFloor, places: Math.max(1, group, people - places) }],
            }),
          },
        ],
  }));
  if (board.missed.length > 0)
    found.push({
      ...sheetWide,
      level: 'note',
      kind: 'rotation',
      what: `${board.turns.length} ${board.turns.length === 1 ? 'round' : 'rounds'} to rotate, but ${board.kinds.length} stations: not every group gets to ${board.missed.join(', ')}`,
      mend: `make it ${board.kinds.length} rounds, or remove a station`,
    });
  for (const turn of board.turns) {
    if (turn.changeOver === null || turn.changeOver >= board.needsMs) continue;
    const repeated = longerRest(sheet, turn.blockId, board.needsMs) !== sheet;
    if (found.some(({ kind, blockId }) => kind === 'lane change' && blockId === turn.blockId)) continue;
    found.push({
      level: 'warning',
      kind: 'lane change',
      where: turn.label,
      what: `${sayClock(turn.changeOver)} to rotate before this round, but rotating takes ${sayClock(board.needsMs)}`,
      mend: 'lengthen the rest before it, or shorten the time to rotate',
      blockId: turn.blockId,
      mends: repeated
        ? [
            {
              label: `Make the rest ${sayClock(board.needsMs)}`,
              edit: (now) => longerRest(now, turn.blockId, board.needsMs),
            },
          ]
        : [],
    });
  }
  return found;
}

/** Lanes of a kind that nobody made. */
function unknownFindings({ sheet }: Checked): Finding[] {
  return (sheet.lanes ?? [])
    .filter(({ bag }) => natureOf(bag, sheet.ownBags) === null)
    .map(({ bag }) => ({
      level: 'warning',
      kind: 'unknown bag',
      where: 'Stations',
      what: `"${bag}" is not a kind of bag`,
      mend: 'add that kind in Room, or remove the station',
      mends: [
        {
          label: `Remove ${shownBag(bag)}`,
          edit: (now) => ({ ...now, lanes: (now.lanes ?? []).filter((lane) => lane.bag !== bag) }),
        },
      ],
    }));
}

/** Everything about bags, lanes and who goes where; by the usual schools unless told. */
export function laneFindings(checked: Checked, places: readonly Place[], schools: Schools = usualSchools): Finding[] {
  return [
    ...bagFindings(checked, places, schools),
    ...unknownFindings(checked),
    ...overruledFindings(checked, places, schools),
    ...rotationFindings(checked),
  ];
}
