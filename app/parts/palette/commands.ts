import { computed, inject, Injectable, resource } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import * as z from 'zod/mini';
import { BookService } from '../../services/book.service';
import { GuideService } from '../../services/guide.service';
import { KeysService, sayKey, type Shortcut } from '../../services/keys.service';
import { finds } from '../../services/older-words';
import { settingNames } from '../../services/setting-names';
import { SheetsService } from '../../services/sheets.service';
import { Store } from '../../store/store';

/** Something that can be done or opened from here. */
export interface Command {
  /** By this it is remembered. */
  readonly id: string;
  readonly name: string;
  /** What it is: of the page, a sheet, a setting. */
  readonly kind: string;
  readonly key: string;
  readonly run: () => void;
}

const recentKey = 'recent commands';
const recentSchema = z.array(z.string().check(z.maxLength(200))).check(z.maxLength(20));
const mostRecent = 8;

/** A key event as if it had gone to an element: what a shortcut's own rules look at. */
function eventAt(target: Element): KeyboardEvent {
  const event = new KeyboardEvent('keydown', { cancelable: true });
  Object.defineProperty(event, 'target', { value: target });
  return event;
}

/**
 * Commands in the order in which they are offered: recent ones first, then those whose name begins with what is typed.
 * @example inOrder(commands, 'run', ['sheet demo-1'])
 */
export function inOrder(commands: readonly Command[], wanted: string, recent: readonly string[]): readonly Command[] {
  const typed = wanted.trim().toLowerCase();
  const rank = ({ id, name }: Command): number => {
    const at = recent.indexOf(id);
    if (at >= 0) return at;
    return name.toLowerCase().startsWith(typed) ? recent.length : recent.length + 1;
  };
  return commands
    .filter(({ name, kind }) => finds(`${name} ${kind}`, typed))
    .map((command) => ({ command, rank: rank(command) }))
    .sort((one, other) => one.rank - other.rank)
    .map(({ command }) => command);
}

/** Sheets that can be found: the last changed. */
const mostSheets = 1000;

/** Everything that can be searched for, as long as somebody searches: actions, sheets, combinations, settings, the guide. */
@Injectable()
export class Commands {
  private readonly keys = inject(KeysService);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  private readonly book = inject(BookService);
  private readonly sheets = toSignal(inject(SheetsService).page$(0, mostSheets));
  private readonly guide = inject(GuideService);
  private readonly pages = resource({ loader: () => this.guide.pages() });

  /** Sheets, combinations, settings and pages of the guide. */
  readonly places = computed((): readonly Command[] => {
    const sheets = (this.sheets()?.rows ?? []).map(({ id, sheet }) => ({ id, title: sheet.title || 'Untitled' }));
    const pages = this.pages.hasValue() ? this.pages.value() : [];
    return [
      ...sheets.map(({ id, title }) => this.link(`run ${id}`, `Run ${title}`, 'Run', ['/run', id])),
      ...sheets.map(({ id, title }) => this.link(`sheet ${id}`, title, 'Sheet', ['/sheets', id])),
      ...(this.book.all() ?? []).map(({ id, name, text }) =>
        this.link(`combination ${id}`, name || text, 'Combination', ['/combos'], { entry: id }),
      ),
      ...Object.entries(settingNames).map(([setting, name]) =>
        this.link(`setting ${setting}`, name, 'Setting', ['/settings'], { setting }),
      ),
      ...pages.map(({ id, title }) => this.link(`help ${id}`, title, 'Help', ['/help', id])),
    ];
  });

  /** What a page's shortcuts do where the focus was; those of a row only where there was one. */
  actions(before: Element): readonly Command[] {
    const event = eventAt(before);
    const here = ({ when }: Shortcut): boolean => !when || when(event);
    return this.keys.now().flatMap(({ where, shortcuts }) =>
      shortcuts
        .filter((shortcut) => here(shortcut) && !shortcut.keys.includes('$mod+k'))
        .map((shortcut) => ({
          id: `${where}: ${shortcut.does}`,
          name: shortcut.does,
          kind: where,
          key: shortcut.keys.map(sayKey).join(', '),
          run: () => {
            shortcut.press(eventAt(before));
          },
        })),
    );
  }

  /** Ids of the commands that were taken last, the latest first. */
  async recent(): Promise<readonly string[]> {
    const read = recentSchema.safeParse((await this.store.read(({ choices }) => choices.get(recentKey)))?.value);
    return read.success ? read.data : [];
  }

  /** Remembers a command that was taken. */
  async remember({ id }: Command): Promise<void> {
    const before = await this.recent();
    const value = [id, ...before.filter((each) => each !== id)].slice(0, mostRecent);
    await this.store.write('the recent commands', recentKey, ({ choices }) => choices.put({ key: recentKey, value }));
  }

  private link(id: string, name: string, kind: string, path: readonly string[], queryParams = {}): Command {
    return { id, name, kind, key: '', run: () => void this.router.navigate([...path], { queryParams }) };
  }
}
