import { counted } from '../../../look/price.ts';

const kinds = {
  product: 'a product of the shop',
  article: 'an article of the shop',
  collection: 'a collection of the shop',
  search: 'another search',
} as const;

/** Whether the page that a redirect leads to is there. */
export function targetInWords({
  target,
  isThere,
}: {
  readonly target: string;
  readonly isThere: boolean | null;
}): string {
  if (target === 'page') return 'A page of your site; it is not looked up from here.';
  if (target === 'elsewhere') return 'An address elsewhere; it is offered to shoppers, and not looked up from here.';
  const kind = kinds[target as keyof typeof kinds];
  if (isThere === true)
    return target === 'search' ? 'Leads to another search, which finds something.' : `Leads to ${kind}.`;
  return target === 'search' ? 'The search it leads to finds nothing.' : `It leads to ${kind} that is not there.`;
}

/** Whom a redirect caught, by the log. */
export function caughtInWords({
  times,
  searches,
}: {
  readonly times: number;
  readonly searches: readonly string[];
}): string {
  if (times === 0) return 'Caught nobody by the shopper log.';
  return `Caught ${counted(times, 'search', 'searches')}: ${searches.map((search) => `“${search}”`).join(', ')}`;
}
