import { benchProgress } from './bench/tmp-progress'; await benchProgress();
