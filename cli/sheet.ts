import { writeFileSync } from 'node:fs';
import {
  adaptSheet,
  bagKinds,
  compile,
  findings,
  leafName,
  readStored,
  sayFault,
  sayPlace,
  schemeOrSix,
  tally,
  textsOf,
  toSeconds,
  writeCombination,
  writeSheetJson,
  writeSrt,
  writeTempoText,
  writeVtt,
  type Sheet,
} from '../core/index';
import { BadInput, readSheet, readSheetAs } from './io';

/** A sheet whose text can be read throughout; timeline and tally make no sense of anything else. */
export function readableSheet(path: string): Sheet {
  const { sheet, faults } = readSheet(path);
  const wrong = faults.find(({ level }) => level === 'error');
  if (wrong) throw new BadInput(`${path}: ${sayPlace(wrong)}: ${wrong.what}; ${wrong.mend}`);
  for (const [blockAt, block] of sheet.blocks.entries())
    for (const [pieceAt, piece] of block.pieces.entries())
      for (const read of textsOf(piece).map(readStored))
        if (!read.ok) throw new BadInput(`${path}: blocks[${blockAt}].pieces[${pieceAt}]: ${sayFault(read.fault)}`);
  return sheet;
}

const threePlaces = (value: number): number => Math.round(value * 1000) / 1000;
const roundAll = (record: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, threePlaces(value)]));

/** `tempo check FILE`: what a coach should know about a sheet; unreadable places of a text first. */
export function check(path: string): unknown {
  const { sheet, faults, lines } = readSheet(path);
  const unread = new Set(faults.flatMap(({ level, pieceId }) => (level === 'error' && pieceId ? [pieceId] : [])));
  const places = faults.map((fault) => {
    const { level, what, mend, line, column, read } = fault;
    const shown = read && !what.includes(read) ? `"${read}": ${what}` : what;
    return { level, where: sayPlace(fault), what: shown, mend, line, column, read };
  });
  const derived = findings(sheet)
    .filter(({ kind, pieceId }) => kind !== 'unread' || pieceId === undefined || !unread.has(pieceId))
    .map(({ level, where, what, mend, pieceId, blockId }) => {
      const line = lines.get(pieceId ?? blockId ?? '');
      return { level, where, what, mend, ...(line === undefined ? {} : { line }) };
    });
  return { findings: [...places, ...derived] };
}

/** `tempo timeline FILE`: every leaf of the session, in order. */
export function timeline(path: string): unknown {
  const sheet = readableSheet(path);
  const scheme = schemeOrSix(sheet.numbers);
  const compiled = compile(sheet);
  return {
    seconds: toSeconds(compiled.ms),
    open: compiled.openBreaks,
    events: compiled.leaves.map((leaf) => ({
      at: toSeconds(leaf.at),
      seconds: toSeconds(leaf.ms),
      kind: leaf.kind,
      block: leaf.block,
      label: leafName(leaf),
      ...(leaf.round === null ? {} : { round: leaf.round }),
      ...(leaf.combination ? { combination: writeCombination(leaf.combination, scheme) } : {}),
      ...(leaf.open ? { open: true } : {}),
    })),
  };
}

/** `tempo tally FILE`: what the session plans, added up. */
export function tallySheet(path: string): unknown {
  const sheet = readableSheet(path);
  const sum = tally(compile(sheet), sheet.stance);
  return {
    work: toSeconds(sum.work),
    rest: toSeconds(sum.rest),
    other: toSeconds(sum.other),
    punches: threePlaces(sum.counts.punches),
    strikes: threePlaces(sum.counts.strikes),
    defences: threePlaces(sum.counts.defences),
    least: threePlaces(sum.least),
    most: threePlaces(sum.most),
    byMove: roundAll(sum.byMove),
    bySide: roundAll(sum.bySide),
    byTarget: roundAll(sum.byTarget),
    rounds: sum.rounds.map(({ label, counts }) => ({
      label,
      punches: threePlaces(counts.punches),
      strikes: threePlaces(counts.strikes),
    })),
  };
}

/** `tempo adapt FILE --bag KIND`: the sheet for that bag, with what changed. */
export function adapt(path: string, bag: string | undefined): unknown {
  const kind = bagKinds.find((each) => each === bag);
  if (!kind) throw new BadInput(`--bag ${bag ?? 'missing'}: write ${bagKinds.join(', ')}`);
  const { sheet, changes } = adaptSheet(readableSheet(path), kind);
  return { ...sheet, changes };
}

const formats = [
  {
    name: 'json',
    ending: '.json',
    what: 'a sheet, schema in docs/formats/sheet-3.schema.json',
    write: writeSheetJson,
  },
  {
    name: 'tempo-text',
    ending: '.tempo.txt',
    what: 'a sheet as text, docs/formats/tempo-text.md',
    write: writeTempoText,
  },
  { name: 'vtt', ending: '.vtt', what: 'the calls as WebVTT subtitles, export only', write: writeVtt },
  { name: 'srt', ending: '.srt', what: 'the calls as SubRip subtitles, export only', write: writeSrt },
] as const;

/** Formats that `tempo export` and `tempo import` know. */
export function formatHelp(): unknown {
  return { formats: formats.map(({ name, ending, what }) => ({ name, ending, what })) };
}

function formatNamed(name: string | undefined): (typeof formats)[number] {
  const wanted = name === 'text' || name === 'tempo' || name === 'tempo.txt' ? 'tempo-text' : name;
  const found = formats.find((format) => format.name === wanted);
  if (!found) throw new BadInput(`format ${name ?? 'missing'}: write ${formats.map((each) => each.name).join(', ')}`);
  return found;
}

/** `tempo export FILE --to FORMAT [--out PATH]`: the sheet as JSON, or the text of any other format in `text`. */
export function exportSheet(path: string, to: string | undefined, out: string | undefined): unknown {
  const format = formatNamed(to);
  const sheet = format.name === 'vtt' || format.name === 'srt' ? readableSheet(path) : readSheet(path).sheet;
  if (out === undefined) return format.name === 'json' ? sheet : { format: format.name, text: format.write(sheet) };
  try {
    writeFileSync(out, format.write(sheet));
  } catch {
    throw new BadInput(`${out}: cannot be written; use a path in an existing folder`);
  }
  return { written: out };
}

/** `tempo import PATH --from FORMAT`: the sheet as JSON, whatever the file is called. */
export function importSheet(path: string, from: string | undefined): unknown {
  const { name } = formatNamed(from);
  if (name === 'vtt' || name === 'srt')
    throw new BadInput(`${name}: subtitles can only be exported; import json or tempo-text`);
  return readSheetAs(path, name === 'json' ? 'json' : 'text');
}
