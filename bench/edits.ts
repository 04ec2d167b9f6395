import type { CatalogRecord } from '../core/catalog/record.ts';
import { patchSnapshot } from '../core/index/patchSnapshot.ts';
import type { Snapshot } from '../core/index/snapshot.ts';
import { openSnapshot } from '../core/index/snapshot.ts';
import { type Engine, openEngine, prepareSetup } from '../core/search/prepareSetup.ts';
import { search } from '../core/search/search.ts';
import type { Setup } from '../core/setup/schema.ts';
import { type EditTimes, pageSize } from './contender.ts';
import { median } from './percentile.ts';

/** Edits of each kind that are made before any counts, as the code of a server is warm; and those whose median does. */
const warmEdits = 7;
const edits = 15;

/** Makes edits as a search thread takes them up, each over the catalog as it was built, and asks for the picture. */
export function measureEdits(
  records: readonly CatalogRecord[],
  snapshot: Snapshot,
  engine: Engine,
  setup: Setup,
): EditTimes {
  const ask = (own: Engine, given: Setup): void => {
    const request = { query: 'zebra', filters: {}, page: 1, limit: pageSize };
    search(own, prepareSetup(own, given, 0), request, (record) => records[record]!);
  };
  const timesOf = (edit: (at: number) => void): number => {
    for (let at = 0; at < warmEdits; at++) edit(at);
    return median(
      Array.from({ length: edits }, (_, at) => {
        const start = performance.now();
        edit(at);
        return performance.now() - start;
      }),
    );
  };
  const [heaviest, setting] = Object.entries(setup.attributes).find(([, { searchable }]) => searchable)!;
  const decide = (values: (record: CatalogRecord, at: number) => CatalogRecord['values']) => (at: number) => {
    const ordinal = Math.floor((records.length * (at + 0.5)) / edits);
    const before = records[ordinal]!;
    const after = { ...before, values: { ...before.values, ...values(before, at) } };
    const patch = patchSnapshot(snapshot, [{ ordinal, before, after }])!;
    ask(openEngine(openSnapshot(...snapshot.layers, patch)!), setup);
  };
  return {
    weight: timesOf((at) =>
      ask(engine, {
        ...setup,
        attributes: { ...setup.attributes, [heaviest]: { ...setting, weight: setting.weight + at + 1 } },
      }),
    ),
    price: timesOf(decide((_, at) => ({ price: at + 1.5 }))),
    title: timesOf(decide(({ values }) => ({ title: `${String(values.title)} zebra` }))),
  };
}
