import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { FilterSetting } from '../../../../core/setup/parts/filters.ts';
import { call } from '../../../client/call.ts';
import { knownState, useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';
import { useTrial } from '../../state/trial.ts';

/** What shoppers would see beside the trial search, under the draft as it is saved. */
export function useTrialFilters() {
  const { revision } = useDeskState();
  const query = useTrial((state) => state.query);
  const { data } = useQuery({
    queryKey: ['desk', 'trialFilters', revision, query],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('deskSearch', { query: { q: query, limit: '1' }, signal }),
  });
  return { query, answer: data };
}

/** What the filters do beside the searches made most. */
export function useFilterWorth() {
  const { revision } = useDeskState();
  return useQuery({
    queryKey: ['desk', 'filterWorth', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('filterWorth', { signal }),
  });
}

/** Filters that might be added; the same until one of them is. */
export function useFilterProposals() {
  const { setup } = useDeskState();
  const sources = Object.values(setup.filters).map(({ attribute, prefix }) => `${attribute} ${prefix ?? ''}`);
  return useQuery({
    queryKey: ['desk', 'filterProposals', sources.sort().join('|')],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('filterProposals', { signal }),
  });
}

/** What an attribute holds, in the catalog and in the trial search, and how its values could be grouped. */
export function useAttributeValues(attribute: string) {
  const { revision } = useDeskState();
  const query = useTrial((state) => state.query);
  return useQuery({
    queryKey: ['desk', 'attributeValues', attribute, revision, query],
    enabled: attribute !== '',
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('attributeValues', { query: { attribute, q: query }, signal }),
  });
}

export type FilterChange = { readonly [Key in keyof FilterSetting]?: FilterSetting[Key] | undefined };

/** Changes a filter's setting; undefined takes a part of it away. */
export function changeFilter(key: string, change: FilterChange): void {
  const before = knownState()?.setup.filters[key];
  if (!before) return;
  const after = Object.entries({ ...before, ...change }).filter(([, value]) => value !== undefined);
  void edit({ part: 'filters', key, value: Object.fromEntries(after) });
}

/** The filter that a page is about, and the way to change it. */
export function useFilter(): { readonly key: string; readonly filter: FilterSetting | undefined } {
  const { key = '' } = useParams();
  const { setup } = useDeskState();
  return { key, filter: Object.hasOwn(setup.filters, key) ? setup.filters[key] : undefined };
}
