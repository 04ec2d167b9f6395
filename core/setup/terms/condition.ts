import { z } from 'zod';
import { matches, ofCollections } from './conditionTerms.ts';
import { longest, most } from './limits.ts';
import { dayText } from './moments.ts';
import { key, productId, valueText } from './texts.ts';

const values = z.array(valueText).min(1, 'Name at least one value.').max(most.conditionValues);
const text = z.string().trim().min(1).max(longest.shortText);
const amount = z.number().nullable();
const collections = z.array(productId).min(1, 'Name at least one collection.').max(most.conditionValues);

/** One thing that is asked of a product. */
const testSchema = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('is'), attribute: key, values }),
  z.strictObject({ how: z.literal('isNot'), attribute: key, values }),
  /** Compared without regard to capitals and accents. */
  z.strictObject({ how: z.literal('contains'), attribute: key, text }),
  z.strictObject({ how: z.literal('startsWith'), attribute: key, text }),
  /** Both ends included; null where it is open. */
  z.strictObject({ how: z.literal('between'), attribute: key, from: amount, to: amount }),
  /** The day itself is neither before nor after. */
  z.strictObject({ how: z.literal('before'), attribute: key, day: dayText }),
  z.strictObject({ how: z.literal('after'), attribute: key, day: dayText }),
  /** Not older than so many days. */
  z.strictObject({ how: z.literal('lastDays'), attribute: key, days: z.number().int().min(1).max(most.days) }),
  z.strictObject({ how: z.literal('hasValue'), attribute: key }),
  z.strictObject({ how: z.literal('hasNone'), attribute: key }),
  z.strictObject({ how: z.literal('inStock') }),
  z.strictObject({ how: z.literal('soldOut') }),
  /** Cheaper than it was. */
  z.strictObject({ how: z.literal('reduced') }),
  /** By id. Not asked in the condition of a collection itself. */
  z.strictObject({ how: z.literal('inCollection'), collections }),
  z.strictObject({ how: z.literal('notInCollection'), collections }),
]);
export type Test = z.infer<typeof testSchema>;

const match = z.enum(matches);
const groupSchema = z.strictObject({ match, tests: z.array(testSchema).min(1).max(most.tests) });
export type TestGroup = z.infer<typeof groupSchema>;

/** What a product must be: tests of which all or one must hold, and groups of such, which nest no further. */
export const conditionSchema = z.strictObject({
  match,
  tests: z
    .array(z.union([testSchema, groupSchema]))
    .min(1, 'Say what a product must be.')
    .max(most.tests),
});
export type Condition = z.infer<typeof conditionSchema>;

/** Whether a condition names collections. */
export const asksAboutCollections = ({ tests }: Condition): boolean =>
  tests.flatMap((part) => ('match' in part ? part.tests : [part])).some(({ how }) => ofCollections.has(how));
