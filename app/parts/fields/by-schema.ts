import type { ValidatorFn } from '@angular/forms';
import type * as z from 'zod/mini';

/** Why a typed value is not taken, and how to mend it; shown under the field. */
export interface Mend {
  readonly mend: string;
}

interface Bounds {
  readonly least?: number;
  readonly most?: number;
}

/** The schema itself, without what only says that it may be left out. */
function inner(schema: z.core.$ZodType): z.core.$ZodType {
  const { def } = schema._zod;
  return 'innerType' in def ? inner(def.innerType as z.core.$ZodType) : schema;
}

/** The least and the most a schema of numbers takes. `boundsOf(z.int().min(1).max(99))` → `{ least: 1, most: 99 }` */
export function boundsOf(schema: z.core.$ZodType): Bounds {
  const bounds: { least?: number; most?: number } = {};
  for (const { _zod } of inner(schema)._zod.def.checks ?? []) {
    const { check, value } = _zod.def as Partial<z.core.$ZodCheckGreaterThanDef | z.core.$ZodCheckLessThanDef>;
    if (check === 'greater_than') bounds.least = Number(value);
    if (check === 'less_than') bounds.most = Number(value);
  }
  return bounds;
}

function sayBounds({ least, most }: Bounds, per: number): string {
  const [low, high] = [least, most].map((bound) =>
    bound === undefined ? undefined : (bound / per).toLocaleString('en'),
  );
  if (low !== undefined && high !== undefined) return `Enter ${low} to ${high}`;
  return low === undefined ? (high === undefined ? 'Enter a number' : `Enter ${high} or less`) : `Enter ${low} or more`;
}

function sayIssue(schema: z.core.$ZodType, issue: z.core.$ZodIssue, per: number): string {
  if (issue.code === 'too_big' && issue.origin === 'string')
    return `Use up to ${Number(issue.maximum).toLocaleString('en')} characters`;
  if (issue.code === 'too_small' && issue.origin === 'string') return 'This can’t be empty';
  if (issue.code === 'invalid_type' && issue.expected === 'int') return 'Enter a whole number';
  const numeric = issue.code === 'too_big' || issue.code === 'too_small' || issue.code === 'invalid_type';
  return numeric ? sayBounds(boundsOf(schema), per) : issue.message;
}

/**
 * Turns a schema into a validator, so that limits stand in one place, the schema; `read` makes of what stands in the field
 * what the schema looks at, and `per` says how many of the schema's units one of the field's is.
 * @example new FormControl(3, bySchema(blockSchema.shape.times)) // 100 is refused: "Write 1 to 99"
 */
export function bySchema(
  schema: z.core.$ZodType,
  read: (typed: unknown) => unknown = (typed) => typed,
  per = 1,
): ValidatorFn {
  return ({ value }: { readonly value: unknown }): Mend | null => {
    const result = schema['~standard'].validate(read(value));
    if (result instanceof Promise) return null;
    const issue = result.issues?.[0];
    return issue ? { mend: sayIssue(schema, issue as unknown as z.core.$ZodIssue, per) } : null;
  };
}
