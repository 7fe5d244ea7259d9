// Builds what is not built yet, or is older than its sources: in a process of its own, so that something else goes on meanwhile.
import { build } from './steps.mjs';

await build();
