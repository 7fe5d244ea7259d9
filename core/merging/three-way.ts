import { alike, isRecord, type Fields } from './alike';

/** A step down into a record: a field, or an item of a list by what names it. */
export type PathStep = string | { readonly item: string };

/** A part that was changed on both sides, each in its own way; undefined where it was taken out. */
export interface Clash {
  readonly path: readonly PathStep[];
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Two changes of one record brought together; where they clash, mine stands. */
export interface Merged<T> {
  readonly value: T;
  readonly clashes: readonly Clash[];
}

/** Fields by which items of a list are known again, the first that every item has goes. */
const names = ['id', 'key', 'name', 'bag', 'words'] as const;

/** Items of lists by a name of their own; by their whole content where they have none, equal ones numbered. */
function namers(lists: readonly (readonly unknown[])[]): (list: readonly unknown[]) => Map<string, unknown> {
  const items = lists.flat();
  const field = names.find(
    (name) =>
      items.every((item) => isRecord(item) && typeof item[name] === 'string') &&
      lists.every((list) => new Set(list.map((item) => (item as Fields)[name])).size === list.length),
  );
  return (list) => {
    const out = new Map<string, unknown>();
    const seen = new Map<string, number>();
    for (const item of list) {
      const name = field ? String((item as Fields)[field]) : JSON.stringify(item);
      const time = (seen.get(name) ?? 0) + 1;
      seen.set(name, time);
      out.set(time > 1 ? `${name} #${time}` : name, item);
    }
    return out;
  };
}

/** The order of one list with what the other has put in, each behind what it stands behind there. */
function inOrder(main: readonly string[], other: readonly string[], kept: (name: string) => boolean): string[] {
  const out = main.filter(kept);
  other.forEach((name, at) => {
    if (out.includes(name) || !kept(name)) return;
    const before = other.slice(0, at).findLast((each) => out.includes(each));
    out.splice(before === undefined ? 0 : out.indexOf(before) + 1, 0, name);
  });
  return out;
}

/** Which parts are one whole, that is changed on one side or clashes. */
type IsWhole = (path: readonly PathStep[]) => boolean;

class Merger {
  readonly clashes: Clash[] = [];
  constructor(private readonly isWhole: IsWhole) {}

  merge(base: unknown, mine: unknown, theirs: unknown, path: readonly PathStep[]): unknown {
    if (alike(mine, theirs) || alike(base, theirs)) return mine;
    if (alike(base, mine)) return theirs;
    // What was taken out on one side and changed on the other stays: a change says that it is wanted.
    const kept = mine === undefined ? theirs : mine;
    if (mine !== undefined && theirs !== undefined && !this.isWhole(path)) {
      if (Array.isArray(mine) && Array.isArray(theirs))
        return this.lists(Array.isArray(base) ? base : [], mine, theirs, path);
      if (isRecord(mine) && isRecord(theirs)) return this.records(isRecord(base) ? base : {}, mine, theirs, path);
    }
    this.clashes.push({ path, mine, theirs });
    return kept;
  }

  private records(base: Fields, mine: Fields, theirs: Fields, path: readonly PathStep[]): Fields {
    const keys = new Set([...Object.keys(theirs), ...Object.keys(mine)]);
    const merged = [...keys].map(
      (key) => [key, this.merge(base[key], mine[key], theirs[key], [...path, key])] as const,
    );
    return Object.fromEntries(merged.filter(([, value]) => value !== undefined));
  }

  private lists(
    base: readonly unknown[],
    mine: readonly unknown[],
    theirs: readonly unknown[],
    path: readonly PathStep[],
  ): unknown[] {
    const named = namers([base, mine, theirs]);
    const [before, here, there] = [named(base), named(mine), named(theirs)];
    const merged = new Map<string, unknown>();
    for (const name of new Set([...there.keys(), ...here.keys()])) {
      const item = this.merge(before.get(name), here.get(name), there.get(name), [...path, { item: name }]);
      if (item !== undefined) merged.set(name, item);
    }
    const common = (names: Iterable<string>): string[] => [...names].filter((name) => before.has(name));
    const moved = !alike(
      common(here.keys()),
      common(before.keys()).filter((name) => here.has(name)),
    );
    const [main, other] = moved ? [here, there] : [there, here];
    const order = inOrder([...main.keys()], [...other.keys()], (name) => merged.has(name));
    return order.map((name) => merged.get(name));
  }
}

/**
 * Brings two changes of one record together: fields by name, items of lists by their id, key or name; `isWhole` names the
 * parts that are one whole. Where both have changed the same part in different ways mine stands and the clash is told; what
 * one side has taken out and the other changed stays.
 * @example merge3({ a: 1, b: 1 }, { a: 2, b: 1 }, { a: 1, b: 3 }).value // { a: 2, b: 3 }
 */
export function merge3<T>(base: T, mine: T, theirs: T, isWhole: IsWhole = () => false): Merged<T> {
  const merger = new Merger(isWhole);
  const value = merger.merge(base, mine, theirs, []) as T;
  return { value, clashes: merger.clashes };
}

const itemAt = (list: readonly unknown[], name: string): number =>
  list.findIndex((item) => isRecord(item) && names.some((field) => item[field] === name));

/**
 * A record with the part at a path put in, or taken out where it is undefined; unchanged where the way there is gone.
 * @example withPart({ title: 'A' }, ['title'], 'B') // { title: 'B' }
 */
export function withPart<T>(whole: T, path: readonly PathStep[], part: unknown): T {
  const [step, ...rest] = path;
  if (step === undefined) return part as T;
  if (typeof step === 'string') {
    if (!isRecord(whole)) return whole;
    const { [step]: old, ...others } = whole as Fields;
    const now = rest.length > 0 ? withPart(old, rest, part) : part;
    return (now === undefined ? others : { ...(whole as Fields), [step]: now }) as T;
  }
  if (!Array.isArray(whole)) return whole;
  const at = itemAt(whole, step.item);
  if (at < 0) return (rest.length === 0 && part !== undefined ? [...(whole as unknown[]), part] : whole) as T;
  const now = rest.length > 0 ? withPart<unknown>(whole[at], rest, part) : part;
  return (whole as unknown[]).flatMap((item, index) => (index === at ? (now === undefined ? [] : [now]) : [item])) as T;
}
