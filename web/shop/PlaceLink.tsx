import type { ReactNode } from 'react';
import type { ShopPlace, Spot } from '../shopper/shopAddress.ts';
import { useShopper, useVisit } from './shopperHere.tsx';

/** A link to somewhere in the shop, which opens here; in another tab where that is asked for. */
export function SpotLink({
  to,
  isHere = false,
  className,
  children,
}: {
  readonly to: Spot;
  /** Whether it leads to what is shown already. */
  readonly isHere?: boolean;
  readonly className: string;
  readonly children: ReactNode;
}) {
  const { hrefOf, go, goTo } = useShopper();
  return (
    <a
      href={hrefOf(to)}
      aria-current={isHere ? 'page' : undefined}
      className={className}
      onClick={(event) => {
        if (event.metaKey || event.ctrlKey || event.shiftKey || event.button !== 0) return;
        event.preventDefault();
        if (to.place) goTo(to.place);
        else go(to.search);
      }}
    >
      {children}
    </a>
  );
}

/** A link to a page of the shop, or back to the results. */
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
  const { search } = useVisit();
  return (
    <SpotLink to={{ search, place: to }} className={className}>
      {children}
    </SpotLink>
  );
}
