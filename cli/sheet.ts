import { writeFileSync } from 'node:fs';
import {
  compile,
  findings,
  readStored,
  sayFault,
  schemeOrSix,
  tally,
  toSeconds,
  writeCombination,
  writeSheetJson,
  type Sheet,
} from '../core/index';
import { BadInput, readSheet } from './io';

/** A sheet whose text can be read throughout; timeline and tally make no sense of anything else. */
function readableSheet(path: string): Sheet {
  const sheet = readSheet(path);
  for (const [blockAt, block] of sheet.blocks.entries())
    for (const [pieceAt, piece] of block.pieces.entries()) {
      const text = piece.kind === 'combination' ? piece.text : piece.kind === 'build' ? piece.goal : null;
      const read = text === null ? null : readStored(text);
      if (read && !read.ok)
        throw new BadInput(`${path}: blocks[${blockAt}].pieces[${pieceAt}]: ${sayFault(read.fault)}`);
    }
  return sheet;
}

const twoPlaces = (value: number): number => Math.round(value * 100) / 100;
const roundAll = (record: Readonly<Record<string, number>>): Record<string, number> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, twoPlaces(value)]));

/** `tempo check FILE`: what a coach should know about a sheet. */
export function check(path: string): unknown {
  return { findings: findings(readSheet(path)).map(({ level, where, what, mend }) => ({ level, where, what, mend })) };
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
      label: leaf.label,
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
    punches: twoPlaces(sum.counts.punches),
    strikes: twoPlaces(sum.counts.strikes),
    defences: twoPlaces(sum.counts.defences),
    least: twoPlaces(sum.least),
    most: twoPlaces(sum.most),
    byMove: roundAll(sum.byMove),
    bySide: roundAll(sum.bySide),
    byTarget: roundAll(sum.byTarget),
    rounds: sum.rounds.map(({ label, counts }) => ({
      label,
      punches: twoPlaces(counts.punches),
      strikes: twoPlaces(counts.strikes),
    })),
  };
}

const formats = ['json'];

/** Formats that `tempo export` and `tempo import` know. */
export function formatHelp(): unknown {
  return {
    formats: formats.map((name) => ({
      name,
      ending: '.json',
      what: 'a sheet, schema in docs/formats/sheet-1.schema.json',
    })),
  };
}

function knownFormat(name: string | undefined): void {
  if (name === undefined || !formats.includes(name))
    throw new BadInput(`format ${name ?? 'missing'}: write ${formats.join(', ')}`);
}

/** `tempo export FILE --to FORMAT [--out PATH]`. */
export function exportSheet(path: string, to: string | undefined, out: string | undefined): unknown {
  knownFormat(to);
  const sheet = readSheet(path);
  if (out === undefined) return sheet;
  try {
    writeFileSync(out, writeSheetJson(sheet));
  } catch {
    throw new BadInput(`${out}: cannot be written; give a path in a folder that exists`);
  }
  return { written: out };
}

/** `tempo import PATH --from FORMAT`. */
export function importSheet(path: string, from: string | undefined): unknown {
  knownFormat(from);
  return readSheet(path);
}
