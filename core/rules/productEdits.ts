import { own } from '../base/named.ts';
import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { readAmount, readDate } from '../catalog/readAmount.ts';
import { pathLevels } from '../catalog/readRow.ts';
import { type AttributeValue, type CatalogRecord, heldBy, textsOf } from '../catalog/record.ts';
import type { Decision } from '../setup/parts/products.ts';
import type { Setup } from '../setup/schema.ts';
import type { EntryEdit } from '../setup/withEntry.ts';
import { decisionKey, untouchable } from './decisions.ts';

/** Why a typed value cannot be taken, in a sentence. */
export type CellReading = { readonly value: AttributeValue | null } | { readonly refusal: string };

/** Reads what was typed into a cell as the attribute's kind wants it; null empties it. */
export function readCell(profile: Pick<AttributeProfile, 'key' | 'kind' | 'label'>, typed: string): CellReading {
  const text = typed.trim();
  if (untouchable.has(profile.key)) return { refusal: `${profile.label} comes from the file and cannot be set here.` };
  if (text === '') return profile.key === 'title' ? { refusal: 'A product needs a title.' } : { value: null };
  if (text.length > 32_000) return { refusal: 'The text is longer than 32,000 characters.' };
  if (profile.kind === 'number' || profile.kind === 'price') {
    const amount = readAmount(text);
    return amount === null ? { refusal: `“${text.slice(0, 40)}” is not a number.` } : { value: amount };
  }
  if (profile.kind === 'date')
    return readDate(text) === null
      ? { refusal: `“${text.slice(0, 40)}” is not a date, such as 2026-03-09.` }
      : { value: text };
  if (profile.kind === 'path') return { value: pathLevels(text) };
  const items = [
    ...new Set(
      text
        .split('|')
        .map((item) => item.trim())
        .filter(Boolean),
    ),
  ];
  if (items.some((item) => item.length > 200) && items.length > 1)
    return { refusal: 'A value of a list has at most 200 characters.' };
  if (profile.kind === 'list') return { value: items };
  return { value: items.length > 1 && profile.key !== 'title' && profile.key !== 'description' ? items : text };
}

const same = (a: AttributeValue | undefined, b: AttributeValue | null): boolean =>
  textsOf(a).join('\n') === textsOf(b ?? undefined).join('\n');

/**
 * The edit that makes an attribute of a product (or of one variant) what it should be. Where that is what the file says of
 * all the records meant, there is nothing to decide, and the entry is dropped.
 */
export function valueEdit(
  facts: readonly CatalogRecord[],
  about: { readonly product: string; readonly variant: string | null; readonly attribute: string },
  value: AttributeValue | null,
): EntryEdit {
  const key = decisionKey(about);
  const meant = facts.filter(({ id }) => about.variant === null || id === about.variant);
  const isFact = meant.every((record) => same(heldBy(record, about.attribute), value));
  if (isFact) return { part: 'products', key, value: null };
  const decision: Decision =
    value === null
      ? { ...about, act: 'clear' }
      : { ...about, act: 'set', value: typeof value === 'object' ? [...value] : value };
  return { part: 'products', key, value: decision };
}

/** The edit that adds a tag to a product, or takes it off, besides what is decided about its tags already. */
export function tagEdit(
  setup: Setup,
  facts: readonly CatalogRecord[],
  product: string,
  change: { readonly add?: string; readonly remove?: string },
): EntryEdit {
  const key = decisionKey({ product, variant: null, attribute: 'tags' });
  const known = own(setup.products, key);
  const before: { readonly add: readonly string[]; readonly remove: readonly string[] } =
    known?.act === 'tags' ? known : { add: [], remove: [] };
  const has = (tag: string): boolean => facts.every(({ values }) => textsOf(values.tags).includes(tag));
  const lacks = (tag: string): boolean => facts.every(({ values }) => !textsOf(values.tags).includes(tag));
  const without = (list: readonly string[], tag: string | undefined) => list.filter((each) => each !== tag);
  const add = [
    ...without(before.add, change.remove),
    ...(change.add !== undefined && !before.add.includes(change.add) ? [change.add] : []),
  ];
  const remove = [
    ...without(before.remove, change.add),
    ...(change.remove !== undefined && !before.remove.includes(change.remove) ? [change.remove] : []),
  ];
  const changes = { add: add.filter((tag) => !has(tag)), remove: remove.filter((tag) => !lacks(tag)) };
  const isNothing = changes.add.length === 0 && changes.remove.length === 0;
  const decision: Decision = { act: 'tags', product, variant: null, attribute: 'tags', ...changes };
  return { part: 'products', key, value: isNothing ? null : decision };
}
