import * as z from 'zod';
import { wordingsSchema } from '../calls/phrasebook';
import { bagKinds, levels } from '../session/schema';

export const bookFormat = 'keen-tempo/book';
export const bookVersion = 1;

/** One combination in a coach's book. */
export const bookEntrySchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().max(120),
  /** Canonical text in the six-number scheme, as in a sheet. */
  text: z.string().min(1).max(100_000),
  level: z.enum(levels).optional(),
  tags: z.array(z.string().min(1).max(40)).max(20).default([]),
  bag: z.enum(bagKinds).optional(),
  note: z.string().max(1000).default(''),
});
export type BookEntry = z.infer<typeof bookEntrySchema>;

/** A book, or a part of one, as a file. */
export const bookSchema = z
  .strictObject({
    format: z.literal(bookFormat),
    version: z.literal(bookVersion),
    title: z.string().max(200).default(''),
    entries: z.array(bookEntrySchema).max(10_000),
    wordings: wordingsSchema.optional().describe('the phrasebook of the coach'),
  })
  .superRefine((book, context) => {
    const seen = new Set<string>();
    book.entries.forEach(({ id }, at) => {
      if (seen.has(id))
        context.addIssue({ code: 'custom', path: ['entries', at, 'id'], message: `id "${id}" is used twice` });
      seen.add(id);
    });
  });
export type Book = z.infer<typeof bookSchema>;
