import { expose } from 'comlink';
import { Database } from '../store/database';
import { LogSums } from './log-sums';

let sums: LogSums | null = null;

// Reads the store by itself: thousands of entries never come to the page.
expose({
  open: (name: string): void => {
    sums ??= new LogSums(new Database(name));
  },
  ask: <Name extends keyof LogSums>(name: Name, args: Parameters<LogSums[Name]>): unknown => {
    if (!sums) throw new Error('the log has not been opened');
    const method = sums[name] as (...args: unknown[]) => unknown;
    return method.apply(sums, args);
  },
});

/** What the worker answers. */
export interface LogWorker {
  open(name: string): void;
  ask(name: keyof LogSums, args: readonly unknown[]): unknown;
}
