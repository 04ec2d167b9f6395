import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import type { Setup } from '../setup/schema.ts';
import { madeCollections, meetsCondition } from './obviousConditions.ts';

/** What stands before the rest where nothing is searched for, and in which order that is: by what the setup says, word for word. */
export function obviousLeads(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  { resultsPage, relevance, content }: Setup,
  asked: {
    readonly isBegin: boolean;
    /** What the shopper chose from the menu. */
    readonly sort: string;
    readonly today: number;
    find(text: string): string[];
  },
) {
  const { order, leads: said } = resultsPage.begin;
  const isSorted = relevance.sorting.orders.some(({ key, signals }) => key === asked.sort && signals.length > 0);
  const leads = asked.isBegin && !isSorted ? said : undefined;
  const collections = madeCollections({ content });
  const members =
    leads?.what === 'collection' && Object.hasOwn(collections, leads.collection)
      ? collections[leads.collection]!
      : null;
  const condition = members?.condition ?? null;
  const leading = (): readonly string[] => {
    if (leads?.what === 'products') return leads.products;
    if (leads?.what === 'search') return asked.find(leads.search).slice(0, 48);
    return members && condition === null ? members.products : [];
  };
  return {
    sort: isSorted || !asked.isBegin ? asked.sort : order,
    leading: leading(),
    shuffled: leads?.what === 'shuffle' ? asked.today : null,
    isAhead: (familyId: string): boolean =>
      condition !== null &&
      records.some(
        (record) =>
          record.familyId === familyId && meetsCondition(attributes, record, condition, asked.today, collections),
      ),
  };
}
