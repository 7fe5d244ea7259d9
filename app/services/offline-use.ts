import { InjectionToken } from '@angular/core';

/** Whether the product is put on the device for offline use; not in specs. */
export const offlineUse = new InjectionToken<boolean>('offline use', { factory: () => false });
