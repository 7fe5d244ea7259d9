/**
 * Words with how they were put together: text as somebody wrote it, or sayings one behind the other. Whoever makes sound of
 * them takes the parts (`chunksOf`); nobody takes a printed sentence apart.
 */
export interface Saying {
  /** As it is printed. */
  readonly say: string;
  /** What it was made of; nothing where it was written as it stands. */
  readonly of?: readonly Saying[];
}

/** Signs that part words, with the silence each asks for. */
export type Sign = '' | ',' | '.';

/** Words without a sign in them, and the sign behind them. */
export interface Chunk {
  readonly words: string;
  readonly sign: Sign;
}

/** Words as they are written. `plain('Rest. Water')` */
export function plain(say: string): Saying {
  return { say };
}

/** Whether what follows these words begins a sentence. */
const stops = (say: string): boolean => /[.!?]\s*$/.test(say);

/** Sayings one behind the other, with a sign between; a sentence begins with a capital. `joined([plain('one'), plain('two')], ', ').say` → `one, two` */
export function joined(sayings: readonly Saying[], between: ', ' | ' ' | '. ' | ': ' | ', then ' | ' with '): Saying {
  const [only] = sayings;
  if (only && sayings.length === 1) return only;
  const sign = plain(between);
  const parts = stops(between) ? sayings.map((each, at) => (at === 0 ? each : capital(each))) : sayings;
  const of = parts.flatMap((each, at) => (at === 0 ? [each] : [sign, each]));
  return { say: parts.map(({ say }) => say).join(between), of };
}

/** A piece of a wording: words as they are written, where it is a blank with its name. */
interface Piece extends Saying {
  readonly blank?: string;
}

/** Wordings in pieces, blanks apart: the same few are filled in hundreds of times. */
const parted = new Map<string, readonly Piece[]>();
const mostParted = 1000;

function piecesOf(words: string): readonly Piece[] {
  let pieces = parted.get(words);
  if (!pieces) {
    if (parted.size >= mostParted) parted.clear();
    // Every second one is a blank; at either end there may be nothing.
    const split = words.split(/\{(\w+)\}/);
    pieces = split.flatMap((each, at): Piece[] =>
      at % 2 === 1 ? [{ say: `{${each}}`, blank: each }] : each === '' ? [] : [plain(each)],
    );
    parted.set(words, pieces);
  }
  return pieces;
}

/** A wording with its blanks filled in, a capital behind each stop; what has no value stays as it is written. `filled('Next: {combination}', { combination })` */
export function filled(words: string, values: Readonly<Record<string, Saying>>): Saying {
  const pieces = piecesOf(words);
  const [only] = pieces;
  if (only && pieces.length === 1 && only.blank === undefined) return only;
  let say = '';
  const of = pieces.map((piece) => {
    const given = (piece.blank === undefined ? undefined : values[piece.blank]) ?? piece;
    const part = stops(say) ? capital(given) : given;
    say += part.say;
    return part;
  });
  return { say, of };
}

function begun(saying: Saying, as: (letter: string) => string): Saying {
  const first = saying.say.charAt(0);
  const changed = as(first);
  if (changed === first) return saying;
  const say = changed + saying.say.slice(1);
  const [head, ...rest] = saying.of ?? [];
  return head ? { say, of: [begun(head, as), ...rest] } : { say };
}

/** The same words with a capital at their beginning. */
export const capital = (saying: Saying): Saying => begun(saying, (letter) => letter.toUpperCase());

/** The same words with a small letter at their beginning. */
export const small = (saying: Saying): Saying => begun(saying, (letter) => letter.toLowerCase());

const written = /([^,.:;!?·]*)([,.:;!?·]*)/g;
const anySign = /[,.:;!?·]/;

/** Written words in chunks; a sign in front belongs to what stood before. */
function chunksOfText(text: string, out: Chunk[]): void {
  if (!anySign.test(text)) {
    const words = text.trim();
    if (words !== '') out.push({ words, sign: '' });
    return;
  }
  for (const [, words = '', signs = ''] of text.matchAll(written)) {
    if (words === '' && signs === '') continue;
    const sign: Sign = signs === '' ? '' : signs.startsWith(',') ? ',' : '.';
    const before = out.at(-1);
    if (words.trim() !== '') out.push({ words: words.trim(), sign });
    else if (before && sign !== '') out[out.length - 1] = { ...before, sign };
  }
}

function collect({ say, of }: Saying, out: Chunk[]): void {
  if (of) for (const each of of) collect(each, out);
  else chunksOfText(say, out);
}

const known = new WeakMap<Saying, readonly Chunk[]>();

/** The chunks of a saying, in order, as clips are looked up for. `chunksOf(plain('Rest. Water'))` → Rest · Water */
export function chunksOf(saying: Saying): readonly Chunk[] {
  let chunks = known.get(saying);
  if (!chunks) {
    const out: Chunk[] = [];
    collect(saying, out);
    known.set(saying, (chunks = out));
  }
  return chunks;
}
