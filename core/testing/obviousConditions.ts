import { type AttributeProfile, hasValueColumn, isNumeric } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import type { Setup } from '../setup/schema.ts';
import type { Condition, Test } from '../setup/terms/condition.ts';
import { fold } from '../text/fold.ts';

const asDay = (value: unknown): number =>
  typeof value === 'string' ? Date.parse(`${value}T00:00:00Z`) / 86_400_000 : Number.NaN;
const plain = (text: string): string => fold(text).trim().split(/\s+/).join(' ');

/** By id, what is in each collection. */
export type MadeCollections = Readonly<
  Record<string, { readonly condition: Condition | null; readonly products: readonly string[] }>
>;
/** The collections made in a setup. */
export const madeCollections = ({ content }: Pick<Setup, 'content'>): MadeCollections =>
  Object.fromEntries(
    Object.values(content).flatMap((entry) =>
      entry.what === 'collection'
        ? [[entry.id, { condition: entry.condition ?? null, products: entry.products ?? [] }]]
        : [],
    ),
  );

/** Whether a record meets a condition, by looking at what it has: what the sets of records are held to. */
export function meetsCondition(
  attributes: readonly AttributeProfile[],
  record: CatalogRecord,
  { match, tests }: Condition,
  today: number,
  collections: MadeCollections = {},
): boolean {
  const meets = (test: Test): boolean => {
    const amountOf = (key: string): number => {
      const profile = attributes.find((each) => each.key === key);
      const value = record.values[key];
      if (!profile || !isNumeric(profile)) return Number.NaN;
      if (profile.kind === 'date') return asDay(value);
      return typeof value === 'number' ? value : Number.NaN;
    };
    if (test.how === 'inStock') return record.values.availability !== 'Sold out';
    if (test.how === 'soldOut') return record.values.availability === 'Sold out';
    if (test.how === 'reduced') return amountOf('former_price') > amountOf('price');
    if (test.how === 'inCollection' || test.how === 'notInCollection') {
      const named = test.collections.flatMap((id) => collections[id] ?? []);
      const isIn = named.some(({ condition, products }) =>
        condition ? meetsCondition(attributes, record, condition, today) : products.includes(record.familyId),
      );
      return named.length > 0 && isIn === (test.how === 'inCollection');
    }
    const profile = attributes.find(({ key }) => key === test.attribute);
    if (!profile) return false;
    const [hasTexts, hasAmounts] = [hasValueColumn(profile), isNumeric(profile)];
    const texts = textsOf(record.values[test.attribute]).map(plain);
    const amount = amountOf(test.attribute);
    const isValue = (values: readonly string[]): boolean =>
      texts.some((text) =>
        values.some(
          (value) => text === plain(value) || (profile.kind === 'path' && text.startsWith(`${plain(value)} > `)),
        ),
      );
    switch (test.how) {
      case 'hasValue':
        return (hasTexts && texts.length > 0) || (!hasTexts && hasAmounts && !Number.isNaN(amount));
      case 'hasNone':
        return (hasTexts && texts.length === 0) || (!hasTexts && hasAmounts && Number.isNaN(amount));
      case 'is':
        return hasTexts && isValue(test.values);
      case 'isNot':
        return hasTexts && !isValue(test.values);
      case 'contains':
        return hasTexts && texts.some((text) => text.includes(plain(test.text)));
      case 'startsWith':
        return hasTexts && texts.some((text) => text.startsWith(plain(test.text)));
      case 'between':
        return amount >= (test.from ?? amount) && amount <= (test.to ?? amount);
      case 'before':
        return amount < asDay(test.day);
      case 'after':
        return amount > asDay(test.day);
      case 'lastDays':
        return amount >= today - test.days;
    }
  };
  const all = tests.map((part) =>
    'match' in part ? (part.match === 'all' ? part.tests.every(meets) : part.tests.some(meets)) : meets(part),
  );
  return match === 'all' ? all.every(Boolean) : all.some(Boolean);
}
