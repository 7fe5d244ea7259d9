import type { ScriptWishes } from '../script/script';
import { tally, type Tally } from '../tally/tally';
import { blockNames } from '../timeline/block-names';
import { compile } from '../timeline/compile';
import type { Timeline } from '../timeline/leaf';
import type { Sheet } from '../sheet/schema';
import { schemeOf } from '../notation/stored';
import { announcedFindings } from './announced';
import { crowdedCallFindings, crowdedRestFindings } from './calls';
import type { Checked, Finding, Place } from './finding';
import { usualSchools, type Schools } from '../bags/conditions';
import { takesBody } from './bags';
import { ballFindings } from './ball';
import { focusFindings, gearFindings } from './said';
import { laneFindings } from './lanes';
import { stanceFindings } from './stances';
import { buildFindings, lengthFindings, sayFindings, seamFindings, unreadFindings } from './pieces';
import {
  allOutFindings,
  balanceFindings,
  coolDownFindings,
  goalFindings,
  restFindings,
  warmUpFindings,
} from './training';

export type { Finding, Mend } from './finding';

function sheetFindings(sheet: Sheet): Finding[] {
  const found: Finding[] = [];
  const scheme = schemeOf(sheet.numbers);
  if (!scheme.ok)
    found.push({
      level: 'error',
      kind: 'numbers',
      where: 'Numbers',
      what: scheme.fault.what,
      mend: scheme.fault.mend,
      mends: [],
    });
  if (sheet.blocks.length === 0)
    found.push({
      level: 'note',
      kind: 'empty',
      where: 'Sheet',
      what: 'this sheet is empty',
      mend: 'type a combination and press Enter, or add a round',
      mends: [],
    });
  return found;
}

const rank = { error: 0, warning: 1, note: 2 } as const;

/**
 * Everything worth saying about a sheet, errors first. Derived; the sheet is not changed. Whoever has its timeline and
 * tally already passes them; bags are judged by the coach's schools, what is said by the coach's words and voice.
 * @example findings(sheet).filter((finding) => finding.level === 'error')
 */
export function findings(
  sheet: Sheet,
  timeline: Timeline = compile(sheet),
  sums: Tally = tally(timeline, sheet.stance),
  schools: Schools = usualSchools,
  wishes: ScriptWishes = {},
): Finding[] {
  const checked: Checked = { sheet, timeline, tally: sums, wishes };
  const names = blockNames(sheet, timeline);
  const places = sheet.blocks.map((block): Place => ({ sheet, block, name: names.get(block.id) ?? block.kind }));
  const found = [
    ...sheetFindings(sheet),
    ...places.flatMap((place) => [
      ...lengthFindings(place),
      ...sayFindings(place),
      ...place.block.pieces.flatMap((piece) => [
        ...unreadFindings(place, piece),
        ...buildFindings(place, piece),
        ...seamFindings(place, piece),
      ]),
    ]),
    ...goalFindings(checked, places),
    ...announcedFindings(checked, places),
    ...warmUpFindings(checked),
    ...coolDownFindings(checked),
    ...restFindings(checked, places),
    ...crowdedRestFindings(checked),
    ...crowdedCallFindings(checked),
    ...allOutFindings(checked),
    ...balanceFindings(checked, takesBody(sheet, schools)),
    ...ballFindings(checked),
    ...gearFindings(checked),
    ...focusFindings(checked),
    ...stanceFindings(checked),
    ...laneFindings(checked, places, schools),
  ];
  return found.sort((a, b) => rank[a.level] - rank[b.level]);
}
