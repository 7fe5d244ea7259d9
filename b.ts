import { benchPages } from './bench/pages';
await benchPages();
