import { writeFileSync } from 'node:fs';
import { sheetJsonSchema } from '../core/index';

// `npm run schema`: publishes the JSON Schema of a sheet's file; a spec fails when it is stale.
writeFileSync('docs/formats/sheet-3.schema.json', `${JSON.stringify(sheetJsonSchema(), null, 2)}\n`);
