import type { DescribedChange } from '../../../api/stateSchema.ts';
import { knownState } from '../state/deskState.ts';
import { discardGroup, edit } from '../state/edits.ts';

export const partNames = {
  attributes: 'Attributes',
  relevance: 'Relevance',
  filters: 'Filters',
  plans: 'Shelf plans',
  houseRules: 'House rules',
  hiding: 'Hiding',
  companions: 'Companions',
  companionShelves: 'Companions',
  resultsPage: 'Results page',
  look: 'Look',
  badges: 'Badges',
  searchBox: 'Search box',
  suggestedSearches: 'Suggested searches',
  emptyShelf: 'Empty shelf',
  specialShelves: 'Special pages of the empty shelf',
  wording: 'Words and languages',
  products: 'Catalog',
  content: 'Other content',
  vocabulary: 'Vocabulary',
  valueGroups: 'Value groups',
  storefront: 'Filters',
  following: 'Followed parts',
} as const;

/** Changes against what is published, in words, each of which can be dropped by itself. */
export function ChangeList({ changes }: { readonly changes: readonly DescribedChange[] }) {
  return (
    <ul className="mt-2 space-y-1.5">
      {changes.map(({ part, key, before, sentences, group }) => (
        <li key={`${part}/${key}`} className="flex items-start gap-3 border-b pb-1.5 last:border-0">
          <div className="min-w-0 flex-1">
            <span className="text-[12px] text-soft">
              {part === 'storefront' && key === 'shop' ? 'The shop' : partNames[part]}
            </span>
            {sentences.map((sentence) => (
              <p key={sentence} className="break-words">
                {sentence}.
              </p>
            ))}
          </div>
          <button
            type="button"
            className="shrink-0 rounded px-1.5 py-0.5 text-[13px] text-press hover:underline"
            aria-label={`Discard change: ${sentences[0]}`}
            onClick={() => {
              if (group) void discardGroup(group.name);
              else if (knownState()) void edit({ part, key, value: before ?? null });
            }}
          >
            Discard
          </button>
        </li>
      ))}
    </ul>
  );
}
