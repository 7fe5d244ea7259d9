// Runs before anything else is loaded, where the address is that of the list: its first line takes keys from its first frame.
// The page that comes later takes it over as it stands (hand-over.ts). Bundled by scripts/first-line.mjs.
import { firstLineId, framePlaceId, isTypeThrough, keepTyped, typedBefore } from './hand-over';

function preload(scripts: string): void {
  for (const href of scripts.split(' ').filter((each) => each !== '')) {
    const link = document.createElement('link');
    Object.assign(link, { rel: 'modulepreload', href });
    document.head.append(link);
  }
}

const frame = document.getElementById(framePlaceId);
const form = document.getElementById(firstLineId);
const input = form?.querySelector('input');
if (frame && form && input && /^\/(sheets\/?)?$/.test(location.pathname)) {
  frame.hidden = false;
  input.value = typedBefore();
  input.addEventListener('input', () => keepTyped(input.value));
  form.addEventListener('submit', (event) => event.preventDefault());
  input.addEventListener('keydown', (event) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    // Done as soon as it can be.
    form.dataset['wanted'] = event.ctrlKey || event.metaKey ? 'run' : 'draft';
    form.setAttribute('aria-busy', 'true');
  });
  // A digit that is typed anywhere begins a combination.
  document.addEventListener('keydown', (event) => {
    if (input.isConnected && isTypeThrough(event)) input.focus();
  });
  preload(document.currentScript?.dataset['list'] ?? '');
} else frame?.remove();
