import { describe, expect, test } from '@jest/globals';
import type { FilterAnswer } from '../answer/answer.ts';
import { filtersOfSearches, filterWorth, shareLeft } from '../proposals/filterWorth.ts';
import { proposeFilters, sourceWarnings } from '../proposals/proposeFilters.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import type { ValueGroups } from '../setup/parts/valueGroups.ts';
import type { Condition } from '../setup/terms/condition.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';

const records = recordsOf([
  {
    id: 'a1',
    family: 'a',
    title: 'Round brush',
    category: 'Brushes > Watercolour',
    colour: 'Crimson',
    size: 'A4',
    price: '4',
    rating: '4.5',
    tags: 'level: easy|soft',
  },
  {
    id: 'a2',
    family: 'a',
    title: 'Round brush',
    category: 'Brushes > Watercolour',
    colour: 'Blue',
    size: 'A3',
    price: '6',
    rating: '4.5',
    tags: 'level: easy',
  },
  {
    id: 'b1',
    family: 'b',
    title: 'Flat brush',
    category: 'Brushes > Oil',
    colour: 'RED',
    size: 'A3',
    price: '12',
    rating: '2',
    tags: 'level: hard|soft',
    stock: '0',
  },
  { id: 'c1', family: 'c', title: 'Ink', category: 'Ink', colour: 'Teal', price: '9', tags: 'soft', stock: '3' },
]);
const engine = openEngine(snapshotOf(records));
const base = initialSetup(engine.snapshot.attributes);
const red: ValueGroups = {
  name: 'Colours',
  attribute: 'colour',
  groups: [{ label: 'Red', values: ['red', 'crimson'], colour: '#aa2211' }],
  rest: 'own',
};
type Filters = Record<string, Partial<FilterSetting>>;
const settings = (filters: Filters) =>
  Object.fromEntries(
    Object.entries(filters).map(([key, to], order): [string, FilterSetting] => [
      key,
      { attribute: key, label: key, kind: 'ticks', order, counts: true, valueOrder: 'count', ...to },
    ]),
  );
const ask = (
  filters: Filters,
  request: { query?: string; filters?: Record<string, string[]>; collection?: string; language?: 'de' } = {},
) => {
  const prepared = prepareSetup(engine, { ...base, filters: settings(filters), valueGroups: { red } }, 0);
  return search(engine, prepared, { query: '', filters: {}, page: 1, limit: 9, ...request }, (at) => records[at]!);
};
const listed = ({ values }: FilterAnswer): string => values.map(({ value, count }) => `${value} ${count}`).join(', ');
const only = (setting: Partial<FilterSetting>, request: Parameters<typeof ask>[1] = {}): FilterAnswer =>
  ask({ x: setting }, request).filters[0]!;

describe('what a filter shows', () => {
  test('value groups join values, families counted once, with the group’s colour', () => {
    const filter = only({ attribute: 'colour', groups: 'red', kind: 'swatches' });
    expect(listed(filter)).toBe('Red 2, Blue 1, Teal 1');
    expect(filter.values[0]).toMatchObject({ colour: '#aa2211' });
    expect(ask({ x: { attribute: 'colour', groups: 'red' } }, { filters: { x: ['Red'] } }).total).toBe(2);
  });
  test('a tree has its levels below each other; choosing one finds what is below it', () => {
    const filter = only({ attribute: 'category', kind: 'tree' });
    expect(listed(filter)).toBe('Brushes 2, Brushes > Oil 1, Brushes > Watercolour 1, Ink 1');
    expect(filter.values.map(({ label, depth }) => `${depth} ${label}`)).toEqual([
      '0 Brushes',
      '1 Oil',
      '1 Watercolour',
      '0 Ink',
    ]);
    expect(ask({ x: { attribute: 'category', kind: 'tree' } }, { filters: { x: ['Brushes'] } }).total).toBe(2);
  });
  test('a family of tags is shown without what they share', () =>
    expect(listed(only({ attribute: 'tags', prefix: 'level:' }))).toBe('easy 1, hard 1'));
  test('a yes/no switch is one value', () =>
    expect(listed(only({ attribute: 'tags', kind: 'yesNo', yes: 'soft' }))).toBe('soft 3'));
  test('ratings, own ranges and a slider with its histogram', () => {
    expect(listed(only({ attribute: 'rating', kind: 'rating' }))).toBe('4 1, 3 1, 2 2, 1 2');
    expect(listed(only({ attribute: 'price', kind: 'bands', thresholds: [5, 10] }))).toBe('..5 1, 5..10 2, 10.. 1');
    const { range } = only({ attribute: 'price', kind: 'slider' });
    expect(range).toMatchObject({ least: 4, most: 12 });
    expect(range!.histogram!.reduce((a, b) => a + b, 0)).toBe(4);
  });
  test('order, values first, hidden values and the least number of products', () => {
    expect(listed(only({ attribute: 'size', valueOrder: 'natural' }))).toBe('A4 1, A3 2');
    expect(listed(only({ attribute: 'colour', first: ['Teal'], hiddenValues: ['Blue'] }))).toBe(
      'Teal 1, Crimson 1, RED 1',
    );
    expect(listed(only({ attribute: 'size', minimum: 2 }))).toBe('A3 2');
  });
  test('of more values than an answer lists, those with most products are there, then those that stand first', () => {
    const many = recordsOf(
      Array.from({ length: 130 }, (_, at) => ({ id: `m${at}`, title: 'Tube', size: `No. ${130 - at}`, price: '1' })),
    );
    const other = openEngine(snapshotOf([...many, ...recordsOf([{ id: 'n', title: 'Tube', size: 'No. 130' }])]));
    const prepared = prepareSetup(other, { ...base, filters: settings({ size: { valueOrder: 'natural' } }) }, 0);
    const request = { query: '', filters: {}, page: 1, limit: 1 };
    const [size] = search(other, prepared, request, () => many[0]!).filters;
    const listed = size!.values.map(({ value }) => value);
    expect(listed).toEqual([...Array.from({ length: 99 }, (_, at) => `No. ${at + 1}`), 'No. 130']);
    expect(size!.more).toBe(30);
    const like = search(other, prepared, { ...request, like: { key: 'size', text: 'no. 12' } }, () => many[0]!)
      .filters[0]!;
    expect(like.values.map(({ value }) => value)).toContain('No. 128');
  });
  test('names in the shopper’s language', () => {
    const names = { de: { label: 'Farbe', values: { Blue: 'Blau' } } };
    expect(only({ attribute: 'colour', names }, { language: 'de' })).toMatchObject({ label: 'Farbe' });
    expect(only({ attribute: 'colour', names }, { language: 'de' }).values[0]).toMatchObject({
      value: 'Blue',
      label: 'Blau',
    });
    expect(only({ attribute: 'colour', names }).values[0]).toMatchObject({ label: 'Blue' });
  });
});

describe('several chosen values', () => {
  test('all of them: counts are of what has those chosen as well', () => {
    const all: Filters = { x: { attribute: 'tags', match: 'all' } };
    const answer = ask(all, { filters: { x: ['soft'] } });
    expect(answer.total).toBe(3);
    expect(listed(answer.filters[0]!)).toBe('soft 3, level: easy 1, level: hard 1');
    expect(ask(all, { filters: { x: ['soft', 'level: hard'] } }).total).toBe(1);
  });
  test('what other choices leave nothing of is grey, or not there', () => {
    const request = { filters: { size: ['A4'] } };
    const filters = (greyEmpty: boolean): Filters => ({ size: {}, colour: { greyEmpty } });
    expect(listed(ask(filters(false), request).filters[1]!)).toBe('Crimson 1');
    expect(listed(ask(filters(true), request).filters[1]!)).toBe('Crimson 1, Blue 0, RED 0, Teal 0');
  });
});

const brushesOnly: Condition = { match: 'all', tests: [{ how: 'is', attribute: 'category', values: ['Brushes'] }] };
describe('where a filter is', () => {
  const where = { collections: [], searches: [] };
  const shown = (to: Partial<FilterSetting>, request: Parameters<typeof ask>[1] = {}) => {
    const { filters, filtersNotShown } = ask({ colour: {}, x: { attribute: 'size', ...to } }, request);
    return filters.some(({ key }) => key === 'x') || filtersNotShown.find(({ key }) => key === 'x')?.why;
  };
  test('for chosen searches, collections, or where most of what is found meets a condition', () => {
    expect(shown({ where: { ...where, searches: ['Round  BRUSH'] } }, { query: 'round brush' })).toBe(true);
    expect(shown({ where: { ...where, searches: ['round brush'] } })).toBe('elsewhere');
    expect(shown({ where: { ...where, collections: ['new'] } }, { collection: 'new' })).toBe(true);
    const brushes = { where: { ...where, mostly: brushesOnly } };
    expect(shown(brushes)).toBe(true);
    expect(shown(brushes, { query: 'ink' })).toBe('elsewhere');
  });
  test('after another has a choice; never where they wait for each other', () => {
    expect(shown({ after: 'colour' })).toBe('waiting');
    expect(shown({ after: 'colour' }, { filters: { colour: ['Blue'] } })).toBe(true);
    expect(shown({ after: 'x' })).toBe('waiting');
    expect(shown({ after: 'gone' })).toBe('waiting');
    // A choice in a filter that is not there does not narrow what shoppers cannot see.
    const answer = ask(
      { x: { attribute: 'size', after: 'y' }, y: { attribute: 'colour' } },
      { filters: { x: ['A4'] } },
    );
    expect(answer).toMatchObject({ total: 3, ignoredFilters: ['x'] });
  });
  test('not where it would not divide what is found', () => {
    expect(shown({ hideUndividing: true }, { query: 'flat' })).toBe('uniform');
    expect(shown({ hideUndividing: true })).toBe(true);
    expect(shown({}, { query: 'ink' })).toBe('empty');
  });
});

test('what is preselected holds until the shopper says otherwise, a collection’s own first', () => {
  const filters: Filters = {
    x: {
      attribute: 'colour',
      chosen: [
        { collection: null, values: ['Blue'] },
        { collection: 'inks', values: ['Teal'] },
      ],
    },
  };
  expect(ask(filters).total).toBe(1);
  expect(ask(filters).filters[0]).toMatchObject({ preselected: ['Blue'] });
  expect(ask(filters, { collection: 'inks' }).results.map(({ id }) => id)).toEqual(['c1']);
  expect(ask(filters, { filters: { x: [] } }).total).toBe(3);
  expect(ask(filters, { filters: { x: ['RED'] } }).results.map(({ id }) => id)).toEqual(['b1']);
});

describe('what filters are worth', () => {
  const share = (kind: FilterAnswer['kind'], ...counts: [number, number?][]) =>
    shareLeft(
      {
        kind,
        values: counts.map(([count, depth]) => ({
          value: '',
          label: '',
          count,
          chosen: false,
          ...(depth !== undefined && { depth }),
        })),
      },
      10,
    );
  test('halves leave half, one value leaves all, a tree goes by its ends', () => {
    expect(share('ticks', [5], [5])).toBe(0.5);
    expect(share('ticks', [10])).toBe(1);
    expect(share('ticks')).toBeNull();
    expect(share('tree', [10, 0], [5, 1], [5, 1])).toBe(0.5);
  });
  test('is reported for each search, weighed by how often it is made', () => {
    const prepared = prepareSetup(
      engine,
      {
        ...base,
        filters: settings({ colour: {}, size: { hideUndividing: true } }),
      },
      0,
    );
    const searches = filtersOfSearches(engine, prepared, [
      { search: 'brush', searches: 3 },
      { search: 'ink', searches: 1 },
    ]);
    expect(searches.map(({ shown }) => shown.map(({ key }) => key))).toEqual([['colour', 'size'], ['colour']]);
    const [colour, size] = filterWorth([{ key: 'colour' }, { key: 'size' }], searches);
    expect(colour).toMatchObject({ shownIn: 2, times: 4 });
    expect(colour!.leaves).toBeCloseTo((3 * 0.5 + 1) / 4, 6);
    expect(size).toMatchObject({ shownIn: 1, times: 3 });
  });
});

describe('filters that are proposed', () => {
  const prepared = prepareSetup(engine, { ...base, filters: settings({ size: {} }) }, 0);
  const proposals = proposeFilters(
    engine,
    prepared,
    { searches: [{ search: '', searches: 1 }], areMadeUp: true },
    (texts) => (texts.includes('Teal') ? { Teal: '#008080' } : null),
  );
  test('fit what the attribute holds, leave out what is there already, and say how far they narrow', () => {
    const kinds = Object.fromEntries(
      proposals.map(({ setting }) => [setting.prefix ?? setting.attribute, setting.kind]),
    );
    expect(kinds).toMatchObject({
      price: 'slider',
      category: 'tree',
      colour: 'swatches',
      availability: 'yesNo',
      rating: 'rating',
      'level: ': 'ticks',
    });
    expect(kinds).not.toHaveProperty('size');
    expect(proposals.find(({ setting }) => setting.kind === 'swatches')!.setting.colours).toEqual({ Teal: '#008080' });
    for (const { leaves, divides, tried } of proposals) {
      expect(divides).toBeLessThanOrEqual(tried);
      expect(leaves).toBeGreaterThan(0);
    }
  });
  const profile = (to: object) => ({
    key: 'k',
    label: 'K',
    kind: 'text' as const,
    coverage: 1,
    values: 4,
    samples: ['x'],
    averageWords: 1,
    variesWithin: 0,
    commonest: 0.2,
    ...to,
  });
  test.each([
    ['gone', undefined, []],
    ['fewHaveIt', profile({ coverage: 0.02 }), ['a', 'b']],
    ['oneValue', profile({ values: 1 }), ['x']],
    ['manyValues', profile({ values: 4000 }), ['a', 'b']],
    ['numbersAsText', profile({}), ['1', '2', '3,5', '10']],
    ['mixedUnits', profile({}), ['10 ml', '1 l', '500 ml']],
  ])('a source that is wrong is reported: %s', (what, own, texts) =>
    expect(sourceWarnings(own, texts).map((warning) => warning.what)).toEqual([what]),
  );
  test('a source that is fine is told nothing of', () =>
    expect(sourceWarnings(profile({}), ['Red', 'Blue', 'A4'])).toEqual([]));
});
