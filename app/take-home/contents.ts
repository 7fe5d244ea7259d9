import { sayClock, type TakenLeaf, type TakenSession } from '../../core/index';
import { button, element } from './controls';

/** A block of the session: the leaves of one name that follow each other. */
interface Part {
  readonly name: string;
  readonly at: number;
  readonly ms: number;
  readonly rest: boolean;
}

function partsOf({ leaves, ms }: TakenSession): readonly Part[] {
  const first = leaves.filter((leaf, at) => leaf.part !== leaves[at - 1]?.part);
  return first.map((leaf, at) => ({
    name: leaf.part,
    at: leaf.at,
    ms: (first[at + 1]?.at ?? ms) - leaf.at,
    rest: leaf.block === 'rest',
  }));
}

/** What comes next: its drill by name, and its block where that is another one. `next: Round 2, 1 2 3b` */
export function comingNext(leaf: TakenLeaf, following: TakenLeaf | undefined): string {
  if (!following) return 'this is the last drill';
  const names = following.part === leaf.part ? [following.drill] : [following.part, following.drill];
  return `next: ${names.filter(Boolean).join(', ') || following.heading}`;
}

/** The session as a strip to scale and as a list of its blocks, each to jump to; both show what has been done. */
export class FileContents {
  readonly strip = element('div', 'strip');
  readonly list = element('ol', 'blocks');
  readonly done = element('p', 'done');
  private readonly parts: readonly Part[];
  private readonly rows: readonly { readonly segment: HTMLElement; readonly go: HTMLButtonElement }[];
  private shown = -1;

  constructor(
    private readonly session: TakenSession,
    to: (at: number) => void,
  ) {
    this.parts = partsOf(session);
    this.strip.setAttribute('aria-hidden', 'true');
    this.list.setAttribute('aria-label', 'Blocks of the session');
    this.rows = this.parts.map((part) => {
      const segment = element('span', part.rest ? 'rest' : 'work');
      // An open rest has no length of its own, and can be seen all the same.
      segment.style.flexGrow = String(Math.max(part.ms, session.ms / 100));
      this.strip.append(segment);
      const go = button(`${sayClock(part.at)}  ${part.name}`, () => to(part.at));
      const item = element('li', '');
      item.append(go);
      this.list.append(item);
      return { segment, go };
    });
  }

  /** Marks what is done, and what is on. */
  draw(position: number): void {
    const here = this.parts.findLastIndex(({ at }) => at <= position);
    const over = position >= this.session.ms;
    const words = `${sayClock(Math.floor(position / 1000) * 1000)} of ${sayClock(this.session.ms)} done`;
    if (this.done.textContent !== words) this.done.textContent = words;
    const state = over ? this.parts.length : here;
    if (state === this.shown) return;
    this.shown = state;
    this.rows.forEach(({ segment, go }, at) => {
      segment.classList.toggle('over', at < state);
      segment.classList.toggle('here', at === state);
      go.classList.toggle('over', at < state);
      // A line through it is seen only.
      go.setAttribute('aria-description', at < state ? 'done' : '');
      if (at === state) go.setAttribute('aria-current', 'step');
      else go.removeAttribute('aria-current');
    });
  }
}
