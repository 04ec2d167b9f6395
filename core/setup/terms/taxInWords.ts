import type { Shop } from './shop.ts';

/** What the shop says of tax, in a sentence without a full stop; null where it says nothing. */
export const taxInWords = ({ tax }: Pick<Shop, 'tax'>): string | null =>
  tax ? `Prices are ${tax.included ? 'with' : 'without'} ${tax.rate}% tax` : null;
