import { describe, expect, test } from '@jest/globals';
import { languageNamed } from '../text/guessLanguage.ts';
import { columnDescriber } from './describeColumns.ts';
import { proposeReading } from './proposeReading.ts';
import { isTranslation, translatedColumns } from './translations.ts';

describe('the language a column names', () => {
  test.each([
    ['title_fr', 'title', 'fr'],
    ['Name (French)', 'Name', 'fr'],
    ['Bezeichnung engl.', 'Bezeichnung', 'en'],
    ['french_name', 'name', 'fr'],
    ['nombre-español', 'nombre', 'es'],
    ['description[de]', 'description', 'de'],
    ['name jp', 'name', 'ja'],
  ])('%s: %s, %s', (column, name, language) => expect(languageNamed(column)).toEqual({ name, language }));
  test.each(['title', 'side', 'constructor', 'price_eur', 'tide', 'it', 'made_by'])('%s names none', (column) =>
    expect(languageNamed(column)).toBeNull(),
  );
});

describe('columns that say the same in several languages', () => {
  const seen = (...columns: string[]) =>
    [...translatedColumns(columns.map((column) => ({ column })))].map(
      ([column, { language, isOther }]) => `${column} ${language}${isOther ? ' other' : ''}`,
    );
  test('the shop’s own is the one that names no language', () =>
    expect(seen('Titel', 'title_en', 'french_name', 'price')).toEqual(['title_en en other', 'french_name fr other']));
  test('or the language in which most are, then the first', () => {
    expect(seen('name_fr', 'name_de', 'text_de', 'text_en')).toEqual([
      'name_fr fr other',
      'name_de de',
      'text_de de',
      'text_en en other',
    ]);
    expect(seen('name_fr', 'name_de')).toEqual(['name_fr fr', 'name_de de other']);
  });
  test('numbers are said in no language', () =>
    expect(translatedColumns([{ column: 'weight' }, { column: 'weight_pl', numeric: 1 }]).size).toBe(0));
  test('a column alone is no translation', () =>
    expect(seen('title', 'notes_fr', 'price_eur', 'price_gbp')).toEqual([]));
  test('nor is an attribute of nothing that is there', () => {
    const keys = new Set(['title', 'title_de', 'titel_(engl.)', 'notes_fr']);
    expect([...keys].filter((key) => isTranslation(key, keys))).toEqual(['title_de', 'titel_(engl.)']);
  });
});

test('a file in three languages is read in one, and keeps the others apart', () => {
  const rows = Array.from({ length: 60 }, (_, n) => ({
    sku: `A-${n}`,
    title_en: `Round brush no ${n}`,
    title_de: `Rundpinsel Nummer ${n}`,
    title_fr: `Pinceau rond numéro ${n}`,
    description_de: `Ein Pinsel für Maler, die mit dem besten Material arbeiten, Nummer ${n}.`,
    description_en: `A brush for painters who work with the best of materials, number ${n}.`,
    colour_en: ['red', 'blue'][n % 2]!,
    colour_de: ['rot', 'blau'][n % 2]!,
  }));
  const { columns, mapping, titleDoubt } = proposeReading(rows, Object.keys(rows[0]!));
  expect(columns.map(({ as, key, language }) => `${as} ${key} ${language ?? ''}`.trim())).toEqual([
    'sku sku',
    'title title en',
    'attribute title_de de',
    'attribute title_fr fr',
    'attribute description_de de',
    'description description en',
    'option colour en',
    'attribute colour_de de',
  ]);
  expect(columns[2]!.reason).toBe('it says “title_en” in German');
  expect(mapping.columns[2]).toMatchObject({ language: 'de' });
  expect(titleDoubt).toBeNull();
});

test('without another language nothing is said of one', () => {
  const describer = columnDescriber();
  describer.add({ title: 'Brush', price: '3' });
  expect(translatedColumns(describer.finish(['title', 'price'])).size).toBe(0);
});
