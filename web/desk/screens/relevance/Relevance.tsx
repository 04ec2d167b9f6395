import { Loading, LoadProblem, ScreenHead } from '../../parts/Screen.tsx';
import { useAttributes } from '../../state/attributes.ts';
import { CloseCalls } from './CloseCalls.tsx';
import { ShopperOrders } from './ShopperOrders.tsx';
import { SoldOut } from './SoldOut.tsx';
import { Weights } from './Weights.tsx';
import { Words } from './Words.tsx';

/** Tune, first screen: what counts when a shopper’s words are found, and what decides when it is too close to call. */
export function Relevance() {
  const { attributes, error, refetch } = useAttributes();
  return (
    <>
      <ScreenHead title="Relevance">
        What counts when a shopper’s words are found, and what decides when it is too close to call.
      </ScreenHead>
      {/* All of it at once: what comes later would push the rest down. */}
      {error && !attributes ? (
        <LoadProblem error={error} again={refetch} />
      ) : !attributes ? (
        <Loading what="Reading the attributes" />
      ) : (
        <>
          <Weights attributes={attributes} />
          <CloseCalls />
          <SoldOut />
          <ShopperOrders />
          <Words />
        </>
      )}
    </>
  );
}
