import { standardMapping, usualReading } from '../../core/catalog/mapping.ts';
import type { ColumnReading, Mapping } from '../../core/catalog/mappingSchema.ts';
import type { Language } from '../../core/text/languages.ts';

interface ByHand {
  readonly language?: Language;
  /** By column: its role, or `attribute`. Columns not named are left out. */
  readonly roles: Readonly<Record<string, ColumnReading['as']>>;
  /** By column, what parts its values. */
  readonly lists?: Readonly<Record<string, string>>;
}

/** Each real catalog's columns as a person reads them who knows what is in it, by the catalog's name. */
const byHand: Readonly<Record<string, ByHand>> = {
  films: {
    roles: {
      ...{ Title: 'title', Director: 'attribute', Distributor: 'attribute', Source: 'attribute' },
      ...{ 'Major Genre': 'attribute', 'Creative Type': 'attribute', 'MPAA Rating': 'attribute' },
      ...{ 'Release Date': 'attribute', 'Running Time min': 'attribute', 'IMDB Rating': 'rating' },
    },
  },
  cars: { roles: { Name: 'title', Origin: 'attribute', Cylinders: 'attribute', Horsepower: 'attribute' } },
  airports: {
    roles: { name: 'title', iata: 'sku', city: 'attribute', state: 'attribute', country: 'attribute' },
  },
  'colour names': { roles: { name: 'title', hex: 'attribute' } },
  WordNet: { roles: { name: 'title', others: 'attribute', gloss: 'description' }, lists: { others: '|' } },
  'German signs': {
    language: 'de',
    roles: { label: 'title', tags: 'tags', group: 'category', subgroup: 'attribute', hexcode: 'sku' },
  },
  'Spanish signs': {
    language: 'es',
    roles: { label: 'title', tags: 'tags', group: 'category', subgroup: 'attribute', hexcode: 'sku' },
  },
  'French towns': {
    language: 'fr',
    roles: { nom: 'title', code: 'sku', departement: 'attribute', region: 'attribute', codesPostaux: 'attribute' },
  },
};

/** The mapping put right by hand of a catalog with these columns; an item of each is a product of its own. */
export function handMapping(name: string, columns: readonly string[]): Mapping {
  const { roles, lists = {}, language } = byHand[name]!;
  const named = columns.map((column): ColumnReading => {
    const as = column === 'id' ? 'id' : (roles[column] ?? 'skip');
    return { ...usualReading(column, as), ...(lists[column] === undefined ? {} : { split: lists[column] }) };
  });
  return { ...standardMapping([]), columns: named, families: { by: 'none' }, ...(language ? { language } : {}) };
}
