import { BadInput } from './io';

/** A number given to a flag, within bounds. */
export function numberFlag(
  flag: string,
  given: string | undefined,
  least: number,
  most: number,
  usual?: number,
): number {
  if (given === undefined && usual !== undefined) return usual;
  const value = Number(given);
  if (given === undefined || given.trim() === '' || !(value >= least && value <= most))
    throw new BadInput(`--${flag} ${given ?? 'missing'}: write a number from ${least} to ${most}`);
  return value;
}

/** A whole number given to a flag, within bounds. */
export function wholeFlag(
  flag: string,
  given: string | undefined,
  least: number,
  most: number,
  usual?: number,
): number {
  const value = numberFlag(flag, given, least, most, usual);
  if (!Number.isInteger(value))
    throw new BadInput(`--${flag} ${given ?? ''}: write a whole number from ${least} to ${most}`);
  return value;
}
