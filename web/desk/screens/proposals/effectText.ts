import type { ProposalRow } from '../../../../api/proposalEndpoints.ts';
import { isConclusive } from '../../../../core/proposals/isConclusive.ts';
import { triedText } from '../../../../core/proposals/madeUpSearches.ts';
import { count, counted } from '../../../look/price.ts';

/** What a proposal would change for the most frequent searches, in words. */
export function effectText({ kind, effect }: ProposalRow): string {
  const searches = triedText(effect.looked, effect);
  if (effect.looked === 0) return 'No shopper log yet, so its effect on real searches is not known.';
  if (!isConclusive(effect) && effect.changed === 0)
    return 'The searches in your shopper log find next to nothing in this catalog, so its effect on them says little.';
  if (effect.changed === 0)
    return kind === 'filter'
      ? 'The order stays the same; shoppers get one more way to narrow the results.'
      : `None of the ${searches} would change.`;
  const more = effect.foundAfter - effect.foundBefore;
  const rescued =
    effect.rescued.length > 0
      ? ` ${effect.rescued.map((search) => `“${search}”`).join(', ')} would no longer find nothing.`
      : '';
  const times = effect.areMadeUp ? '' : ` (${counted(effect.times, 'time')})`;
  return `It changes the first page of ${effect.changed} of the ${searches}${times}, such as ${effect.examples
    .map((search) => `“${search}”`)
    .join(', ')}${more > 0 ? `, and finds ${count(more)} products more in all` : ''}.${rescued}`;
}
