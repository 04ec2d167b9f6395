import { formatDistanceToNow } from 'date-fns';
import { NavLink, Outlet } from 'react-router';
import { count, counted } from '../../../look/price.ts';
import { LoadProblem, ScreenHead } from '../../parts/Screen.tsx';
import { useCatalog } from '../../state/catalog.ts';

const pages = [
  { to: '/catalog/products', label: 'Products' },
  { to: '/catalog/bring-in', label: 'Bring in' },
  { to: '/catalog/reading', label: 'Reading' },
  { to: '/catalog/content', label: 'Content' },
  { to: '/catalog/twins', label: 'Twins' },
  { to: '/catalog/feed', label: 'Prices' },
  { to: '/catalog/log', label: 'Log' },
] as const;

/** Stock, first screen: what the catalog holds, and the pages on which it is brought in, looked through and tidied. */
export function CatalogFrame() {
  const { data, error, refetch } = useCatalog();
  return (
    <>
      <ScreenHead title="Catalog">
        {data?.importedAt
          ? `${counted(data.families, 'product')} in ${counted(data.records, 'record')}, from ${data.file}, brought in ${formatDistanceToNow(new Date(data.importedAt), { addSuffix: true })}.`
          : 'What the shop has to sell.'}
        {data && data.rejected > 0 && ` ${count(data.rejected)} rows were refused.`}
      </ScreenHead>
      {error && !data && <LoadProblem error={error} again={refetch} />}
      <nav
        aria-label="Catalog pages"
        className="mb-4 flex gap-0.5 overflow-x-auto border-edge border-b-[3px] [scrollbar-width:none]"
      >
        {pages.map(({ to, label }) => (
          <NavLink
            key={to}
            to={to}
            className={({ isActive }) =>
              `whitespace-nowrap rounded-t-[7px] px-2 py-1.5 text-[13.5px] ${isActive ? 'bg-surface font-bold' : 'text-soft hover:bg-paper-deep hover:text-ink'}`
            }
          >
            {label}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </>
  );
}
