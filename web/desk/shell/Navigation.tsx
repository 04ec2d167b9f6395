import { ChevronDown } from 'lucide-react';
import { NavLink } from 'react-router';
import type { SetupPart } from '../../../core/setup/registry.ts';
import { useDeskState } from '../state/deskState.ts';
import { useFoldedGroups } from '../state/foldedGroups.ts';
import { Freshness } from './Freshness.tsx';
import { PersonName } from './PersonName.tsx';

interface Place {
  readonly to: string;
  readonly label: string;
  readonly parts: readonly SetupPart[];
}
/** The screens in the order in which a merchandiser works. */
const groups: readonly { readonly name: string; readonly places: readonly Place[] }[] = [
  {
    name: 'Stock',
    places: [
      { to: '/catalog', label: 'Catalog', parts: ['products'] },
      { to: '/content', label: 'Collections and articles', parts: ['content'] },
      { to: '/attributes', label: 'Attributes', parts: ['attributes'] },
    ],
  },
  {
    name: 'Tune',
    places: [
      { to: '/relevance', label: 'Relevance', parts: ['relevance'] },
      { to: '/vocabulary', label: 'Vocabulary', parts: ['vocabulary'] },
      { to: '/filters', label: 'Filters', parts: ['filters', 'valueGroups'] },
      { to: '/proposals', label: 'Proposals', parts: [] },
    ],
  },
  {
    name: 'Arrange',
    places: [
      { to: '/plans', label: 'Shelf plans', parts: ['plans'] },
      { to: '/house-rules', label: 'House rules', parts: ['houseRules'] },
      { to: '/redirects', label: 'Redirects', parts: [] },
      { to: '/hiding', label: 'Hiding', parts: ['hiding'] },
      { to: '/companions', label: 'Companions', parts: ['companions', 'companionShelves'] },
      { to: '/review', label: 'Review', parts: [] },
    ],
  },
  {
    name: 'Shopfront',
    places: [
      { to: '/search-box', label: 'Search box', parts: ['searchBox', 'suggestedSearches'] },
      { to: '/empty-shelf', label: 'Empty shelf', parts: ['emptyShelf', 'specialShelves'] },
      { to: '/results-page', label: 'Results page', parts: ['resultsPage', 'look', 'badges'] },
      { to: '/words', label: 'Words', parts: ['wording'] },
    ],
  },
  {
    name: 'Watch',
    places: [
      { to: '/demand', label: 'Demand', parts: [] },
      { to: '/dead-ends', label: 'Dead ends', parts: [] },
      { to: '/drafts', label: 'Drafts', parts: [] },
      { to: '/releases', label: 'Releases', parts: [] },
      { to: '/history', label: 'History', parts: [] },
    ],
  },
];

/** What the screen at an address is called. */
export function screenName(path: string): string {
  const all = groups.flatMap(({ places }) => places);
  return all.find(({ to }) => path === to || path.startsWith(`${to}/`))?.label ?? 'another screen';
}

export function Navigation() {
  return (
    <nav aria-label="Screens" className="flex flex-col overflow-y-auto py-1 pr-2.5 pl-3.5">
      {groups.map((group) => (
        <Group key={group.name} {...group} />
      ))}
      <Freshness />
      <PersonName />
    </nav>
  );
}

function Group({ name, places }: (typeof groups)[number]) {
  const { changes } = useDeskState();
  const isFolded = useFoldedGroups(({ folded }) => folded.includes(name));
  const fold = useFoldedGroups((state) => state.fold);
  const changed = (parts: readonly SetupPart[]): number => changes.filter(({ part }) => parts.includes(part)).length;
  return (
    <section aria-label={name}>
      <h2>
        <button
          type="button"
          aria-expanded={!isFolded}
          className="flex min-h-6 w-full items-center gap-1 rounded pl-2 font-semibold text-[12px] text-soft hover:text-ink"
          onClick={() => fold(name, !isFolded)}
        >
          {name}
          <ChevronDown size={13} aria-hidden className={`transition-transform ${isFolded ? '-rotate-90' : ''}`} />
          {isFolded && <ChangedCount count={changed(places.flatMap(({ parts }) => parts))} />}
        </button>
      </h2>
      {!isFolded && (
        <ul>
          {places.map(({ to, label, parts }) => (
            <li key={to}>
              <NavLink
                to={to}
                className={({ isActive }) =>
                  `flex items-center justify-between min-h-6 rounded-md border-b-2 px-2 leading-tight ${
                    isActive
                      ? 'rounded-b-none border-edge bg-surface font-bold'
                      : 'border-transparent hover:bg-paper-deep'
                  }`
                }
              >
                {label}
                <ChangedCount count={changed(parts)} />
              </NavLink>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function ChangedCount({ count }: { readonly count: number }) {
  if (count === 0) return null;
  return (
    <span className="ml-auto rounded-full bg-changed-soft px-[7px] font-semibold text-[12px] text-on-changed">
      {count}
      <span className="sr-only"> not published</span>
    </span>
  );
}
