import { isBagKind } from '../../bags/kinds';
import { accesses, ownBagSchema, strikeFamilies, type OwnBag } from '../../bags/own-kind';
import { targets } from '../../moves/kind';
import { readTime, exactClock } from '../../clock-text';
import type { Sheet } from '../../sheet/schema';
import { fault, quote, rest, take, takeQuoted, type Scan } from './line';

type SheetLane = NonNullable<Sheet['lanes']>[number];

/** What the head says of bags and who goes where. */
export interface LaneHead {
  lanes?: SheetLane[];
  ownBags?: OwnBag[];
  changeOverMs?: number;
  groups?: number;
}

/** Takes the name of a kind: a built-in one, or one in quotes. */
function takeName(scan: Scan): string | null {
  const name = takeQuoted(scan);
  if (name !== null) return name.trim().slice(0, 40) || null;
  const word = take(scan, /[a-z][a-z-]*/)?.[0]
    .replace(/[\s,]+$/, '')
    .toLowerCase();
  return word && isBagKind(word) ? word : null;
}

function refuse(scan: Scan, at: number, what: string, mend: string): void {
  fault(scan, at, scan.line.text.slice(at).trim().slice(0, 40), what, mend);
}

function readLane(scan: Scan, head: LaneHead): void {
  const at = scan.at;
  const bag = takeName(scan);
  const places = take(scan, /(\d{1,3})\s+places?/);
  const access = take(scan, /all round|three quarters|half|quarter/);
  const low = take(scan, /no low kicks/);
  if (!bag || !places || Number(places[1]) > 200 || rest(scan).trim() !== '') {
    refuse(scan, at, 'this station could not be read', 'write station: heavy, 2 places, half, no low kicks');
    return;
  }
  if (head.lanes?.some((lane) => lane.bag.toLowerCase() === bag.toLowerCase())) {
    refuse(scan, at, `there is already a station for ${bag}`, 'add the places together');
    return;
  }
  const room = accesses.find((each) => each === access?.[0].trim().replace(/,$/, '').toLowerCase());
  head.lanes = [
    ...(head.lanes ?? []),
    { bag, places: Number(places[1]), ...(room ? { access: room } : {}), ...(low ? { lowKicks: false } : {}) },
  ];
}

const flags = [
  { key: 'powerCapped', words: 'power capped' },
  { key: 'wildAfterHooks', words: 'wild after hooks' },
  { key: 'oneAtATime', words: 'one at a time' },
] as const;

function takeList<T extends string>(scan: Scan, all: readonly T[]): T[] {
  const found: T[] = [];
  const pattern = new RegExp(`(?:${all.join('|')})(?![a-z])`);
  for (let word = take(scan, pattern); word; word = take(scan, pattern)) {
    const named = all.find((each) => each === word?.[0].replace(/[\s,]+$/, '').toLowerCase());
    if (named && !found.includes(named)) found.push(named);
  }
  return found;
}

function readOwnBag(scan: Scan, head: LaneHead): void {
  const at = scan.at;
  const draft: Record<string, unknown> = { name: takeQuoted(scan)?.trim() };
  draft['targets'] = takeList(scan, targets);
  draft['families'] = takeList(scan, strikeFamilies);
  for (const { key, words } of flags) if (take(scan, new RegExp(words))) draft[key] = true;
  const longest = take(scan, /longest\s+(\d{1,2})\s+(\d{1,2})\s+(\d{1,2})/);
  if (longest) {
    const [beginner, intermediate, advanced] = longest.slice(1).map(Number);
    draft['longest'] = { beginner, intermediate, advanced };
  }
  if (take(scan, /rhythm(?=\s*["“])/)) draft['rhythm'] = takeQuoted(scan);
  if (take(scan, /care(?=\s*["“])/)) draft['care'] = takeQuoted(scan);
  const read = ownBagSchema.safeParse(draft);
  const taken = head.ownBags?.some((bag) => bag.name.toLowerCase() === String(draft['name']).toLowerCase());
  if (!read.success || taken || rest(scan).trim() !== '') {
    refuse(
      scan,
      at,
      'this kind of bag could not be read',
      'write own bag: "Rope mat" head, body punch, kick longest 4 6 8',
    );
    return;
  }
  head.ownBags = [...(head.ownBags ?? []), read.data];
}

/** Reads `station: …`, `own bag: …` or `station change: 0:20`, also the older word `lane`; false where the line is none of them. */
export function readLaneLine(scan: Scan, head: LaneHead): boolean {
  const found = take(scan, /((?:lane|station) change|lane|station|own bag|groups)\s*:/);
  if (!found) return false;
  const key = (found[1] ?? '').toLowerCase().replace('station', 'lane');
  if (key === 'lane') readLane(scan, head);
  else if (key === 'own bag') readOwnBag(scan, head);
  else if (key === 'groups') {
    const count = /^\d{1,3}$/.test(rest(scan).trim()) ? Number(rest(scan).trim()) : 0;
    if (count < 1 || count > 100) refuse(scan, scan.at, 'this is not a number of groups', 'write groups: 4');
    else head.groups = count;
  } else {
    const ms = readTime(rest(scan).trim());
    if (ms === null || ms > 600_000)
      refuse(scan, scan.at, 'this is not a time to rotate', 'write station change: 0:20');
    else head.changeOverMs = ms;
  }
  return true;
}

function ownBagLine(bag: OwnBag): string {
  const { name, longest, rhythm, care } = bag;
  return [
    `own bag: ${quote(name)} ${bag.targets.join(', ')} ${bag.families.join(', ')}`,
    ...flags.filter(({ key }) => bag[key]).map(({ words }) => words),
    ...(longest ? [`longest ${longest.beginner} ${longest.intermediate} ${longest.advanced}`] : []),
    ...(rhythm === undefined ? [] : [`rhythm ${quote(rhythm)}`]),
    ...(care === undefined ? [] : [`care ${quote(care)}`]),
  ].join(' ');
}

/** The lines of a sheet's own kinds and lanes, as the reader takes them. */
export function laneLines({ lanes, ownBags, changeOverMs, groups }: Pick<Sheet, keyof LaneHead>): string[] {
  return [
    ...(ownBags ?? []).map(ownBagLine),
    ...(lanes ?? []).map(({ bag, places, access, lowKicks }) =>
      [
        `lane: ${isBagKind(bag) ? bag : quote(bag)}`,
        `${places} ${places === 1 ? 'place' : 'places'}`,
        ...(access ? [access] : []),
        ...(lowKicks === false ? ['no low kicks'] : []),
      ].join(', '),
    ),
    ...(groups === undefined ? [] : [`groups: ${groups}`]),
    ...(changeOverMs === undefined ? [] : [`lane change: ${exactClock(changeOverMs)}`]),
  ];
}
