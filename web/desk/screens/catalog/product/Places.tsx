import { count } from '../../../../look/price.ts';
import { Nothing, shelfRow } from '../../../parts/Screen.tsx';
import { useTrial } from '../../../state/trial.ts';
import type { Product } from './productAnswer.ts';

/** Where a product stands for some searches. */
export function Places({ searches }: { readonly searches: Product['searches'] }) {
  const search = useTrial((state) => state.search);
  if (searches.length === 0) return <Nothing>Try a search in the top bar to see where it stands.</Nothing>;
  const found = searches.filter(({ place }, index) => place !== null || index === 0);
  return (
    <ul className="space-y-[5px]">
      {found.length === 0 && <Nothing>No frequent search finds it.</Nothing>}
      {found.map(({ query, place, of }) => (
        <li key={query} className={`${shelfRow(false)} flex items-baseline gap-3 px-3 py-1.5`}>
          <button
            type="button"
            className="min-w-0 flex-1 truncate text-left text-press hover:underline"
            onClick={() => search(query)}
          >
            {query}
          </button>
          <span className="text-[13px] text-soft">
            {place === null ? `not found among ${count(of)}` : `place ${count(place)} of ${count(of)}`}
          </span>
        </li>
      ))}
    </ul>
  );
}
