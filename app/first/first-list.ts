import type { FirstList, FirstRow } from './first-row';

/** More rows than a screen holds need not be there at once. */
export const mostFirstRows = 12;

/** Name of the browser's database. */
export const ourDatabase = 'keen-tempo';

export const firstListId = 'first-list';
export const firstHintId = 'first-hint-above-list';
const listKey = 'keen-tempo first list';

/** Remembers the list for the next visit. */
export function keepFirstList(list: FirstList): void {
  try {
    localStorage.setItem(listKey, JSON.stringify(list));
  } catch {
    // The browser keeps nothing for this page, or has no room: the next visit waits for the application.
  }
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;
const isPair = (value: unknown): boolean =>
  Array.isArray(value) && value.length === 2 && value.every((each) => typeof each === 'string');

/** Looked at by hand: what checks all other records is too large to come before them. */
function isFirstList(value: unknown): value is FirstList {
  if (!isRecord(value) || typeof value['hint'] !== 'boolean' || !Array.isArray(value['rows'])) return false;
  return value['rows'].every(
    (row) =>
      isRecord(row) &&
      typeof row['id'] === 'string' &&
      typeof row['title'] === 'string' &&
      Array.isArray(row['figures']) &&
      row['figures'].every(isPair),
  );
}

/** The list as text, from the last visit or from the build; null where there is none that can be read. */
export function readFirstList(text: string | null | undefined): FirstList | null {
  try {
    const value: unknown = JSON.parse(text ?? 'null');
    return isFirstList(value) ? { ...value, rows: value.rows.slice(0, mostFirstRows) } : null;
  } catch {
    return null;
  }
}

/** What the last visit has remembered; null where nothing was. */
export function keptFirstList(): FirstList | null {
  try {
    return readFirstList(localStorage.getItem(listKey));
  } catch {
    return null;
  }
}

function make<Tag extends keyof HTMLElementTagNameMap>(
  tag: Tag,
  className = '',
  text = '',
): HTMLElementTagNameMap[Tag] {
  const element = document.createElement(tag);
  element.className = className;
  element.textContent = text;
  return element;
}

function rowOf({ id, title, figures }: FirstRow): HTMLElement {
  const [row, words, name, run] = [make('li'), make('div', 'words'), make('h2'), make('a', 'first-button', '▶  Run')];
  const link = make('a', '', title || 'Untitled');
  link.href = `/sheets/${encodeURIComponent(id)}`;
  run.href = `/run/${encodeURIComponent(id)}`;
  run.setAttribute('aria-label', `Run ${title}`);
  name.append(link);
  // The line below the title tells of days: it comes with the application.
  words.append(name, make('p', 'soft', '\u00a0'));
  row.append(words);
  for (const [figure, word] of figures) {
    const said = make('p', 'figure');
    said.append(make('b', 'figures', figure), ' ', make('span', 'soft', word));
    row.append(said);
  }
  row.append(run, make('span', 'more'));
  return row;
}

/** Draws the list where it will stand. */
export function drawFirstList({ rows, hint }: FirstList): void {
  document.getElementById(firstListId)?.replaceChildren(...rows.map(rowOf));
  const above = document.getElementById(firstHintId);
  if (above) above.hidden = !hint;
}
