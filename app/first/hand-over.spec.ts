import { framePlaceId, listLineId, placeFirstLine, pressAgain, rememberKeys, takeFirstLine } from './hand-over';

describe('a line that stands before its page', () => {
  function line(): HTMLInputElement {
    const form = document.createElement('form');
    form.id = listLineId;
    const input = document.createElement('input');
    form.append(input);
    document.body.append(form);
    rememberKeys(form);
    input.focus();
    return input;
  }
  const press = (input: HTMLElement, key: string, more: KeyboardEventInit = {}): boolean =>
    input.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));

  it('hands over what was typed, Enter, and the shortcut that its page does not know yet', () => {
    const input = line();
    input.value = '1 2';
    press(input, 'Enter', { ctrlKey: true });
    // The browser does nothing of its own with it.
    expect(press(input, 'c', { altKey: true })).toBeFalse();
    const { text, enter, shortcut } = takeFirstLine(listLineId) ?? {};
    expect([text, enter, shortcut]).toEqual(['1 2', 'ctrl', 'Alt+c']);
    expect(takeFirstLine(listLineId)).toBeNull();
  });

  it('leaves letters, copying and pasting to the field', () => {
    const input = line();
    for (const more of [{}, { ctrlKey: true }]) expect(press(input, 'c', more)).toBeTrue();
    expect(takeFirstLine(listLineId)?.shortcut).toBeNull();
  });

  it('presses the shortcut again where it is known', () => {
    const input = line();
    const heard: string[] = [];
    const listen = ({ key, altKey, ctrlKey }: KeyboardEvent): void => {
      heard.push(`${altKey ? 'Alt ' : ''}${ctrlKey ? 'Ctrl ' : ''}${key}`);
    };
    addEventListener('keydown', listen);
    takeFirstLine(listLineId);
    document.body.append(input);
    pressAgain(input, 'Alt+c');
    pressAgain(input, 'Ctrl+k');
    removeEventListener('keydown', listen);
    input.remove();
    expect(heard).toEqual(['Alt c', 'Ctrl k']);
  });

  it('gives the focus of the frame’s button to its like on the page', () => {
    const [frame, place, like] = ['div', 'div', 'button'].map((name) => document.createElement(name));
    if (!frame || !place || !like) throw new Error('nothing was made');
    frame.id = framePlaceId;
    frame.innerHTML = `<button>New sheet</button><form id="${listLineId}"><input></form>`;
    like.dataset['leadsTo'] = 'sheets/:id';
    document.body.append(frame, place, like);
    frame.querySelector('button')?.focus();
    placeFirstLine(place);
    expect(document.activeElement).toBe(like);
    expect(document.getElementById(framePlaceId)).toBeNull();
    takeFirstLine(listLineId);
    for (const each of [place, like]) each.remove();
  });
});
