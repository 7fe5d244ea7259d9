import type { Scheme } from '../../moves/scheme';
import { goalsOf } from '../../progressions/build';
import { exactClock } from '../../session/clock-text';
import type { Effort, Focus } from '../../session/effort';
import type { Block, Piece, PieceOf, Sheet } from '../../session/schema';
import { readStored, schemeOrSix, spell } from '../../session/stored';
import type { Tail } from './body';
import { isBagKind } from '../../bags/kinds';
import { callLines } from './calls';
import { laneLines } from './lanes';
import { quote, type Scan } from './line';
import { readPieces } from './piece';

type Words = Readonly<{ effort: Effort; focus?: Focus | undefined; nonStop?: boolean | undefined }>;

function options({ effort, focus, nonStop }: Words): string {
  const said = effort === 'steady' ? [] : [typeof effort === 'number' ? `${effort}%` : effort];
  return [...said, ...(nonStop ? ['nonstop'] : []), ...(focus ? [focus] : [])].map((word) => ` ${word}`).join('');
}

function tail({ between, gapMs, otherStance, voice, bpm, lanes }: Tail, scheme: Scheme): string {
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
function readsAs(line: string, piece: Piece, scheme: Scheme): boolean {
  if (/[\r\n]/.test(line)) return false;
  const scan: Scan = { line: { number: 1, text: line }, at: 0, faults: [] };
  const [read, ...more] = readPieces(scan, { scheme, parts: new Map() }, () => piece.id);
  if (!read || more.length > 0 || scan.faults.length > 0 || read.kind !== piece.kind) return false;
  return 'words' in read && 'words' in piece && read.words === piece.words;
}

/** Whether a line gives back the text of a combination that does not read. */
function keepsText(line: string, piece: PieceOf<'combination'>, scheme: Scheme): boolean {
  const scan: Scan = { line: { number: 1, text: line }, at: 0, faults: [] };
  const [read] = readPieces(scan, { scheme, parts: new Map() }, () => piece.id);
  return read?.kind === 'combination' && read.text === piece.text && read.words === undefined;
}

function wordsAndColon(length: string, piece: PieceOf<'combination'>, scheme: Scheme): string {
  const text = spell(piece.text, scheme).replace(/\s*\n\s*/g, ' ');
  const behind = `: ${text}${tail(piece, scheme)}`;
  if (piece.words === undefined) {
    // Kept text that does not read may be taken for something else the next time; then it is written as words.
    const line = `${length}${behind}`;
    return readStored(piece.text).ok || keepsText(line, piece, scheme) ? line : `${length} ${quote(piece.text)}`;
  }
  const plain = `${length} ${piece.words}${behind}`;
  return readsAs(plain, piece, scheme) ? plain : `${length} ${quote(piece.words)}${behind}`;
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

function buildLine(piece: PieceOf<'build'>, scheme: Scheme): string {
  const { build, defence, kick, cuts, from, to, again, pattern, every } = piece;
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
    ...(pattern ? [`pattern ${pattern.join(',')}`] : []),
  ].join(' ');
  const goals = [piece.goal, piece.second ?? ''].slice(0, goalsOf(build)).map((goal) => spell(goal, scheme));
  const stages = every === 'round' ? 'round' : every.map(exactClock).join(',');
  // A focus counts as such only before a colon, even where no goal stands behind it.
  const behind = goals.length > 0 || piece.focus ? `: ${goals.join(' // ')}` : '';
  return `${said} every ${stages}${options(piece)}${behind}${tail(piece, scheme)}`;
}

function pieceLine(piece: Piece, scheme: Scheme): string {
  if (piece.kind === 'build') return buildLine(piece, scheme);
  // A focus counts as such only before a colon; a combination without words brings its own.
  const colon = piece.focus && (piece.kind !== 'combination' || piece.words !== undefined) ? ':' : '';
  const length = `${exactClock(piece.ms)}${options(piece)}${colon}`;
  switch (piece.kind) {
    case 'combination':
      return wordsAndColon(length, piece, scheme);
    case 'own-time':
      return `${length} own time`;
    case 'change-over':
      return `${length} switch stance`;
    case 'calls':
      return `${length} ${callsLine(piece)}`;
    case 'words': {
      const plain = `${length} ${piece.words}`.trimEnd();
      return readsAs(plain, piece, scheme) ? plain : `${length} ${quote(piece.words)}`;
    }
  }
}

/** The piece that may stand on its block's own line: a bare combination that fills the block. */
function inlineText(block: Block, scheme: Scheme): string | null {
  const [piece] = block.pieces;
  if (block.pieces.length !== 1 || piece?.kind !== 'combination' || piece.ms !== block.ms) return null;
  const line = pieceLine(piece, scheme);
  const bare = `${exactClock(piece.ms)}: `;
  return line.startsWith(bare) ? line.slice(bare.length) : null;
}

function blockLines(block: Block, scheme: Scheme): string[] {
  const inline = inlineText(block, scheme);
  const line = [
    block.kind,
    block.ms === null ? 'open' : exactClock(block.ms),
    ...(block.times === undefined ? [] : [`x${block.times}`]),
    ...(block.restMs === undefined ? [] : [`rest ${exactClock(block.restMs)}`]),
    ...(block.title === undefined ? [] : [quote(block.title)]),
    ...(block.bag === undefined ? [] : [`on ${block.bag}`]),
    ...(block.goal === undefined ? [] : [`goal ${block.goal}`]),
    ...(block.switchStance ? ['switch stance'] : []),
    ...(block.learnThenMirror ? ['learn then mirror'] : []),
  ].join(' ');
  return [
    ...noteLines(block.note),
    inline === null ? line : `${line}: ${inline}`,
    ...(inline === null ? block.pieces.map((piece) => `  ${pieceLine(piece, scheme)}`) : []),
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
    ...callLines(sheet),
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
  const blocks = sheet.blocks.flatMap((block) => ['', ...blockLines(block, scheme)]);
  return `${[...headLines(sheet, scheme), ...blocks, ...(sheet.note === undefined ? [] : ['', ...noteLines(sheet.note)])].join('\n')}\n`;
}
