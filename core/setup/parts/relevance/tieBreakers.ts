import { z } from 'zod';
import { availability } from '../../../catalog/standardColumns.ts';
import { fieldsOf, listBy } from '../../terms/inside.ts';
import { most } from '../../terms/limits.ts';
import { fixedEntry, listed } from '../../terms/part.ts';
import { key } from '../../terms/texts.ts';
import { usualPull } from '../../terms/usualValues.ts';

/**
 * One business signal with its direction. `attribute` is a number, price or date attribute, `availability`, or `margin`
 * (the share of the price that its cost leaves). The others are optional:
 *
 * - `pulledBy`: for ratings, as many ratings at the shop's mean are added to the product's own;
 * - `halfLife`: for dates, newness in whole percent, halved with every so many days;
 * - `lowBelow`: for stock, only whether there are at least so many.
 */
export const tieBreakerSchema = z.strictObject({
  attribute: key,
  direction: z.enum(['high', 'low']),
  pulledBy: z.number().min(0).max(most.ratingsAdded).optional(),
  halfLife: z.number().min(1).max(most.halfLife).optional(),
  lowBelow: z.number().min(1).max(most.lowBelow).optional(),
});
export type TieBreaker = z.infer<typeof tieBreakerSchema>;

export const tieBreakers = fixedEntry({
  value: z.strictObject({ signals: z.array(tieBreakerSchema).max(most.signals) }),
  usual: { signals: [] },
  inside: fieldsOf({ signals: listBy('attribute') }),
  begin({ profiles }) {
    const known = new Set(profiles.map((profile) => profile.key));
    const signals = [availability.key, 'units_sold', 'rating']
      .filter((attribute) => known.has(attribute))
      .map(
        (attribute): TieBreaker => ({
          attribute,
          direction: 'high',
          ...(attribute === 'rating' && known.has('ratings') && { pulledBy: usualPull }),
        }),
      );
    return { signals };
  },
  describe({ before, after }, names) {
    const nameOf = ({ attribute, lowBelow }: TieBreaker) =>
      lowBelow === undefined ? names.attribute(attribute) : 'Enough stock';
    const [was, is] = [before?.signals ?? [], after?.signals ?? []];
    const [namesBefore, namesAfter] = [listed(was.map(nameOf)), listed(is.map(nameOf))];
    if (namesBefore !== namesAfter) return [`Tie-breakers are now: ${namesAfter}`];
    return is.flatMap((signal, at): string[] => {
      const old = was[at]!;
      const name = nameOf(signal);
      const said: string[] = [];
      if (old.direction !== signal.direction)
        said.push(`Tie-breaker ${name} puts ${signal.direction === 'high' ? 'high' : 'low'} first`);
      if (old.pulledBy !== signal.pulledBy)
        said.push(`${name}: ${signal.pulledBy ?? 0} ratings at the average are added to each product’s own`);
      if (old.halfLife !== signal.halfLife) said.push(`${name}: newness halves every ${signal.halfLife} days`);
      if (old.lowBelow !== signal.lowBelow) said.push(`${name}: at least ${signal.lowBelow}`);
      return said;
    });
  },
});
