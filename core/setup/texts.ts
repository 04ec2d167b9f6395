import { z } from 'zod';

/** Keys of attributes, filters and plans: what a column, an address and a file name can all carry. */
export const key = z.string().min(1).max(80);
export const sentence = z.string().max(500);
export const productId = z.string().min(1).max(200);
export const searchText = z.string().trim().min(1).max(200);
/** One value of an attribute, as the catalog has it. */
export const valueText = z.string().min(1).max(300);
