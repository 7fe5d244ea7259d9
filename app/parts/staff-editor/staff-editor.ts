import { FocusKeyManager, LiveAnnouncer } from '@angular/cdk/a11y';
import { CdkDrag, type CdkDragDrop, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import type { ElementRef } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import {
  ApplicationRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  input,
  output,
  signal,
  viewChild,
  viewChildren,
} from '@angular/core';
import {
  describeCombination,
  fullMoveName,
  insertAfter,
  insertBefore,
  move,
  moveAt,
  moveKinds,
  removeAt,
  replaceAt,
  six,
  stepPlace,
  studyOf,
  writeMove,
  writeSlot,
  type Combination,
  type Item,
  type Move,
  type Scheme,
  type Slot,
} from '../../../core/index';
import { glyphHeight, layoutStaff } from '../strike-staff/layout';
import type { StaffLayout } from '../strike-staff/staff';
import { Focusable } from '../focusable';
import { StrikeStaff } from '../strike-staff/strike-staff';

/** One item of the combination as a box over its drawing. */
interface Box {
  readonly index: number;
  readonly item: Item;
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const scale = 1.15;

function boxesOf(combination: Combination, layout: StaffLayout): Box[] {
  return combination.items.flatMap((item, index): Box[] => {
    const own = layout.glyphs.filter((glyph) => glyph.path[0] === index);
    if (own.length === 0) return [];
    const x = Math.min(...own.map((glyph) => glyph.x));
    const y = Math.min(...own.map((glyph) => glyph.y)) - glyphHeight / 2;
    const right = Math.max(...own.map((glyph) => glyph.x + glyph.width));
    const bottom = Math.max(...own.map((glyph) => glyph.y)) + glyphHeight / 2;
    return [
      {
        index,
        item,
        name: describeCombination({ items: [item] }).replace(/\.$/, ''),
        x: x * scale,
        y: y * scale,
        width: (right - x) * scale,
        height: (bottom - y) * scale,
      },
    ];
  });
}

/** Left to the athlete: one punch, one hard, one defence. */
const slots: readonly Slot[] = [
  { kind: 'slot', least: 1, most: 1, of: 'punches' },
  { kind: 'slot', least: 1, most: 1, of: 'punches', force: 'hard' },
  { kind: 'slot', least: 1, most: 1, of: 'defences' },
];

/** What is one press or one drag away; of moves the catalogue says which. */
const offered: readonly (Move | Slot)[] = [
  ...moveKinds.flatMap(({ id, offered: sides }) =>
    sides === 'plain' ? [move(id)] : sides.map((side) => move(id, side)),
  ),
  ...slots,
];

/** Places moves on the staff by keyboard, press or drag; works on moves, never on text. */
@Component({
  selector: 'kt-staff-editor',
  imports: [MatButtonModule, MatTooltip, CdkDrag, CdkDropList, CdkDropListGroup, Focusable, StrikeStaff],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './staff-editor.html',
  styleUrl: './staff-editor.scss',
})
export class StaffEditor {
  readonly combination = input.required<Combination | null>();
  readonly scheme = input<Scheme>(six);
  readonly changed = output<Combination>();
  /** The item that somebody chose, by its place. */
  readonly chosen = output<number>();

  private readonly application = inject(ApplicationRef);
  private readonly live = inject(LiveAnnouncer);
  private readonly places = viewChildren(Focusable);
  private readonly keys = new FocusKeyManager(this.places, inject(Injector));
  private readonly board = viewChild<ElementRef<HTMLElement>>('board');
  protected readonly offered = offered;
  protected readonly scale = scale;
  protected readonly at = signal(0);

  protected choose(index: number): void {
    this.at.set(index);
    this.chosen.emit(index);
  }

  protected readonly shown = computed((): Combination => this.combination() ?? { items: [] });
  protected readonly layout = computed(() =>
    layoutStaff(this.shown(), { scheme: this.scheme(), added: [], levels: 'all', study: null }),
  );
  protected readonly boxes = computed(() => boxesOf(this.shown(), this.layout()));

  /** What is to be said of the seam after the chosen move. */
  protected readonly seamText = computed(() => {
    const combination = this.combination();
    if (!combination) return '';
    const [turn] = studyOf(combination, 'orthodox').turns;
    const last = turn?.walk.steps.findLastIndex(({ step }) => step.path[0] === this.at()) ?? -1;
    const seam = turn?.seams[last];
    return seam ? `${seam.loop ? 'On repeat' : `After ${this.at() + 1}`}: ${seam.reason}.` : '';
  });

  protected label(each: Move | Slot): string {
    return each.kind === 'slot' ? writeSlot(each, this.scheme()) : writeMove(each, this.scheme());
  }

  protected nameOf(each: Move | Slot): string {
    return each.kind === 'slot' ? describeCombination({ items: [each] }).replace(/\.$/, '') : fullMoveName(each);
  }

  /** Puts a move in after the chosen one. */
  protected insert(given: Move | Slot): void {
    const combination = this.shown();
    const empty = combination.items.length === 0;
    this.change(
      empty ? { items: [given] } : insertAfter(combination, [this.at()], given),
      empty ? 0 : this.at() + 1,
      false,
    );
  }

  protected dropped(event: CdkDragDrop<unknown, unknown, Move | Slot | number>): void {
    const given = event.item.data;
    const place = this.placeAt(event.dropPoint.y);
    if (typeof given === 'number') {
      const item = this.shown().items[given];
      if (!item) return;
      const moved = item.kind === 'move' && place ? (moveAt(item, place) ?? item) : item;
      this.reorder(given, event.currentIndex, moved);
      return;
    }
    if (event.previousContainer === event.container) return;
    const placed = place && given.kind === 'move' ? (moveAt(given, place) ?? given) : given;
    const combination = this.shown();
    const behind = event.currentIndex >= combination.items.length;
    const after =
      combination.items.length === 0
        ? { items: [placed] }
        : behind
          ? insertAfter(combination, [combination.items.length - 1], placed)
          : insertBefore(combination, [event.currentIndex], placed);
    this.change(after, event.currentIndex, false);
  }

  /** The stave and level nearest to a point of the screen. */
  private placeAt(y: number): { side: Move['side'] & string; target: Move['target'] & string } | null {
    const top = this.board()?.nativeElement.getBoundingClientRect().top;
    if (top === undefined) return null;
    const here = (y - top) / scale;
    return this.layout().staves.reduce((near, stave) =>
      Math.abs(stave.y - here) < Math.abs(near.y - here) ? stave : near,
    );
  }

  private reorder(from: number, to: number, item: Item): void {
    const { items, stageEnds } = removeAt(this.shown(), [from]);
    const moved = [...items.slice(0, to), item, ...items.slice(to)];
    this.change(stageEnds ? { items: moved, stageEnds } : { items: moved }, to, true);
  }

  private change(combination: Combination, at: number, focus: boolean): void {
    if (combination.items.length === 0) return;
    this.at.set(at);
    this.changed.emit(combination);
    this.application.tick();
    if (focus) this.keys.setActiveItem(at);
  }

  /** Whether the last change goes on with the one before, since its key is held down. */
  get goesOn(): boolean {
    return this.held;
  }
  private held = false;

  protected onKey(event: KeyboardEvent, index: number): void {
    this.held = event.repeat;
    this.take(event, index);
    this.held = false;
  }

  private take(event: KeyboardEvent, index: number): void {
    const { items } = this.shown();
    const item = items[index];
    const sideways = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const upright = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    const to = Math.max(0, Math.min(items.length - 1, index + sideways));
    const digit = /^[1-6]$/.test(event.key) ? offered[Number(event.key) - 1] : undefined;
    if (event.ctrlKey || event.metaKey || !item) return;
    const takesOnce = event.key === 'Delete' || event.key === 'Backspace' || digit !== undefined;
    if (event.repeat && takesOnce) {
      event.preventDefault();
      return;
    }
    if (sideways !== 0 && event.altKey) this.reorder(index, to, item);
    else if (sideways !== 0) this.keys.setActiveItem(to);
    else if (event.key === 'Home') this.keys.setFirstItemActive();
    else if (event.key === 'End') this.keys.setLastItemActive();
    else if (upright !== 0 && item.kind === 'move') {
      const moved = stepPlace(item, upright);
      if (moved) {
        this.change(replaceAt(this.shown(), [index], moved), index, true);
        // It has the focus already, so that its new name is not read by itself.
        void this.live.announce(fullMoveName(moved));
      }
    } else if (event.key === 'Delete' || event.key === 'Backspace')
      this.change(removeAt(this.shown(), [index]), Math.max(0, index - 1), true);
    else if (digit && !event.altKey) {
      this.at.set(index);
      this.change(insertAfter(this.shown(), [index], digit), index + 1, true);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  }
}
