import { ShoppingBasket } from 'lucide-react';
import { counted } from '../look/price.ts';
import { countOf, useBasket } from './basket.ts';

/** How many things are in the basket; nothing as long as it is empty. */
export function BasketCount() {
  const count = useBasket(countOf);
  return (
    <p role="status" aria-label="Basket" className="flex items-center gap-1.5 text-[13.5px]">
      {count > 0 && (
        <>
          <ShoppingBasket size={17} aria-hidden />
          <span className="sr-only">{counted(count, 'thing')} in your basket</span>
          <b aria-hidden className="tabular-nums">
            {count}
          </b>
        </>
      )}
    </p>
  );
}
