// npm start: installs when needed, builds when needed, then serves. No dependency, so it runs on a fresh machine.

import { isAbsolute, join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt, ensureInstalled, fail, requireNode } from './prepare.mjs';
import { root } from './root.mjs';

const help = `Usage: npm start -- [options]

  --port N     serve on this port of 127.0.0.1 (default 4180)
  --data DIR   keep everything in this folder (default: data)
  --fresh      empty that folder first and begin with the demo store
  --cold       begin with less work; what is searched for first takes longer
  --host NAME  also answer under this name, as behind a proxy; may be given
               several times. Other names are refused.
  --shop-port N
               serve the stand-in shop, whose pages show its search, on this
               port (default: 10 above the other)
  --help       show this
`;

requireNode();
let values;
try {
  ({ values } = parseArgs({
    options: {
      port: { type: 'string', default: '4180' },
      data: { type: 'string' },
      fresh: { type: 'boolean', default: false },
      cold: { type: 'boolean', default: false },
      'shop-port': { type: 'string' },
      host: { type: 'string', multiple: true, default: [] },
      help: { type: 'boolean', short: 'h', default: false },
    },
  }));
} catch (error) {
  fail(`${error.message.split('\n')[0]} See npm start -- --help.`);
}
if (values.help) {
  process.stdout.write(help);
  process.exit(0);
}
if (!/^\d{1,5}$/.test(values.port) || Number(values.port) > 65535)
  fail(`“${values.port}” is no port: name a number from 0 to 65535 with --port N.`);

const shopPort = values['shop-port'];
if (shopPort !== undefined && (!/^\d{1,5}$/.test(shopPort) || Number(shopPort) > 65535))
  fail(`“${shopPort}” is no port: name a number from 0 to 65535 with --shop-port N.`);

ensureInstalled();
await ensureBuilt();
const workingFolder = process.env.INIT_CWD ?? process.cwd();
const data =
  values.data === undefined
    ? join(root, 'data')
    : isAbsolute(values.data)
      ? values.data
      : join(workingFolder, values.data);
process.argv = [
  ...[process.argv[0], join(root, 'dist', 'server', 'main.js')],
  ...['--port', values.port, '--data', data, '--demo', join(root, 'demo', 'store')],
  ...(values['shop-port'] === undefined ? [] : ['--shop-port', values['shop-port']]),
  ...(values.fresh ? ['--fresh'] : []),
  ...(values.cold ? ['--cold'] : []),
  ...values.host.flatMap((name) => ['--host', name]),
];
await import('../dist/server/main.js');
