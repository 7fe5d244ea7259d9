import { demoSheets } from '../demo/sheets';
import {
  bagNatures,
  blockWords,
  callOptionsOf,
  candidatesOf,
  chunksOf,
  clipWords,
  compile,
  effortNames,
  exercises,
  faultList,
  fullMoveName,
  move,
  moveKinds,
  numberWord,
  paceWords,
  plain,
  readTempoText,
  sessionTemplates,
  slotNatures,
  usualCheers,
  usualFocuses,
  usualPhrases,
  type Saying,
} from '../core/index';

/** Words of a wording, parted where something is filled in. */
const fixedParts = (words: string): string[] => words.split(/\{\w+\}/);

function moveNames(): string[] {
  return moveKinds.flatMap((kind) => {
    const sides = kind.sides.length > 0 ? kind.sides : [undefined];
    const aims = kind.targets.length > 0 ? kind.targets : [undefined];
    // A defence, kick or knee on its usual side is said without it.
    const bare = kind.marked || kind.limb === 'leg' ? [kind.name] : [];
    return [...bare, ...sides.flatMap((side) => aims.map((target) => fullMoveName(move(kind.id, side, target))))];
  });
}

const numbers = Array.from({ length: 100 }, (_, value) => numberWord(value));
const oneToEight = numbers.slice(1, 9);

/** Rounds by their number among so many: longer sessions are put together from single words. */
const mostRounds = 8;
function roundNames(): string[] {
  return numbers.slice(1, mostRounds).flatMap((round, at) => {
    const all = numbers.slice(Math.max(2, at + 1), mostRounds + 1);
    return [`round ${round}`, ...all.map((count) => `round ${round} of ${count}`)];
  });
}

/** Everything that is recorded, as it is spelt in a call: lower case, no signs. A new word is a line here. */
export function clipTexts(): string[] {
  const said = [
    ...numbers,
    ...oneToEight.flatMap((number) => [`${number} body`, `${number} head`]),
    ...[50, 60, 70, 75, 80, 90, 95, 100].map((share) => `at ${numberWord(share)} per cent`),
    'hundred',
    'at',
    'per cent',
    ...moveNames(),
    ...['thigh', 'hip', 'chest', 'jaw', 'as shown', 'free'],
    ...exercises.map(({ name }) => name),
    ...effortNames,
    ...moveKinds.map(({ plural }) => plural),
    ...moveKinds.filter(({ sideInName }) => sideInName).flatMap(({ plural }) => [`lead ${plural}`, `rear ${plural}`]),
    ...Object.values(slotNatures).flatMap(({ said: words }) => [
      words.one,
      words.more,
      `${words.one} of your own`,
      `${words.more} of your own`,
    ]),
    ...paceWords.map(({ words }) => words),
    ...Object.values(bagNatures).map(({ spoken }) => spoken),
    ...Object.values(blockWords),
    ...faultList.map(({ reminder }) => reminder),
    ...['twice', 'three times', 'four times', 'five times', 'six times', 'finish with', 'a', 'an', 'any'],
    ...roundNames(),
    ...numbers.filter((_, count) => count > 1 && (count < 8 || count % 5 === 0)).map((count) => `${count} minutes`),
    ...numbers.slice(1, 4).map((count) => `${count} and a half minutes`),
    ...numbers.slice(2, 13).map((count) => `${count} rounds`),
    ...['one minute', 'the last round', 'build up to', 'first', 'then', 'all out', 'finish with the'],
    ...['lead hand', 'rear hand', 'alternating hands', 'soft', 'different every time', 'free round'],
    ...Object.values(usualPhrases).flatMap(({ full, short }) => [...fixedParts(full), ...fixedParts(short ?? '')]),
    ...usualFocuses.map(({ words }) => words),
    ...usualCheers.map(({ words }) => words),
    ...['fifteen', 'twenty', 'thirty', 'forty five'].map((count) => `${count} seconds left`),
    ...['two', 'three', 'four', 'five'].map((count) => `${count} minutes left`),
    ...['ten', 'fifteen', 'twenty', 'thirty', 'forty five', 'sixty'].map((count) => `${count} seconds`),
    ...['left', 'right', 'forward', 'back', 'go', 'lead', 'rear', 'hard', 'light', 'feint', 'body', 'head', 'leg'],
    ...['orthodox', 'southpaw', 'square', 'natural stance', 'other stance', 'lead side', 'rear side'],
    ...['round', 'rounds', 'warm up', 'cool down', 'core', 'conditioning', 'show', 'rest', 'water', 'time'],
    ...['times', 'next time', 'with', 'to', 'any', 'different', 'end', 'freestyle', 'add on', 'again', 'and', 'then'],
    ...['punches', 'kicks', 'strikes', 'hooks', 'jabs', 'straights', 'uppercuts', 'hands', 'feet', 'stage', 'of'],
    ...['plank', 'squats', 'push-ups', 'mountain climbers', 'dead bug', 'side plank', 'hollow hold', 'skipping'],
    ...['easy feet', 'hands up', 'chin down', 'breathe', 'breathe out', 'slow down', 'last one', 'well done', 'faster'],
    ...[
      'easy shadow',
      'arm circles',
      'hip circles',
      'both ways',
      'own time',
      'double end',
      'heavy',
      'standing',
      'reflex',
    ],
    ...['shadow', 'speed', 'pads', 'bag', 'group', 'change', 'half', 'minute', 'minutes', 'seconds', 'second', 'first'],
    ...['step round', 'let it swing past', 'stay off the bag', 'bring it back', 'snap and touch', 'by ear', 'softly'],
    ...[
      'themes',
      'under',
      'jog',
      'on the spot',
      'or',
      'in',
      'for',
      'out',
      'the',
      'hips',
      'hamstrings',
      'twists',
      'easy twists',
    ],
    ...['skip', 'one more', 'each', 'build', 'long', 'light', 'fast', 'walk', 'mirror', 'learn', 'technique', 'power'],
  ];
  // A call is put together sentence by sentence, so those are recorded.
  const chunks = [...said.map(plain), ...ownCalls()].flatMap(chunksOf);
  return [...new Set(chunks.map(({ words }) => clipWords(words).join(' ')))].filter(Boolean).sort();
}

/** Everything that is said in our own sheets and templates, whether there is room for it or not. */
function ownCalls(): Saying[] {
  const sheets = [...demoSheets, ...sessionTemplates.map(({ text }) => readTempoText(text).sheet)];
  return sheets.flatMap((sheet) => {
    const timeline = compile(sheet);
    const { candidates, breaks } = candidatesOf(timeline, callOptionsOf(sheet, timeline), sheet.title);
    return [
      ...candidates.filter(({ kind }) => kind !== 'bell').flatMap(({ phrases }) => phrases),
      ...breaks.flatMap(({ calls }) => calls.filter(({ kind }) => kind !== 'bell')),
    ];
  });
}
