import { NavLink } from 'react-router';

/** The pages of one screen, each with an address of its own. */
export function PageTabs({
  label,
  pages,
}: {
  readonly label: string;
  readonly pages: readonly { readonly to: string; readonly label: string; readonly isChanged?: boolean }[];
}) {
  return (
    <nav aria-label={label} className="mb-4 flex flex-wrap gap-0.5 border-edge border-b-[3px]">
      {pages.map(({ to, label: name, isChanged }) => (
        <NavLink
          key={to}
          to={to}
          end
          className={({ isActive }) =>
            `whitespace-nowrap rounded-t-[7px] px-[7px] py-1.5 text-[13px] ${isActive ? 'bg-surface font-bold' : 'text-soft hover:bg-paper-deep hover:text-ink'}`
          }
        >
          {name}
          {isChanged && (
            <>
              <span aria-hidden className="ml-1 inline-block h-[7px] w-[7px] rounded-full bg-changed align-[1px]" />
              <span className="sr-only">, not published</span>
            </>
          )}
        </NavLink>
      ))}
    </nav>
  );
}
