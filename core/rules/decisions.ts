import { copyNamed, own } from '../base/named.ts';
import { type AttributeValue, type CatalogRecord, heldBy, inKeyOrder, textsOf } from '../catalog/record.ts';
import { availability, availabilityOf } from '../catalog/standardColumns.ts';
import type { Decision } from '../setup/parts/products.ts';
import type { Setup } from '../setup/schema.ts';

/** Attributes that no decision may touch: what a record is known by, and what is computed from others. */
export const untouchable: ReadonlySet<string> = new Set(['id', 'family', 'sku', 'parts', 'contains', availability.key]);

/** The key of a decision's entry in the setup: one for each product (or variant) and attribute. */
export const decisionKey = ({
  product,
  variant,
  attribute,
}: Pick<Decision, 'product' | 'variant' | 'attribute'>): string =>
  JSON.stringify(variant === null ? [product, attribute] : [product, attribute, variant]);

/** The decisions by product. */
export function decisionsByProduct(setup: Setup): ReadonlyMap<string, readonly Decision[]> {
  const byProduct = new Map<string, Decision[]>();
  for (const decision of Object.values(setup.products)) {
    const known = byProduct.get(decision.product);
    if (known) known.push(decision);
    else byProduct.set(decision.product, [decision]);
  }
  return byProduct;
}

/** Where a value comes from, and why the other source does not count where both have one. */
export interface ValueSource {
  readonly from: 'file' | 'here';
  /** Whether the other source says something else. */
  readonly contested: boolean;
}

/** Whether a decision about an attribute counts for a record that has (or lacks) a value of its own from the file. */
function counts(setup: Setup, attribute: string, fact: AttributeValue | undefined): boolean {
  return fact === undefined || own(setup.attributes, attribute)?.wins !== 'file';
}

function decided(fact: AttributeValue | undefined, decision: Decision): AttributeValue | undefined {
  switch (decision.act) {
    case 'set':
      return decision.value;
    case 'clear':
      return undefined;
    case 'tags': {
      const kept = textsOf(fact).filter((tag) => !decision.remove.includes(tag));
      const tags = [...kept, ...decision.add.filter((tag) => !kept.includes(tag))];
      return tags.length === 0 ? undefined : tags;
    }
  }
}

/** Decisions about one record in the order in which they apply: the product's, then the variant's own. */
function inForce(record: CatalogRecord, decisions: readonly Decision[]): Decision[] {
  return [
    ...decisions.filter(({ variant }) => variant === null),
    ...decisions.filter(({ variant }) => variant === record.id),
  ].filter(({ attribute }) => !untouchable.has(attribute));
}

/**
 * A record as it stands: the file's facts with what was decided here. Where the merchandiser said that the file wins,
 * a decision only fills what the file leaves empty. Availability follows the stock. The record passed in is left as it
 * was, and answered itself where nothing is decided about it.
 */
export function applyDecisions(record: CatalogRecord, decisions: readonly Decision[], setup: Setup): CatalogRecord {
  const values = copyNamed(record.values);
  let isChanged = false;
  for (const decision of inForce(record, decisions)) {
    const { attribute } = decision;
    if (!counts(setup, attribute, heldBy(record, attribute))) continue;
    const value = decided(values[attribute], decision);
    if (value === undefined) delete values[attribute];
    else values[attribute] = value;
    isChanged = true;
    if (attribute === 'stock') values[availability.key] = availabilityOf(value);
  }
  if (!isChanged || !values.title) return record;
  return { ...record, values: inKeyOrder(values) };
}

/** Where the value of one attribute of a record comes from. */
export function sourceOf(
  record: CatalogRecord,
  attribute: string,
  decisions: readonly Decision[],
  setup: Setup,
): ValueSource {
  const own = inForce(record, decisions).filter((decision) => decision.attribute === attribute);
  const fact = heldBy(record, attribute);
  if (own.length === 0) return { from: 'file', contested: false };
  const from = counts(setup, attribute, fact) ? 'here' : 'file';
  return { from, contested: fact !== undefined };
}
