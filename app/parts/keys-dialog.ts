import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { KeysService, sayKey } from '../services/keys.service';
import { finds } from '../services/older-words';
import { fieldLook } from './fields/field-look';

/** Every key that can be pressed here, to be searched. */
@Component({
  selector: 'kt-keys-dialog',
  imports: [MatButtonModule, MatDialogModule, MatFormFieldModule, MatInputModule, ReactiveFormsModule],
  providers: [fieldLook],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>Shortcuts</h2>
    <mat-dialog-content>
      <mat-form-field>
        <mat-label>Search shortcuts</mat-label>
        <input matInput type="search" autocomplete="off" [formControl]="search" />
      </mat-form-field>
      @for (place of places(); track place.where) {
        <h3>{{ place.where }}</h3>
        <dl>
          @for (row of place.rows; track row.does) {
            <div>
              <dt>
                @for (key of row.keys; track key) {
                  <kbd>{{ key }}</kbd>
                }
              </dt>
              <dd>{{ row.does }}</dd>
            </div>
          }
        </dl>
      } @empty {
        <p class="soft">No shortcut found.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="end"
      ><button type="button" matButton="outlined" mat-dialog-close>Close</button></mat-dialog-actions
    >
  `,
  styles: `
    mat-form-field {
      width: 100%;
    }
    h3 {
      margin-top: var(--space-4);
    }
    div {
      display: grid;
      grid-template-columns: 12rem 1fr;
      gap: var(--space-3);
      padding-block: var(--space-1);
    }
    kbd {
      margin-inline-end: var(--space-1);
    }
  `,
})
export class KeysDialog {
  private readonly keys = inject(KeysService);
  protected readonly search = new FormControl('', { nonNullable: true });
  private readonly words = toSignal(this.search.valueChanges, { initialValue: '' });
  protected readonly places = computed(() => {
    const wanted = this.words().trim();
    return this.keys
      .now()
      .map(({ where, shortcuts }) => ({
        where,
        rows: shortcuts
          .map(({ keys, does }) => ({ keys: keys.map(sayKey), does }))
          .filter(({ keys, does }) => finds(`${does} ${keys.join(' ')}`, wanted)),
      }))
      .filter(({ rows }) => rows.length > 0);
  });
}
