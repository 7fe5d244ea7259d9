import { BreakpointObserver } from '@angular/cdk/layout';
import type { Injector } from '@angular/core';
import type { BlockKind } from '../../../core/index';

/** Blocks that are added by a press. */
export const addedKinds: readonly { readonly kind: BlockKind; readonly name: string }[] = [
  { kind: 'warm-up', name: 'Warm-up' },
  { kind: 'show', name: 'Demo' },
  { kind: 'round', name: 'Round' },
  { kind: 'rest', name: 'Rest' },
  { kind: 'conditioning', name: 'Conditioning' },
  { kind: 'core', name: 'Core' },
  { kind: 'cool-down', name: 'Cool-down' },
];

/** What has a panel to be chosen in: by the place beside the sheet that it opens, with its key and what it offers. */
export const addWays = [
  {
    side: 'add',
    name: 'From the library',
    offers: 'Formats, exercises, templates, your combinations, past sheets',
    key: 'Alt+a',
    does: 'Choose something to add',
  },
  {
    side: 'compose',
    name: 'Compose',
    offers: 'Find combinations by criteria',
    key: 'Alt+c',
    does: 'Open Compose beside the sheet',
  },
] as const;
export type AddWay = (typeof addWays)[number];

/** Widths at which the page is one column, and what stands beside the rundown is far below it. */
const phone = '(max-width: 720px)';

/** On a phone it comes over the page from below; elsewhere false: it has its place beside the rundown. */
export function comesFromBelow(way: AddWay, injector: Injector): boolean {
  if (!injector.get(BreakpointObserver).isMatched(phone)) return false;
  void Promise.all([import('@angular/material/bottom-sheet'), import('./add-drawer')]).then(
    ([{ MatBottomSheet }, { AddDrawer }]) =>
      injector.get(MatBottomSheet).open(AddDrawer, { data: way, injector, ariaLabel: way.name, autoFocus: 'dialog' }),
  );
  return true;
}
