import { readStored, sayFault } from '../../../core/index';

/** Why a combination in a field cannot be read, with its mend; empty where it can. `readFault('112')` */
export function readFault(typed: string): string {
  const read = readStored(typed);
  if (read.ok) return '';
  return typed.trim() === '' ? 'Type a combination' : sayFault(read.fault);
}
