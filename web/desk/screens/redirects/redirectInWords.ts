import type { PageFound } from '../../../../api/pageFound.ts';
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
  if (target === 'page') return 'A page of your site.';
  if (target === 'elsewhere') return 'An address elsewhere; it is offered to shoppers.';
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

/** What came of asking for a page, and whether shoppers would miss it. */
export function foundInWords({ is, statusCode }: PageFound): { readonly text: string; readonly isWrong: boolean } {
  switch (is) {
    case 'there':
      return { text: 'It is there.', isWrong: false };
    case 'gone':
      return { text: 'There is no such page.', isWrong: true };
    case 'other':
      return { text: `It answers, but not to us (${statusCode}): look at it yourself.`, isWrong: false };
    case 'not-allowed':
      return { text: 'It leads into a private network, which is not asked from here.', isWrong: true };
    case 'no-connection':
      return { text: 'Nothing answered at this address.', isWrong: true };
    case 'too-slow':
      return { text: 'It did not answer in time.', isWrong: true };
    case 'no-address':
      return { text: 'Say the shop’s web address under Storefronts, and it can be asked for.', isWrong: false };
    case 'not-named':
      return { text: 'It was changed meanwhile.', isWrong: false };
  }
}
