import { z } from 'zod';
import { isEachOnce } from '../../../base/eachOnce.ts';
import { shippedMessages } from '../../../messages/messages.ts';
import { fieldsOf, listBy } from '../../terms/inside.ts';
import { longest, most } from '../../terms/limits.ts';
import { fixedEntry, listed } from '../../terms/part.ts';
import { orderMessages } from '../../terms/shopTexts.ts';
import { key } from '../../terms/texts.ts';
import { usualPull } from '../../terms/usualValues.ts';
import { type TieBreaker, tieBreakerSchema } from './tieBreakers.ts';

/** One entry of the shopper's sorting menu; without signals it is the order of relevance. */
const orderSchema = z.strictObject({
  key,
  label: z.string().trim().min(1).max(longest.orderLabel),
  signals: z.array(tieBreakerSchema).max(most.signalsOfOrder),
});
export type SortingOrder = z.infer<typeof orderSchema>;
/** The shopper's sorting menu, in order; one entry stands for relevance, which is what a search begins with. */
const sortingSchema = z.strictObject({
  orders: z
    .array(orderSchema)
    .min(1)
    .max(most.orders)
    .refine((orders) => orders.filter(({ signals }) => signals.length === 0).length === 1, {
      message: 'must have one order by relevance, which names no signal',
    })
    .refine((orders) => isEachOnce(orders, ({ key: own }) => own), {
      message: 'must not have the same key twice',
    }),
});
/** As the desk calls an order that comes with the shop; shoppers read it in their language. */
const named = (key: keyof typeof orderMessages): Pick<SortingOrder, 'key' | 'label'> => ({
  key,
  label: shippedMessages.en[orderMessages[key]],
});
const byRelevance: SortingOrder = { ...named('relevance'), signals: [] };

/** The sorting menu to begin with: relevance, and the orders every shop has, where the catalog has what they need. */
function firstOrders(known: ReadonlySet<string>): SortingOrder[] {
  const order = (key: keyof typeof orderMessages, signal: TieBreaker): SortingOrder[] =>
    known.has(signal.attribute) ? [{ ...named(key), signals: [signal] }] : [];
  return [
    byRelevance,
    ...order('price-up', { attribute: 'price', direction: 'low' }),
    ...order('price-down', { attribute: 'price', direction: 'high' }),
    ...order('newest', { attribute: 'date_added', direction: 'high' }),
    ...order('best-rated', {
      attribute: 'rating',
      direction: 'high',
      ...(known.has('ratings') && { pulledBy: usualPull }),
    }),
    ...order('most-bought', { attribute: 'units_sold', direction: 'high' }),
  ];
}

export const sorting = fixedEntry({
  value: sortingSchema,
  usual: { orders: [byRelevance] },
  inside: fieldsOf({ orders: listBy('key') }),
  begin: ({ profiles }) => ({ orders: firstOrders(new Set(profiles.map((profile) => profile.key))) }),
  describe({ before, after }) {
    const labels = (of: typeof before) => listed(of?.orders.map(({ label }) => label) ?? []);
    return [
      labels(before) === labels(after)
        ? 'An order of the sorting menu sorts otherwise'
        : `Shoppers may sort by: ${labels(after)}`,
    ];
  },
});
