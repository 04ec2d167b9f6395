import { describe, expect, test } from '@jest/globals';
import { readStandardRow } from '../catalog/readRow.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { snapshotOf } from '../testing/randomCatalog.ts';
import { guessLanguage } from './guessLanguage.ts';
import type { Language } from './languages.ts';

const texts: Readonly<Record<Language, string>> = {
  en: 'A brush for the finest lines, made with sable and held by a handle of birch.',
  de: 'Ein Pinsel für feinste Linien, mit Rotmarder und einem Stiel aus Birke; nicht für Acryl.',
  fr: 'Un pinceau pour les lignes fines, avec de la martre et un manche dans le bois de bouleau.',
  es: 'Un pincel para las líneas finas, con pelo de marta y el mango del abedul más claro.',
};

describe('the language of a catalog', () => {
  test.each(Object.entries(texts))('%s is told by its small words', (language, text) =>
    expect(guessLanguage([text])).toBe(language),
  );
  test('is English where nothing tells it', () => expect(guessLanguage(['WU-2041', 'Rot', ''])).toBe('en'));
});

describe('word forms', () => {
  const found = (language: Language, titles: readonly string[], query: string): string[] => {
    const records = titles.map((title, at) => {
      const reading = readStandardRow({ id: `${at}`, title });
      if ('refusal' in reading) throw new Error(reading.refusal.reason);
      return reading.record;
    });
    const engine = openEngine(snapshotOf(records, language));
    const setup = initialSetup(engine.snapshot.attributes);
    const strict = { ...setup, relevance: { ...setup.relevance, spelling: { tolerance: false } } };
    const request = { query, filters: {}, page: 1, limit: 9 };
    return search(engine, prepareSetup(engine, strict, 0), request, (record) => records[record]!).results.map(
      ({ title }) => title,
    );
  };
  test.each([
    ['en', 'brushes', 'Brush'],
    ['de', 'Bilder', 'Bild'],
    ['de', 'Farben', 'Farbe'],
    ['de', 'Blöcke', 'Block'],
    ['fr', 'pinceaux', 'Pinceau'],
    ['fr', 'couleurs', 'Couleur'],
    ['es', 'pinceles', 'Pincel'],
    ['es', 'colores', 'Color'],
  ] as const)('%s: %s finds %s, and not the other way of another language', (language, query, title) => {
    expect(found(language, [title, 'Xylophon'], query)).toEqual([title]);
  });
  test.each([
    ['Pinsel', 'Aquarellpinsel', ['Pinsel für Aquarell', 'Aquarellpinsel']],
    ['Aquarell', 'ein Teil', ['Pinsel für Aquarell', 'Aquarellpinsel']],
    ['Aquarellpinsel', 'bekannt, wie er ist', ['Aquarellpinsel']],
    ['Zeichnungsblock', 'mit Fugenlaut', ['Block für die Zeichnung']],
    ['Skizzenblöcke', 'in anderer Form', ['Block mit Skizzen']],
  ])('a compound is split by the catalog’s own words: %s', (query, _, expected) => {
    const titles = [
      'Aquarellpinsel',
      'Pinsel für Aquarell',
      'Block für die Zeichnung',
      'Block mit Skizzen',
      'Spachtel',
    ];
    expect([...found('de', titles, query)].sort()).toEqual([...expected].sort());
    expect(found('en', ['Aquarellpinsel', 'Pinsel'], 'Pinsel')).toEqual(['Pinsel']);
  });
  test('another language’s forms are not taken for this one’s', () =>
    expect(found('en', ['Bild'], 'Bilder')).toEqual([]));
});
