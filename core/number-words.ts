const small = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
const tens = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** A whole number from 0 to 99 as it is said; figures beyond. `numberWord(45)` → `forty-five` */
export function numberWord(value: number): string {
  const word = small[value];
  if (word !== undefined) return word;
  if (value > 99 || value < 0 || !Number.isInteger(value)) return String(value);
  const ten = tens[Math.floor(value / 10)] ?? '';
  return value % 10 === 0 ? ten : `${ten}-${small[value % 10] ?? ''}`;
}

const values = new Map(Array.from({ length: 100 }, (_, value) => [numberWord(value), value]));

/**
 * The number that figures or words say, up to some thousands; null where they say none.
 * @example readNumberWord('two hundred and fifty') // 250
 */
export function readNumberWord(words: string): number | null {
  const said = words.trim().toLowerCase().replace(/\s+/g, ' ');
  if (/^\d{1,6}(?:\.\d{1,2})?$/.test(said)) return Number(said);
  if (said === 'a' || said === 'an') return 1;
  const plain = values.get(said.replace(' ', '-')) ?? values.get(said);
  if (plain !== undefined) return plain;
  const hundreds = /^(?:(\S+) )?hundred(?: and (.+)| (.+))?$/.exec(said);
  if (!hundreds) return null;
  const [count, rest] = [readNumberWord(hundreds[1] ?? 'one'), hundreds[2] ?? hundreds[3]];
  const more = rest === undefined ? 0 : readNumberWord(rest);
  return count === null || more === null || more > 99 ? null : count * 100 + more;
}

const anyOf = (words: readonly string[]): string => [...words].sort((a, b) => b.length - a.length).join('|');
/** Up to ninety-nine. Put together by tens and ones: with each of the hundred spelt out, a pattern takes long to compile. */
const word = `(?:(?:${anyOf(tens.filter((ten) => ten !== ''))})(?:-(?:${anyOf(small.slice(1, 10))}))?|${anyOf(small)})`;

/** What a number may look like in running text, in figures or in small letters, for a pattern. */
export const numberPattern = `(?:\\d{1,5}(?:\\.\\d{1,2})?|(?:(?:${word}|a) )?hundred(?:(?: and)? ${word})?|${word})`;
