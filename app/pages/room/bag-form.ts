import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { bagKinds, natureOf, type Room, type RoomBag } from '../../../core/index';
import { MeasureField } from '../../parts/measure-field';

/** One bag of the room: kind, name, measures, places, and whether it is down. */
@Component({
  selector: 'kt-bag-form',
  imports: [MeasureField, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = bag();
    <fieldset>
      <legend>{{ own.name || own.kind }}</legend>
      <p class="soft">{{ nature()?.goodFor }}</p>
      <p class="care">{{ nature()?.care }}</p>
      <div class="fields">
        <label
          >Kind
          <select class="field" (change)="changed.emit({ kind: text($event) })">
            @for (kind of kinds(); track kind) {
              <option [value]="kind" [selected]="kind === own.kind">{{ kind }}</option>
            }
          </select>
        </label>
        <label
          >Name
          <input
            class="field"
            type="text"
            maxlength="60"
            [value]="own.name"
            (change)="changed.emit({ name: text($event) })"
        /></label>
        <label
          >Places
          <input
            class="field figures"
            type="number"
            min="0"
            max="50"
            [value]="own.places"
            (change)="changePlaces($event)"
        /></label>
        <kt-measure-field
          label="Radius"
          [value]="own.radius"
          [least]="0.03"
          [most]="5"
          (changed)="changed.emit({ radius: $event })"
        />
        @if (own.kind !== 'shadow') {
          <kt-measure-field
            label="Lower edge"
            [value]="own.bottom"
            [most]="5"
            (changed)="changed.emit({ bottom: $event })"
          />
          <kt-measure-field
            label="Upper edge"
            [value]="own.top"
            [least]="0.1"
            [most]="6"
            (changed)="changed.emit({ top: $event })"
          />
        }
        <label class="tick"
          ><input type="checkbox" [checked]="own.down ?? false" (change)="changed.emit({ down: !own.down })" /> Down,
          not in use</label
        >
      </div>
      <p>
        @if (own.kind === 'heavy' || own.kind === 'double-end' || own.kind === 'speed') {
          <a routerLink="/bench" [queryParams]="{ bag: own.id }">Measure it on the bench</a>
        }
        <button type="button" class="link-button" (click)="removed.emit()">Take it out</button>
      </p>
    </fieldset>
  `,
  styleUrl: './room-page.scss',
})
export class BagForm {
  readonly room = input.required<Room>();
  readonly bag = input.required<RoomBag>();
  readonly changed = output<Partial<RoomBag>>();
  readonly removed = output();

  protected readonly kinds = computed(() => [...bagKinds, ...this.room().ownBags.map(({ name }) => name)]);
  protected readonly nature = computed(() => natureOf(this.bag().kind, this.room().ownBags));

  protected text(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected changePlaces(event: Event): void {
    const field = event.target as HTMLInputElement;
    const places = Math.round(Number(field.value));
    if (field.value !== '' && places >= 0 && places <= 50) this.changed.emit({ places });
    else field.value = String(this.bag().places);
  }
}
