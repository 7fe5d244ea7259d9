import type { Combination, Item } from '../notation/combination';

function editItems(
  items: readonly Item[],
  path: readonly number[],
  edit: (items: readonly Item[], index: number) => readonly Item[],
): readonly Item[] {
  const [index, ...rest] = path;
  const item = index === undefined ? undefined : items[index];
  if (index === undefined || item === undefined) return items;
  if (rest.length === 0) return edit(items, index);
  const replaced = ((): Item => {
    if (item.kind === 'group') return { ...item, items: editItems(item.items, rest, edit) };
    if (item.kind === 'turns') {
      const [option, ...inner] = rest;
      return {
        ...item,
        options: item.options.map((each, at) => (at === option ? editItems(each, inner, edit) : each)),
      };
    }
    return item;
  })();
  return items.map((each, at) => (at === index ? replaced : each));
}

/** The combination with its hand-marked stage ends moved along when top-level items are put in or taken out. */
function withItems(combination: Combination, items: readonly Item[], at: number): Combination {
  const shift = items.length - combination.items.length;
  const stageEnds = combination.stageEnds?.map((end) => (end > at ? end + shift : end));
  return stageEnds ? { items, stageEnds } : { items };
}

/** Puts an item in before the place a path names. */
export function insertBefore(combination: Combination, path: readonly number[], item: Item): Combination {
  const items = editItems(combination.items, path, (all, index) => [...all.slice(0, index), item, ...all.slice(index)]);
  return withItems(combination, items, path[0] ?? 0);
}

/** Puts an item in after the place a path names. */
export function insertAfter(combination: Combination, path: readonly number[], item: Item): Combination {
  const items = editItems(combination.items, path, (all, index) => [
    ...all.slice(0, index + 1),
    item,
    ...all.slice(index + 1),
  ]);
  return withItems(combination, items, path[0] ?? 0);
}

/** Puts another item in the place a path names. */
export function replaceAt(combination: Combination, path: readonly number[], item: Item): Combination {
  return withItems(
    combination,
    editItems(combination.items, path, (all, index) => all.map((each, at) => (at === index ? item : each))),
    path[0] ?? 0,
  );
}

/** Takes the item out of the place a path names. */
export function removeAt(combination: Combination, path: readonly number[]): Combination {
  return withItems(
    combination,
    editItems(combination.items, path, (all, index) => all.filter((_, at) => at !== index)),
    path[0] ?? 0,
  );
}
