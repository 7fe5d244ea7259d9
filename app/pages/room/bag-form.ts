import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { NumberField } from '../../parts/fields/number-field';
import { TextField } from '../../parts/fields/text-field';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { leastBagHeight, natureOf, roomSchema, type Room, type RoomBag } from '../../../core/index';
import { ChoiceField } from '../../parts/fields/choice-field';
import { MeasureField } from '../../parts/fields/measure-field';
import { bagChoicesWith } from '../../parts/fields/bag-choices';

/** One bag of the room: kind, name, measures, places, and whether it is down. */
@Component({
  selector: 'kt-bag-form',
  imports: [MatSlideToggle, ChoiceField, NumberField, TextField, MatButtonModule, MeasureField, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = bag();
    <section class="card stack" aria-labelledby="bag">
      <h2 id="bag">{{ own.name || own.kind }}</h2>
      <p class="soft">{{ nature()?.goodFor }}</p>
      <p><b>Care:</b> {{ nature()?.care }}</p>
      <div class="fields">
        <kt-choice-field label="Kind" [value]="own.kind" [choices]="kinds()" (put)="changed.emit({ kind: $event })" />
        <kt-text-field label="Name" [value]="own.name" [schema]="schemas.name" (put)="changed.emit({ name: $event })" />
        <kt-number-field
          label="Places"
          [value]="own.places"
          [schema]="schemas.places"
          (put)="changed.emit({ places: $event ?? own.places })"
        />
        <kt-measure-field
          label="Radius"
          [value]="own.radius"
          [least]="0.03"
          [most]="5"
          (changed)="changed.emit({ radius: $event })"
        />
        @if (nature()?.body !== 'none') {
          <kt-measure-field
            label="Bottom edge"
            [value]="own.bottom"
            [most]="lowerMost()"
            (changed)="changed.emit({ bottom: $event })"
          />
          <kt-measure-field
            label="Top edge"
            [value]="own.top"
            [least]="upperLeast()"
            [most]="6"
            (changed)="changed.emit({ top: $event })"
          />
        }
      </div>
      <mat-slide-toggle [checked]="own.down ?? false" (change)="changed.emit({ down: $event.checked })"
        >Out of use</mat-slide-toggle
      >
      <p class="line">
        @if (nature()?.measured) {
          <a matButton="outlined" routerLink="/bench" [queryParams]="{ bag: own.id }">Set it up</a>
        }
        <button type="button" matButton (click)="removed.emit()">Remove</button>
      </p>
    </section>
  `,
  styleUrl: './room-page.scss',
})
export class BagForm {
  readonly room = input.required<Room>();
  readonly bag = input.required<RoomBag>();
  readonly changed = output<Partial<RoomBag>>();
  readonly removed = output();

  protected readonly kinds = computed(() => bagChoicesWith(this.room().ownBags.map(({ name }) => name)));
  protected readonly schemas = roomSchema.shape.bags.def.element.shape;
  protected readonly nature = computed(() => natureOf(this.bag().kind, this.room().ownBags));

  /** The edges bound each other. */
  protected readonly lowerMost = computed(() => Math.min(5, this.bag().top - leastBagHeight));
  protected readonly upperLeast = computed(() => Math.max(0.1, this.bag().bottom + leastBagHeight));
}
