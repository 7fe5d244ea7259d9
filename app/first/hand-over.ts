/** What stands before the application does, or before a view that was asked for; one of the two lines is in it. */
export const framePlaceId = 'first-frame';
/** The line of the list of sheets, and the entry line of a new sheet. */
export const listLineId = 'first-line';
export const sheetLineId = 'first-entry';
type LineId = typeof listLineId | typeof sheetLineId;

const typedKey = 'keen-tempo typed';

/** Keeps what is half typed in the line of the list, so that a reload loses nothing. */
export function keepTyped(text: string): void {
  try {
    if (text === '') sessionStorage.removeItem(typedKey);
    else sessionStorage.setItem(typedKey, text);
  } catch {
    // The browser keeps nothing for this page; the line still has it.
  }
}

/** What was half typed when the page was left; '' where nothing was. */
export function typedBefore(): string {
  try {
    return (sessionStorage.getItem(typedKey) ?? '').slice(0, 10_000);
  } catch {
    return '';
  }
}

/** Whether a key is a digit that nothing else takes: it begins a combination, and goes to the line. */
export function isTypeThrough(event: KeyboardEvent): boolean {
  const plain = !event.ctrlKey && !event.metaKey && !event.altKey && !event.defaultPrevented;
  return plain && /^[1-9]$/.test(event.key) && (event.target === document.body || event.target === null);
}

/** What somebody has done with a line before its page was there. */
export interface FirstLine {
  readonly text: string;
  /** The selection, where the line has the focus. */
  readonly focus: readonly [from: number, to: number] | null;
  /** Whether Enter was pressed, alone or with Ctrl. */
  readonly enter: 'alone' | 'ctrl' | null;
  /** The shortcut that was pressed last: `Alt+c`, `Ctrl+k`. */
  readonly shortcut: string | null;
}

function stateOf(line: HTMLElement): FirstLine {
  const input = line.querySelector('input');
  const text = input?.value ?? '';
  const { enter } = line.dataset;
  return {
    text,
    focus:
      input && document.activeElement === input
        ? [input.selectionStart ?? text.length, input.selectionEnd ?? text.length]
        : null,
    enter: enter === 'alone' || enter === 'ctrl' ? enter : null,
    shortcut: line.dataset['shortcut'] ?? null,
  };
}

/** A shortcut of the page that comes: Alt with a letter or digit, or Ctrl K. */
function shortcutOf({ altKey, ctrlKey, metaKey, key }: KeyboardEvent): string | null {
  if (altKey && !ctrlKey && /^[a-z0-9]$/i.test(key)) return `Alt+${key}`;
  return !altKey && (ctrlKey || metaKey) && key === 'k' ? `${metaKey ? 'Meta' : 'Ctrl'}+k` : null;
}

/** Remembers Enter and shortcuts in a line: what they do is done as soon as it can be. */
export function rememberKeys(line: HTMLElement): void {
  line.addEventListener('submit', (event) => event.preventDefault());
  line.addEventListener('keydown', (event) => {
    const shortcut = shortcutOf(event);
    if (shortcut) {
      event.preventDefault();
      line.dataset['shortcut'] = shortcut;
      return;
    }
    if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement)) return;
    event.preventDefault();
    line.dataset['enter'] = event.ctrlKey || event.metaKey ? 'ctrl' : 'alone';
    line.setAttribute('aria-busy', 'true');
  });
}

/** The frame that a line stands in; the other line may stand in one of its own by then. */
const frameOf = (line: HTMLElement): Element | null => line.closest(`#${framePlaceId}`);

/** Moves the line of the list into a place of the page that now stands, with its focus; the frame it stood in goes. */
export function placeFirstLine(place: HTMLElement): void {
  const line = document.getElementById(listLineId);
  if (!line) return;
  const { focus } = stateOf(line);
  const frame = frameOf(line);
  // The frame's button goes with its focus, which its like on the page takes.
  const onButton = frame?.querySelector('button') === document.activeElement;
  place.append(line);
  frame?.remove();
  if (onButton) document.querySelector<HTMLElement>('[data-leads-to="sheets/:id"]')?.focus();
  if (!focus) return;
  const input = line.querySelector('input');
  // An element that is moved loses its focus.
  input?.focus();
  input?.setSelectionRange(...focus);
}

/** Presses a shortcut again where it is known by now, in the field that has the focus. `pressAgain(field, 'Alt+c')` */
export function pressAgain(field: HTMLElement, shortcut: string): void {
  const [held, key] = shortcut.split('+');
  const keys = { key: key ?? '', altKey: held === 'Alt', ctrlKey: held === 'Ctrl', metaKey: held === 'Meta' };
  field.dispatchEvent(new KeyboardEvent('keydown', { ...keys, bubbles: true, cancelable: true }));
}

/** Ends a line and the frame that it stands in, and hands over what was done with it; null where there is none. */
export function takeFirstLine(id: LineId): FirstLine | null {
  const line = document.getElementById(id);
  if (!line) return null;
  const state = stateOf(line);
  frameOf(line)?.remove();
  line.remove();
  return state;
}

/** Ends the lines that are of no use on the page of an address; a new sheet may have been asked for before the list is there. */
export function endFirstLines(address: string): void {
  if (!/^\/sheets(?:[?#]|$)/.test(address)) takeFirstLine(listLineId);
  if (!/^\/sheets(?:[/?#]|$)/.test(address)) takeFirstLine(sheetLineId);
}

/** What was pressed in the frame: a new sheet, or a link with its address. */
export type Pressed = 'new sheet' | `/${string}`;
const pressedEvent = 'keen-tempo pressed';

/** Says what was pressed in the frame. The application does it as soon as it can; the last press counts. */
export function press(what: Pressed): void {
  const frame = document.getElementById(framePlaceId);
  frame?.setAttribute('aria-busy', 'true');
  frame?.setAttribute('data-pressed', what);
  document.dispatchEvent(new CustomEvent(pressedEvent, { detail: what }));
}

/** Takes what is pressed in the frame, and what was pressed before, until the returned function is called. */
export function onPressed(act: (what: Pressed) => void): () => void {
  const listen = ({ detail }: CustomEvent<Pressed>): void => act(detail);
  document.addEventListener(pressedEvent, listen as EventListener);
  const frame = document.getElementById(framePlaceId);
  const before = frame?.dataset['pressed'];
  if (before) act(before as Pressed);
  return () => document.removeEventListener(pressedEvent, listen as EventListener);
}
