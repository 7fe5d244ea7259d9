import { readFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { demoSheets } from '../../demo/sheets';
import { sheetJsonSchema, sheetSchema } from '../sheet/schema';
import { readSheetJson, sayPath, writeSheetJson } from './sheet-json';

const [first] = demoSheets;
const paths = (change: (data: Record<string, unknown>) => unknown): string[] => {
  const read = readSheetJson(
    JSON.stringify(change(JSON.parse(writeSheetJson(first as (typeof demoSheets)[0])) as Record<string, unknown>)),
  );
  return read.ok ? [] : read.problems.map((problem) => problem.path);
};

describe('a sheet as JSON', () => {
  // JSON Schema draft 2020-12, checked by Ajv, an implementation from the registry; JSON itself by RFC 8259 (JSON.parse).
  it('every demo sheet, exported, is valid by the published schema and comes back the same', () => {
    const published = JSON.parse(readFileSync('docs/formats/sheet-3.schema.json', 'utf8')) as Record<string, unknown>;
    const validate = new Ajv2020({ strict: false }).compile(published);
    expect(demoSheets.length).toBeGreaterThan(0);
    for (const sheet of demoSheets) {
      const text = writeSheetJson(sheet);
      expect(validate(JSON.parse(text)))
        .withContext(JSON.stringify(validate.errors))
        .toBeTrue();
      const read = readSheetJson(text);
      expect(read.ok && read.value).toEqual(sheet);
    }
    expect(validate({ ...first, version: 4 })).toBeFalse();
    expect(validate({ ...first, extra: 1 })).toBeFalse();
  });

  it('the published schema is the program’s own', () => {
    expect(JSON.parse(readFileSync('docs/formats/sheet-3.schema.json', 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(sheetJsonSchema())),
    );
  });

  it('may begin with a byte order mark (RFC 8259, section 8.1) and hold any Unicode', () => {
    const titled = { ...first, title: 'Ärmel 🥊 <b>' };
    const read = readSheetJson(`\uFEFF${JSON.stringify(titled)}`);
    expect(read.ok && read.value.title).toBe('Ärmel 🥊 <b>');
  });

  it('is refused with the paths that are wrong', () => {
    expect(paths((data) => ({ ...data, version: 4 }))).toEqual(['version']);
    expect(paths((data) => ({ ...data, format: 'something/else' }))).toEqual(['format']);
    expect(paths((data) => ({ ...data, title: 7, stance: 'sideways' }))).toEqual(['title', 'stance']);
    expect(paths((data) => ({ ...data, blocks: [{ id: 'x', kind: 'round', ms: 1.5, pieces: [] }] }))).toEqual([
      'blocks[0].ms',
    ]);
    expect(paths((data) => ({ ...data, blocks: [{ id: 'x', kind: 'round', ms: null, pieces: [] }] }))).toEqual([
      'blocks[0].ms',
    ]);
    expect(paths((data) => ({ ...data, blocks: [{ id: 'x', kind: 'rest', ms: null, pieces: [] }] }))).toEqual([]);
    const twice = { id: 'x', kind: 'rest', ms: null, pieces: [] };
    expect(paths((data) => ({ ...data, blocks: [twice, twice] }))).toEqual(['blocks[1].id']);
    expect(readSheetJson('{"format":').ok).toBeFalse();
    expect(readSheetJson('[]').ok).toBeFalse();
    expect(sayPath(['blocks', 2, 'pieces', 0, 'ms'])).toBe('blocks[2].pieces[0].ms');
  });

  it('fills in what a short file leaves out', () => {
    const parsed = sheetSchema.parse({ format: 'keen-tempo/sheet', version: 1, id: 'x', title: 'Short', blocks: [] });
    expect([parsed.numbers, parsed.stance, parsed.bag]).toEqual(['six', 'orthodox', 'shadow']);
  });
});
