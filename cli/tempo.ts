import { parseArgs } from 'node:util';
import { build } from './build';
import { bench } from './bench';
import { calldrill } from './calldrill';
import { calls } from './calls';
import { combo } from './combo';
import { composed, follow } from './compose';
import { figure } from './figure';
import { BadInput } from './io';
import { adapt, check, exportSheet, formatHelp, importSheet, tallySheet, timeline } from './sheet';

const usage =
  'usage: tempo combo|compose|follow|build|calldrill|check|timeline|tally|calls|figure|adapt|bench|export|import …; docs/cli.md describes them';

const options = {
  scheme: { type: 'string' },
  stance: { type: 'string' },
  pace: { type: 'string' },
  bag: { type: 'string' },
  kind: { type: 'string' },
  defence: { type: 'string' },
  kick: { type: 'string' },
  cuts: { type: 'string' },
  again: { type: 'boolean' },
  to: { type: 'string' },
  from: { type: 'string' },
  out: { type: 'string' },
  seconds: { type: 'string' },
  frames: { type: 'string' },
  seed: { type: 'string' },
  least: { type: 'string' },
  most: { type: 'string' },
  'gap-least': { type: 'string' },
  'gap-most': { type: 'string' },
  length: { type: 'string' },
  mass: { type: 'string' },
  upper: { type: 'string' },
  lower: { type: 'string' },
  'tension-upper': { type: 'string' },
  impulse: { type: 'string' },
  level: { type: 'string' },
  schools: { type: 'string' },
  alone: { type: 'boolean' },
  'tension-lower': { type: 'string' },
  'rebounds-per-minute': { type: 'string' },
  'rebounds-per-hit': { type: 'string' },
  stature: { type: 'string' },
  groups: { type: 'string' },
  kinds: { type: 'string' },
  count: { type: 'boolean' },
  take: { type: 'string' },
  wishes: { type: 'string' },
  help: { type: 'boolean' },
} as const;

function oneFile(files: readonly string[]): string {
  const [file] = files;
  if (file === undefined) throw new BadInput('no file given; pass a path, or - for standard input');
  return file;
}

function answer(args: string[]): unknown {
  const { values, positionals } = parseArgs({ args, options, allowPositionals: true });
  const [verb, ...rest] = positionals;
  switch (verb) {
    case 'figure':
      return figure(rest[0], values);
    case 'compose':
      return composed(rest[0], values);
    case 'follow':
      return follow(rest[0], values);
    case 'combo':
      return combo(rest[0], values);
    case 'build':
      return build(rest, values);
    case 'calldrill':
      return calldrill(values);
    case 'check':
      return check(oneFile(rest));
    case 'timeline':
      return timeline(oneFile(rest));
    case 'tally':
      return tallySheet(oneFile(rest));
    case 'calls':
      return calls(oneFile(rest));
    case 'adapt':
      return adapt(oneFile(rest), values.bag);
    case 'bench':
      return bench(rest[0], values);
    case 'export':
      return values.help ? formatHelp() : exportSheet(oneFile(rest), values.to, values.out);
    case 'import':
      return values.help ? formatHelp() : importSheet(oneFile(rest), values.from);
    default:
      throw new BadInput(verb === undefined ? usage : `${verb}: unknown command; ${usage}`);
  }
}

/** parseArgs refuses unknown flags by throwing an error with such a code. */
function isArgumentError(thrown: unknown): thrown is Error {
  return thrown instanceof Error && 'code' in thrown && String(thrown.code).startsWith('ERR_PARSE_ARGS');
}

try {
  process.stdout.write(`${JSON.stringify(answer(process.argv.slice(2)), null, 2)}\n`);
} catch (thrown) {
  if (!(thrown instanceof BadInput) && !isArgumentError(thrown)) throw thrown;
  process.stderr.write(`${thrown.message.replace(/\s*\n\s*/g, ' ')}\n`);
  process.exitCode = 2;
}
