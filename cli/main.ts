import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { unknownName } from '../api/problem.ts';
import { StartProblem } from '../server/dataFolder.ts';
import { attributeSetCommand, attributesCommand } from './attributes.ts';
import { exportCommand } from './exportCommand.ts';
import { importCommand } from './importCommand.ts';
import { judgeCommand } from './judge.ts';
import { logCommand } from './logCommand.ts';
import { publishCommand } from './publish.ts';
import { searchCommand } from './search.ts';
import { Failure, UsageError } from './usage.ts';

const help = `Usage: npm run --silent shelf -- COMMAND [options]

  search "WORDS" [--json] [--draft ID] [--explain] [--limit N] [--page N]
                 [--filter KEY=VALUE]… [--sort KEY] [--typing]
                 [--collection ID] [--release N]
                               what a shopper finds (--draft, --release: by
                               that one instead of what is live)
  import FILE [--update] [--anyway] [--mapping FILE]
              [--propose-mapping FILE] [--report]
                               bring in a catalog: CSV, JSON, JSON Lines or
                               JSON-LD (--update: keep what it does not have;
                               --anyway: though many rows cannot be read;
                               --report: only say how it would be read and why)
  export FILE [--format csv|jsonl|jsonld]
                               take the catalog away as it stands in the draft
  log FILE                     bring in a shopper log: JSON Lines or CSV
  judge QUERIES.jsonl [--json] [--draft ID] [--release N]
                               how right the results of judged searches are:
                               {"query": …, "relevant": {ID: GRADE}} a line
  attributes [--json]          every attribute, what it holds and how it counts
  attribute set KEY [--weight N] [--searchable on|off] [--card on|off]
                               change an attribute in the draft
  publish [--note TEXT]        make the draft what shoppers get

Every command takes --data DIR (default: data) and --storefront ID (default:
the first). Those that read or change a draft take --draft ID (default: the
first). Exit codes: 0 done, 1 it
could not be done, 2 the command was not understood.
`;

const options = {
  data: { type: 'string' },
  json: { type: 'boolean', default: false },
  storefront: { type: 'string' },
  draft: { type: 'string' },
  release: { type: 'string' },
  explain: { type: 'boolean', default: false },
  typing: { type: 'boolean', default: false },
  collection: { type: 'string', default: '' },
  sort: { type: 'string', default: '' },
  limit: { type: 'string', default: '24' },
  page: { type: 'string', default: '1' },
  filter: { type: 'string', multiple: true, default: [] as string[] },
  weight: { type: 'string' },
  searchable: { type: 'string' },
  card: { type: 'string' },
  note: { type: 'string', default: '' },
  update: { type: 'boolean', default: false },
  anyway: { type: 'boolean', default: false },
  mapping: { type: 'string' },
  format: { type: 'string' },
  'propose-mapping': { type: 'string' },
  report: { type: 'boolean', default: false },
  help: { type: 'boolean', short: 'h', default: false },
} as const;

const allowed: Readonly<Record<string, readonly string[]>> = {
  search: ['json', 'draft', 'release', 'explain', 'typing', 'collection', 'sort', 'limit', 'page', 'filter'],
  import: ['json', 'update', 'anyway', 'mapping', 'propose-mapping', 'report'],
  export: ['format', 'draft'],
  log: ['json'],
  judge: ['json', 'draft', 'release'],
  attributes: ['json', 'draft'],
  attribute: ['weight', 'searchable', 'card', 'json', 'draft'],
  publish: ['note', 'json', 'draft'],
};

/** Where the person stands who typed the command: npm changes the working directory to the project's. */
const workingFolder = process.env.INIT_CWD ?? process.cwd();

const here = (path: string | undefined): string | undefined =>
  path === undefined ? undefined : resolve(workingFolder, path);

function parse(args: readonly string[]) {
  try {
    const parsed = parseArgs({ args: [...args], options, allowPositionals: true, strict: true, tokens: true });
    return parsed;
  } catch (error) {
    const name = /'(-[^' ]*)/.exec((error as Error).message)?.[1];
    if (name)
      throw new UsageError(
        unknownName(
          'option',
          name,
          Object.keys(options).map((option) => `--${option}`),
        ),
      );
    throw new UsageError((error as Error).message);
  }
}

async function run(args: readonly string[]): Promise<void> {
  const { values, positionals, tokens } = parse(args);
  const [command, ...rest] = positionals;
  if (values.help || command === 'help' || (command === undefined && args.length === 0)) {
    process.stdout.write(help);
    return;
  }
  if (command === undefined)
    throw new UsageError('Name a command: search, import, export, log, judge, attributes, attribute set or publish.');
  const known = allowed[command];
  if (!known) throw new UsageError(unknownName('command', command, Object.keys(allowed)));
  for (const token of tokens)
    if (token.kind === 'option' && !['data', 'storefront'].includes(token.name) && !known.includes(token.name))
      throw new UsageError(`“${command}” has no option --${token.name}.`);
  const data = values.data === undefined ? resolve('data') : resolve(workingFolder, values.data);
  switch (command) {
    case 'search':
      return searchCommand(data, rest, values);
    case 'import':
      return importCommand(
        data,
        rest.map((file) => resolve(workingFolder, file)),
        {
          ...values,
          mapping: here(values.mapping),
          'propose-mapping': here(values['propose-mapping']),
        },
      );
    case 'export':
      return exportCommand(
        data,
        rest.map((file) => resolve(workingFolder, file)),
        values,
      );
    case 'log':
      return logCommand(
        data,
        rest.map((file) => resolve(workingFolder, file)),
        values,
      );
    case 'judge':
      return judgeCommand(
        data,
        rest.map((file) => resolve(workingFolder, file)),
        values,
      );
    case 'attributes':
      return attributesCommand(data, rest, values);
    case 'attribute':
      return attributeSetCommand(data, rest, values);
    default:
      return publishCommand(data, rest, values);
  }
}

// Whoever reads the output may have enough of it (`| head`): that is no mistake.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit(0);
});

run(process.argv.slice(2)).catch((error: unknown) => {
  const isKnown = error instanceof UsageError || error instanceof Failure || error instanceof StartProblem;
  process.stderr.write(`shelf: ${isKnown ? error.message : String((error as Error).stack ?? error)}\n`);
  if (error instanceof UsageError) process.stderr.write('Try: npm run --silent shelf -- help\n');
  process.exitCode = error instanceof UsageError ? 2 : 1;
});
