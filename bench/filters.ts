import { parseArgs } from 'node:util';
import { seededRandom } from '../core/base/random.ts';
import type { FilterSetting } from '../core/setup/parts/filters.ts';
import type { ValueGroups } from '../core/setup/parts/valueGroups.ts';
import type { Setup } from '../core/setup/schema.ts';
import { cleverShelf } from './contenders.ts';
import { makeRecords } from './makeRecords.ts';
import { sideBySide } from './sideBySide.ts';

/** Four filters more, each of a kind that shows other values than the catalog has. */
function withTwelve(setup: Setup, colours: readonly string[]): Setup {
  const filter = (
    to: Partial<FilterSetting> & Pick<FilterSetting, 'attribute' | 'kind'>,
    order: number,
  ): FilterSetting => ({
    label: `Filter ${order}`,
    order,
    counts: true,
    valueOrder: 'natural',
    ...to,
  });
  const groups: ValueGroups = {
    name: 'Colours',
    attribute: 'colour',
    groups: ['a', 'e', 'i', 'o'].map((letter, at) => ({
      label: `Group ${letter}`,
      values: colours.filter((_, index) => index % 4 === at),
    })),
    rest: 'together',
  };
  return {
    ...setup,
    valueGroups: { groups },
    filters: {
      ...setup.filters,
      tree: filter({ attribute: 'category', kind: 'tree' }, 50),
      bands: filter({ attribute: 'price', kind: 'bands', thresholds: [5, 10, 25, 50] }, 51),
      groups: filter({ attribute: 'colour', kind: 'swatches', groups: 'groups' }, 52),
      all: filter({ attribute: 'tags', kind: 'ticks', match: 'all' }, 53),
    },
  };
}

/** Twelve filters beside eight. */
export function runFilters(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { size: { type: 'string', default: '100000' }, queries: { type: 'string', default: '300' } },
  });
  const records = [...makeRecords(7, Number(values.size))];
  const colours = [...new Set(records.slice(0, 5000).map((record) => String(record.values.colour ?? '')))].filter(
    Boolean,
  );
  console.log(
    `${values.size} records; eight filters beside twelve, of which a tree, own ranges, value groups, all of several`,
  );
  sideBySide(
    records,
    seededRandom(8),
    Number(values.queries),
    cleverShelf(records),
    cleverShelf(records, (setup) => withTwelve(setup, colours)),
  );
}
