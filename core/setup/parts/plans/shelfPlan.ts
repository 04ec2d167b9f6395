import { z } from 'zod';
import { conditionSchema } from '../../terms/condition.ts';
import { leastPull, longest, most } from '../../terms/limits.ts';
import { inOrder, spanFields } from '../../terms/moments.ts';
import { bannerPlaces, devices, planHows } from '../../terms/planTerms.ts';
import { aboutRule } from '../../terms/rule.ts';
import { key, link, productId, searchText, valueText } from '../../terms/texts.ts';

/** One word or a few that belong together. */
const wordText = z.string().trim().min(1).max(longest.saying);

export const shelfPlanSchema = z
  .strictObject({
    name: z.string().trim().min(1).max(longest.planName),
    on: z.boolean(),
    /** How its searches hold for what a shopper types; absent: exactly. */
    how: z.enum(planHows).optional(),
    /** Where it stands in the list, the lowest first; absent: 0. Of plans that hold as exactly the higher one comes first. */
    rank: z.number().optional(),
    /** The searches it holds for, compared folded and word by word. */
    searches: z.array(searchText).max(most.searches),
    /** The collections on whose pages it holds too, by id. */
    collections: z.array(productId).max(most.collections).optional(),
    ...spanFields,
    /** Only while the shopper has chosen one of these values of each of these filters. */
    whenChosen: z
      .array(z.strictObject({ filter: key, values: z.array(valueText).min(1).max(most.values) }))
      .max(most.whenChosen)
      .optional(),
    /** Only for shoppers at one of these. */
    devices: z.array(z.enum(devices)).min(1).max(devices.length).optional(),
    /** Products that stand first, in this order; `only`: and nothing else shows. */
    first: z.array(productId).max(most.first).optional(),
    only: z.boolean().optional(),
    /** Products that show though none of their words match. */
    bringIn: z.array(productId).max(most.first).optional(),
    /** Factors on all that meet a condition, but for products that `pulls` names. */
    conditionPulls: z
      .array(z.strictObject({ condition: conditionSchema, pull: z.number().min(leastPull).max(most.pull) }))
      .max(most.planConditions)
      .optional(),
    /** What does not show for its searches. */
    hides: z.array(productId).max(most.first).optional(),
    conditionHides: z.array(conditionSchema).max(most.planConditions).optional(),
    /** What is said to shoppers beside the products. */
    banners: z
      .array(
        z.strictObject({
          where: z.enum(bannerPlaces),
          /** Of one among the results: before the product at this place, counted from 1. */
          place: z.number().int().min(1).max(most.place),
          text: z.string().trim().min(1, 'A banner says something.').max(longest.banner),
          link: link.optional(),
          /** The address of its picture. */
          picture: link.optional(),
        }),
      )
      .max(most.banners)
      .optional(),
    /** The order of its results, instead of that by score; pins and what stands first keep their places. */
    sort: z.strictObject({ attribute: key, direction: z.enum(['high', 'low']) }).optional(),
    /** Words of its searches that are not looked for, and what is looked at only. */
    wordsOut: z.array(wordText).max(most.wordsOut).optional(),
    scope: conditionSchema.optional(),
    /** The filters beside its results, in this order, instead of those that belong there; what is chosen stays. */
    filters: z.array(key).min(1).max(most.planFilters).optional(),
    /** Whether pins of products that are sold out wait until they are back: what comes next moves up. */
    pinsWait: z.boolean().optional(),
    /** The page a shopper is sent to instead. */
    redirect: link.optional(),
    /** The search it is taken for. */
    treatAs: searchText.optional(),
    /** Products at fixed places, counted from 1. */
    pins: z
      .array(z.strictObject({ product: productId, place: z.number().int().min(1).max(most.place) }))
      .max(most.pins),
    /** Factors on products' scores: above 1 boosts, below 1 lowers. */
    pulls: z
      .array(z.strictObject({ product: productId, pull: z.number().min(leastPull).max(most.pull) }))
      .max(most.pulls),
    ...aboutRule,
  })
  .refine(inOrder.test, inOrder.says);
export type ShelfPlan = z.infer<typeof shelfPlanSchema>;
