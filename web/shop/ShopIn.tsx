import type { ReactNode } from 'react';
import { useStore } from 'zustand';
import { usualLayout } from '../../core/setup/terms/layoutTerms.ts';
import { TextsIn } from '../look/texts.tsx';
import type { Shopper } from '../shopper/shopper.ts';
import { CardIn, LayoutIn, OwnCardsIn, usualArrangement } from './layout.tsx';
import { ShopperIn } from './shopperHere.tsx';
import { useShopTexts } from './useShopTexts.ts';

const none: never[] = [];

/** Has what stands in it be of one shop: in its language, with its layout. */
export function ShopIn({ shopper, children }: { readonly shopper: Shopper; readonly children: ReactNode }) {
  const layout = useStore(shopper.results, ({ data }) => data?.layout);
  const arrangement = useStore(shopper.results, ({ data }) => data?.arrangement);
  const ownCards = useStore(shopper.results, ({ data }) => data?.ownCards);
  const texts = useShopTexts(useStore(shopper.said));
  return (
    <ShopperIn value={shopper}>
      <TextsIn value={texts}>
        <LayoutIn value={layout ?? usualLayout}>
          <CardIn value={arrangement ?? usualArrangement}>
            <OwnCardsIn value={ownCards ?? none}>{children}</OwnCardsIn>
          </CardIn>
        </LayoutIn>
      </TextsIn>
    </ShopperIn>
  );
}
