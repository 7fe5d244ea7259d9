import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { tinykeys } from 'tinykeys';

/** A key and what it does. */
export interface Shortcut {
  /** As tinykeys reads it: `Alt+m`, `$mod+Enter`; several for one thing. */
  readonly keys: readonly string[];
  readonly does: string;
  readonly press: (event: KeyboardEvent) => void;
  /**
   * Whether a key that is held down does it again and again: yes where somebody goes through a list or turns a thing little by
   * little, no for what starts, deletes, opens or changes a run.
   */
  readonly repeats: boolean;
  /** Whether the key means this here and now; where it does not, it is the browser's. */
  readonly when?: (event: KeyboardEvent) => boolean;
  /** Also while somebody types in a field. */
  readonly typing?: boolean;
}

/** Keys of one place: a view, a row, a run. */
export interface KeysOf {
  readonly where: string;
  readonly shortcuts: readonly Shortcut[];
}

const fields = 'input, textarea, select, [contenteditable="true"], [role="combobox"], [role="listbox"]';
const over = '[role="dialog"], [role="menu"], [role="listbox"]';

/**
 * Whether something lies over the page that takes the keys. Looked for where it would be, as a child of the body, since a
 * page of hundreds of rows takes long to search at every key; by its class, since the CDK's own service brings all of its
 * overlays into the first view.
 */
function isCovered(): boolean {
  const overlays = [...document.body.children].find(({ classList }) => classList.contains('cdk-overlay-container'));
  return (overlays?.querySelector(over) ?? null) !== null;
}

/** Whether a key goes to something that takes typing, or to what lies over the page. `isTyping(event)` */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target instanceof Element ? event.target : null;
  return (target?.closest(`${fields}, .cdk-overlay-container`) ?? null) !== null;
}

/** Every key of the product in one place: whoever has keys registers them here, and `?` shows them. */
@Injectable({ providedIn: 'root' })
export class KeysService {
  private readonly all = signal<readonly KeysOf[]>([]);
  /** What can be pressed now, the newest place first. */
  readonly now = this.all.asReadonly();
  /** Whether what is being done is done by a key that is held down: it goes on with what its first press has done. */
  get holding(): boolean {
    return this.held;
  }
  private held = false;

  /** Listens to keys until the caller is gone. To be called where something is injected. */
  use(where: string, shortcuts: readonly Shortcut[]): void {
    const keys: KeysOf = { where, shortcuts };
    const byKey = new Map<string, Shortcut[]>();
    for (const shortcut of shortcuts)
      for (const key of shortcut.keys) byKey.set(key, [...(byKey.get(key) ?? []), shortcut]);
    const listeners = Object.fromEntries(
      [...byKey].map(([key, meant]) => [
        key,
        (event: KeyboardEvent) => meant.forEach((each) => this.take(each, event)),
      ]),
    );
    const stop = tinykeys(window, listeners);
    this.all.update((all) => [keys, ...all]);
    inject(DestroyRef).onDestroy(() => {
      stop();
      this.all.update((all) => all.filter((each) => each !== keys));
    });
  }

  private take(shortcut: Shortcut, event: KeyboardEvent): void {
    if (event.defaultPrevented || isCovered()) return;
    if (!shortcut.typing && isTyping(event)) return;
    if (shortcut.when && !shortcut.when(event)) return;
    event.preventDefault();
    if (event.repeat && !shortcut.repeats) return;
    this.held = event.repeat;
    try {
      shortcut.press(event);
    } finally {
      this.held = false;
    }
  }
}

const names: Readonly<Record<string, string>> = {
  $mod: 'Ctrl',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Delete: 'Del',
  Escape: 'Esc',
};

/** A key as it is shown. `sayKey('$mod+Enter')` → `Ctrl Enter`; `sayKey('Alt+m')` → `Alt M` */
export function sayKey(key: string): string {
  return key
    .split(/\b\+/)
    .map((part) => names[part] ?? (part.length === 1 ? part.toUpperCase() : part))
    .join(' ')
    .replace('Shift ?', '?');
}
