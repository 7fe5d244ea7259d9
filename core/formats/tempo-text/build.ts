import type { Target } from '../../moves/kind';
import { goalsOf } from '../../progressions/build';
import { buildKinds, mostEfforts, type BuildKind } from '../../progressions/kinds';
import { readClock } from '../../clock-text';
import type { PieceOf } from '../../sheet/schema';
import { keepCombination, keepLanes, takeTail, type Meanings } from './body';
import { fault, rest, splitOutside, take, type Scan } from './line';
import { lengthPattern, takeOption, type Options } from './piece';

type Build = PieceOf<'build'>;
type BuildOptions = Partial<
  Pick<Build, 'every' | 'defence' | 'kick' | 'cuts' | 'from' | 'to' | 'again' | 'alone' | 'pattern' | 'efforts'>
>;

const aims: readonly Target[] = ['head', 'body', 'leg'];

function takeEvery(scan: Scan): Build['every'] | null {
  if (take(scan, /rounds?(?![a-z0-9])/)) return 'round';
  const lengths: number[] = [];
  for (;;) {
    const at = scan.at;
    const found = take(scan, lengthPattern);
    const ms = found ? readClock(found[0]) : null;
    if (ms === null) {
      scan.at = at;
      return lengths.length > 0 ? lengths : null;
    }
    lengths.push(ms);
  }
}

const whole = (text: string | undefined): number => Math.min(99, Math.max(1, Number(text ?? 1)));

/** Takes one option of a build; null where none stands here. */
function takeBuildOption(scan: Scan): BuildOptions | null {
  const at = scan.at;
  if (take(scan, /every(?![a-z0-9])/)) {
    const every = takeEvery(scan);
    if (every) return { every };
    fault(
      scan,
      at,
      `every ${/^[^\s:]*/.exec(rest(scan))?.[0] ?? ''}`.trim(),
      '"every" needs a length',
      'write every 0:30, or every round',
    );
    return {};
  }
  const defence = take(scan, /defen[cs]e\s+(own|rides)(?![a-z0-9])/);
  if (defence) return { defence: defence[1]?.toLowerCase() === 'own' ? 'own' : 'rides' };
  const kick = take(scan, /kick\s+(opposite|same)(?![a-z0-9])/);
  if (kick) return { kick: kick[1]?.toLowerCase() === 'same' ? 'same' : 'opposite' };
  const cuts = take(scan, /cuts\s+(\d{1,5}(?:\s*,\s*\d{1,5})*)/);
  if (cuts)
    return {
      cuts: (cuts[1] ?? '')
        .split(',')
        .map(Number)
        .filter((cut) => cut >= 1 && cut <= 10_000),
    };
  const fromTo = take(scan, /from\s+(\d{1,2})(?:\s+to\s+(\d{1,2}))?(?![a-z0-9])/);
  if (fromTo) return { from: whole(fromTo[1]), ...(fromTo[2] === undefined ? {} : { to: whole(fromTo[2]) }) };
  const to = take(scan, /to\s+(\d{1,2})(?![a-z0-9])/);
  if (to) return { to: whole(to[1]) };
  if (take(scan, /again(?![a-z0-9])/)) return { again: true };
  if (take(scan, /alone(?![a-z0-9])/)) return { alone: true };
  // A list of per cents; a single one with its sign is the effort of all of it.
  const efforts = take(scan, /(\d{1,3}(?:\s*,\s*\d{1,3})+)(?![a-z0-9%:.])/);
  if (efforts) {
    const all = (efforts[1] ?? '').split(',').map(Number);
    const bad = all.find((each) => each < 10 || each > 100);
    if (bad !== undefined) fault(scan, at, String(bad), `${bad} is not a valid effort`, 'use 10 to 100');
    return { efforts: all.map((each) => Math.min(100, Math.max(10, each))).slice(0, mostEfforts) };
  }
  const pattern = take(scan, /pattern\s+((?:head|body|leg)(?:\s*,\s*(?:head|body|leg))*)(?![a-z0-9])/);
  if (!pattern) return null;
  const named = (pattern[1] ?? '').toLowerCase().split(/\s*,\s*/);
  return { pattern: named.flatMap((name) => aims.find((aim) => aim === name) ?? []).slice(0, 24) };
}

function takeKind(scan: Scan): BuildKind {
  const at = scan.at;
  const word = take(scan, /[a-z]+(?:-[a-z]+)?(?=[\s:]|$)/);
  const named = (word?.[0] ?? '').toLowerCase().replace('kickclose', 'kick-close');
  const kind = buildKinds.find((each) => each === named);
  if (!kind)
    fault(
      scan,
      at,
      named,
      named ? `"${named}" is not a kind of build` : 'say which kind of build',
      `write ${buildKinds.join(', ')}`,
    );
  return kind ?? 'ladder';
}

/**
 * Reads `build KIND [options] every m:ss: GOAL` behind the word build. Whatever cannot be read is a fault; the build
 * stays, with the goal's text.
 */
export function readBuild(scan: Scan, meanings: Meanings, id: string): Build {
  const build = takeKind(scan);
  const options: Options = { effort: 'steady' };
  let chosen: BuildOptions = {};
  for (;;) {
    const found = takeBuildOption(scan);
    if (found) chosen = { ...chosen, ...found };
    else if (!takeOption(scan, options)) break;
  }
  const wanted = goalsOf(build);
  const { text: goals, tail } = takeTail(rest(scan));
  const lead = /^\s*:?/.exec(goals)?.[0].length ?? 0;
  const parts = splitOutside(goals.slice(lead), wanted === 2 ? '//' : '\n').filter((part) => part.text.trim() !== '');
  const kept = parts.slice(0, Math.max(1, wanted)).map((part) => ({ ...part, at: scan.at + lead + part.at }));
  const keep = (part: (typeof kept)[number] | undefined): string =>
    part && wanted > 0 ? keepCombination(scan, part.text, part.at, meanings, id) : '';
  if (parts.length < wanted)
    fault(
      scan,
      scan.at,
      '',
      wanted === 2 ? 'linking needs two combinations' : 'this build needs a goal',
      wanted === 2 ? 'write both with // between them, for example 1 2 // 3b 2' : 'put a combination after the colon',
      { pieceId: id },
    );
  if (parts.length > wanted)
    fault(
      scan,
      kept[0]?.at ?? scan.at,
      (parts[wanted]?.text ?? '').trim().slice(0, 40),
      'this build does not use a goal here',
      wanted === 0 ? 'remove the goal: the alternator has none' : 'remove it',
    );
  const { between, gapMs, voice, bpm, lanes } = tail;
  const second = wanted === 2 ? { second: keep(kept[1]) } : {};
  return {
    kind: 'build',
    id,
    effort: options.effort,
    ...(options.focus ? { focus: options.focus } : {}),
    ...(options.stance ? { stance: options.stance } : {}),
    ...(options.power === undefined ? {} : { power: options.power }),
    build,
    goal: keep(kept[0]),
    ...second,
    defence: 'rides',
    every: [30_000],
    ...chosen,
    ...(options.nonStop ? { nonStop: true } : {}),
    ...(gapMs === undefined ? {} : { gapMs }),
    ...(between === undefined ? {} : { between }),
    ...(voice === undefined ? {} : { voice }),
    ...(bpm === undefined ? {} : { bpm }),
    ...keepLanes(lanes, meanings),
  };
}
