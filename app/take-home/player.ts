/*
 * What runs inside a file that was taken home: no framework, nothing from outside, one session. It reads the session that
 * stands in the page, draws the figure by the same core as everything else, and plays bells and clips on the sound's clock.
 */
import {
  sayClock,
  strikingAt,
  taughtAt,
  viewNames,
  viewWords,
  type SoundCue,
  type TakenLeaf,
  type TakenSession,
  type ViewName,
} from '../../core/index';
import { FileClock } from './clock';
import { comingNext, FileContents } from './contents';
import { button, choice, element } from './controls';
import { FileFigure } from './figure';
import { FileSound } from './sound';

interface FileSession extends TakenSession {
  readonly recording: string | null;
  readonly cautions: readonly string[];
}

/** Sounds are handed over this long ahead, so that a page in the background still plays on time. */
const ahead = 1500;

function read(): FileSession | null {
  const text = document.getElementById('keen-tempo-session')?.textContent;
  // It was written by the product into its own file, whose hash-bound script this is.
  return text ? (JSON.parse(text) as FileSession) : null;
}

function start(session: FileSession, player: HTMLElement): void {
  const sound = new FileSound();
  // One clock for everything: the sound's where it runs, else the page's, without a jump from one to the other.
  let [shift, onSound] = [0, false];
  const outside = (): number => {
    const [heard, page] = [sound.now(), performance.now() / 1000];
    if ((heard !== null) !== onSound) {
      const before = onSound ? lastOutside : page + shift;
      shift = before - (heard ?? page);
      onSound = heard !== null;
    }
    lastOutside = (heard ?? page) + shift;
    return lastOutside;
  };
  let lastOutside = 0;
  const clock = new FileClock(outside, session.ms);
  let [view, stanceTurned]: [ViewName, boolean] = ['three-quarter', false];
  let breaksPassed = 0;
  let held: TakenLeaf | null = null;
  let [soundAt, clipAt] = [0, 0];
  let staffShown: number | null = -1;

  const cautions = element('section', 'start');
  cautions.append(element('h1', '', session.title), ...session.cautions.map((each) => element('p', '', each)));
  const stage = element('section', 'stage');
  stage.hidden = true;
  const heading = element('h1', '');
  const timer = element('p', 'timer', '0:00');
  timer.setAttribute('role', 'timer');
  const staff = element('div', 'staff');
  const canvas = element('canvas', 'figure');
  canvas.setAttribute('aria-hidden', 'true');
  const figure = new FileFigure(canvas, session);
  const words = element('p', 'words');
  const said = element('p', 'said');
  said.setAttribute('aria-live', 'polite');
  const next = element('p', 'next');
  const go = button('Start', () => void toggle());
  const controls = element('div', 'controls');

  const contents = new FileContents(session, (at) => to(at));

  const leafAt = (at: number): number => {
    const index = session.leaves.findLastIndex((leaf) => leaf.at <= at && (leaf.ms > 0 || leaf === held));
    return Math.max(0, index);
  };
  const current = (): TakenLeaf | undefined => held ?? session.leaves[leafAt(clock.position())];

  /** From a moment on, what is heard is handed over anew. */
  function rewind(at: number): void {
    sound.hush();
    soundAt = session.sounds.findIndex((each) => each.at >= at && each.breaksBefore >= breaksPassed);
    clipAt = session.clips.findIndex((each) => each.at >= at);
    if (soundAt < 0) soundAt = session.sounds.length;
    if (clipAt < 0) clipAt = session.clips.length;
  }

  function stopAt(leaf: TakenLeaf): void {
    clock.hold();
    clock.to(leaf.at);
    held = leaf;
    const begins = outside() - shift + 0.1;
    for (const clip of session.breaks[breaksPassed]?.clips ?? []) sound.clip(clip, begins + clip.at / 1000);
    say(session.breaks[breaksPassed]?.say ?? '');
    label();
  }

  async function toggle(): Promise<void> {
    if (clock.position() >= session.ms) {
      clock.hold();
      clock.to(0);
      breaksPassed = 0;
    }
    if (clock.running) {
      clock.hold();
      sound.hush();
    } else {
      cautions.hidden = true;
      stage.hidden = false;
      await sound.wake();
      if (held) {
        held = null;
        breaksPassed += 1;
      }
      clock.go();
      rewind(clock.position());
    }
    label();
  }

  function label(): void {
    go.textContent = clock.running
      ? 'Pause'
      : held
        ? 'Resume'
        : clock.position() >= session.ms
          ? 'Start again'
          : cautions.hidden
            ? 'Resume'
            : 'Start';
  }

  /** On from a moment of the session. */
  function to(at: number): void {
    held = null;
    clock.to(at);
    breaksPassed = session.leaves.filter((leaf) => leaf.open && leaf.at < clock.position()).length;
    rewind(clock.position());
    label();
  }

  function jump(by: 1 | -1): void {
    const here = held ? session.leaves.indexOf(held) : leafAt(clock.position());
    const at = session.leaves[here]?.at ?? 0;
    const back = by < 0 && clock.position() - at > 3000;
    to(session.leaves[back ? here : Math.max(0, here + by)]?.at ?? session.ms);
  }

  function say(text: string): void {
    if (said.textContent !== text) said.textContent = text;
  }

  /** Hands over what sounds within the next moments. */
  function schedule(): void {
    if (!clock.running) return;
    const position = clock.position();
    const stop = session.leaves.filter((leaf) => leaf.open)[breaksPassed]?.at ?? Infinity;
    const until = Math.min(position + ahead, stop);
    const when = (at: number): number => clock.when(at) - shift;
    // What comes after an open break at its very second waits until it is over.
    const due = (one: SoundCue | undefined): one is SoundCue =>
      one !== undefined && one.at <= until && one.breaksBefore <= breaksPassed;
    for (let one = session.sounds[soundAt]; due(one); one = session.sounds[(soundAt += 1)])
      if (one.at > position - 200) sound.bell(one.kind, when(one.at));
    for (let one = session.clips[clipAt]; one && one.at <= until; one = session.clips[(clipAt += 1)])
      if (one.at > position - 200) sound.clip(one, when(one.at));
  }

  function showStaff(leaf: TakenLeaf): void {
    if (staffShown === leaf.staff) return;
    staffShown = leaf.staff;
    const template = leaf.staff === null ? null : document.getElementById(`staff-${leaf.staff}`);
    staff.replaceChildren(...(template instanceof HTMLTemplateElement ? [template.content.cloneNode(true)] : []));
  }

  function draw(): void {
    const position = clock.position();
    const open = session.leaves.filter((leaf) => leaf.open)[breaksPassed];
    if (clock.running && open && position >= open.at) stopAt(open);
    if (clock.running && position >= session.ms) {
      clock.hold();
      label();
    }
    const leaf = current();
    if (!leaf) return;
    const left = Math.max(0, leaf.at + leaf.ms - position);
    timer.textContent = sayClock(Math.ceil(left / 1000) * 1000);
    if (heading.textContent !== leaf.heading) heading.textContent = leaf.heading;
    if (words.textContent !== leaf.words) words.textContent = leaf.words;
    const coming = comingNext(leaf, session.leaves[session.leaves.indexOf(leaf) + 1]);
    contents.draw(position);
    if (next.textContent !== coming) next.textContent = coming;
    if (!held) say(session.calls.findLast((call) => call.at <= position && call.at >= leaf.at)?.say ?? '');
    showStaff(leaf);
    const lit = leaf.block === 'show' ? taughtAt(session, leaf, position) : strikingAt(leaf, position);
    for (const glyph of staff.querySelectorAll('[data-step]'))
      glyph.classList.toggle('lit', lit !== null && glyph.getAttribute('data-step') === lit);
    figure.draw(leaf, position, { view, turned: stanceTurned });
  }

  controls.append(
    button('Back', () => jump(-1)),
    go,
    button('Next', () => jump(1)),
    choice(
      'Pace',
      [
        ['1', 'as planned'],
        ['0.6', 'slow'],
        ['0.8', 'easy'],
        ['1.2', 'fast'],
      ] as const,
      (value) => {
        clock.pace(Number(value));
        rewind(clock.position());
      },
    ),
    choice(
      'View',
      viewNames.map((name) => [name, viewWords[name]] as const),
      (name) => (view = name),
    ),
    choice(
      'Lead hand',
      [
        ['own', 'as in the session'],
        ['other', 'the other hand'],
      ] as const,
      (value) => (stanceTurned = value === 'other'),
    ),
    button('Print', () => window.print()),
  );
  const shown = element('div', 'shown');
  shown.append(staff, canvas);
  const top = element('div', 'top');
  top.append(heading, timer);
  stage.append(shown, words, said, next, contents.strip, contents.done, contents.list);
  player.append(top, cautions, stage, controls);
  heading.textContent = session.title;
  player.hidden = false;
  document.getElementById('sheet')?.classList.add('below');
  document.addEventListener('keydown', (event) => {
    if (event.target instanceof HTMLSelectElement || event.target instanceof HTMLButtonElement) return;
    const keys: Readonly<Record<string, () => void>> = {
      ' ': () => void toggle(),
      ArrowLeft: () => jump(-1),
      ArrowRight: () => jump(1),
    };
    const press = keys[event.key];
    if (!press) return;
    event.preventDefault();
    press();
  });
  void sound.load(session.recording);
  setInterval(schedule, 200);
  const frame = (): void => {
    draw();
    requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
}

const [session, player] = [read(), document.getElementById('player')];
if (session && player) start(session, player);
