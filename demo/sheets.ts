import { sheetFormat, sheetVersion, type Block, type Piece, type Sheet } from '../core/index';
import { demoText } from './combinations';

type PieceDraft = Piece extends infer Each ? (Each extends Piece ? Omit<Each, 'id'> : never) : never;
type BlockDraft = Omit<Block, 'id' | 'pieces'> & { readonly pieces?: readonly PieceDraft[] };

const seconds = (count: number): number => count * 1000;
const minutes = (count: number): number => count * 60_000;

const combination = (
  ms: number,
  text: string,
  more: Partial<Extract<PieceDraft, { kind: 'combination' }>> = {},
): PieceDraft => ({ kind: 'combination', ms, effort: 'steady', text, ...more });
const words = (ms: number, text: string, effort: 'easy' | 'steady' | 'strong' = 'easy'): PieceDraft => ({
  kind: 'words',
  ms,
  effort,
  words: text,
});
const ownTime = (ms: number): PieceDraft => ({ kind: 'own-time', ms, effort: 'steady' });
const ladder = (
  goal: string,
  every: Extract<PieceDraft, { kind: 'build' }>['every'],
  defence: 'rides' | 'own' = 'rides',
): PieceDraft => ({
  kind: 'build',
  effort: 'steady',
  build: 'ladder',
  goal,
  defence,
  every,
});
const rest = (ms: number | null): BlockDraft => ({ kind: 'rest', ms });

/** Gives every part a name that stays the same from visit to visit. */
function sheet(
  id: string,
  title: string,
  head: Partial<Pick<Sheet, 'class' | 'bag' | 'numbers' | 'lanes' | 'changeOverMs'>>,
  drafts: readonly BlockDraft[],
): Sheet {
  const blocks = drafts.map(({ pieces = [], ...block }, at): Block => ({
    ...block,
    id: `${id}-b${at + 1}`,
    pieces: pieces.map((piece, index) => ({ ...piece, id: `${id}-b${at + 1}-p${index + 1}` })),
  }));
  return {
    format: sheetFormat,
    version: sheetVersion,
    id,
    title,
    class: {},
    numbers: 'six',
    stance: 'orthodox',
    bag: 'heavy',
    ...head,
    blocks,
  };
}

const towerWarmUp: BlockDraft = {
  kind: 'warm-up',
  ms: minutes(5),
  pieces: [
    words(minutes(2), 'Skip or jog on the spot, easy feet'),
    words(minutes(1), 'Arm circles and hip circles, both ways'),
    combination(minutes(2), 'freestyle', { effort: 'easy', words: 'Easy shadow' }),
  ],
};
const coolDown = (ms: number): BlockDraft => ({
  kind: 'cool-down',
  ms,
  pieces: [words(ms, 'Gentle twists, arm circles, hips and hamstrings')],
});

const firstWatch = sheet(
  'demo-first-watch',
  'Tower, first watch',
  { class: { people: 12, level: 'beginner', leftHanded: 3, note: 'Hose tower; gloves in the blue crate' } },
  [
    towerWarmUp,
    { kind: 'show', ms: seconds(45), pieces: [combination(seconds(45), demoText('Ladder truck'))] },
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Add one every thirty seconds',
      goal: 120,
      pieces: [ladder(demoText('Ladder truck'), [seconds(30)])],
    },
    rest(minutes(1)),
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Four themes',
      pieces: [
        combination(seconds(45), demoText('Turnout')),
        combination(seconds(45), demoText('Stairwell')),
        combination(seconds(45), demoText('Two bells'), { effort: 'strong' }),
        combination(seconds(45), '1 2', { effort: 'all-out', nonStop: true }),
      ],
    },
    rest(minutes(1)),
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Under and back',
      pieces: [ladder(demoText('Hose reel'), [seconds(30)]), ownTime(seconds(30))],
    },
    rest(null),
    {
      kind: 'core',
      ms: minutes(3),
      pieces: [
        words(seconds(45), 'Plank', 'steady'),
        words(seconds(45), 'Dead bug', 'steady'),
        words(seconds(45), 'Side plank, swap sides halfway', 'steady'),
        words(seconds(45), 'Hollow hold', 'steady'),
      ],
    },
    coolDown(minutes(3)),
  ],
);

const quickShadow = sheet(
  'demo-ten-minutes',
  'Ten minutes before the shift',
  { bag: 'shadow', class: { people: 1, level: 'intermediate' } },
  [
    {
      kind: 'warm-up',
      ms: minutes(2),
      pieces: [words(minutes(1), 'Shake out, shoulders and hips'), combination(minutes(1), '1', { effort: 'easy' })],
    },
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Long hands',
      pieces: [
        combination(minutes(1), demoText('Turnout')),
        combination(minutes(1), demoText('Pump check')),
        ownTime(minutes(1)),
      ],
    },
    rest(seconds(30)),
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Walk the changes',
      pieces: [
        combination(seconds(90), demoText('Change the watch'), { focus: 'technique' }),
        combination(seconds(60), demoText('Door and through')),
        combination(seconds(30), '1 2', { effort: 95, nonStop: true }),
      ],
    },
    { kind: 'cool-down', ms: seconds(90), pieces: [words(seconds(90), 'Breathe out long, loosen neck and wrists')] },
  ],
);

const oneARound = sheet(
  'demo-one-a-round',
  'Add one every round',
  { class: { people: 8, level: 'beginner', leftHanded: 1 } },
  [
    towerWarmUp,
    {
      kind: 'round',
      ms: minutes(2),
      times: 5,
      restMs: minutes(1),
      title: 'Build by the round',
      pieces: [ladder(demoText('Cover the nozzle') + ' 2', 'round', 'own')],
    },
    rest(minutes(1)),
    {
      kind: 'conditioning',
      ms: minutes(2),
      pieces: [
        words(minutes(1), 'Squats, straight punches at the top', 'strong'),
        words(minutes(1), 'Stair steps, hands up', 'strong'),
      ],
    },
    coolDown(minutes(3)),
  ],
);

const handsThenLegs = sheet(
  'demo-hands-then-legs',
  'Hands, then legs',
  { class: { people: 10, level: 'intermediate', leftHanded: 2 } },
  [
    towerWarmUp,
    {
      kind: 'show',
      ms: seconds(60),
      title: 'Walk through from the front and the side',
      pieces: [combination(seconds(60), demoText('Long hose'))],
    },
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Hands',
      pieces: [
        ladder(demoText('Under the beam'), [seconds(45)]),
        combination(seconds(45), demoText('Under the beam'), { effort: 'strong' }),
      ],
    },
    rest(minutes(1)),
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Then legs',
      pieces: [ladder(demoText('Long hose'), [seconds(30)]), ownTime(seconds(30))],
    },
    rest(minutes(1)),
    {
      kind: 'round',
      ms: minutes(3),
      title: 'Push and follow',
      pieces: [
        combination(seconds(60), 'tp 2'),
        combination(seconds(60), 'tp 2 3'),
        combination(seconds(60), demoText('Push the gate')),
      ],
    },
    rest(minutes(1)),
    {
      kind: 'round',
      ms: minutes(4),
      title: 'Hard and easy',
      goal: 240,
      pieces: [
        combination(seconds(60), '1 2', { effort: 'all-out', nonStop: true }),
        combination(seconds(60), demoText('Stairwell'), { effort: 'easy' }),
        combination(seconds(60), '2 3', { effort: 'all-out', nonStop: true }),
        combination(seconds(60), 'any 2-4', { effort: 'easy' }),
      ],
    },
    rest(minutes(1)),
    {
      kind: 'round',
      ms: minutes(3),
      times: 3,
      restMs: minutes(1),
      title: 'Yours',
      pieces: [combination(minutes(2), '[bk / swk] 2 3'), ownTime(minutes(1))],
    },
    {
      kind: 'core',
      ms: minutes(3),
      pieces: [
        words(minutes(1), 'Plank, tap the shoulders', 'steady'),
        words(minutes(1), 'Slow mountain climbers', 'steady'),
        words(minutes(1), 'Hollow hold, rest as you need', 'steady'),
      ],
    },
    coolDown(minutes(3)),
  ],
);

const fourCorners = sheet(
  'demo-four-corners',
  'Four corners of the tower',
  {
    bag: 'heavy',
    class: { people: 12, level: 'beginner', leftHanded: 3, note: 'Wall bag hangs high: body kicks on it' },
    lanes: [
      { bag: 'heavy', places: 3, access: 'quarter', lowKicks: false },
      { bag: 'double-end', places: 3 },
      { bag: 'standing', places: 3 },
      { bag: 'shadow', places: 6 },
    ],
    changeOverMs: seconds(30),
  },
  [
    towerWarmUp,
    ...['Turnout', 'Stairwell', 'Two bells', 'Hose reel'].flatMap((name, at): BlockDraft[] => [
      ...(at > 0 ? [rest(minutes(1))] : []),
      {
        kind: 'round',
        ms: minutes(3),
        title: name,
        pieces: [
          combination(seconds(90), demoText(name as 'Turnout')),
          combination(seconds(90), at % 2 === 0 ? '1 2 3b' : '1 2 lk', { effort: 'strong' }),
        ],
      },
    ]),
    coolDown(minutes(3)),
  ],
);

/** The station class's sheets, 10 to 45 minutes. All invented. */
export const demoSheets: readonly Sheet[] = [firstWatch, quickShadow, oneARound, handsThenLegs, fourCorners];
