import type { Leaf } from '../timeline/leaf';

/** From which share of full effort on work is hard, and under which it is easy (house values). */
const hardFrom = 85;
const easyUnder = 60;

/** Whether work is hard, so that a class is pushed: strong, all out, for power, or from so many per cent on. */
export const isHard = ({ effort, focus, power }: Pick<Leaf, 'effort' | 'focus' | 'power'>): boolean =>
  focus === 'power' ||
  (power ?? 0) >= hardFrom ||
  (typeof effort === 'number' ? effort >= hardFrom : effort === 'strong' || effort === 'all-out');

/** Whether work is light or slow, so that nothing is said of power or speed: easy, for technique, or under so many per cent. */
export const isLight = ({ effort, focus, power }: Pick<Leaf, 'effort' | 'focus' | 'power'>): boolean =>
  focus === 'technique' ||
  (power ?? 100) < easyUnder ||
  (typeof effort === 'number' ? effort < easyUnder : effort === 'easy');
