import type { Routes } from '@angular/router';
import { provideIcons } from './parts/icons';
import type { PageTab } from './pages/tabbed/tabbed-page';
import { Shell } from './shell';

/** With its code, the worker that makes its script starts: both are there when somebody presses Run. */
const loadRun = async () => {
  const [page, worker] = await Promise.all([import('./pages/run/run-page'), import('./services/script-worker')]);
  worker.scriptsWorker();
  return page.RunPage;
};

/** A destination whose pages have a tab each. */
const tabbed = (destination: string, tabs: readonly PageTab[]) => ({
  data: { destination, tabs },
  loadComponent: () => import('./pages/tabbed/tabbed-page').then((page) => page.TabbedPage),
});

/** Addresses by the names of the destinations: the older ones stay. */
const aliases: Routes = Object.entries({
  combinations: 'combos',
  gym: 'room',
  'gym/room': 'room',
  'gym/bags': 'bench',
  'log/entries': 'log',
  'log/progress': 'progress',
}).map(([path, redirectTo]) => ({ path, pathMatch: 'full', redirectTo }));

/** The views in their frame. Each is loaded when it is first opened. */
const views: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'sheets' },
  {
    path: 'sheets',
    title: 'Sheets · Keen Tempo',
    loadComponent: () => import('./pages/sheets/sheets-page').then((page) => page.SheetsPage),
  },
  {
    path: 'sheets/:id',
    title: 'Sheet · Keen Tempo',
    loadComponent: () => import('./pages/sheet/sheet-page').then((page) => page.SheetPage),
  },
  {
    path: 'combos',
    title: 'Combinations · Keen Tempo',
    loadComponent: () => import('./pages/combos/combos-page').then((page) => page.CombosPage),
  },
  {
    path: '',
    ...tabbed('Gym', [
      { path: '/room', name: 'Room' },
      { path: '/bench', name: 'Bag set-up' },
    ]),
    children: [
      {
        path: 'room',
        title: 'Room · Keen Tempo',
        loadComponent: () => import('./pages/room/room-page').then((page) => page.RoomPage),
      },
      {
        path: 'bench',
        title: 'Bag set-up · Keen Tempo',
        loadComponent: () => import('./pages/bench/bench-page').then((page) => page.BenchPage),
      },
    ],
  },
  {
    path: 'calls/:id',
    title: 'Calls · Keen Tempo',
    loadComponent: () => import('./pages/calls/calls-page').then((page) => page.CallsPage),
  },
  {
    path: 'board/:id',
    title: 'Rotation · Keen Tempo',
    loadComponent: () => import('./pages/board/board-page').then((page) => page.BoardPage),
  },
  {
    path: 'run/:id',
    title: 'Run · Keen Tempo',
    loadComponent: loadRun,
  },
  {
    path: 'solo',
    title: 'Solo · Keen Tempo',
    data: { id: 'solo' },
    loadComponent: loadRun,
  },
  {
    path: '',
    ...tabbed('Log', [
      { path: '/log', name: 'Entries' },
      { path: '/progress', name: 'Progress' },
    ]),
    children: [
      {
        path: 'log',
        title: 'Log · Keen Tempo',
        loadComponent: () => import('./pages/log/log-page').then((page) => page.LogPage),
      },
      {
        path: 'progress',
        title: 'Progress · Keen Tempo',
        loadComponent: () => import('./pages/progress/progress-page').then((page) => page.ProgressPage),
      },
    ],
  },
  {
    path: 'programme',
    title: 'Programme · Keen Tempo',
    loadComponent: () => import('./pages/programme/programme-page').then((page) => page.ProgrammePage),
  },
  {
    path: 'settings',
    title: 'Settings · Keen Tempo',
    loadComponent: () => import('./pages/settings/settings-page').then((page) => page.SettingsPage),
  },
  ...['help', 'help/:page'].map((path) => ({
    path,
    title: 'Help · Keen Tempo',
    loadComponent: () => import('./pages/help/help-page').then((page) => page.HelpPage),
  })),
  ...aliases,
  {
    path: '**',
    title: 'Not found · Keen Tempo',
    loadComponent: () => import('./pages/not-found/not-found-page').then((page) => page.NotFoundPage),
  },
];

/** Screens of the room, which follow a run on another device: without the frame of the coach's own. */
const screens: Routes = [
  ...['wall', 'wall/:code'].map((path) => ({
    path,
    title: 'Class screen · Keen Tempo',
    loadComponent: () => import('./pages/wall/wall-page').then((page) => page.WallPage),
  })),
  {
    path: 'remote',
    title: 'Remote · Keen Tempo',
    loadComponent: () => import('./pages/remote/remote-page').then((page) => page.RemotePage),
  },
];

export const framed: Routes = [
  { path: '', providers: [provideIcons()], children: [...screens, { path: '', component: Shell, children: views }] },
];
