import type { ReactNode } from 'react';
import type { ShopPlace } from '../shopper/shopAddress.ts';
import { useShopper, useVisit } from './shopperHere.tsx';

/** A link to a page of the shop, or back to the results, which opens here; in another tab where that is asked for. */
export function PlaceLink({
  to,
  className,
  children,
}: {
  /** Null: the results. */
  readonly to: ShopPlace | null;
  readonly className: string;
  readonly children: ReactNode;
}) {
  const { hrefOf, goTo } = useShopper();
  const { search } = useVisit();
  return (
    <a
      href={hrefOf({ search, place: to })}
      className={className}
      onClick={(event) => {
        if (event.metaKey || event.ctrlKey || event.shiftKey || event.button !== 0) return;
        event.preventDefault();
        goTo(to);
      }}
    >
      {children}
    </a>
  );
}
