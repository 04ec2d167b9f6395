import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { AttributeRow } from '../../../api/endpoints.ts';
import { own } from '../../../core/base/named.ts';
import type { AttributeSetting } from '../../../core/setup/parts/attributes.ts';
import { unsetAttribute } from '../../../core/setup/terms/usualValues.ts';
import { call } from '../../client/call.ts';
import { knownState, useDeskState } from './deskState.ts';
import { edit } from './edits.ts';

/** Every attribute of the catalog, with what the draft says of it at this moment, unsaved edits included. */
export function useAttributes() {
  const { setup } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'attributes'],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('attributes', { signal }),
  });
  const attributes = data?.attributes.map((row): AttributeRow => {
    const setting = own(setup.attributes, row.key) ?? unsetAttribute;
    return { ...row, ...setting, searchable: setting.searchable && row.canSearch };
  });
  return { attributes, error, refetch };
}

type AttributeChange = { readonly [Key in keyof AttributeSetting]?: AttributeSetting[Key] | undefined };

/** Changes what the draft says of one attribute; undefined takes a setting away. */
export function setAttributeByKey(key: string, change: AttributeChange): void {
  const before = own(knownState()?.setup.attributes, key) ?? unsetAttribute;
  const after = Object.entries({ ...before, ...change }).filter(([, value]) => value !== undefined);
  void edit({ part: 'attributes', key, value: Object.fromEntries(after) });
}

export const setAttribute = (row: AttributeRow, change: AttributeChange): void => setAttributeByKey(row.key, change);

/** Heaviest first, then by name: the order of importance. */
export const byWeight = (a: AttributeRow, b: AttributeRow): number =>
  b.weight - a.weight || a.label.localeCompare(b.label);

/** What attributes are called, by their keys; one that is gone is called by its key. */
export function useAttributeLabels(): (attribute: string) => string {
  const { attributes = [] } = useAttributes();
  const labels = new Map(attributes.map(({ key, label }) => [key, label]));
  return (attribute) => labels.get(attribute) ?? attribute;
}
