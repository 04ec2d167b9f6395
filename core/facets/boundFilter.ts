import { availability } from '../catalog/standardColumns.ts';
import type { Asked } from '../conditions/asked.ts';
import { bindCondition } from '../conditions/bindCondition.ts';
import type { RecordSet } from '../conditions/recordSet.ts';
import type { ValueColumn } from '../index/columns.ts';
import type { NumberColumn } from '../index/numberColumns.ts';
import { perColumns } from '../index/perColumns.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { stockAttributes, stockOf } from '../index/stock.ts';
import { searchKey } from '../query/readUnits.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import type { ValueGroups } from '../setup/parts/valueGroups.ts';
import type { Setup } from '../setup/schema.ts';
import { choosesRange } from '../setup/terms/filterTerms.ts';
import { type Band, bandsOf } from '../values/bands.ts';
import { groupingOf, shownBySetting } from '../values/shownValues.ts';
import { placesOf } from '../values/valueOrder.ts';
import { type FilterColumn, layShown, mapValues, openShown, type ShownValues } from './shownColumn.ts';

/** Filters in force at once; the failing mask has one bit for each. */
const mostFilters = 30;

export interface BoundFilter extends FilterSetting {
  readonly key: string;
  /** What is chosen from; null where two amounts are chosen. */
  readonly values: FilterColumn | null;
  readonly numbers: NumberColumn | null;
  /** Of bands, ratings and ages: what each value stands for. */
  readonly bands: ReadonlyMap<string, Band>;
  /** The searches it belongs to, as searches are compared. */
  readonly saidIn: ReadonlySet<string>;
  /** The records of which at least half of what is found must be, where it belongs by that; null where none is asked for. */
  readonly mostly: () => RecordSet | null;
  /** The groups it shows the attribute through. */
  readonly grouping: ValueGroups | null;
  /** By value number, its place in the order chosen; null where values stand by count. */
  readonly places: () => Uint32Array | null;
}

const made = perColumns<FilterColumn>(120);
const ordered = perColumns<Uint32Array>(120);

/** Availability as shoppers choose it: a variant that is sold out tells nothing while another of its product is not. */
function onlyOfProducts(snapshot: Snapshot, column: ValueColumn, shownFor: (text: string) => string[]): ShownValues {
  const { byRecord, byFamily } = stockOf(snapshot);
  return mapValues(column, snapshot.records, shownFor, (record) =>
    byRecord[record] === 0 ? byFamily[snapshot.recordFamily[record]!] === 0 : true,
  );
}

/** The values a filter is chosen from; null where the catalog has nothing for it. */
function columnOf(
  snapshot: Snapshot,
  setting: FilterSetting,
  grouping: ValueGroups | null,
  bands: readonly Band[],
  today: number,
): FilterColumn | null {
  const { kind, attribute, prefix, yes, thresholds } = setting;
  if (kind === 'bands' || kind === 'rating') {
    const numbers = snapshot.numbers.get(attribute);
    if (!numbers) return null;
    const key = JSON.stringify([attribute, kind, thresholds ?? null, bands.some(({ days }) => days) ? today : 0]);
    return made(snapshot, [attribute], key, () => {
      const names = bands.map(({ value }) => value);
      const places = bands.map((_, at) => at);
      const shown = layShown(names, snapshot.records, (record) => {
        const amount = numbers.ofRecord(record);
        return places.filter((at) => bands[at]!.holds(amount));
      });
      return openShown(shown, snapshot.recordFamily);
    });
  }
  const column = snapshot.values.get(attribute);
  if (!column) return null;
  const shownFor = shownBySetting(setting, grouping);
  if (attribute === availability.key) {
    const key = JSON.stringify([attribute, kind, prefix, yes, grouping, 'of products']);
    return made(snapshot, [attribute, ...stockAttributes], key, () =>
      openShown(onlyOfProducts(snapshot, column, shownFor ?? ((text) => [text])), snapshot.recordFamily),
    );
  }
  if (!shownFor) return column;
  const key = JSON.stringify([attribute, kind === 'tree' || kind === 'yesNo' ? kind : '', prefix, yes, grouping]);
  return made(snapshot, [attribute], key, () =>
    openShown(mapValues(column, snapshot.records, shownFor), snapshot.recordFamily),
  );
}

/** Binds one filter to the catalog; without values and numbers where the catalog has nothing for it. */
export function bindFilter(
  snapshot: Snapshot,
  key: string,
  setting: FilterSetting,
  groups: Setup['valueGroups'],
  asked: Asked,
): BoundFilter {
  const { today } = asked;
  const grouping = groupingOf(setting, groups);
  const isDate = snapshot.attributes.some(({ key: own, kind }) => own === setting.attribute && kind === 'date');
  const bands = bandsOf(setting, isDate, today);
  const ranged = choosesRange(setting.kind);
  const values = ranged ? null : columnOf(snapshot, setting, grouping, bands, today);
  /** Worked out when first asked for: most setups are bound only to be edited on. */
  const orderValues = (): Uint32Array | 'byCount' => {
    const { attribute, kind, prefix, byHand, valueOrder: order } = setting;
    if (!values || order === 'count' || bands.length > 0) return 'byCount';
    const from = JSON.stringify([attribute, kind, prefix, grouping, order, order === 'hand' ? byHand : null]);
    return ordered(snapshot, [attribute], from, () => {
      const names = Array.from({ length: values.size }, (_, value) => values.name(value));
      return placesOf(names, order, byHand);
    });
  };
  let places: Uint32Array | 'byCount' | null = null;
  const condition = setting.where?.mostly;
  let mostly: RecordSet | null = null;
  return {
    ...setting,
    key,
    values,
    numbers: ranged ? (snapshot.numbers.get(setting.attribute) ?? null) : null,
    bands: new Map(bands.map((band) => [band.value, band])),
    grouping,
    saidIn: new Set(setting.where?.searches.map(searchKey)),
    mostly: () => {
      if (condition) mostly ??= bindCondition(snapshot, condition, asked);
      return mostly;
    },
    places: () => {
      places ??= orderValues();
      return places === 'byCount' ? null : places;
    },
  };
}

/** The setup's filters in order, bound to the catalog; one whose attribute is gone is left out. */
export function bindFilters(snapshot: Snapshot, setup: Setup, asked: Asked): BoundFilter[] {
  return Object.entries(setup.filters)
    .map(([key, setting]) => bindFilter(snapshot, key, setting, setup.valueGroups, asked))
    .filter(({ values, numbers }) => values !== null || numbers !== null)
    .sort((a, b) => a.order - b.order || (a.key < b.key ? -1 : 1))
    .slice(0, mostFilters);
}
