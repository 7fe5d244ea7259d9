import { config } from 'zod/mini';
import { en } from 'zod/locales';

// Zod's small build, in which what is not used is not shipped, has no words of its own for what is wrong.
config(en());

/** What every schema is made with. `import * as z from '../schemas'` */
export * from 'zod/mini';
