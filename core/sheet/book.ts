import * as z from '../schemas';
import { wordingsSchema } from './calls';
import { bagKinds, levels } from '../bags/kind-names';

export const bookFormat = 'keen-tempo/book';
export const bookVersion = 1;

/** One combination in a coach's book. */
export const bookEntrySchema = z.strictObject({
  id: z.string().check(z.minLength(1), z.maxLength(64)),
  name: z.string().check(z.maxLength(120)),
  /** Canonical text in the six-number scheme, as in a sheet. */
  text: z.string().check(z.minLength(1), z.maxLength(100_000)),
  level: z.optional(z.enum(levels)),
  tags: z._default(z.array(z.string().check(z.minLength(1), z.maxLength(40))).check(z.maxLength(20)), []),
  bag: z.optional(z.enum(bagKinds)),
  note: z._default(z.string().check(z.maxLength(1000)), ''),
});
export type BookEntry = z.infer<typeof bookEntrySchema>;

/** A book, or a part of one, as a file. */
export const bookSchema = z
  .strictObject({
    format: z.literal(bookFormat),
    version: z.literal(bookVersion),
    title: z._default(z.string().check(z.maxLength(200)), ''),
    entries: z.array(bookEntrySchema).check(z.maxLength(10_000)),
    wordings: z.optional(wordingsSchema).check(z.describe('the phrasebook of the coach')),
  })
  .check(
    z.superRefine((book, context) => {
      const seen = new Set<string>();
      book.entries.forEach(({ id }, at) => {
        if (seen.has(id))
          context.addIssue({ code: 'custom', path: ['entries', at, 'id'], message: `id "${id}" is used twice` });
        seen.add(id);
      });
    }),
  );
export type Book = z.infer<typeof bookSchema>;
