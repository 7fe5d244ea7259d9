import { sheetSchema, workFault, type Sheet } from '../../core/index';

export { workFault };

/** A sheet as it is stored, if it can be read and laid out. */
export function readSheet(stored: unknown): Sheet | null {
  const read = sheetSchema.safeParse(stored);
  return read.success && workFault(read.data) === null ? read.data : null;
}
