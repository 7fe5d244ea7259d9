/** A place in the navigation. */
export interface Destination {
  /** Where its link leads: the first of its pages. */
  readonly path: string;
  readonly name: string;
  /** Where the space is short. */
  readonly short?: string;
  readonly icon: string;
  /** The first parts of the addresses of its pages. */
  readonly pages: readonly string[];
  /** Whether it has no room in a phone's bar, and stands under More. */
  readonly underMore?: true;
}

/** Where somebody can go, in the order of their keys: Alt 1 is the first. */
export const destinations: readonly Destination[] = [
  { path: '/sheets', name: 'Sheets', icon: 'sheets', pages: ['sheets', 'calls', 'board'] },
  { path: '/combos', name: 'Combinations', short: 'Combos', icon: 'combos', pages: ['combos'] },
  { path: '/programme', name: 'Programme', icon: 'programme', pages: ['programme'] },
  { path: '/room', name: 'Gym', icon: 'room', pages: ['room', 'bench'], underMore: true },
  { path: '/log', name: 'Log', icon: 'log', pages: ['log', 'progress'] },
  { path: '/settings', name: 'Settings', icon: 'settings', pages: ['settings'], underMore: true },
];
