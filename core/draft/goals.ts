import { bad, good, type Read } from '../fault';
import type { Scheme } from '../moves/scheme';
import { takeIn } from '../notation/stored';

const name = /^\s*\p{L}[\p{L}\p{N}-]*\s*:/u;

/**
 * Reads the drills of one typed line, parted by `;`, into kept text. A clause `NAME:` is no drill of its own: it gives a part
 * its name for what stands behind it. Places of a fault are counted in the whole line.
 * @example readGoals('1 2 3b 2; 2 3 2', six) // ["1 2 3b 2", "2 3 2"]
 * @example readGoals('A: 1 2; A 3; A A 4', six) // ["1 2 3", "1 2 1 2 4"]
 */
export function readGoals(line: string, scheme: Scheme): Read<readonly string[]> {
  const goals: string[] = [];
  let definitions = '';
  let start = 0;
  for (const clause of line.split(';')) {
    const [given = ''] = name.exec(clause) ?? [];
    // What a name stands for is read where it is given, even if no drill takes it up.
    const { text, fault } = takeIn(definitions + clause.slice(given.length), scheme);
    if (fault && clause.trim() !== '') {
      const by = start + given.length - definitions.length;
      return bad({ ...fault, at: fault.at + by, end: fault.end + by });
    }
    if (given !== '') definitions += `${clause};`;
    else if (clause.trim() !== '') goals.push(text);
    start += clause.length + 1;
  }
  return good(goals);
}
