import type { Milliseconds } from './units';

/** A length as a coach writes it. `sayClock(90_000)` → `1:30`; `sayClock(3_723_000)` → `1:02:03`; tenths only where there are some */
export function sayClock(ms: Milliseconds): string {
  const tenths = Math.round(Math.abs(ms) / 100);
  const whole = Math.floor(tenths / 10);
  const seconds = String(whole % 60).padStart(2, '0');
  const minutes = Math.floor(whole / 60);
  const hours = Math.floor(minutes / 60);
  const rest = tenths % 10 ? `.${tenths % 10}` : '';
  const sign = ms < 0 ? '-' : '';
  return hours > 0
    ? `${sign}${hours}:${String(minutes % 60).padStart(2, '0')}:${seconds}${rest}`
    : `${sign}${minutes}:${seconds}${rest}`;
}

/** A moment to the tenth, which is always shown. `sayTenths(91_300)` → `1:31.3` */
export function sayTenths(ms: Milliseconds): string {
  const text = sayClock(Math.floor(ms / 100) * 100);
  return text.includes('.') ? text : `${text}.0`;
}

/** A length to the thousandth, for files. `exactClock(90_250)` → `1:30.25` */
export function exactClock(ms: Milliseconds): string {
  const rest = ms % 1000;
  return sayClock(ms - rest) + (rest === 0 ? '' : String(rest / 1000).slice(1));
}

const day: Milliseconds = 24 * 3_600_000;

/**
 * Reads a time on a clock: `m:ss`, `h:mm:ss`, `90s`, `2 min` or bare seconds; null where it is none, or over a day.
 * @example readTime('0:00') // 0
 */
export function readTime(text: string): Milliseconds | null {
  const trimmed = text.trim().toLowerCase();
  const clock = /^(?:(\d{1,2}):)?(\d{1,4}):([0-5]\d)(\.\d{1,3})?$/.exec(trimmed);
  const named = /^(\d{1,5})(\.\d{1,3})?\s*(s|sec|seconds?|m|min|minutes?)?$/.exec(trimmed);
  let ms: Milliseconds | null = null;
  if (clock) {
    const [, hours = '0', minutes = '0', seconds = '0', fraction = '0'] = clock;
    if (clock[1] !== undefined && Number(minutes) > 59) return null;
    ms = ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Math.round(Number(fraction) * 1000);
  } else if (named) {
    const [, whole = '0', fraction = '0', unit = 's'] = named;
    ms = Math.round((Number(whole) + Number(fraction)) * 1000 * (unit.startsWith('m') ? 60 : 1));
  }
  return ms !== null && ms <= day ? ms : null;
}

/**
 * Reads a length: as `readTime`, but at least one second.
 * @example readClock('1:30') // 90000
 */
export function readClock(text: string): Milliseconds | null {
  const ms = readTime(text);
  return ms !== null && ms >= 1000 ? ms : null;
}
