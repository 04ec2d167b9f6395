import { ScreenHead } from '../../parts/Screen.tsx';
import { CloseCalls } from './CloseCalls.tsx';
import { ShopperOrders } from './ShopperOrders.tsx';
import { SoldOut } from './SoldOut.tsx';
import { Weights } from './Weights.tsx';
import { Words } from './Words.tsx';

/** Tune, first screen: what counts when a shopper’s words are found, and what decides when it is too close to call. */
export function Relevance() {
  return (
    <>
      <ScreenHead title="Relevance">
        What counts when a shopper’s words are found, and what decides when it is too close to call.
      </ScreenHead>
      <Weights />
      <CloseCalls />
      <SoldOut />
      <ShopperOrders />
      <Words />
    </>
  );
}
