import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { call } from '../../../client/call.ts';
import { useDeskState } from '../../state/deskState.ts';

/** What house rules and hidings are about now, by the draft as it is saved. */
export function useRuleFigures() {
  const { revision } = useDeskState();
  return useQuery({
    queryKey: ['desk', 'ruleFigures', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('ruleFigures', { signal }),
  });
}

/** What shoppers did, as far as it is about rules. */
export function useRuleUse() {
  const { revision } = useDeskState();
  return useQuery({
    queryKey: ['desk', 'ruleUse', revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('ruleUse', { signal }),
  });
}

export type RuleState = 'holds' | 'early' | 'over' | 'outOfSeason';
/** What stands beside a rule that is not in force; null where it is. */
export const notInForce: Readonly<Record<RuleState, string | null>> = {
  holds: null,
  early: 'not yet',
  over: 'over',
  outOfSeason: 'not in season',
};
