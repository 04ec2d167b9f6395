import { ShoppingBasket } from 'lucide-react';
import { useTexts } from '../look/texts.tsx';
import { countOf } from '../shopper/basket.ts';
import { theBasket } from '../shopper/shopAddress.ts';
import { PlaceLink } from './PlaceLink.tsx';
import { useBasket } from './shopperHere.tsx';

/** How many things are in the basket, with the way there; nothing as long as it is empty. */
export function BasketCount() {
  const count = useBasket(countOf);
  const { say, count: written } = useTexts();
  return (
    <p role="status" aria-label={say('basket')} className="flex items-center gap-1.5 text-[13.5px]">
      {count > 0 && (
        <PlaceLink to={theBasket} className="flex min-h-6 items-center gap-1.5 hover:underline">
          <ShoppingBasket size={17} aria-hidden />
          <span className="sr-only">{say('basket.things', { count })}</span>
          <b aria-hidden className="tabular-nums">
            {written(count)}
          </b>
        </PlaceLink>
      )}
    </p>
  );
}
