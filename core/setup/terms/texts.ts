import { z } from 'zod';
import { safeLink } from '../../catalog/safeLink.ts';
import { longest, most } from './limits.ts';

/** Keys of attributes, filters and plans: what a column, an address and a file name can all carry. */
export const key = z.string().min(1).max(longest.key);
export const sentence = z.string().max(longest.sentence);
export const productId = z.string().min(1).max(longest.productId);
export const searchText = z.string().trim().min(1).max(longest.search);
/** One value of an attribute, as the catalog has it. */
export const valueText = z.string().min(1).max(longest.value);
/** Keys of decisions, which name what they are about. */
export const decisionKeyText = z.string().min(1).max(longest.decisionKey);
export const weightSchema = z.number().min(0).max(most.weight);
/** Where shoppers may be sent: a page of the shop, or an address of the web, of mail or telephone. */
export const link = z
  .string()
  .trim()
  .min(1)
  .max(longest.link)
  .refine((text) => safeLink(text) !== '', 'Shoppers can be sent to a page of the web or of the shop only.');
