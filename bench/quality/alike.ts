import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { parse } from 'csv-parse/sync';
import type { Cells } from '../../core/catalog/readRow.ts';
import { neighboursIn } from '../../server/questions/wordEvidence.ts';
import { shelfOf, snapshotOf } from './finders.ts';
import { type RealCatalog, realCatalogs } from './realCatalogs.ts';
import { readCatalog } from './run.ts';

function demoStore(): RealCatalog {
  const rows = parse(readFileSync('demo/store/catalog.csv', 'utf8'), { columns: true }) as Cells[];
  return { name: 'Wren & Umber', source: 'the demo store', rows };
}

/** Prints every pair of words that would be proposed if shoppers searched for it, with what it is concluded from. */
export function runAlike(args: readonly string[]): void {
  const { values } = parseArgs({ args: [...args], options: { catalog: { type: 'string' } } });
  for (const open of [demoStore, ...realCatalogs]) {
    const catalog = open();
    if (values.catalog && !catalog.name.includes(values.catalog)) continue;
    const shelf = shelfOf(readCatalog(catalog));
    const { alike } = neighboursIn(snapshotOf(shelf));
    console.log(`\n${catalog.name}: ${shelf.records.length} records; ${alike.length} pairs`);
    for (const { words, kin, beside, share } of alike)
      console.log(`  ${words.join(' = ')} (${kin}, ${Math.round(share * 100)}%): ${beside.slice(0, 6).join(', ')}`);
  }
}
