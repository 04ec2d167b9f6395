import { parseArgs } from 'node:util';
import { seededRandom } from '../core/base/random.ts';
import type { Setup } from '../core/setup/schema.ts';
import { cleverShelf } from './contenders.ts';
import { makeRecords } from './makeRecords.ts';
import { sideBySide } from './sideBySide.ts';

/** npm run bench -- fill-up: searches that are filled up beside the same searches that are not (bound 1.3, 95th percentile). */
export function runFillUp(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { size: { type: 'string', default: '100000' }, queries: { type: 'string', default: '300' } },
  });
  const records = [...makeRecords(7, Number(values.size))];
  const filled = (on: boolean) =>
    cleverShelf(records, (setup): Setup => ({ ...setup, relevance: { ...setup.relevance, fillUp: { on } } }));
  console.log(`${values.size} records; without and with filling up`);
  sideBySide(records, seededRandom(8), Number(values.queries), filled(false), filled(true));
}
