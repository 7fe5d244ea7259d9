import type { Routes } from '@angular/router';

/** Everything is in the frame, which is loaded after the first small script. */
export const routes: Routes = [{ path: '', loadChildren: () => import('./views').then(({ framed }) => framed) }];
