import * as z from 'zod/mini';

/** Where the build puts the offline worker. */
export const offlineWorkerAt = '/offline-worker.js';

/** What a page asks of the offline worker. A message of another form is not answered. */
export const askedSchema = z.union([
  /** Take over from the version before: asked for when the coach takes the newer version. */
  z.object({ ask: z.literal('take over') }),
  /** The page is fetching something itself: what is fetched ahead waits. */
  z.object({ ask: z.literal('wait') }),
  /** How much is on the device; answered on the port that comes with the message. */
  z.object({ ask: z.literal('how much') }),
]);
export type Asked = z.infer<typeof askedSchema>;

/** How much is on the device. `missing` counts files of this version that are not. */
export const kept = z.object({ files: z.number(), missing: z.number(), bytes: z.number() });
export type Kept = z.infer<typeof kept>;
