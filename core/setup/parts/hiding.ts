import { z } from 'zod';
import { aSet, fieldsOf } from '../terms/inside.ts';
import { longest } from '../terms/limits.ts';
import { openPart } from '../terms/part.ts';
import { placeNames, places } from '../terms/placeTerms.ts';
import { productId } from '../terms/texts.ts';

/** The places it is hidden from; absent: everywhere. */
const from = z.array(z.enum(places)).min(1).max(places.length).optional();
const hidingSchema = z.discriminatedUnion('what', [
  z.strictObject({ what: z.literal('product'), product: productId, from }),
  z.strictObject({ what: z.literal('tag'), tag: z.string().min(1).max(longest.shortText), from }),
]);
export type Hiding = z.infer<typeof hidingSchema>;

export const hiding = openPart({
  key: z.string().min(1).max(longest.hidingKey),
  value: hidingSchema,
  most: 100_000,
  inside: fieldsOf({ from: aSet }),
  describe({ before, after }, names) {
    const entry = (after ?? before)!;
    const what = entry.what === 'product' ? names.product(entry.product) : `Every product tagged “${entry.tag}”`;
    const where = entry.from ? ` from ${entry.from.map((place) => placeNames[place]).join(' and ')}` : '';
    return [`${what} is ${after ? 'hidden' : 'no longer hidden'}${where}`];
  },
});
