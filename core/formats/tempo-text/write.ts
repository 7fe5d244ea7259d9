import { plainText } from '../../plain-text';
import type { Scheme } from '../../moves/scheme';
import { goalsOf } from '../../progressions/build';
import { exactClock } from '../../clock-text';
import type { Effort, Focus } from '../../mechanics/effort';
import type { Block, Piece, PieceOf, Sheet } from '../../sheet/schema';
import { readStored, schemeOrSix, spell } from '../../notation/stored';
import { sheetPartsOf } from '../../notation/sheet-parts';
import type { Meanings, Tail } from './body';
import { focusLine } from './focus';
import { rhythmText } from './rhythm';
import { schoolLines } from './schools';
import { isBagKind } from '../../bags/kinds';
import { callLines } from './calls';
import { laneLines } from './lanes';
import { quote, type Scan } from './line';
import { readPieces } from './piece';

type Words = Readonly<{
  effort: Effort;
  focus?: Focus | undefined;
  nonStop?: boolean | undefined;
  stance?: Piece['stance'];
  power?: Piece['power'];
}>;

function options({ effort, focus, nonStop, stance, power }: Words): string {
  const said = effort === 'steady' ? [] : [typeof effort === 'number' ? `${effort}%` : effort];
  return [
    ...(stance ? [stance] : []),
    ...said,
    ...(power === undefined ? [] : [`power ${power}%`]),
    ...(nonStop ? ['nonstop'] : []),
    ...(focus ? [focus] : []),
  ]
    .map((word) => ` ${word}`)
    .join('');
}

function tail({ between, gapMs, otherStance, voice, bpm, lanes }: Tail, { scheme }: Meanings): string {
  return [
    otherStance ?? '',
    voice === 'strikes' ? 'calls strikes' : voice === 'click' ? 'clicks' : '',
    bpm === undefined ? '' : `at ${bpm} bpm`,
    gapMs === undefined ? '' : `gap ${gapMs / 1000}s`,
    between === undefined ? '' : `between ${quote(between)}`,
    ...(lanes ?? []).map(({ bag, text }) => `lane ${isBagKind(bag) ? bag : quote(bag)} ${quote(spell(text, scheme))}`),
  ]
    .filter((part) => part !== '')
    .map((part) => ` ${part}`)
    .join('');
}

/** Whether a line is read as this piece; where plain words would be mistaken for something else they are quoted. */
function readsAs(line: string, piece: Piece, meanings: Meanings): boolean {
  if (/[\r\n]/.test(line)) return false;
  const scan: Scan = { line: { number: 1, text: line }, at: 0, faults: [] };
  const [read, ...more] = readPieces(scan, meanings, () => piece.id);
  if (!read || more.length > 0 || scan.faults.length > 0 || read.kind !== piece.kind) return false;
  return 'words' in read && 'words' in piece && read.words === piece.words;
}

/** Whether a line gives back the text of a combination that does not read. */
function keepsText(line: string, piece: PieceOf<'combination'>, meanings: Meanings): boolean {
  const scan: Scan = { line: { number: 1, text: line }, at: 0, faults: [] };
  const [read] = readPieces(scan, meanings, () => piece.id);
  return read?.kind === 'combination' && read.text === piece.text && read.words === undefined;
}

function wordsAndColon(length: string, piece: PieceOf<'combination'>, meanings: Meanings): string {
  const { scheme, parts } = meanings;
  const text = spell(piece.text, scheme).replace(/\s*\n\s*/g, ' ');
  const behind = `: ${text}${tail(piece, meanings)}`;
  if (piece.words === undefined) {
    // Kept text that does not read may be taken for something else the next time; then it is written as words.
    const line = `${length}${behind}`;
    return readStored(piece.text).ok || keepsText(line, piece, meanings) ? line : `${length} ${quote(piece.text)}`;
  }
  const plain = `${length} ${piece.words}${behind}`;
  // A label that is also the name of a part stands in quotes, so that nobody takes it for the part.
  const named = parts.has(piece.words.trim().toLowerCase());
  return !named && readsAs(plain, piece, meanings) ? plain : `${length} ${quote(piece.words)}${behind}`;
}

function callsLine(piece: PieceOf<'calls'>): string {
  const { drill, least, most, seed, gapLeastMs, gapMostMs, between } = piece;
  const amount = least === most ? String(least) : `${least}-${most}`;
  const gap =
    gapLeastMs === undefined && gapMostMs === undefined
      ? ''
      : ` gap ${(gapLeastMs ?? 1000) / 1000}-${(gapMostMs ?? 4000) / 1000}`;
  const words = between === undefined ? '' : ` between ${quote(between)}`;
  return `call ${drill} ${amount}${seed === undefined ? '' : ` seed ${seed}`}${gap}${words}`;
}

/** A drill behind the coach's own words for it, which stand in quotes so that they are taken for nothing else. */
const labelled = (words: string | undefined, line: string): string =>
  words === undefined ? line : `${quote(words)}: ${line}`;

function buildLine(piece: PieceOf<'build'>, meanings: Meanings): string {
  const { build, defence, kick, cuts, from, to, again, pattern, efforts, every } = piece;
  const range =
    from === undefined
      ? to === undefined
        ? []
        : [`to ${to}`]
      : [`from ${from}${to === undefined ? '' : ` to ${to}`}`];
  const said = [
    `build ${build}`,
    ...(defence === 'rides' ? [] : [`defence ${defence}`]),
    ...(kick ? [`kick ${kick}`] : []),
    ...(cuts && cuts.length > 0 ? [`cuts ${cuts.join(',')}`] : []),
    ...range,
    ...(again ? ['again'] : []),
    ...(piece.alone ? ['alone'] : []),
    ...(efforts ? [efforts.join(',')] : []),
    ...(pattern ? [`pattern ${pattern.join(',')}`] : []),
  ].join(' ');
  const goals = [piece.goal, piece.second ?? ''].slice(0, goalsOf(build)).map((goal) => spell(goal, meanings.scheme));
  const stages = every === 'round' ? 'round' : every.map(exactClock).join(',');
  // A focus counts as such only before a colon, even where no goal stands behind it.
  const behind = goals.length > 0 || piece.focus ? `: ${goals.join(' // ')}` : '';
  return `${said} every ${stages}${options(piece)}${behind}${tail(piece, meanings)}`;
}

function pieceLine(piece: Piece, meanings: Meanings): string {
  if (piece.kind === 'build') return buildLine(piece, meanings);
  // A focus counts as such only before a colon; a combination without words brings its own.
  const colon = piece.focus && (piece.kind !== 'combination' || piece.words !== undefined) ? ':' : '';
  const length = `${exactClock(piece.ms)}${options(piece)}${colon}`;
  switch (piece.kind) {
    case 'combination':
      return wordsAndColon(length, piece, meanings);
    case 'own-time':
      return `${length} own time`;
    case 'change-over':
      return `${length} switch stance`;
    case 'calls':
      return `${length} ${labelled(piece.words, callsLine(piece))}`;
    case 'rhythm':
      return `${length} ${labelled(piece.words, rhythmText(piece))}`;
    case 'pause':
      return `${length} pause`;
    case 'words': {
      const plain = `${length} ${piece.words}`.trimEnd();
      return readsAs(plain, piece, meanings) ? plain : `${length} ${quote(piece.words)}`;
    }
  }
}

/** The piece that may stand on its block's own line: a bare combination that fills the block. */
function inlineText(block: Block, meanings: Meanings): string | null {
  const [piece] = block.pieces;
  if (block.pieces.length !== 1 || piece?.kind !== 'combination' || piece.ms !== block.ms) return null;
  const line = pieceLine(piece, meanings);
  const bare = `${exactClock(piece.ms)}: `;
  return line.startsWith(bare) ? line.slice(bare.length) : null;
}

/** Exercises in a row of one length and manner, with the same time off behind each. */
interface Circuit {
  readonly names: readonly string[];
  readonly line: string;
}

/** The circuit that begins at a place among the pieces, as one line; null where none does. */
function circuitFrom(pieces: readonly Piece[], from: number, meanings: Meanings): Circuit | null {
  const [first, off] = [pieces[from], pieces[from + 1]];
  if (first?.kind !== 'words' || off?.kind !== 'pause' || options(off) !== '') return null;
  const begin = `${exactClock(first.ms)}${options(first)}`;
  const names: string[] = [];
  for (let at = from; ; at += 2) {
    const [piece, pause] = [pieces[at], pieces[at + 1]];
    if (piece?.kind !== 'words' || pause?.kind !== 'pause') break;
    const alike = piece.ms === first.ms && pause.ms === off.ms && options(piece) === options(first);
    const plain = piece.words !== '' && !/[/"“”\r\n:]/.test(piece.words) && piece.words === piece.words.trim();
    if (!alike || options(pause) !== '' || !plain || !readsAs(`${begin} ${piece.words}`, piece, meanings)) break;
    names.push(piece.words);
  }
  if (names.length === 0 || names.length > 99 || first.focus) return null;
  const same = names.every((name) => name === names[0]);
  const said = same ? (names[0] ?? '') : names.join(' / ');
  const line = `${exactClock(first.ms)}/${exactClock(off.ms)} x${names.length}${options(first)} ${said}`;
  return { names, line };
}

/** A block's pieces, line by line; exercises with time off between them in one. */
function piecesLines(pieces: readonly Piece[], meanings: Meanings): string[] {
  const lines: string[] = [];
  for (let at = 0; at < pieces.length; at += 1) {
    const piece = pieces[at];
    const circuit = circuitFrom(pieces, at, meanings);
    if (circuit) {
      lines.push(circuit.line);
      at += 2 * circuit.names.length - 1;
    } else if (piece) lines.push(pieceLine(piece, meanings));
  }
  return lines;
}

function blockLines(block: Block, meanings: Meanings): string[] {
  const inline = inlineText(block, meanings);
  const line = [
    block.kind,
    block.ms === null ? 'open' : exactClock(block.ms),
    ...(block.times === undefined ? [] : [`x${block.times}`]),
    ...(block.restMs === undefined ? [] : [`rest ${exactClock(block.restMs)}`]),
    ...(block.title === undefined ? [] : [quote(block.title)]),
    ...(block.purpose === undefined ? [] : [`for ${quote(block.purpose)}`]),
    ...(block.bag === undefined ? [] : [`on ${block.bag}`]),
    ...(block.goal === undefined ? [] : [`goal ${block.goal}`]),
    ...(block.switchStance ? ['switch stance'] : []),
    ...(block.learnThenMirror ? ['learn then mirror'] : []),
  ].join(' ');
  return [
    ...noteLines(block.note),
    inline === null ? line : `${line}: ${inline}`,
    ...(inline === null ? piecesLines(block.pieces, meanings).map((each) => `  ${each}`) : []),
    ...(block.focuses ?? []).map((focus) => `  ${focusLine(focus)}`),
    ...(block.says ?? []).map(({ words, atMs }) => `  say ${quote(words)} at ${exactClock(atMs)}`),
  ];
}

function noteLines(note: string | undefined): string[] {
  return note === undefined ? [] : note.split(/\r?\n/).map((line) => (line === '' ? '//' : `// ${line}`));
}

function classLine({ people, leftHanded, note }: Sheet['class']): string[] {
  const said = [
    ...(people === undefined ? [] : [`${people} people`]),
    ...(leftHanded === undefined ? [] : [`${leftHanded} left-handed`]),
    ...(note === undefined ? [] : [quote(note)]),
  ];
  return said.length > 0 ? [`class: ${said.join(', ')}`] : [];
}

function numbersLine(numbers: Sheet['numbers']): string {
  if (typeof numbers === 'string') return `numbers: ${numbers}`;
  return `numbers: ${[quote(numbers.name), numbers.beyondSix.map(({ number, move }) => `${number} = ${move}`).join(', ')].join(' ')}`;
}

function headLines(sheet: Sheet, scheme: Scheme): string[] {
  const { title } = sheet;
  const plain =
    title !== '' && title === title.trim() && !title.startsWith('"') && !/[\n“”]/.test(title) && !title.startsWith('#');
  return [
    `# ${plain ? title : quote(title)}`,
    ...classLine(sheet.class),
    numbersLine(sheet.numbers),
    `stance: ${sheet.stance}`,
    `bag: ${sheet.bag}`,
    ...(sheet.class.level ? [`level: ${sheet.class.level}`] : []),
    ...(sheet.class.pace === undefined ? [] : [`pace: ${sheet.class.pace}`]),
    ...laneLines(sheet),
    ...schoolLines(sheet),
    ...callLines(sheet),
    ...(sheet.focuses ?? []).map(focusLine),
    ...(sheet.origin === undefined ? [] : sheet.origin.split('\n').map((line) => `origin: ${quote(line)}`)),
    ...(sheet.parts ?? []).map(({ name, text }) => `combo ${name}: ${spell(text, scheme)}`),
    ...(sheet.head ?? []).map(({ key, value }) => `${key}: ${value}`),
  ];
}

/**
 * Writes a sheet as tempo text, strictly: one spelling for each thing (`docs/formats/tempo-text.md`). What it writes is
 * read back as the same sheet; ids are given anew by the reader.
 * @example writeTempoText(sheet) // "# Tuesday tower class\n…"
 */
export function writeTempoText(sheet: Sheet): string {
  const scheme = schemeOrSix(sheet.numbers);
  const meanings: Meanings = { scheme, parts: sheetPartsOf(sheet.parts) };
  const blocks = sheet.blocks.flatMap((block) => ['', ...blockLines(block, meanings)]);
  const text = `${[...headLines(sheet, scheme), ...blocks, ...(sheet.note === undefined ? [] : ['', ...noteLines(sheet.note)])].join('\n')}\n`;
  return plainText(text);
}
