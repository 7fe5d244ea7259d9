import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  resource,
  signal,
  type Injector,
} from '@angular/core';
import { MAT_DIALOG_DATA, MatDialog, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatListModule } from '@angular/material/list';
import { fieldLook } from '../fields/field-look';
import { Commands, inOrder, type Command } from './commands';

/** More than these are found by typing on. */
const mostShown = 60;

/** Every action of the page, every sheet, combination and setting by name: typed, chosen with ↑ ↓, done with Enter. */
@Component({
  selector: 'kt-palette',
  imports: [MatDialogModule, MatFormFieldModule, MatInputModule, MatListModule],
  providers: [fieldLook, Commands],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-dialog-content>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Search actions, sheets, combinations and settings</mat-label>
        <input
          #field
          matInput
          type="search"
          autocomplete="off"
          role="combobox"
          aria-expanded="true"
          aria-controls="palette-results"
          [attr.aria-activedescendant]="shown().length > 0 ? 'palette-' + at() : null"
          (input)="typed.set(field.value)"
          (keydown)="press($event)"
        />
      </mat-form-field>
      <mat-list id="palette-results" role="listbox" aria-label="Results">
        @for (command of shown(); track command.id) {
          <mat-list-item
            role="option"
            [id]="'palette-' + $index"
            [attr.aria-selected]="$index === at()"
            [class.at]="$index === at()"
            (pointermove)="at.set($index)"
            (click)="take(command)"
          >
            <span class="row"
              ><span class="cut">{{ command.name }}</span>
              <span class="soft">{{ command.kind }}</span>
              @if (command.key) {
                <kbd>{{ command.key }}</kbd>
              }
            </span>
          </mat-list-item>
        } @empty {
          <p class="soft">No results.</p>
        }
      </mat-list>
      <p class="visually-hidden" role="status">{{ found().length }} found</p>
    </mat-dialog-content>
  `,
  styles: `
    mat-form-field {
      width: 100%;
    }
    mat-list {
      height: min(26rem, 60vh);
      overflow-y: auto;
    }
    mat-list-item {
      cursor: pointer;
    }
    .at {
      background: var(--canvas);
      outline: 2px solid var(--line-strong);
      outline-offset: -2px;
    }
    .row {
      display: flex;
      align-items: center;
      gap: var(--space-3);
    }
    .cut {
      flex: 1;
    }
  `,
})
export class Palette {
  private readonly commands = inject(Commands);
  private readonly dialog = inject<MatDialogRef<Palette, Command>>(MatDialogRef);
  /** What had the focus before. */
  private readonly before = inject<Element>(MAT_DIALOG_DATA);
  private readonly actions = this.commands.actions(this.before);
  private readonly recent = resource({ loader: () => this.commands.recent() });
  protected readonly typed = signal('');
  protected readonly found = computed(() =>
    inOrder([...this.actions, ...this.commands.places()], this.typed(), this.recent.value() ?? []),
  );
  protected readonly shown = computed(() => this.found().slice(0, mostShown));
  /** Which one Enter takes: the first, after each letter. */
  protected readonly at = linkedSignal({ source: this.typed, computation: () => 0 });

  protected press(event: KeyboardEvent): void {
    const last = this.shown().length - 1;
    const moves: Partial<Record<string, number>> = {
      ArrowDown: this.at() + 1,
      ArrowUp: this.at() - 1,
      PageDown: this.at() + 8,
      PageUp: this.at() - 8,
    };
    const to = moves[event.key];
    if (to !== undefined) {
      event.preventDefault();
      this.at.set(Math.max(0, Math.min(last, to)));
      document.getElementById(`palette-${this.at()}`)?.scrollIntoView({ block: 'nearest' });
      return;
    }
    const command = this.shown()[this.at()];
    if (event.key === 'Enter' && command) {
      event.preventDefault();
      this.take(command);
    }
  }

  protected take(command: Command): void {
    void this.commands.remember(command);
    this.dialog.close(command);
  }
}

/**
 * Opens it over the page. What is chosen is done once it is gone and the focus is back where it was.
 * @example openPalette(injector, document.activeElement ?? document.body)
 */
export function openPalette(injector: Injector, before: Element): void {
  injector
    .get(MatDialog)
    .open<Palette, Element, Command>(Palette, {
      ...{ injector, data: before, ariaLabel: 'Search for anything', autoFocus: 'first-tabbable' },
      ...{ width: '42rem', maxWidth: '96vw', position: { top: '8vh' } },
    })
    .afterClosed()
    .subscribe((command) => command?.run());
}
