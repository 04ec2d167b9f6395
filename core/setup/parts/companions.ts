import { z } from 'zod';
import { isEachOnce } from '../../base/eachOnce.ts';
import { mostChosen, mostNever, mostWithCompanions } from '../terms/companionTerms.ts';
import { anOrder, aSet, fieldsOf } from '../terms/inside.ts';
import { longest } from '../terms/limits.ts';
import { type NamesForChanges, openPart } from '../terms/part.ts';
import { productId } from '../terms/texts.ts';

const each = z
  .array(productId)
  .refine((ids) => isEachOnce(ids), 'A product is in the list twice.')
  .max(mostChosen);
const companionsSchema = z
  .strictObject({
    /** What goes with the product, before all that is computed, in this order. */
    companions: each,
    /** What stands in for it. */
    alternatives: each,
    /** What never shows beside it. */
    never: z.array(productId).max(mostNever),
  })
  .refine(({ companions, alternatives, never }) => ![...companions, ...alternatives].some((id) => never.includes(id)), {
    message: 'A product cannot be chosen and never show.',
    path: ['never'],
  });
export type Companions = z.infer<typeof companionsSchema>;
export const noCompanions: Companions = { companions: [], alternatives: [], never: [] };

const listedHere = (ids: readonly string[], names: NamesForChanges): string => {
  const shown = ids.slice(0, 3).map(names.product);
  return ids.length > 3 ? `${shown.join(', ')} and ${ids.length - 3} more` : shown.join(', ');
};
function told(said: string, was: readonly string[], is: readonly string[], names: NamesForChanges): string[] {
  const [added, gone] = [is.filter((id) => !was.includes(id)), was.filter((id) => !is.includes(id))];
  if (added.length + gone.length === 0)
    return was.join('\n') === is.join('\n') ? [] : [`${said} stand in another order`];
  return [
    ...(added.length > 0 ? [`${said} have ${listedHere(added, names)} chosen by hand`] : []),
    ...(gone.length > 0 ? [`${said} no longer have ${listedHere(gone, names)} chosen by hand`] : []),
  ];
}

/** What is chosen by hand to stand beside a product, by the product's id. */
export const companions = openPart({
  key: z.string().min(1).max(longest.productId),
  value: companionsSchema,
  most: mostWithCompanions,
  inside: fieldsOf({ companions: anOrder, alternatives: anOrder, never: aSet }),
  isNothing: ({ companions: some, alternatives, never }) => some.length + alternatives.length + never.length === 0,
  describe({ key, before, after }, names) {
    const [was, is] = [before ?? noCompanions, after ?? noCompanions];
    const of = names.product(key);
    const [barred, shown] = [
      is.never.filter((id) => !was.never.includes(id)),
      was.never.filter((id) => !is.never.includes(id)),
    ];
    return [
      ...told(`The companions of ${of}`, was.companions, is.companions, names),
      ...told(`The alternatives of ${of}`, was.alternatives, is.alternatives, names),
      ...(barred.length > 0 ? [`Never shown beside ${of}: ${listedHere(barred, names)}`] : []),
      ...(shown.length > 0 ? [`May show beside ${of} again: ${listedHere(shown, names)}`] : []),
    ];
  },
});
