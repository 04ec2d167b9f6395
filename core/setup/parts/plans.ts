import { z } from 'zod';
import { leastPull, longest, most } from '../terms/limits.ts';
import { listed, type NamesForChanges, openPart } from '../terms/part.ts';
import { key, productId, searchText } from '../terms/texts.ts';

const shelfPlanSchema = z.strictObject({
  name: z.string().trim().min(1).max(longest.planName),
  on: z.boolean(),
  /** The searches it holds for, compared folded and word by word. */
  searches: z.array(searchText).max(most.searches),
  /** Products at fixed places, counted from 1. */
  pins: z.array(z.strictObject({ product: productId, place: z.number().int().min(1).max(most.place) })).max(most.pins),
  /** Factors on products' scores: above 1 boosts, below 1 lowers. */
  pulls: z
    .array(z.strictObject({ product: productId, pull: z.number().min(leastPull).max(most.pull) }))
    .max(most.pulls),
});
export type ShelfPlan = z.infer<typeof shelfPlanSchema>;

function pinChanges(plan: string, before: ShelfPlan, after: ShelfPlan, names: NamesForChanges): string[] {
  const was = new Map(before.pins.map(({ product, place }) => [product, place]));
  const is = new Set(after.pins.map(({ product }) => product));
  return [
    ...after.pins
      .filter(({ product, place }) => was.get(product) !== place)
      .map(({ product, place }) => `${plan} pins ${names.product(product)} at place ${place}`),
    ...before.pins
      .filter(({ product }) => !is.has(product))
      .map(({ product }) => `${plan} no longer pins ${names.product(product)}`),
  ];
}

function pullChanges(plan: string, before: ShelfPlan, after: ShelfPlan, names: NamesForChanges): string[] {
  const was = new Map(before.pulls.map(({ product, pull }) => [product, pull]));
  const is = new Set(after.pulls.map(({ product }) => product));
  return [
    ...after.pulls
      .filter(({ product, pull }) => was.get(product) !== pull)
      .map(
        ({ product, pull }) =>
          `${plan} ${pull >= 1 ? 'boosts' : 'lowers'} ${names.product(product)} (strength ×${pull})`,
      ),
    ...before.pulls
      .filter(({ product }) => !is.has(product))
      .map(({ product }) => `${plan} no longer boosts or lowers ${names.product(product)}`),
  ];
}

export const plans = openPart({
  key,
  value: shelfPlanSchema,
  most: 10_000,
  describe({ before, after }, names) {
    if (!before) return [`Shelf plan “${after!.name}” is added`];
    if (!after) return [`Shelf plan “${before.name}” is removed`];
    const plan = `Shelf plan “${after.name}”`;
    const said: string[] = [];
    if (before.name !== after.name) said.push(`Shelf plan “${before.name}” is now called “${after.name}”`);
    if (before.on !== after.on) said.push(`${plan} is switched ${after.on ? 'on' : 'off'}`);
    if (before.searches.join('\n') !== after.searches.join('\n'))
      said.push(`${plan} holds for: ${listed(after.searches)}`);
    return [...said, ...pinChanges(plan, before, after, names), ...pullChanges(plan, before, after, names)];
  },
});
