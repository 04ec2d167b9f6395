import type { ReachedSearches } from '../../../../core/compare/ladderTrial.ts';
import type { Rung } from '../../../../core/setup/terms/ladderTerms.ts';
import { counted } from '../../../look/price.ts';

type Step = Pick<ReachedSearches, 'searches' | 'times' | 'clicked'>;

/** What a step did for the searches of the log. */
export function rescuedInWords(rung: Rung, step: Step | undefined): string {
  if (rung === 'wholeShop') return 'The log does not say on which page a search was made.';
  if (!step) return 'Helps none of the searches made most.';
  const clicked = step.clicked === 0 ? 'none led to a click' : `${counted(step.clicked, 'click')} followed`;
  return `Helps ${counted(step.searches, 'search', 'searches')}, made ${counted(step.times, 'time')}; ${clicked}.`;
}

/** How that differs from what is live; empty where it does not. */
export function stepChange(step: Step | undefined, live: Step | undefined): string {
  const [is, was] = [step?.times ?? 0, live?.times ?? 0];
  return is === was ? '' : `${counted(Math.abs(is - was), 'time')} ${is > was ? 'more' : 'fewer'} than live.`;
}
