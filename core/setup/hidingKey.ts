import type { Hiding } from './parts/hiding.ts';

/** The key of a hiding's entry in the setup. */
export const hidingKey = (hiding: Hiding): string =>
  hiding.what === 'product' ? `product:${hiding.product}` : `tag:${hiding.tag}`;
