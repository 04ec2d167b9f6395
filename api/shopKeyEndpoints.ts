import { z } from 'zod';
import { originOf } from '../core/base/origin.ts';
import { endpoint } from './endpoint.ts';
import { longestName, mostOrigins, mostShopKeys, perMinuteOf } from './limits.ts';
import { paths } from './paths.ts';

const none = z.object({});
const key = z.string().max(100);
const shopKeySchema = z.object({
  key: z.string().describe('It stands in the pages, and is no secret: it reads what shoppers may, and nothing else.'),
  name: z.string(),
  origins: z.array(z.string()).describe('Sites whose pages may use it: scheme, name and port.'),
  perMinute: z.number().int().describe('Questions of all pages together that are answered in one minute.'),
  who: z.string(),
  madeAt: z.string(),
});
export type ShopKeyRow = z.infer<typeof shopKeySchema>;

const origin = z.string().transform((text, context) => {
  const read = originOf(text);
  if (read !== null) return read;
  context.addIssue({ code: 'custom', message: 'A site is written as https://name, with its port where it has one.' });
  return z.NEVER;
});
const terms = {
  name: z.string().trim().min(1).max(longestName),
  origins: z
    .array(origin)
    .min(1)
    .max(mostOrigins)
    .transform((all) => [...new Set(all)]),
  perMinute: z.number().int().min(perMinuteOf.least).max(perMinuteOf.most).default(perMinuteOf.usual),
};

/** Keys by which pages of other sites show a storefront's search. What is said of them holds at once: they are no part of the draft. */
export const shopKeyEndpoints = {
  shopKeys: endpoint({
    ...paths.shopKeys,
    summary: 'The keys of this storefront that hold, and whether its search is paused in pages of other sites.',
    query: none,
    body: none,
    answer: z.object({ keys: z.array(shopKeySchema).max(mostShopKeys), pausedAt: z.string().nullable() }),
  }),
  makeShopKey: endpoint({
    ...paths.makeShopKey,
    summary: 'Makes a key for pages of some sites.',
    query: none,
    body: z.strictObject(terms),
    answer: shopKeySchema,
  }),
  changeShopKey: endpoint({
    ...paths.changeShopKey,
    summary:
      'Says anew for which sites a key is, and for how many questions; refused where that has changed meanwhile.',
    query: none,
    body: z.strictObject({
      key,
      ...terms,
      was: z.strictObject(terms).describe('What was said before, as it was seen.'),
    }),
    answer: none,
  }),
  withdrawShopKey: endpoint({
    ...paths.withdrawShopKey,
    summary: 'Ends a key from the next question on, or has one that was ended hold again.',
    query: none,
    body: z.strictObject({ key, withdrawn: z.boolean() }),
    answer: none,
  }),
  pauseShop: endpoint({
    ...paths.pauseShop,
    summary: 'Has pages of other sites show their own search instead of this one, or this one again.',
    query: none,
    body: z.strictObject({ paused: z.boolean() }),
    answer: none,
  }),
} as const;
