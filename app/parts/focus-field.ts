import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import {
  focusText,
  readFocusText,
  sheetLimits,
  six,
  usualFocuses,
  type Scheme,
  type TechniqueFocus,
} from '../../core/index';
import { TextField } from './fields/text-field';

/** Technique focuses as they are typed, a line each: the words in quotes, then what they belong to. */
@Component({
  selector: 'kt-focus-field',
  imports: [TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <kt-text-field
      hint='Put the cue in quotes, then say when it applies: "Elbows in" on 2 3b bag heavy level beginner every 0:45 only'
      [label]="label()"
      [value]="text()"
      [rows]="rows()"
      [placeholder]="usual"
      [fault]="fault"
      (put)="put($event)"
    />
  `,
})
export class FocusField {
  readonly label = input.required<string>();
  readonly focuses = input.required<readonly TechniqueFocus[]>();
  readonly rows = input(5);
  /** By which numbers moves are written, and kinds of bag of the coach's own. */
  readonly scheme = input<Scheme>(six);
  readonly ownBags = input<readonly string[]>([]);
  readonly changed = output<readonly TechniqueFocus[]>();

  protected readonly usual = usualFocuses.map(focusText).join('\n');
  protected readonly text = computed(() => this.focuses().map(focusText).join('\n'));

  private read(text: string): ReturnType<typeof readFocusText>[] {
    return text
      .split('\n')
      .filter((line) => line.trim() !== '')
      .map((line) => readFocusText(line, { scheme: this.scheme(), parts: new Map() }, this.ownBags()));
  }

  /** The first line that cannot be read, and how to mend it; nothing is kept until it can. */
  protected readonly fault = (text: string): string => {
    const lines = this.read(text);
    if (lines.length > sheetLimits.focuses) return `Use up to ${sheetLimits.focuses} cues`;
    const [fault] = lines.flatMap(({ faults }) => faults);
    return fault ? `${fault.what}: ${fault.mend.replace('focus: ', '')}` : '';
  };

  protected put(text: string): void {
    this.changed.emit(this.read(text).flatMap(({ focus }) => focus ?? []));
  }
}
