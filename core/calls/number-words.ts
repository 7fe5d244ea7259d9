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

/** The number that a word or figures say; null where they say none. `readNumberWord('five')` → `5` */
export function readNumberWord(word: string): number | null {
  if (/^\d{1,6}$/.test(word)) return Number(word);
  return values.get(word.toLowerCase()) ?? null;
}
