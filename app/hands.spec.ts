// Hands for specs: fields, choices and boxes by their names, as somebody at the screen finds them. Holds no tests of its own.
import { TestBed } from '@angular/core/testing';
import { until } from './spec-store.spec';

/** The name of a field: what is said of it, or the label beside it. */
function nameOf(field: Element): string {
  const label = field.getAttribute('aria-label');
  if (label) return label;
  const labelled = field.getAttribute('aria-labelledby')?.split(' ') ?? [];
  const own = field.id ? [...document.querySelectorAll(`label[for="${field.id}"]`)] : [];
  const beside = field.closest('mat-form-field, .mdc-form-field')?.querySelectorAll('label') ?? [];
  const words = [...labelled.flatMap((id) => document.getElementById(id) ?? []), ...own, ...beside];
  return (words[0]?.textContent ?? '').trim();
}

function named<T extends Element>(host: HTMLElement, selector: string, name: string): T {
  const all = [...host.querySelectorAll<T>(selector)];
  const found = all.find((each) => nameOf(each) === name) ?? all.find((each) => nameOf(each).includes(name));
  if (!found) throw new Error(`no “${name}” among ${all.map((each) => nameOf(each)).join(', ')}`);
  return found;
}

/** The field of a name, to be looked at. */
export function fieldOf(host: HTMLElement, name: string): HTMLInputElement {
  return named<HTMLInputElement>(host, 'input, textarea', name);
}

/** What is said to be wrong under the field of a name. */
export function wrongAt(host: HTMLElement, name: string): string {
  return fieldOf(host, name).closest('mat-form-field')?.querySelector('mat-error')?.textContent?.trim() ?? '';
}

/** Types into the field of a name and leaves it. */
export function type(host: HTMLElement, name: string, text: string): void {
  const field = fieldOf(host, name);
  field.value = text;
  for (const event of ['input', 'change', 'blur']) field.dispatchEvent(new Event(event, { bubbles: event !== 'blur' }));
  TestBed.tick();
}

/** Ticks or unticks the box of a name. */
export function tick(host: HTMLElement, name: string): void {
  named<HTMLInputElement>(host, 'input[type=checkbox], button[role=switch]', name).click();
  TestBed.tick();
}

/** Takes a choice of the field of a name. */
export async function choose(host: HTMLElement, name: string, choice: string): Promise<void> {
  named<HTMLElement>(host, 'mat-select', name).click();
  const offered = (): HTMLElement | undefined =>
    [...document.querySelectorAll<HTMLElement>('.mat-mdc-select-panel mat-option')].find(
      (option) => option.textContent.trim() === choice,
    );
  await until(() => {
    TestBed.tick();
    return offered() !== undefined;
  });
  offered()?.click();
  await until(() => {
    TestBed.tick();
    return document.querySelector('.mat-mdc-select-panel') === null;
  });
}

/** What a field of choices shows. */
export function chosen(host: HTMLElement, name: string): string {
  return named(host, 'mat-select', name).querySelector('.mat-mdc-select-value')?.textContent?.trim() ?? '';
}

/** Presses the button whose words, or whose name, begin so. */
export function press(host: ParentNode, name: string): void {
  const all = [...host.querySelectorAll<HTMLElement>('button, a, [role=button]')];
  const words = (each: HTMLElement): string => (each.getAttribute('aria-label') ?? each.textContent).trim();
  const found = all.find((each) => words(each) === name) ?? all.find((each) => words(each).includes(name));
  if (!found) throw new Error(`no button “${name}” among ${all.map(words).join(', ')}`);
  found.click();
  TestBed.tick();
}

/** The button whose label or words begin with a name. */
export function button(host: ParentNode, name: string): HTMLElement {
  const found = [...host.querySelectorAll<HTMLElement>('button')].find((each) =>
    (each.getAttribute('aria-label') ?? each.textContent).trim().startsWith(name),
  );
  if (!found) throw new Error(`no button ${name}`);
  return found;
}

/** What a screen reader was last told that stands nowhere on the page: the live region of the CDK. */
export const heard = (): string => document.querySelector('.cdk-live-announcer-element')?.textContent ?? '';
