import type { AttributeRow } from '../../../../api/endpoints.ts';
import { margin } from '../../../../core/ranking/signals.ts';
import type { TieBreaker } from '../../../../core/setup/parts/relevance/tieBreakers.ts';
import { usualPull } from '../../../../core/setup/terms/usualValues.ts';

/** A signal that can be chosen, with the way it is first used. */
export interface SignalChoice {
  readonly id: string;
  readonly label: string;
  readonly signal: TieBreaker;
}

/** The same amounts used in another way are another signal: stock by its number, or whether there is enough. */
export const signalId = ({ attribute, lowBelow }: TieBreaker): string =>
  lowBelow === undefined ? attribute : `${attribute}:enough`;

/** Stock below which it counts as low, at first. */
const usualLow = 5;
/** Days after which newness has halved, at first. */
const usualHalfLife = 90;

/** The signals a catalog offers, in the order of its attributes. */
export function signalChoices(attributes: readonly AttributeRow[]): SignalChoice[] {
  const known = new Set(attributes.map(({ key }) => key));
  const choice = (label: string, signal: TieBreaker): SignalChoice => ({ id: signalId(signal), label, signal });
  return [
    ...attributes.flatMap((row): SignalChoice[] => {
      const { key: attribute, label } = row;
      if (attribute === 'availability') return [choice('In stock', { attribute, direction: 'high' })];
      if (!row.isNumeric || attribute === 'boost') return [];
      if (row.kind === 'date')
        return [choice(`Newness by ${label}`, { attribute, direction: 'high', halfLife: usualHalfLife })];
      if (attribute === 'rating' && known.has('ratings'))
        return [choice(label, { attribute, direction: 'high', pulledBy: usualPull })];
      if (attribute === 'stock')
        return [
          choice('Enough stock', { attribute, direction: 'high', lowBelow: usualLow }),
          choice(label, { attribute, direction: 'high' }),
        ];
      return [choice(label, { attribute, direction: row.kind === 'price' ? 'low' : 'high' })];
    }),
    ...(known.has('price') && known.has('cost') && !known.has(margin.key)
      ? [choice(margin.label, { attribute: margin.key, direction: 'high' })]
      : []),
  ];
}

/** The two directions of a signal over an attribute of this kind, in words. */
export function directions(
  { attribute, lowBelow }: TieBreaker,
  kind: AttributeRow['kind'] | undefined,
): [TieBreaker['direction'], string][] {
  if (attribute === 'availability')
    return [
      ['high', 'in stock first'],
      ['low', 'sold out first'],
    ];
  if (lowBelow !== undefined)
    return [
      ['high', 'enough first'],
      ['low', 'low stock first'],
    ];
  if (kind === 'date')
    return [
      ['high', 'newest first'],
      ['low', 'oldest first'],
    ];
  if (kind === 'price')
    return [
      ['high', 'dearest first'],
      ['low', 'cheapest first'],
    ];
  return [
    ['high', 'high first'],
    ['low', 'low first'],
  ];
}
