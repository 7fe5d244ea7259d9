import { readCombination } from '../../notation/read';
import type { Combination } from '../../notation/combination';
import { formsOf } from '../../notation/forms';
import { partNameFault } from '../../notation/read';
import { writeCombination } from '../../notation/write';
import type { Sheet } from '../../sheet/schema';
import { levels, type Level } from '../../bags/kind-names';
import { schemeOf, schemeOrSix } from '../../notation/stored';
import { takeBag } from './block';
import { readCallLine, type CallHead } from './calls';
import { readLaneLine, type LaneHead } from './lanes';
import { readFocusLine } from './focus';
import { readSchoolHead, type SchoolHead } from './schools';
import { stanceNames } from '../../sheet/pieces';
import { fault, hasRoom, rest, splitOutside, take, takeQuoted, wholeQuote, type Scan } from './line';
import { mostOrigin, sheetLimits } from '../../sheet/limits';

/** What the lines before the first block say. Filled as they are read. */
export type Head = Pick<Sheet, 'title' | 'class' | 'numbers' | 'stance' | 'bag' | 'focuses' | 'origin'> &
  SchoolHead &
  LaneHead &
  CallHead & {
    parts: { name: string; text: string }[];
    head: { key: string; value: string }[];
    /** Combinations by name, as far as they are read. */
    readonly named: Map<string, Combination>;
  };

/** A head that says nothing yet. */
export function freshHead(): Head {
  return {
    title: '',
    class: {},
    numbers: 'six',
    stance: 'orthodox',
    bag: 'shadow',
    parts: [],
    head: [],
    named: new Map(),
  };
}

/** `beginners` and `beginner` are one. */
function levelNamed(text: string): Level | null {
  const word = text.trim().toLowerCase().replace(/s$/, '');
  return levels.find((level) => level === word) ?? null;
}

function readClass(scan: Scan, head: Head): void {
  const notes: string[] = [];
  const value = { ...head.class };
  for (const { text } of splitOutside(rest(scan), ',')) {
    const said = text.trim();
    const people = /^(\d{1,3})(?:\s+(?:people|athletes?|persons?))?$/i.exec(said);
    const left = /^(\d{1,3})\s+(?:left[- ]?handed|left[- ]?handers?|southpaws?)$/i.exec(said);
    const level = levelNamed(said);
    if (people && Number(people[1]) <= 500) value.people = Number(people[1]);
    else if (left && Number(left[1]) <= 500) value.leftHanded = Number(left[1]);
    else if (level) value.level = level;
    else if (said) notes.push(wholeQuote(said) ?? said);
  }
  if (notes.length > 0) value.note = notes.join(', ').slice(0, 400);
  head.class = value;
}

function readNumbers(scan: Scan, head: Head): void {
  const at = scan.at;
  const value = rest(scan).trim();
  const word = value.toLowerCase();
  if (word === 'six' || word === '6' || word === 'eight' || word === '8') {
    head.numbers = word === 'six' || word === '6' ? 'six' : 'eight';
    return;
  }
  const name = takeQuoted(scan);
  const beyondSix = splitOutside(rest(scan), ',').flatMap(({ text }) => {
    const match = /^\s*(\d{1,2})\s*=\s*(.{1,40}?)\s*$/.exec(text);
    return match && Number(match[1]) >= 7 ? [{ number: Number(match[1]), move: match[2] ?? '' }] : [];
  });
  if (!name || beyondSix.length === 0) {
    fault(
      scan,
      at,
      value.slice(0, 40),
      `"${value.slice(0, 40)}" is not a numbering`,
      'write six, eight, or a name with its numbers: "Tower" 7 = oh, 8 = bk',
    );
    return;
  }
  const numbers = { name: name.slice(0, 60), beyondSix };
  const scheme = schemeOf(numbers);
  if (!scheme.ok) fault(scan, at, value.slice(0, 40), scheme.fault.what, scheme.fault.mend);
  head.numbers = numbers;
}

function readPart(scan: Scan, head: Head): void {
  const at = scan.at;
  const match = /^([a-z][a-z0-9]*)\s*[:=]?\s*/i.exec(rest(scan));
  const name = match?.[1] ?? '';
  const text = rest(scan).slice(match?.[0].length ?? 0);
  const textAt = at + (match?.[0].length ?? 0);
  const scheme = schemeOrSix(head.numbers);
  const wrong = name ? partNameFault(name.toLowerCase(), formsOf(scheme)) : 'a part needs a name';
  if (wrong) fault(scan, at, name, wrong, 'give the part an unused name, for example combo A: 1 2');
  const read = readCombination(text, { scheme, parts: head.named });
  if (!read.ok) fault(scan, textAt + read.fault.at, read.fault.read, read.fault.what, read.fault.mend);
  if (wrong || !hasRoom(scan, head.parts, sheetLimits.parts, 'a sheet', 'named parts')) return;
  head.parts.push({ name, text: read.ok ? writeCombination(read.value) : text.trim() });
  if (read.ok) head.named.set(name.toLowerCase(), read.value);
}

const known = /(class|numbers|stance|bag|level|pace|combo)(?=[\s:])\s*:?/;

function readKnown(scan: Scan, head: Head, key: string): void {
  const at = scan.at;
  const value = rest(scan).trim();
  const refuse = (mend: string): void =>
    fault(
      scan,
      at,
      value.slice(0, 40),
      value ? `"${value.slice(0, 40)}" is not a ${key}` : `${key} has no value`,
      mend,
    );
  switch (key) {
    case 'class':
      return readClass(scan, head);
    case 'numbers':
      return readNumbers(scan, head);
    case 'combo':
      return readPart(scan, head);
    case 'stance': {
      const stance = stanceNames.find((each) => each === value.toLowerCase());
      if (stance) head.stance = stance;
      else refuse('write orthodox, southpaw or square');
      return;
    }
    case 'bag': {
      const bag = takeBag(scan);
      if (bag && rest(scan).trim() === '') head.bag = bag;
      else refuse('write shadow, heavy, standing, double-end, reflex, speed or pads');
      return;
    }
    case 'level': {
      const level = levelNamed(value);
      if (level) head.class = { ...head.class, level };
      else refuse(`write ${levels.join(', ')}`);
      return;
    }
    case 'pace': {
      const pace = Number(value);
      if (value !== '' && pace >= 0.3 && pace <= 2.5) head.class = { ...head.class, pace };
      else refuse('write a number from 0.3 to 2.5; 1 is steady');
    }
  }
}

/** Reads one line of the head: a known key, with or without its colon, or any other `key: value`, which is kept. */
export function readHeadLine(scan: Scan, head: Head): boolean {
  if (readLaneLine(scan, head) || readCallLine(scan, head) || readSchoolHead(scan, head)) return true;
  if (take(scan, /(?:focus|cue)\s*:/)) {
    const meanings = { scheme: schemeOrSix(head.numbers), parts: head.named };
    const focus = readFocusLine(
      scan,
      meanings,
      (head.ownBags ?? []).map(({ name }) => name),
    );
    if (focus && hasRoom(scan, head.focuses ?? [], sheetLimits.focuses, 'a sheet', 'cues'))
      head.focuses = [...(head.focuses ?? []), focus];
    return true;
  }
  if (take(scan, /origin\s*:/)) {
    const line = takeQuoted(scan) ?? rest(scan).trim();
    head.origin = [...(head.origin === undefined ? [] : [head.origin]), line].join('\n').slice(0, mostOrigin);
    return true;
  }
  const found = take(scan, known);
  if (found) {
    readKnown(scan, head, (found[1] ?? '').toLowerCase());
    return true;
  }
  const other = /^([\p{L}][\p{L}\p{N} _-]{0,58}?)\s*:\s*(.*)$/u.exec(rest(scan));
  if (!other) return false;
  const [, key = '', value = ''] = other;
  if (!hasRoom(scan, head.head, sheetLimits.headLines, 'a head', 'lines that are not known')) return true;
  head.head.push({ key, value: value.trim().slice(0, 400) });
  fault(scan, scan.at, key, `"${key}" is not a line we know; it is kept as it is`, 'keep it or remove it', {
    level: 'note',
  });
  return true;
}
