import { unknownName } from '../../api/problem.ts';
import type { Which } from '../../api/productEndpoints.ts';
import type { Card } from '../../core/answer/answer.ts';
import { type ListedRow, listedRow } from '../../core/browse/listedRow.ts';
import { type ListRequest, listProducts } from '../../core/browse/listProducts.ts';
import { isHidden } from '../../core/index/recordMask.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { Refused } from '../refused.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';
import { cardsOf } from './cardsOf.ts';

/** A stretch of the catalog's table under a setup. */
export interface RowsTask {
  readonly request: ListRequest;
  readonly columns: readonly string[];
  readonly offset: number;
  readonly count: number;
}
export interface Rows {
  /** Rows and products in all. */
  readonly total: number;
  readonly products: number;
  readonly rows: (ListedRow & { readonly isHidden: boolean })[];
}

const listsKept = 6;
/** Values of an attribute that are listed. */
const valuesShown = 100;

const wholeList = (request: Pick<ListRequest, 'query' | 'filters' | 'missing' | 'state'>): ListRequest => ({
  ...request,
  kind: 'products',
  sort: '',
  direction: 'up',
});

function listFor(ready: Ready, request: ListRequest): Uint32Array {
  const key = JSON.stringify(request);
  let list = ready.lists.get(key);
  if (!list) {
    const { snapshot } = ready.view;
    const decided = new Set([...ready.decisions.keys()].map((product) => snapshot.findFamily(product)));
    list = listProducts(ready.engine, ready.setup, request, decided);
    if (ready.lists.size >= listsKept) ready.lists.clear();
    ready.lists.set(key, list);
  }
  return list;
}

const familiesIn = ({ view }: Ready, request: ListRequest, list: Uint32Array): Set<number> =>
  new Set(request.kind === 'products' ? list : list.map((record) => view.snapshot.recordFamily[record]!));

/** Ids of the products of a list, in its order. */
function productIds(ready: Ready, request: ListRequest): string[] {
  return [...familiesIn(ready, request, listFor(ready, request))].map((family) => ready.view.snapshot.familyId(family));
}

/** The products an act is about. */
export function chosenProducts(ready: Ready, which: Which): readonly string[] {
  if ('ids' in which) return [...new Set(which.ids)];
  const { q, filters, missing, state, except } = which.list;
  const leftOut = new Set(except);
  return productIds(ready, wholeList({ query: q, filters, missing, state })).filter((product) => !leftOut.has(product));
}

/** Lists of products, variants and values under a setup. */
export function catalogQuestions({ ready, current }: Workbench) {
  return {
    rows(ref: SetupRef, { request, columns, offset, count }: RowsTask): Rows {
      const now = ready(ref);
      const { view, setup, decisions } = now;
      const { snapshot } = view;
      const list = listFor(now, request);
      const rows = Array.from(list.subarray(offset, offset + count), (item) => {
        const [from, to] = request.kind === 'products' ? snapshot.recordsOf(item) : [item, item + 1];
        const ordinals = Array.from({ length: to - from }, (_, at) => from + at);
        const facts = ordinals.map((ordinal) => current.reader.record(ordinal));
        const records = ordinals.map(view.record);
        const variant = request.kind === 'variants' ? records[0]!.id : null;
        const about = decisions.get(records[0]!.familyId) ?? [];
        return {
          ...listedRow(records, facts, variant, columns, about, setup.setup),
          isHidden: ordinals.every((ordinal) => isHidden(setup.hidden, ordinal)),
        };
      });
      return { total: list.length, products: familiesIn(now, request, list).size, rows };
    },
    /** The values of one attribute with their products, commonest first. */
    values(
      ref: SetupRef,
      attribute: string,
      contains: string,
    ): { values: { value: string; products: number }[]; more: number } {
      const { snapshot } = ready(ref).view;
      const column = snapshot.values.get(attribute);
      if (!column)
        throw new Refused(400, {
          code: 'unknown-attribute',
          message: unknownName('attribute with values', attribute, [...snapshot.values.keys()]),
          field: 'attribute',
        });
      const records = Uint32Array.from({ length: snapshot.records }, (_, record) => record);
      const { counts, present } = column.countFamilies({ records, failing: null });
      const sought = contains.toLowerCase();
      const all = Array.from(present, (value) => ({ value: column.name(value), products: counts[value]! }))
        .filter(({ value }) => value.toLowerCase().includes(sought))
        .sort((a, b) => b.products - a.products);
      return { values: all.slice(0, valuesShown), more: Math.max(0, all.length - valuesShown) };
    },
    /** Cards of products by id; one that is gone is left out. */
    cards: (ref: SetupRef, ids: readonly string[]): Card[] => cardsOf(ready(ref), ids),
  };
}
