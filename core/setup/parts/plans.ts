import { z } from 'zod';
import { dayNumber } from '../../base/day.ts';
import { aSet, fieldsOf, listBy } from '../terms/inside.ts';
import { leastPull, longest, most } from '../terms/limits.ts';
import { listed, openPart } from '../terms/part.ts';
import { planHows, planHowTexts, usualHow } from '../terms/planTerms.ts';
import { key, productId, searchText } from '../terms/texts.ts';

const day = z.string().refine((text) => !Number.isNaN(dayNumber(text)), 'A day is written as 2026-12-01.');
const endsTooSoon = 'It ends before it begins.';
const isInOrder = ({ from, until }: { from?: string | undefined; until?: string | undefined }): boolean =>
  from === undefined || until === undefined || from <= until;

const shelfPlanSchema = z
  .strictObject({
    name: z.string().trim().min(1).max(longest.planName),
    on: z.boolean(),
    /** How its searches hold for what a shopper types; absent: exactly. */
    how: z.enum(planHows).optional(),
    /** The searches it holds for, compared folded and word by word. */
    searches: z.array(searchText).max(most.searches),
    /** The first and the last day on which it holds, in the storefront's time zone; absent: from ever, for ever. */
    from: day.optional(),
    until: day.optional(),
    /** Products at fixed places, counted from 1. */
    pins: z
      .array(z.strictObject({ product: productId, place: z.number().int().min(1).max(most.place) }))
      .max(most.pins),
    /** Factors on products' scores: above 1 boosts, below 1 lowers. */
    pulls: z
      .array(z.strictObject({ product: productId, pull: z.number().min(leastPull).max(most.pull) }))
      .max(most.pulls),
  })
  .refine(isInOrder, { message: endsTooSoon, path: ['until'] });
export type ShelfPlan = z.infer<typeof shelfPlanSchema>;

/** What a plan says of single products, before and after: sentences for what is new or other, then for what is gone. */
function productChanges<Item extends { readonly product: string }>(
  { before, after }: { readonly before: readonly Item[]; readonly after: readonly Item[] },
  said: { now(item: Item): string; gone(item: Item): string },
): string[] {
  const ofProduct = (items: readonly Item[]) => new Map(items.map((item) => [item.product, said.now(item)]));
  const [was, is] = [ofProduct(before), ofProduct(after)];
  return [
    ...[...is].filter(([product, sentence]) => was.get(product) !== sentence).map(([, sentence]) => sentence),
    ...before.filter(({ product }) => !is.has(product)).map(said.gone),
  ];
}

export const plans = openPart({
  key,
  value: shelfPlanSchema,
  most: 10_000,
  clash(plan) {
    if (!isInOrder(plan)) return { field: 'until', reason: endsTooSoon };
    const { pins } = plan;
    const taken = pins.map(({ place }) => place);
    const twice = taken.find((place, at) => taken.indexOf(place) < at);
    return twice === undefined ? null : { field: 'pins', reason: `Two products are pinned at place ${twice}.` };
  },
  usualFields: { how: usualHow },
  inside: fieldsOf({ searches: aSet, pins: listBy('product'), pulls: listBy('product') }),
  describe({ before, after }, names) {
    if (!before) return [`Shelf plan “${after!.name}” is added`];
    if (!after) return [`Shelf plan “${before.name}” is removed`];
    const plan = `Shelf plan “${after.name}”`;
    const said: string[] = [];
    if (before.name !== after.name) said.push(`Shelf plan “${before.name}” is now called “${after.name}”`);
    if (before.on !== after.on) said.push(`${plan} is switched ${after.on ? 'on' : 'off'}`);
    const [was, is] = [before.how ?? usualHow, after.how ?? usualHow];
    if (before.searches.join('\n') !== after.searches.join('\n') || was !== is)
      said.push(`${plan} holds ${planHowTexts[is]}: ${listed(after.searches)}`);
    if (before.from !== after.from) said.push(`${plan} holds ${after.from ? `from ${after.from}` : 'from now on'}`);
    if (before.until !== after.until)
      said.push(`${plan} holds ${after.until ? `until ${after.until}` : 'without an end'}`);
    const pins = productChanges(
      { before: before.pins, after: after.pins },
      {
        now: ({ product, place }) => `${plan} pins ${names.product(product)} at place ${place}`,
        gone: ({ product }) => `${plan} no longer pins ${names.product(product)}`,
      },
    );
    const pulls = productChanges(
      { before: before.pulls, after: after.pulls },
      {
        now: ({ product, pull }) =>
          `${plan} ${pull >= 1 ? 'boosts' : 'lowers'} ${names.product(product)} (strength ×${pull})`,
        gone: ({ product }) => `${plan} no longer boosts or lowers ${names.product(product)}`,
      },
    );
    return [...said, ...pins, ...pulls];
  },
});
