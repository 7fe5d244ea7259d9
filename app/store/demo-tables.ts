import type { Table } from 'dexie';
import type { Database } from './database';

type DemoTable = Table<{ readonly id: string; readonly demo: boolean }, string>;
/** Untouched demo records, found by their ids: the rest of a large table is not read. */
export const demoRows = (table: DemoTable) =>
  table
    .where('id')
    .startsWith('demo-')
    .filter((stored) => stored.demo);
/** The stores that hold records of the demo. */
export const tablesOf = ({ sheets, log, book }: Database): DemoTable[] => [sheets, log, book];
