// Runs before anything else is loaded, where the address is that of the list: its line takes keys from its first frame, and
// the rows of the last visit, or of the examples, can be pressed. The page that comes later takes all over as it stands
// (hand-over.ts). Bundled by scripts/first-line.mjs.
import { drawFirstList, firstListId, keptFirstList, ourDatabase, readFirstList } from './first-list';
import type { FirstList } from './first-row';
import { framePlaceId, isTypeThrough, keepTyped, listLineId, press, rememberKeys, typedBefore } from './hand-over';
import { aFrame } from './a-frame';
import { showSheetLine } from './sheet-line';

const { list: scripts = '', examples } = document.currentScript?.dataset ?? {};

function preload(): void {
  for (const href of scripts.split(' ').filter((each) => each !== '')) {
    const link = document.createElement('link');
    Object.assign(link, { rel: 'modulepreload', href });
    document.head.append(link);
  }
}

/** The examples, where this browser has never been here: then they are what the list will show. */
async function examplesIfFresh(): Promise<FirstList | null> {
  const known = await indexedDB.databases();
  return known.some(({ name }) => name === ourDatabase) ? null : readFirstList(examples);
}

/** The line is drawn first, then the list. */
async function drawList(): Promise<void> {
  await aFrame();
  const list = keptFirstList() ?? (await examplesIfFresh().catch(() => null));
  if (list) drawFirstList(list);
}

/** What is pressed is done as soon as the application is there. */
function takePresses(frame: HTMLElement): void {
  frame.querySelector('button')?.addEventListener('click', () => {
    press('new sheet');
    showSheetLine();
  });
  document.getElementById(firstListId)?.addEventListener('click', (event) => {
    const link = event.target instanceof Element ? event.target.closest('a') : null;
    if (!link || event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    press(link.pathname as `/${string}`);
  });
}

/** Says that the program could not be loaded, and how to mend that. */
const failed = (): void => document.getElementById('not-loaded')?.classList.add('now');

/** Begins the application once it is named in the page, and what stands before it has been drawn. */
async function begin(drawn: Promise<unknown>): Promise<void> {
  if (document.readyState === 'loading')
    await new Promise((done) => document.addEventListener('DOMContentLoaded', done, { once: true }));
  await drawn;
  const named = document.getElementById('application');
  const script = document.createElement('script');
  Object.assign(script, { type: 'module', src: named?.getAttribute('src') ?? '' });
  script.addEventListener('error', failed);
  // A script that came only in part cannot be read: nothing of the application is drawn then.
  addEventListener('error', () => {
    if (document.querySelector('kt-root:empty')) failed();
  });
  named?.replaceWith(script);
}

const frame = document.getElementById(framePlaceId);
const line = document.getElementById(listLineId);
const input = line?.querySelector('input');
if (frame && line && input && /^\/(sheets\/?)?$/.test(location.pathname)) {
  frame.hidden = false;
  input.value = typedBefore();
  input.addEventListener('input', () => keepTyped(input.value));
  rememberKeys(line);
  // A digit that is typed anywhere begins a combination.
  document.addEventListener('keydown', (event) => {
    if (input.isConnected && isTypeThrough(event)) input.focus();
  });
  takePresses(frame);
  preload();
  void begin(drawList().then(aFrame));
} else {
  frame?.remove();
  void begin(Promise.resolve());
}
