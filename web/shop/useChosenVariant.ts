import { useState } from 'react';
import type { Card } from '../../core/answer/answer.ts';
import { useShopperAround } from './shopperHere.tsx';

/** A card as it stands with one of its variants chosen on it; the product's page then begins with that one. */
export function useChosenVariant(card: Card, open: (() => void) | undefined) {
  const shopper = useShopperAround();
  /** What was chosen, and in place of which variant: where another one is found, it is no longer meant. */
  const [chosen, setChosen] = useState({ id: card.id, of: card.id });
  const choose = (id: string): void => setChosen({ id, of: card.id });
  const choice = chosen.of === card.id && card.choices?.of.find(({ id }) => id === chosen.id);
  if (!choice) return { card, choose, open };
  const { id, sku, price, formerPrice, available, picture, badges } = choice;
  return {
    card: {
      ...card,
      id,
      sku,
      price,
      formerPrice,
      variantAvailable: available,
      picture: picture ?? card.picture,
      badges,
    },
    choose,
    open:
      open &&
      (() => {
        if (id !== card.id) shopper?.chooseVariant(card.familyId, id);
        open();
      }),
  };
}
