import { callKinds, phraseKeys, talks, type CallKind } from '../../sheet/call-kinds';
import { strikeWords, type CallEdit, type SheetCalls, type Wordings } from '../../sheet/calls';
import type { Sheet } from '../../sheet/schema';
import { stancePlans, usualStances } from '../../sheet/stances';
import { fault, quote, rest, take, takeQuoted, type Scan } from './line';

/** What the head says of stance changes and of calls. */
export interface CallHead {
  stances?: Sheet['stances'];
  calls?: SheetCalls;
}

function refuse(scan: Scan, at: number, what: string, mend: string): void {
  fault(scan, at, scan.line.text.slice(at).trim().slice(0, 40), what, mend);
}

const ended = (scan: Scan): boolean => rest(scan).trim() === '';
const alternatives = (names: readonly string[]): RegExp =>
  new RegExp(`(?:${[...names].sort((a, b) => b.length - a.length).join('|')})(?![a-z])`);
const word = (match: RegExpExecArray | null): string => match?.[0].replace(/[\s,]+$/, '').toLowerCase() ?? '';

function readStances(scan: Scan, head: CallHead): void {
  const at = scan.at;
  const named = word(take(scan, alternatives(stancePlans)));
  const plan = stancePlans.find((each) => each === named);
  const pieces = take(scan, /after (\d{1,2}) pieces?/);
  const settle = take(scan, /settle (\d{1,2}(?:\.\d{1,3})?) ?s/);
  const first = take(scan, /first at (\d(?:\.\d{1,4})?)/);
  const [count, settleMs, firstPace] = [pieces?.[1], settle?.[1], first?.[1]].map((each) => Number(each ?? NaN));
  const bad =
    !plan ||
    !ended(scan) ||
    (pieces && !(count && count <= 50)) ||
    (first && !(firstPace && firstPace >= 0.3 && firstPace <= 1));
  if (bad)
    refuse(
      scan,
      at,
      'this stance plan could not be read',
      `write stances: each round, settle 3s, first at 0.8; or ${stancePlans.join(', ')}`,
    );
  else
    head.stances = {
      plan,
      ...(pieces && count ? { pieces: count } : {}),
      settleMs: settle && settleMs !== undefined ? Math.round(settleMs * 1000) : usualStances.settleMs,
      firstPace: first && firstPace !== undefined ? firstPace : usualStances.firstPace,
    };
}

const reword = (head: CallHead, change: (before: Wordings) => Wordings): void => {
  head.calls = { ...head.calls, wordings: change(head.calls?.wordings ?? {}) };
};

function readPhrase(scan: Scan, head: CallHead): void {
  const at = scan.at;
  const named = word(take(scan, alternatives(phraseKeys)));
  const key = phraseKeys.find((each) => each === named);
  const full = takeQuoted(scan);
  const short = take(scan, /\//) ? takeQuoted(scan) : null;
  if (!key || !full || full.length > 400 || (short?.length ?? 1) > 400 || short === '' || !ended(scan)) {
    refuse(scan, at, 'this wording could not be read', 'write phrase: switch stance "Switch now" / "Switch"');
    return;
  }
  reword(head, (before) => ({
    ...before,
    phrases: [...(before.phrases ?? []).filter((each) => each.key !== key), { key, full, ...(short ? { short } : {}) }],
  }));
}

function readEdit(scan: Scan, head: CallHead): void {
  const at = scan.at;
  const key = takeQuoted(scan);
  const say = take(scan, /say(?=\s*["“])/) ? takeQuoted(scan) : null;
  const muted = take(scan, /muted/);
  const lock = take(scan, /locked (\d{1,7})/);
  if (!key || key.length > 200 || say === '' || Number(lock?.[1] ?? 0) > 3_600_000 || !ended(scan)) {
    refuse(scan, at, 'this call edit could not be read', 'make the change under Calls');
    return;
  }
  const edit: CallEdit = {
    key,
    ...(say === null ? {} : { say: say.slice(0, 400) }),
    ...(muted ? { muted: true } : {}),
    ...(lock ? { atMs: Number(lock[1]) } : {}),
  };
  head.calls = { ...head.calls, edits: [...(head.calls?.edits ?? []), edit].slice(0, 2000) };
}

function readQuiet(scan: Scan, head: CallHead): void {
  const at = scan.at;
  const quiet: CallKind[] = [];
  for (let kind = word(take(scan, alternatives(callKinds))); kind; kind = word(take(scan, alternatives(callKinds)))) {
    const known = callKinds.find((each) => each === kind);
    if (known && !quiet.includes(known)) quiet.push(known);
  }
  if (quiet.length === 0 || !ended(scan))
    refuse(scan, at, 'this is not a type of call', `write quiet: ${callKinds.join(', ')}`);
  else head.calls = { ...head.calls, quiet };
}

function readTalk(scan: Scan, head: CallHead): void {
  const talk = talks.find((each) => each === rest(scan).trim().toLowerCase());
  if (talk) head.calls = { ...head.calls, talk };
  else refuse(scan, scan.at, 'this is not a level of talk', `write talk: ${talks.join(', ')}`);
}

function readSides(scan: Scan, head: CallHead): void {
  const said = rest(scan).trim().toLowerCase();
  if (said === 'always' || said === 'new') reword(head, (before) => ({ ...before, sides: said === 'always' }));
  else refuse(scan, scan.at, 'sides are said always, or where they are new', 'write sides: always');
}

function readCheer(scan: Scan, head: CallHead): void {
  const at = scan.at;
  const cheer = takeQuoted(scan);
  if (!cheer || cheer.length > 400 || !ended(scan))
    refuse(scan, at, 'this praise line could not be read', 'write praise: "Good work"');
  else reword(head, (before) => ({ ...before, cheers: [...(before.cheers ?? []), cheer].slice(0, 30) }));
}

/** Reads the head's lines about stance changes and calls; false where the line is none of them. */
export function readCallLine(scan: Scan, head: CallHead): boolean {
  const found = take(scan, /(stances|phrase|praise|strikes said as|sides|talk|call edit|quiet)\s*:/);
  if (!found) return false;
  const key = (found[1] ?? '').toLowerCase();
  const at = scan.at;
  if (key === 'stances') readStances(scan, head);
  else if (key === 'phrase') readPhrase(scan, head);
  else if (key === 'praise') readCheer(scan, head);
  else if (key === 'call edit') readEdit(scan, head);
  else if (key === 'quiet') readQuiet(scan, head);
  else if (key === 'talk') readTalk(scan, head);
  else if (key === 'sides') readSides(scan, head);
  else {
    const as = strikeWords.find((each) => each === rest(scan).trim().toLowerCase());
    if (as) reword(head, (before) => ({ ...before, strikesAs: as }));
    else
      refuse(
        scan,
        at,
        'strikes can be called by numbers, names or both',
        `write strikes said as: ${strikeWords.join(', ')}`,
      );
  }
  return true;
}

function wordingLines({ phrases, cheers, strikesAs, sides }: Wordings): string[] {
  return [
    ...(sides === undefined ? [] : [`sides: ${sides ? 'always' : 'new'}`]),
    ...(strikesAs ? [`strikes said as: ${strikesAs}`] : []),
    ...(phrases ?? []).map(
      ({ key, full, short }) => `phrase: ${key} ${quote(full)}${short === undefined ? '' : ` / ${quote(short)}`}`,
    ),
    ...(cheers ?? []).map((cheer) => `praise: ${quote(cheer)}`),
  ];
}

/** The lines of a sheet's stance plan and calls, as the reader takes them. */
export function callLines({ stances, calls }: Pick<Sheet, keyof CallHead>): string[] {
  const plan = stances && [
    `stances: ${stances.plan}`,
    ...(stances.pieces === undefined ? [] : [`after ${stances.pieces} ${stances.pieces === 1 ? 'piece' : 'pieces'}`]),
    `settle ${stances.settleMs / 1000}s`,
    `first at ${stances.firstPace}`,
  ];
  return [
    ...(plan ? [plan.join(', ')] : []),
    ...(calls?.quiet && calls.quiet.length > 0 ? [`quiet: ${calls.quiet.join(', ')}`] : []),
    ...(calls?.talk ? [`talk: ${calls.talk}`] : []),
    ...wordingLines(calls?.wordings ?? {}),
    ...(calls?.edits ?? []).map(({ key, say, muted, atMs }) =>
      [
        `call edit: ${quote(key)}`,
        ...(say === undefined ? [] : [`say ${quote(say)}`]),
        ...(muted ? ['muted'] : []),
        ...(atMs === undefined ? [] : [`locked ${atMs}`]),
      ].join(' '),
    ),
  ];
}
