import { expose } from 'comlink';
import { Composing, type ComposeWorld } from './composing';

const composing = new Composing();
const api = {
  know: (world: ComposeWorld): void => composing.know(world),
  ask: (name: Exclude<keyof Composing, 'know'>, args: readonly unknown[]): unknown => {
    const method = composing[name] as (...given: readonly unknown[]) => unknown;
    return method.apply(composing, [...args]);
  },
};
export type ComposeWorker = typeof api;
expose(api);
