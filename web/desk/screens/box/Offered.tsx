import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { suggestionKey } from '../../../../core/setup/suggestionKey.ts';
import type { Suggestion } from '../../../../core/suggest/boxAnswer.ts';
import { call } from '../../../client/call.ts';
import { counted } from '../../../look/price.ts';
import { Button } from '../../parts/Button.tsx';
import { LoadProblem, Nothing, Section } from '../../parts/Screen.tsx';
import { useDeskState } from '../../state/deskState.ts';
import { edit } from '../../state/edits.ts';

/** Why a search is offered. */
function offeredInWords({ from, searches, products, mistakes }: Suggestion['why']): string {
  const off = mistakes > 0 ? `, ${counted(mistakes, 'letter')} off what was typed` : '';
  if (from === 'setup') return 'chosen by you';
  if (from === 'log') return `shoppers searched for it ${counted(searches, 'time')}${off}`;
  return `the catalog says it, of ${counted(products, 'product')}${off}`;
}

/** The searches that are offered for a text, each with why, and a way to never offer it again. */
export function Offered({ typed }: { readonly typed: string }) {
  const { revision } = useDeskState();
  const { data, error, refetch } = useQuery({
    queryKey: ['desk', 'suggest', typed, revision],
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => call('deskSuggest', { query: { q: typed }, signal }),
  });
  const offered = (data?.blocks ?? []).flatMap((block) =>
    block.kind === 'suggestions' || block.kind === 'popular' ? block.items : [],
  );
  const refuse = (text: string): void => {
    const entry = { what: 'never', text, alone: true } as const;
    void edit({ part: 'suggestedSearches', key: suggestionKey(entry), value: entry });
  };
  return (
    <Section title="Why these searches are offered">
      {error && !data && <LoadProblem error={error} again={() => void refetch()} />}
      {data && offered.length === 0 && <Nothing>No search is offered here.</Nothing>}
      <ul aria-label="Searches that are offered" className="divide-y divide-line text-[13px]">
        {offered.map(({ text, why }) => (
          <li key={text} className="flex items-center gap-2 py-0.5">
            <b className="min-w-0 truncate font-semibold">{text}</b>
            <span className="min-w-0 flex-1 text-soft">{offeredInWords(why)}</span>
            {why.from !== 'setup' && (
              <Button
                tone="quiet"
                className="shrink-0 px-2"
                aria-label={`Never offer ${text}`}
                onClick={() => refuse(text)}
              >
                <X size={14} aria-hidden /> Never
              </Button>
            )}
          </li>
        ))}
      </ul>
    </Section>
  );
}
