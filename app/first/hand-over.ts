/** The frame that stands before the application does, and the line in it that is typed into. */
export const framePlaceId = 'first-frame';
export const firstLineId = 'first-line';

const typedKey = 'keen-tempo typed';

/** Keeps what is half typed in the first line, so that a reload loses nothing. */
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

/** What somebody has done with the first line. */
export interface FirstLine {
  readonly text: string;
  /** The selection, where the line has the focus. */
  readonly focus: readonly [from: number, to: number] | null;
  /** Enter or Ctrl Enter was pressed. */
  readonly wanted: 'draft' | 'run' | null;
}

const lineNow = (): HTMLElement | null => document.getElementById(firstLineId);

function stateOf(line: HTMLElement): FirstLine {
  const input = line.querySelector('input');
  const text = input?.value ?? '';
  const { wanted } = line.dataset;
  return {
    text,
    focus:
      input && document.activeElement === input
        ? [input.selectionStart ?? text.length, input.selectionEnd ?? text.length]
        : null,
    wanted: wanted === 'run' || wanted === 'draft' ? wanted : null,
  };
}

/** Moves the first line into a place of the page that now stands, with its focus; the frame it stood in goes. */
export function placeFirstLine(place: HTMLElement): void {
  const line = lineNow();
  if (!line) return;
  const { focus } = stateOf(line);
  place.append(line);
  document.getElementById(framePlaceId)?.remove();
  if (!focus) return;
  const input = line.querySelector('input');
  // An element that is moved loses its focus.
  input?.focus();
  input?.setSelectionRange(...focus);
}

/** Ends the first line and hands over what was done with it; null where there is none. */
export function takeFirstLine(): FirstLine | null {
  const line = lineNow();
  const state = line && stateOf(line);
  line?.remove();
  document.getElementById(framePlaceId)?.remove();
  return state;
}
