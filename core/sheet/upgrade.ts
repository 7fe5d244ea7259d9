const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Version 1 as version 2 has it: focuses of the sheet, which stood in place of the built-in ones, become focus lines that stand
 * alone.
 */
function secondOf(data: Record<string, unknown>): Record<string, unknown> {
  const { calls } = data;
  const wordings = isObject(calls) ? calls['wordings'] : undefined;
  if (!isObject(calls) || !isObject(wordings) || !Array.isArray(wordings['focuses'])) return { ...data, version: 2 };
  const { focuses, ...others } = wordings;
  const { wordings: _, ...kept } = calls;
  return {
    ...data,
    version: 2,
    calls: Object.keys(others).length > 0 ? { ...kept, wordings: others } : kept,
    focuses: (focuses as unknown[]).map((focus) => (isObject(focus) ? { ...focus, only: true } : focus)),
  };
}

/** Version 3 only adds fields: nothing of version 2 means anything else in it. */
const thirdOf = (data: Record<string, unknown>): Record<string, unknown> => ({ ...data, version: 3 });

/**
 * Data of an older version as the newest has it, a step at a time. Anything else is passed on as it is, for the schema to
 * judge.
 * @example upgraded({ version: 1, … }) // { version: 3, … }
 */
export function upgraded(data: unknown): unknown {
  if (!isObject(data)) return data;
  if (data['version'] === 1) return thirdOf(secondOf(data));
  return data['version'] === 2 ? thirdOf(data) : data;
}
