import { describe, expect, test } from '@jest/globals';
import { adviseAttribute } from '../catalog/adviseAttribute.ts';
import { readStandardRow } from '../catalog/readRow.ts';
import { noCollections } from '../conditions/asked.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { withEntry } from '../setup/withEntry.ts';
import { snapshotOf } from '../testing/randomCatalog.ts';
import { effectsOf, keptPages, reasonToWithhold } from './effect.ts';
import { proposeFilters } from './proposeFilters.ts';
import { proposeSetup } from './proposeSetup.ts';
import { proposeWords, type WordEvidence } from './proposeWords.ts';

const rows = Array.from({ length: 40 }, (_, n) => ({
  id: `p${n}`,
  title: `Brush number ${n}`,
  brand: ['Osier', 'Harrow'][n % 2]!,
  hair: ['Sable', 'Hog', 'Goat'][n % 3]!,
  price: String(n + 1),
  units_sold: String(n),
}));
const snapshot = snapshotOf(
  rows.map((row) => {
    const reading = readStandardRow(row);
    if ('refusal' in reading) throw new Error(reading.refusal.reason);
    return reading.record;
  }),
);
const engine = openEngine(snapshot);
const usual = initialSetup(snapshot.attributes);
/** A setup made for another catalog: it knows titles and nothing else. */
const foreign: Setup = {
  ...usual,
  attributes: { title: usual.attributes.title! },
  filters: {},
  relevance: { ...usual.relevance, tieBreakers: { signals: [] } },
};

/** What is proposed for the catalog under a setup, filters as they are for who browses everything. */
const proposed = (setup: Setup) => {
  const filters = proposeFilters(
    engine,
    prepareSetup(engine, setup, 0),
    { searches: [{ search: '', searches: 1 }], areMadeUp: true },
    () => null,
  );
  return proposeSetup(snapshot.attributes, setup, { filters });
};

describe('what is proposed', () => {
  test('for a catalog the setup knows nothing of: attributes, filters and tie-breakers, each with its reason', () => {
    const proposals = proposed(foreign);
    expect(proposals.map(({ id }) => id)).toEqual(
      [
        'attribute:brand',
        'attribute:hair',
        'filter:price',
        'filter:availability',
        'filter:hair',
        'filter:brand',
        'tieBreaker:availability',
        'tieBreaker:units_sold',
      ].filter((id) => proposals.some((proposal) => proposal.id === id)),
    );
    expect(proposals.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['attribute:hair', 'filter:hair', 'tieBreaker:units_sold']),
    );
    expect(proposals.find(({ id }) => id === 'attribute:hair')!.reason).toContain('“Sable”');
  });
  test('nothing that is decided already, and nothing twice', () => {
    expect(proposed(usual)).toEqual([]);
    let setup = foreign;
    for (const { edits } of proposed(foreign)) setup = edits.reduce(withEntry, setup);
    expect(proposed(setup).filter(({ kind }) => kind !== 'tieBreaker')).toEqual([]);
  });
  test('no filter where there are so many that nobody looks through them', () => {
    const price = usual.filters.price!;
    const many = Object.fromEntries(Array.from({ length: 12 }, (_, at) => [`price-${at}`, price]));
    expect(proposed({ ...foreign, filters: many }).filter(({ kind }) => kind === 'filter')).toEqual([]);
  });
  test('an attribute that was switched off by hand is not proposed again', () => {
    const off: Setup = {
      ...foreign,
      attributes: { ...foreign.attributes, hair: { searchable: false, weight: 1, onCard: false } },
    };
    expect(proposed(off).map(({ id }) => id)).not.toContain('attribute:hair');
  });
});

describe('its effect on real searches', () => {
  const searches = [
    { search: 'sable brush', searches: 30 },
    { search: 'brush', searches: 20 },
    { search: 'number', searches: 5 },
  ];
  const hair = proposed(foreign).find(({ id }) => id === 'attribute:hair')!;
  test('is told in first pages, weighed by how often they are asked for', () => {
    const [effect, none] = effectsOf(engine, foreign, { now: 0, collections: noCollections }, [hair.edits, []], {
      searches,
      areMadeUp: false,
    });
    expect(effect).toMatchObject({ looked: 3, changed: 1, times: 30, examples: ['sable brush'] });
    expect(none).toMatchObject({ changed: 0, times: 0, rescued: [] });
    expect(reasonToWithhold('attribute', effect!)).toBeNull();
  });
  test('is the same where first pages are kept from one proposal to the next', () => {
    const under = { now: 0, collections: noCollections };
    const pagesBefore = keptPages(engine, foreign, under);
    for (const some of [searches.slice(1), searches, searches.slice(0, 1)])
      for (const edits of [hair.edits, []]) {
        const tried = { searches: some, areMadeUp: false };
        expect(effectsOf(engine, foreign, under, [edits], tried, pagesBefore)).toEqual(
          effectsOf(engine, foreign, under, [edits], tried),
        );
      }
  });
  test('a proposal that changes nothing, or floods the searches, is held back', () => {
    const [effect] = effectsOf(engine, foreign, { now: 0, collections: noCollections }, [hair.edits], {
      searches: [{ search: 'number', searches: 1 }],
      areMadeUp: false,
    });
    expect(reasonToWithhold('attribute', effect!)).toContain('none of the 1');
    expect(reasonToWithhold('attribute', { ...effect!, changed: 2, foundBefore: 10, foundAfter: 90 })).toContain(
      '9 times',
    );
    expect(reasonToWithhold('filter', effect!)).toBeNull();
    expect(reasonToWithhold('attribute', { ...effect!, looked: 30, finding: 2 })).toBeNull();
  });
});

describe('words', () => {
  const evidence: WordEvidence = {
    namesProducts: (word) => ['brush', 'on', 'colour'].includes(word),
    isKnown: (word) => ['brush', 'on', 'watercolour', 'colour', 'for'].includes(word),
    searches: [
      { search: 'brush for oil', searches: 9 },
      { search: 'brush on canvas', searches: 5 },
      { search: 'for', searches: 40 },
      { search: 'ink for pens', searches: 2 },
      { search: 'gift for painters', searches: 2 },
      { search: 'brush with cap', searches: 2 },
      { search: 'color chart', searches: 3 },
    ],
    retries: [
      { from: 'aquarelle', to: 'watercolour', sessions: 12, of: 20 },
      { from: 'aquarelle', to: 'brush', sessions: 4, of: 20 },
      { from: 'kiln', to: 'brush', sessions: 2, of: 4 },
      { from: 'kiln', to: 'oven', sessions: 9, of: 9 },
      { from: 'glitter', to: 'colour', sessions: 5, of: 60 },
    ],
    stopWords: ['for', 'on', 'with'],
  };
  const of = (setup: Setup) => proposeWords(evidence, setup);
  test('to pass over are those that go with many searches and no title or short value has', () => {
    const [first] = of(usual);
    expect(first).toMatchObject({ kind: 'stopWords', title: 'Stop words: “for”', words: ['for'] });
  });
  test('that mean the same are told by spelling, and by what shoppers who found nothing tried next', () => {
    const synonyms = of(usual).filter(({ kind }) => kind === 'synonyms');
    expect(synonyms.map(({ id }) => id)).toEqual(['synonyms:color=colour', 'synonyms:aquarelle=watercolour']);
    expect(synonyms[1]!.reason).toContain('In 12 of 20 visits');
  });
  test('decided already are not proposed again', () => {
    const decided: Setup = {
      ...usual,
      vocabulary: {
        'stop-words': { what: 'stopWords', words: ['for'] },
        a: { what: 'synonyms', words: ['aquarelle', 'watercolour'], on: false },
      },
    };
    expect(of(decided).map(({ id }) => id)).toEqual(['synonyms:color=colour']);
  });
});

describe('advice about an attribute', () => {
  const profile = {
    key: 'x',
    label: 'X',
    kind: 'text' as const,
    coverage: 1,
    values: 100,
    samples: ['Sable', 'Hog', 'Goat'],
    averageWords: 1,
    variesWithin: 0,
    commonest: 0.2,
  };
  const setting = { searchable: true, weight: 2, onCard: false };
  const codes = (change: Partial<typeof profile> | object, more: Partial<typeof setting> = {}) =>
    adviseAttribute({ ...profile, ...change }, { ...setting, ...more }, 10).map(({ code }) => code);
  test.each([
    ['bare numbers', { kind: 'number', samples: ['60'] }, {}, ['no-unit']],
    ['gaps', { coverage: 0.3 }, {}, ['gaps']],
    ['gaps where it is not searched', { coverage: 0.3 }, { searchable: false }, []],
    ['long text that counts much', { averageWords: 40 }, { weight: 9, onCard: true }, ['drowns']],
    ['long text that counts little', { averageWords: 40 }, { weight: 1 }, []],
    ['codes', { samples: ['AB-1234', 'https://x.example/1', 'ZZ9912'] }, {}, ['codes']],
    ['much weight and never shown', {}, { weight: 8 }, ['not-shown']],
    ['nothing to say', {}, {}, []],
  ])('%s', (_, change, more, expected) => expect(codes(change, more)).toEqual(expected));
});
