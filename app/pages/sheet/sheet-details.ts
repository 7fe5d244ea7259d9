import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  bagKinds,
  formsOf,
  partNameFault,
  sayFault,
  schemeOrSix,
  sheetPartsOf,
  spell,
  takeIn,
  type Combination,
  type Sheet,
} from '../../../core/index';
import { PeopleFields } from '../../parts/people-fields';
import { TapAlong } from '../../parts/tap-along';
import { SettingsService } from '../../services/settings.service';

type ClassOf = Sheet['class'];

/** Who is there and how the sheet is read: the class, the bag, the stance and the numbers. */
@Component({
  selector: 'kt-sheet-details',
  imports: [PeopleFields, TapAlong],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sheet-details.html',
  styleUrl: './sheet-details.scss',
})
export class SheetDetails {
  private readonly settings = inject(SettingsService);
  readonly sheet = input.required<Sheet>();
  /** Combination to tap along to: that of the row chosen on the sheet. */
  readonly combination = input<Combination | null>(null);
  readonly changed = output<Partial<Pick<Sheet, 'class' | 'bag' | 'stance' | 'numbers' | 'parts'>>>();

  protected readonly bags = bagKinds;
  protected readonly tapping = signal(false);
  /** Own schemes to choose from: the coach's, and the one the sheet came with. */
  protected readonly own = computed(() => {
    const { numbers } = this.sheet();
    const mine = this.settings.settings().ownNumbers;
    const given = typeof numbers === 'string' ? null : numbers;
    return [given, mine && mine.name !== given?.name ? mine : null].filter((each) => each !== null);
  });
  protected readonly numbersName = computed(() => {
    const { numbers } = this.sheet();
    return typeof numbers === 'string' ? numbers : numbers.name;
  });

  protected value(event: Event): string {
    return (event.target as HTMLInputElement | HTMLSelectElement).value;
  }

  protected changeClass(change: Partial<ClassOf>): void {
    this.changed.emit({ class: { ...this.sheet().class, ...change } });
  }

  protected changePace(text: string): void {
    const pace = text === '' ? undefined : Number(text);
    if (pace === undefined || (pace >= 0.3 && pace <= 2.5)) this.changeClass({ pace: pace === 1 ? undefined : pace });
  }

  protected changeBag(text: string): void {
    const bag = bagKinds.find((each) => each === text);
    if (bag) this.changed.emit({ bag });
  }

  protected changeStance(text: string): void {
    if (text === 'orthodox' || text === 'southpaw') this.changed.emit({ stance: text });
  }

  protected changeNumbers(text: string): void {
    const numbers = text === 'six' || text === 'eight' ? text : this.own().find(({ name }) => name === text);
    if (numbers) this.changed.emit({ numbers });
  }

  /** The sheet's own combinations to be typed by name, as its numbers spell them. */
  protected readonly parts = computed(() =>
    (this.sheet().parts ?? []).map(({ name, text }) => ({ name, text: spell(text, this.scheme()) })),
  );
  private readonly scheme = computed(() => schemeOrSix(this.sheet().numbers));
  protected readonly partFault = signal('');

  /** Adds a part, or puts another combination under a name that is there. */
  protected addPart(name: string, text: string): boolean {
    const parts = this.sheet().parts ?? [];
    const word = name.trim();
    const wrong = partNameFault(word.toLowerCase(), formsOf(this.scheme()));
    const typed = takeIn(text, this.scheme(), sheetPartsOf(parts));
    this.partFault.set(
      wrong ? `${wrong}; give it another name, for example A` : typed.fault ? sayFault(typed.fault) : '',
    );
    if (wrong || typed.fault) return false;
    const others = parts.filter((part) => part.name.toLowerCase() !== word.toLowerCase());
    this.changed.emit({ parts: [...others, { name: word, text: typed.text }] });
    return true;
  }

  protected removePart(name: string): void {
    const parts = (this.sheet().parts ?? []).filter((part) => part.name !== name);
    this.changed.emit({ parts: parts.length > 0 ? parts : undefined });
  }

  protected takePace(pace: number): void {
    this.tapping.set(false);
    this.changeClass({ pace });
  }
}
