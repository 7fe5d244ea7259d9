import { framePlaceId, rememberKeys, sheetLineId } from './hand-over';

/**
 * Shows the entry line of a new sheet at once, with the focus: its page is made behind it and takes over what is typed
 * (`takeFirstLine`). Over the page that stands, or in the frame that stands before the application does.
 */
export function showSheetLine(): void {
  if (document.getElementById(sheetLineId)) return;
  const before = document.getElementById(framePlaceId);
  const frame = document.createElement('div');
  frame.id = framePlaceId;
  for (const [name, value] of Object.entries(before?.dataset ?? {})) frame.dataset[name] = value;
  const rail = before?.querySelector('.rail');
  if (rail) frame.append(rail);
  else frame.classList.add('over');
  const line = document.createElement('form');
  line.id = sheetLineId;
  line.className = 'foot-bar';
  const input = document.createElement('input');
  Object.assign(input, {
    type: 'text',
    className: 'figures size-head',
    autocomplete: 'off',
    spellcheck: false,
    placeholder: '1 2 3b ro 4',
    ariaLabel: 'Type a combination',
  });
  input.setAttribute('autocapitalize', 'off');
  rememberKeys(line);
  line.append(input);
  frame.append(line);
  before?.remove();
  document.body.append(frame);
  input.focus();
}
