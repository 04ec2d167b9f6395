import type { z } from 'zod';
import type { catalogEndpoints } from '../../../../api/catalogEndpoints.ts';
import { availability, labelOfKey } from '../../../../core/catalog/standardColumns.ts';
import { price } from '../../../look/price.ts';

export type ChangedRow = z.infer<(typeof catalogEndpoints)['differences']['answer']>['rows'][number];
type ChangedValue = ChangedRow['values'][number];

const pictures = { '10': 'gone', '01': 'new', '11': 'another one' } as Readonly<Record<string, string>>;

function oneChange({ key, before, after }: ChangedValue, currency: string): string {
  const label = labelOfKey(key);
  if (key === 'picture') return `${label}: ${pictures[`${Number(before !== '')}${Number(after !== '')}`]}`;
  const shown = (text: string): string => (key === 'price' && text !== '' ? price(Number(text), currency) : text);
  return `${label}: ${shown(before) || 'nothing'} → ${shown(after) || 'nothing'}`;
}

/** What changed of a record, in short; of one that comes or goes, what it is. The picture of those stands beside. */
export function changedValuesText(values: readonly ChangedValue[], isWhole: boolean, currency: string): string {
  if (!isWhole) return values.map((value) => oneChange(value, currency)).join('; ');
  const counted = values.some(({ key }) => key === 'stock');
  return values
    .filter(({ key }) => key !== 'picture' && !(counted && key === availability.key))
    .map(({ key, before, after }) => {
      const text = before || after;
      return `${labelOfKey(key)}: ${key === 'price' ? price(Number(text), currency) : text}`;
    })
    .join('; ');
}

/** The picture to show of a record that comes or goes: one within the shop; those elsewhere are fetched once it is live. */
export function pictureIn(values: readonly ChangedValue[]): string | null {
  const { before = '', after = '' } = values.find(({ key }) => key === 'picture') ?? {};
  const said = before || after;
  return said.startsWith('/') && !said.startsWith('//') ? said : null;
}
