import { z } from 'zod';
import { aSet, fieldsOf } from '../terms/inside.ts';
import { longest } from '../terms/limits.ts';
import { inOrder, spanClash, spanFields } from '../terms/moments.ts';
import { openPart } from '../terms/part.ts';
import { places } from '../terms/placeTerms.ts';
import { aboutRule } from '../terms/rule.ts';
import { hiddenInWords } from '../terms/ruleInWords.ts';
import { productId } from '../terms/texts.ts';

/** From where and when something is hidden, and why. */
export const hidingLimits = {
  /** The places it is hidden from; absent: everywhere. */
  places: z.array(z.enum(places)).min(1, 'Choose at least one place.').max(places.length).optional(),
  ...spanFields,
  /** Only while a product is sold out, all its variants; absent: no. */
  whileSoldOut: z.boolean().optional(),
  /** Whether search engines are told to leave its page out too; absent: no. */
  notIndexed: z.boolean().optional(),
  ...aboutRule,
};
const hidingSchema = z
  .discriminatedUnion('what', [
    z.strictObject({ what: z.literal('product'), product: productId, ...hidingLimits }),
    z.strictObject({ what: z.literal('tag'), tag: z.string().min(1).max(longest.shortText), ...hidingLimits }),
  ])
  .refine(inOrder.test, inOrder.says);
export type Hiding = z.infer<typeof hidingSchema>;

export const hiding = openPart({
  key: z.string().min(1).max(longest.hidingKey),
  value: hidingSchema,
  most: 100_000,
  inside: fieldsOf({ places: aSet }),
  usualFields: { whileSoldOut: false, notIndexed: false },
  clash: spanClash,
  describe({ before, after }, names) {
    const entry = (after ?? before)!;
    const what = entry.what === 'product' ? names.product(entry.product) : `Every product tagged “${entry.tag}”`;
    return [`${what} is ${after ? 'hidden' : 'no longer hidden'}${hiddenInWords(entry)}`];
  },
});
