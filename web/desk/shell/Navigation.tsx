import { NavLink } from 'react-router';
import type { SetupPart } from '../../../core/setup/schema.ts';
import { useDeskState } from '../state/deskState.ts';
import { Freshness } from './Freshness.tsx';

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
      { to: '/catalog', label: 'Catalog', parts: ['products', 'content'] },
      { to: '/attributes', label: 'Attributes', parts: ['attributes'] },
      { to: '/proposals', label: 'Proposals', parts: [] },
    ],
  },
  {
    name: 'Tune',
    places: [
      { to: '/relevance', label: 'Relevance', parts: ['relevance'] },
      { to: '/vocabulary', label: 'Vocabulary', parts: ['vocabulary'] },
      { to: '/filters', label: 'Filters', parts: ['filters'] },
    ],
  },
  {
    name: 'Arrange',
    places: [
      { to: '/plans', label: 'Shelf plans', parts: ['plans'] },
      { to: '/hiding', label: 'Hiding', parts: ['hiding'] },
      { to: '/empty-shelf', label: 'Empty shelf', parts: ['emptyShelf'] },
    ],
  },
  { name: 'Watch', places: [{ to: '/releases', label: 'Releases', parts: [] }] },
];

export function Navigation() {
  const { changes } = useDeskState();
  const changed = (parts: readonly SetupPart[]): number => changes.filter(({ part }) => parts.includes(part)).length;
  return (
    <nav aria-label="Screens" className="flex flex-col overflow-y-auto py-3.5 pr-2.5 pl-3.5">
      {groups.map(({ name, places }) => (
        <section key={name} aria-label={name}>
          <h2 className="mt-3 mb-1 ml-2 font-semibold text-[12px] text-soft">{name}</h2>
          <ul>
            {places.map(({ to, label, parts }) => (
              <li key={to}>
                <NavLink
                  to={to}
                  className={({ isActive }) =>
                    `flex items-center justify-between rounded-md border-b-[3px] px-2 py-[5px] ${
                      isActive
                        ? 'rounded-b-none border-edge bg-surface font-bold'
                        : 'border-transparent hover:bg-paper-deep'
                    }`
                  }
                >
                  {label}
                  {changed(parts) > 0 && (
                    <span className="rounded-full bg-changed-soft px-[7px] font-semibold text-[12px] text-on-changed">
                      {changed(parts)}
                      <span className="sr-only"> not published</span>
                    </span>
                  )}
                </NavLink>
              </li>
            ))}
          </ul>
        </section>
      ))}
      <Freshness />
    </nav>
  );
}
