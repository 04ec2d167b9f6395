import { unknownName } from '../../api/problem.ts';
import type { ProductAct, Which } from '../../api/productEndpoints.ts';
import { named, own } from '../../core/base/named.ts';
import { cellText } from '../../core/browse/listedRow.ts';
import { pictureOf } from '../../core/catalog/picture.ts';
import { type AttributeProfile, isOfVariants } from '../../core/catalog/profileAttributes.ts';
import { type CatalogRecord, firstText } from '../../core/catalog/record.ts';
import { decisionsByProduct, sourceOf, untouchable } from '../../core/rules/decisions.ts';
import { readCell, tagEdit, valueEdit } from '../../core/rules/productEdits.ts';
import { describeChange } from '../../core/setup/describeChange.ts';
import { hidingKey } from '../../core/setup/hidingKey.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { EntryEdit } from '../../core/setup/withEntry.ts';
import { Refused } from '../refused.ts';
import type { Workbench } from '../searching/workbench.ts';
import { chosenProducts } from './catalogQuestions.ts';
import { rulesAbout } from './rulesAbout.ts';

/** Products that one act may change: a draft stays something that can be read. */
const mostProducts = 20_000;

export interface CellTyped {
  readonly product: string;
  readonly variant: string | null;
  readonly attribute: string;
  readonly text: string;
}

/** One product in detail, and what acts on products do to the draft. */
export function productQuestions({ ready, current, setups, names: namesUnder }: Workbench) {
  const { reader } = current;
  const profileOf = (attribute: string): AttributeProfile => {
    const { attributes } = reader.snapshot;
    const profile = attributes.find(({ key }) => key === attribute);
    if (profile) return profile;
    const known = attributes.map(({ key }) => key);
    throw new Refused(400, {
      code: 'unknown-attribute',
      message: unknownName('attribute', attribute, known),
      field: attribute,
    });
  };
  const factsOf = (product: string): CatalogRecord[] => {
    const family = reader.snapshot.findFamily(product);
    if (family < 0)
      throw new Refused(400, {
        code: 'unknown-product',
        message: `There is no product “${product}” in the catalog.`,
        field: product,
      });
    const [from, to] = reader.snapshot.recordsOf(family);
    return Array.from({ length: to - from }, (_, at) => reader.record(from + at));
  };
  /** The products that ids are of, those of variants too; a list from elsewhere may name some that are gone. */
  const knownProducts = (ids: readonly string[]): string[] => [
    ...new Set(
      ids.flatMap((id) => {
        if (reader.snapshot.findFamily(id) >= 0) return [id];
        const record = reader.findRecord(id);
        return record < 0 ? [] : [reader.snapshot.familyId(reader.snapshot.recordFamily[record]!)];
      }),
    ),
  ];
  const valueFor = (attribute: string, text: string) => {
    const reading = readCell(profileOf(attribute), text);
    if ('refusal' in reading)
      throw new Refused(400, { code: 'invalid-value', message: reading.refusal, field: attribute });
    return reading.value;
  };
  /** Keys of the decisions about each product, so that many products cost one look at all decisions. */
  const keysByProduct = (setup: Setup): Map<string, string[]> => {
    const keys = new Map<string, string[]>();
    for (const [key, { product }] of Object.entries(setup.products)) {
      const list = keys.get(product);
      if (list) list.push(key);
      else keys.set(product, [key]);
    }
    return keys;
  };
  const actOn = (setup: Setup, keys: Map<string, string[]>, product: string, what: ProductAct): EntryEdit[] => {
    switch (what.act) {
      case 'addTag':
        return [tagEdit(setup, factsOf(product), product, { add: what.tag })];
      case 'removeTag':
        return [tagEdit(setup, factsOf(product), product, { remove: what.tag })];
      case 'set':
        return [
          valueEdit(
            factsOf(product),
            { product, variant: null, attribute: what.attribute },
            valueFor(what.attribute, what.text),
          ),
        ];
      case 'discard':
        return (keys.get(product) ?? [])
          .filter((key) => what.attribute === null || setup.products[key]!.attribute === what.attribute)
          .map((key) => ({ part: 'products', key, value: null }));
      default: {
        const about = { what: 'product' as const, product };
        const key = hidingKey(about);
        if (what.act !== 'hide') return [{ part: 'hiding', key, value: null }];
        const { act: _, ...limits } = what;
        return [{ part: 'hiding', key, value: { ...about, ...limits } }];
      }
    }
  };

  return {
    product(ref: DraftRef, id: string) {
      const { view, setup: prepared } = ready(ref);
      const { setup } = prepared;
      const facts = factsOf(id);
      const [from] = view.snapshot.recordsOf(view.snapshot.findFamily(id));
      const records = facts.map((_, at) => view.record(from + at));
      const about = decisionsByProduct(setup).get(id) ?? [];
      const names = namesUnder(setup);
      const attributes = view.snapshot.attributes.filter(({ key }) => key !== 'sku');
      const cellOf = (record: CatalogRecord, fact: CatalogRecord, key: string) => ({
        text: cellText(record, key),
        fact: cellText(fact, key),
        ...sourceOf(fact, key, about, setup),
      });
      return {
        id,
        title: firstText(records[0]!.values.title),
        picture: pictureOf(records[0]!),
        attributes: attributes.map((profile) => ({
          key: profile.key,
          label: profile.label,
          ofVariants: isOfVariants(profile),
          canDecide: !untouchable.has(profile.key),
          wins: own(setup.attributes, profile.key)?.wins ?? ('here' as const),
        })),
        variants: records.map((record, at) => ({
          id: record.id,
          sku: record.sku,
          values: named(
            attributes
              .map(({ key }) => [key, cellOf(record, facts[at]!, key)] as const)
              .filter(([, { text, fact }]) => text !== '' || fact !== ''),
          ),
        })),
        decisions: Object.entries(setup.products)
          .filter(([, decision]) => decision.product === id)
          .map(([key, decision]) => ({
            key,
            decision,
            text: describeChange({ part: 'products', key, before: null, after: decision }, names)[0]!,
          })),
        rules: rulesAbout(view.snapshot, prepared, { product: id, records, first: from }),
      };
    },
    /** What typing into cells of the table changes in the draft. */
    editsForCells: (_: DraftRef, cells: readonly CellTyped[]): EntryEdit[] =>
      cells.map(({ product, variant, attribute, text }) =>
        valueEdit(factsOf(product), { product, variant, attribute }, valueFor(attribute, text)),
      ),
    /** What one act on many products changes in the draft. */
    editsForProducts(ref: DraftRef, which: Which, what: ProductAct): EntryEdit[] {
      const chosen = chosenProducts(ready(ref), which);
      const ids = what.act === 'hide' ? knownProducts(chosen) : chosen;
      if (ids.length > mostProducts)
        throw new Refused(400, {
          code: 'too-many-products',
          message: `These are ${ids.length} products; at most ${mostProducts} can be changed in one step. Choose fewer, or change the file.`,
        });
      const setup = setups.draft(ref).draft();
      const keys = what.act === 'discard' ? keysByProduct(setup) : new Map<string, string[]>();
      return ids
        .flatMap((product) => actOn(setup, keys, product, what))
        .filter(({ part, key, value }) => value !== null || Object.hasOwn(setup[part], key));
    },
  };
}
