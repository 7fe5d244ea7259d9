/** What is called otherwise now, with the word by which somebody may still look for it. */
export const renamed: readonly { readonly now: string; readonly before: readonly string[] }[] = [
  { now: 'Checks', before: ['findings'] },
  { now: 'Fit and versions', before: ['whole'] },
  { now: 'Overview', before: ['glance'] },
  { now: 'Stations', before: ['lanes'] },
  { now: 'Combinations', before: ['book', 'combos'] },
  { now: 'Gym', before: ['room', 'bench'] },
  { now: 'Bag set-up', before: ['bench'] },
  { now: 'Class screens', before: ['walls'] },
  { now: 'Cues', before: ['reminders'] },
  { now: 'Video', before: ['film'] },
  { now: 'Adjust', before: ['change'] },
  { now: 'Build-ups', before: ['families'] },
  { now: 'Progression', before: ['way'] },
  { now: 'Where coaches differ', before: ['schools'] },
  { now: 'Free work', before: ['own time'] },
  { now: 'Open rest', before: ['open break'] },
];

/** The older words that belong to a text, beside its own. */
const olderFor = (text: string): string =>
  renamed
    .filter(({ now }) => text.includes(now.toLowerCase()))
    .flatMap(({ before }) => before)
    .join(' ');

/**
 * Whether a text has every word that is looked for, by today's names or by the older ones.
 * @example finds('Open the checks', 'findings') // true
 */
export function finds(text: string, wanted: string): boolean {
  const own = text.toLowerCase();
  const all = `${own} ${olderFor(own)}`;
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
