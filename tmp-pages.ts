import { benchProgress } from './bench/progress'; await benchProgress();
